import { useEffect, useRef, useState } from 'react';

/** Figures that change oftener than this cannot be read, ms. */
const CALM_MS = 250;
/** A slow device is left to itself so many times as long as drawing them took, and at most so long, ms. */
const REST = 40;
const MOST_REST_MS = 2000;

/**
 * A value that changes quickly, followed a few times a second, as often as the device can without a stutter; what comes last is always
 * shown. With `afterMs` it comes that much later, so that much is not drawn in one frame.
 */
export function useCalm<T>(value: T, afterMs = 0): T {
  const [shown, setShown] = useState({ value });
  const next = useRef(Number.NEGATIVE_INFINITY);
  useEffect(() => {
    let timer = setTimeout(follow, Math.max(afterMs, next.current - performance.now()));
    function follow() {
      const begun = performance.now();
      // Drawing the last one may have taken longer than was thought when this was put off.
      if (begun < next.current) {
        timer = setTimeout(follow, next.current - begun);
        return;
      }
      next.current = begun + CALM_MS;
      setShown({ value });
      requestAnimationFrame(() => {
        requestAnimationFrame((drawn) => {
          next.current = Math.max(next.current, drawn + Math.min(REST * (drawn - begun - FRAMES_MS), MOST_REST_MS));
        });
      });
    }
    return () => clearTimeout(timer);
  }, [value, afterMs]);
  return shown.value;
}

/** Two frames of a device that is not slow, ms. */
const FRAMES_MS = 34;
