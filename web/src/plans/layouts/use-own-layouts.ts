import { useMemo } from 'react';
import { useListLayoutsQuery } from '../../api/wainrope-api.ts';
import type { OfferedLayout } from './LayoutGallery.tsx';

/** Layouts that the team has kept for itself. */
export function useOwnLayouts(): readonly OfferedLayout[] {
  const { data } = useListLayoutsQuery();
  return useMemo(
    () =>
      (data?.items ?? []).map(({ layoutId, name, rig, by }) => ({
        id: layoutId,
        label: name,
        by,
        build: () => ({ name, rig }),
      })),
    [data],
  );
}
