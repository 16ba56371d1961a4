import { useEffect } from 'react';

/** How many things are moving, under somebody's hand or because they are played. */
let moving = 0;
const waiting = new Set<() => void>();

/** While it is true, what the device reads for later waits: on a slow device each read would make what moves stutter. */
export function useInMotion(isMoving: boolean): void {
  useEffect(() => {
    if (!isMoving) return;
    moving++;
    return () => {
      moving--;
      if (moving > 0) return;
      for (const go of waiting) go();
      waiting.clear();
    };
  }, [isMoving]);
}

/** Waits until nothing moves. */
export async function atRest(): Promise<void> {
  while (moving > 0) await new Promise<void>((done) => void waiting.add(done));
}
