import { useEffect, useRef, useState } from 'react';

/** Figures that change oftener than this cannot be read, ms. */
export const CALM_MS = 250;

/** A value that changes quickly, followed a few times a second; what comes last is always shown. */
export function useCalm<T>(value: T): T {
  const [shown, setShown] = useState({ value });
  const shownAt = useRef(Number.NEGATIVE_INFINITY);
  useEffect(() => {
    const follow = () => {
      shownAt.current = performance.now();
      setShown({ value });
    };
    const timer = setTimeout(follow, Math.max(0, shownAt.current + CALM_MS - performance.now()));
    return () => clearTimeout(timer);
  }, [value]);
  return shown.value;
}
