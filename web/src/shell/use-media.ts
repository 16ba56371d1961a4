import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { flushSync } from 'react-dom';

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

/** While the page is being printed, or looked at as it will be. A browser says so before it lays the page out; nothing may come later. */
export function usePrinting(): boolean {
  const shown = useMedia('print');
  const [about, setAbout] = useState(false);
  useEffect(() => {
    const begins = () => flushSync(() => setAbout(true));
    const ends = () => setAbout(false);
    window.addEventListener('beforeprint', begins);
    window.addEventListener('afterprint', ends);
    return () => {
      window.removeEventListener('beforeprint', begins);
      window.removeEventListener('afterprint', ends);
    };
  }, []);
  return shown || about;
}

/** A phone held upright, a narrow window, or a sheet of paper. */
export function useNarrow(): boolean {
  const narrow = useMedia('(max-width: 759px)');
  return usePrinting() || narrow;
}

/** A tablet held upright: room for the rig drawn out across, not for panels beside the plan. */
export function useUpright(): boolean {
  const upright = useMedia('(max-width: 1099px)');
  return usePrinting() || upright;
}
