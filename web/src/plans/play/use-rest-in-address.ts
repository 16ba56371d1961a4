import { useEffect, useRef } from 'react';
import { useAddress } from '../../shell/use-address.ts';

/** The address follows once it has rested so long, ms: not with every step of a thumb. */
const RESTS_MS = 300;

/** Writes into the address where what is played rests. What it gives back leaves the address as it is from then on: somebody takes the place out of it. */
export function useRestInAddress(at: number, isRunning: boolean): () => void {
  const { put } = useAddress();
  const isLeft = useRef(false);
  useEffect(() => {
    if (isRunning) return;
    const timer = setTimeout(() => {
      if (!isLeft.current) put('at', at.toFixed(2));
    }, RESTS_MS);
    return () => clearTimeout(timer);
  }, [isRunning, at, put]);
  return () => {
    isLeft.current = true;
  };
}
