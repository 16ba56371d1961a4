import { useEffect } from 'react';
import { useMedia } from '../../shell/use-media.ts';

/** Where motion is not wanted, it goes on by so many steps, one a second. */
const CALM_STEPS = 10;

interface Playing {
  readonly isRunning: boolean;
  readonly whole: number;
  readonly seconds: number;
  readonly setAt: (next: (before: number) => number) => void;
}

/** Moves on with every frame the screen draws; where motion is not wanted, by a few steps. */
export function usePlaying({ isRunning, whole, seconds, setAt }: Playing): void {
  const calm = useMedia('(prefers-reduced-motion: reduce)');
  useEffect(() => {
    if (!isRunning) return;
    const forward = (by: number) => setAt((before) => Math.min(whole, before + by));
    if (calm) {
      const timer = setInterval(() => forward(whole / CALM_STEPS), 1000);
      return () => clearInterval(timer);
    }
    let last = performance.now();
    let frame = requestAnimationFrame(function draw(now) {
      forward(((now - last) / 1000 / seconds) * whole);
      last = now;
      frame = requestAnimationFrame(draw);
    });
    return () => cancelAnimationFrame(frame);
  }, [isRunning, calm, whole, seconds, setAt]);
}
