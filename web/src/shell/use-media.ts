import { useCallback, useMemo, useSyncExternalStore } from 'react';
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

/** Whether a browser is about to print: it says so before it lays the page out on paper, and nothing may come later. */
let aboutToPrint = false;

function followPrint(changed: () => void): () => void {
  const to = (now: boolean) => () => {
    aboutToPrint = now;
    flushSync(changed);
  };
  const [begins, ends] = [to(true), to(false)];
  window.addEventListener('beforeprint', begins);
  window.addEventListener('afterprint', ends);
  return () => {
    window.removeEventListener('beforeprint', begins);
    window.removeEventListener('afterprint', ends);
  };
}

/** While the page is being printed, or looked at as it will be. */
export function usePrinting(): boolean {
  const shown = useMedia('print');
  const about = useSyncExternalStore(followPrint, () => aboutToPrint);
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
