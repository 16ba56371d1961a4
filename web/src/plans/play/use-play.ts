import type { Case, MomentReport, Timeline } from '@wainrope/core';
import { useCallback, useEffect, useLayoutEffect, useState } from 'react';
import { useAddress } from '../../shell/use-address.ts';
import { named, solver } from '../solver/solver.ts';
import { useAsked } from '../solver/use-asked.ts';
import { useShowMoment } from './MomentHolder.tsx';
import { instantAt, type PlayedBy, wholeOf } from './timeline-at.ts';
import { usePlayedMoment } from './use-played-moment.ts';
import { usePlaying } from './use-playing.ts';
import { useRestInAddress } from './use-rest-in-address.ts';

/** A pull takes so long when it is played, seconds: by metres, and by time, which has its rests. */
const PLAYS_FOR_S = { metre: 14, time: 20 };

export interface Play {
  readonly timeline: Timeline | undefined;
  readonly by: PlayedBy;
  readonly setBy: (by: PlayedBy) => void;
  /** Where it is: metres or seconds, by what it is played by. */
  readonly at: number;
  readonly go: (to: number, by?: PlayedBy) => void;
  readonly isRunning: boolean;
  readonly pause: () => void;
  /** Plays, or pauses. */
  readonly turn: () => void;
  /** The address is left as it is from here on: somebody takes the moment out of it. */
  readonly leave: () => void;
  /** The figures of the moment that is shown; missing until they are here. */
  readonly moment: MomentReport | undefined;
}

/** Plays the pull of a case: where it is stands in the address once it rests there. */
export function usePlay(subject: Case): Play {
  const { params } = useAddress();
  const [by, setPlayedBy] = useState<PlayedBy>('metre');
  const [at, setAt] = useState(() => Math.max(0, Number(params.get('at')) || 0));
  const timeline = useAsked(useCallback(() => solver().timeline(named(subject)), [subject])).value;
  const points = timeline?.points ?? NO_POINTS;
  const whole = wholeOf(points, by);
  const atM = points.length === 0 ? at : instantAt(points, by, at).atM;
  const { show, leave: standStill } = useShowMoment();
  // Bar and drawing are told of a step at once, so that both are drawn in one go.
  const stepTo = useCallback(
    (to: number, then: MomentReport | undefined) => {
      setAt(to);
      show(then, { at: to, by }, true);
    },
    [by, show],
  );
  const { moment, stay, ...steps } = usePlayedMoment({ subject, timeline, by, at, atM, stepTo });
  const restart = () => setAt(0);
  const { isRunning, pause, turn } = usePlaying({ whole, seconds: PLAYS_FOR_S[by], at, ...steps, restart });
  useLayoutEffect(() => show(moment, { at, by }, isRunning), [at, by, moment, isRunning, show]);
  useEffect(() => standStill, [standStill]);
  const leave = useRestInAddress(atM, isRunning);
  return {
    timeline,
    by,
    setBy: (next) => {
      stay();
      const instant = instantAt(points, by, at);
      setAt(next === 'metre' ? instant.atM : (instant.timeS ?? 0));
      setPlayedBy(next);
    },
    at: Math.min(at, whole || at),
    go: (to, goneBy = by) => {
      stay();
      const instant = instantAt(points, goneBy, to);
      setAt(by === 'metre' ? instant.atM : (instant.timeS ?? 0));
    },
    isRunning,
    pause,
    turn: () => {
      stay();
      turn();
    },
    leave,
    moment,
  };
}

const NO_POINTS: Timeline['points'] = [];
