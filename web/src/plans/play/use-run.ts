import { type Case, type RunInstant, type RunUp, type RunUpReport, runAt, runUpTakesS } from '@wainrope/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useAddress } from '../../shell/use-address.ts';
import { named, solver } from '../solver/solver.ts';
import { useAsked } from '../solver/use-asked.ts';
import { useShowMoment } from './MomentHolder.tsx';
import { ranPlan } from './ran-plan.ts';
import { usePlaying } from './use-playing.ts';
import { useRestInAddress } from './use-rest-in-address.ts';

/** It is played so many times slower than it goes: a peak is over in a blink. */
export const SLOWER = 4;
/** The step beyond the fastest attempt, in the address. */
export const BEYOND = 'beyond';

export interface PlayedRun {
  readonly run: RunUp;
  readonly instant: RunInstant;
  readonly towingId: string;
  /** Seconds from standing: where it is, where the ropes come tight, and its end. */
  readonly at: number;
  readonly tightS: number;
  readonly whole: number;
}

interface Playing {
  /** Missing until it is worked out. */
  readonly played: PlayedRun | undefined;
  /** The attempt by its place, or `beyond`. */
  readonly chosen: string;
  readonly choose: (attempt: string) => void;
  readonly go: (to: number) => void;
  readonly isRunning: boolean;
  readonly turn: () => void;
  /** The address is left as it is from here on. */
  readonly leave: () => void;
}

/** The run is on the page, so that nothing is waited for, and both vehicles move all the while. */
const always = () => true;

/** Plays one attempt of a run-up, and shows the sheet where both vehicles are. */
export function useRun(subject: Case, plan: RunUpReport): Playing {
  const { params, put } = useAddress();
  const { showRun, leave: standStill } = useShowMoment();
  const { value: curves } = useAsked(useCallback(() => solver().runUpCurves(named(subject)), [subject]));
  const last = String(plan.attempts.length - 1);
  const asked = params.get('attempt') ?? last;
  const chosen = asked === BEYOND || plan.attempts[Number(asked)] !== undefined ? asked : last;
  const run = chosen === BEYOND ? curves?.beyond : curves?.attempts[Number(chosen)];
  const tightS = run ? runUpTakesS(run) : 0;
  const whole = tightS + (run?.planned.at(-1)?.timeS ?? 0);
  const [at, setAt] = useState(() => Math.max(0, Number(params.get('at')) || 0));
  const forward = useCallback((by: number) => setAt((before) => Math.min(whole, before + by)), [whole]);
  const restart = () => setAt(0);
  const { isRunning, pause, turn } = usePlaying({ whole, seconds: whole * SLOWER, at, isDrawn: always, isSeen: always, forward, restart });
  const leave = useRestInAddress(whole > 0 ? Math.min(at, whole) : at, isRunning);
  const played = useMemo(
    () =>
      curves &&
      run && { run, instant: runAt(run, Math.min(at, whole) - tightS), towingId: curves.towingId, at: Math.min(at, whole), tightS, whole },
    [curves, run, at, tightS, whole],
  );
  useEffect(
    () => showRun(curves && played && ((drawn) => ranPlan(drawn, curves, played.instant)), isRunning),
    [curves, played, isRunning, showRun],
  );
  useEffect(() => standStill, [standStill]);
  return {
    played,
    chosen,
    choose: (attempt) => {
      pause();
      setAt(0);
      put('attempt', attempt === last ? undefined : attempt);
    },
    go: (to) => {
      pause();
      setAt(to);
    },
    isRunning,
    turn,
    leave,
  };
}
