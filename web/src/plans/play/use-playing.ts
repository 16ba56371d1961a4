import { useEffect, useRef, useState } from 'react';
import { useInMotion } from '../../kept/in-motion.ts';
import { useMedia } from '../../shell/use-media.ts';
import { Pace } from './pace.ts';

/** Where motion is not wanted, it goes on by so many steps, one a second. */
const CALM_STEPS = 10;

interface Playing {
  /** How far it goes, and in how many seconds; 0 while that is not known. */
  readonly whole: number;
  readonly seconds: number;
  readonly at: number;
  /** Whether what is drawn is where it is: it does not run ahead of its drawing. Like the next two, the same from one drawing to the next. */
  readonly isDrawn: () => boolean;
  /** Whether going on by so much shows anything new. */
  readonly isSeen: (by: number) => boolean;
  /** Goes on by so many metres or seconds, at most to the end. */
  readonly forward: (by: number) => void;
  /** Back to where it begins. */
  readonly restart: () => void;
}

/**
 * Whether something is played, and the key that plays and pauses it: moves on with every frame the screen draws, where motion is not
 * wanted by a few steps; stops at its end, from where it begins anew.
 */
export function usePlaying({ whole, seconds, at, isDrawn, isSeen, forward, restart }: Playing) {
  const calm = useMedia('(prefers-reduced-motion: reduce)');
  const [isRunning, setRunning] = useState(false);
  useInMotion(isRunning);
  const lastPace = useRef<Pace>(undefined);
  const isOver = whole > 0 && at >= whole;
  useEffect(() => {
    if (isOver) setRunning(false);
  }, [isOver]);
  useEffect(() => {
    if (!isRunning || !(whole > 0)) return;
    if (calm) {
      const timer = setInterval(() => forward(whole / CALM_STEPS), 1000);
      return () => clearInterval(timer);
    }
    const pace = new Pace(lastPace.current);
    lastPace.current = pace;
    let last = performance.now();
    let frame = requestAnimationFrame(function draw(now) {
      const by = ((now - last) / 1000 / seconds) * whole;
      if (pace.isDue(now, isDrawn(), isSeen(by))) {
        forward(by);
        last = now;
      }
      frame = requestAnimationFrame(draw);
    });
    return () => cancelAnimationFrame(frame);
  }, [isRunning, calm, whole, seconds, isDrawn, isSeen, forward]);
  const turn = () => {
    if (isOver) restart();
    setRunning(!isRunning);
  };
  return { isRunning, pause: () => setRunning(false), turn };
}
