import { useCallback, useMemo, useSyncExternalStore } from 'react';

/** Whether a media query holds, followed live. */
export function useMedia(query: string): boolean {
  const list = useMemo(() => window.matchMedia(query), [query]);
  const follow = useCallback(
    (changed: () => void) => {
      list.addEventListener('change', changed);
      return () => list.removeEventListener('change', changed);
    },
    [list],
  );
  return useSyncExternalStore(follow, () => list.matches);
}

/** A phone held upright, or a narrow window. */
export const useNarrow = () => useMedia('(max-width: 759px)');

/** A tablet held upright: room for the rig drawn out across, not for panels beside the plan. */
export const useUpright = () => useMedia('(max-width: 1099px)');
