import { useSyncExternalStore } from 'react';

/** Whether a media query holds, followed live. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (changed) => {
      const list = window.matchMedia(query);
      list.addEventListener('change', changed);
      return () => list.removeEventListener('change', changed);
    },
    () => window.matchMedia(query).matches,
  );
}

/** A phone held upright, or a narrow window. */
export const useNarrow = () => useMedia('(max-width: 820px)');
