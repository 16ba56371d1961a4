import { useCallback, useSyncExternalStore } from 'react';

/** Whether a media query holds, followed live. */
export function useMedia(query: string): boolean {
  const follow = useCallback(
    (changed: () => void) => {
      const list = window.matchMedia(query);
      list.addEventListener('change', changed);
      return () => list.removeEventListener('change', changed);
    },
    [query],
  );
  return useSyncExternalStore(follow, () => window.matchMedia(query).matches);
}

/** A phone held upright, or a narrow window. */
export const useNarrow = () => useMedia('(max-width: 759px)');

/** A tablet held upright: room for the rig drawn out across, not for panels beside the plan. */
export const useUpright = () => useMedia('(max-width: 1099px)');
