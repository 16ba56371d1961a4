import { useEffect, useRef, useState } from 'react';

/** Figures that change oftener than this cannot be read, ms. */
const CALM_MS = 250;
/** A slow device is left to itself so many times as long as drawing them took too long, and at most so long, ms. */
const REST = 100;
const MOST_REST_MS = 2500;
/** Two frames of a device that is not slow, ms. */
const FRAMES_MS = 34;

interface Calm {
  /** So much later it comes, so that not all is drawn in one frame. */
  readonly afterMs?: number;
  /** Something moves by itself: a slow device is given rests. */
  readonly isMoving: boolean;
}

/**
 * A value that changes quickly, followed four times a second; while something moves, as often as the device can without a stutter. What
 * comes last is always shown.
 */
export function useCalm<T>(value: T, { afterMs = 0, isMoving }: Calm): T {
  const [shown, setShown] = useState({ value });
  const calmUntil = useRef(Number.NEGATIVE_INFINITY);
  const restUntil = useRef(Number.NEGATIVE_INFINITY);
  useEffect(() => {
    const leftMs = () => Math.max(calmUntil.current, isMoving ? restUntil.current : 0) - performance.now();
    let timer = setTimeout(follow, Math.max(afterMs, leftMs()));
    function follow() {
      // Drawing the last one may have taken longer than was thought when this was put off.
      if (leftMs() > 0) {
        timer = setTimeout(follow, leftMs());
        return;
      }
      const begun = performance.now();
      calmUntil.current = begun + CALM_MS;
      setShown({ value });
      requestAnimationFrame(() => {
        requestAnimationFrame((drawn) => {
          restUntil.current = drawn + Math.min(REST * (drawn - begun - FRAMES_MS), MOST_REST_MS);
        });
      });
    }
    return () => clearTimeout(timer);
  }, [value, afterMs, isMoving]);
  return shown.value;
}
