import type { Case, MomentReport, Timeline } from '@wainrope/core';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { named, solver } from '../solver/solver.ts';
import { useAsked } from '../solver/use-asked.ts';
import { instantAt, type PlayedBy, stationAt, wholeOf } from './timeline-at.ts';

interface Place {
  readonly subject: Case;
  readonly timeline: Timeline | undefined;
  readonly by: PlayedBy;
  /** Metres or seconds, by what it is played by, and the metre there. */
  readonly at: number;
  readonly atM: number;
  /** Takes a step: from here on it is there, at that moment. */
  readonly stepTo: (at: number, moment: MomentReport | undefined) => void;
}

interface Played {
  /** The figures of the moment; the last that were known until those of a new place are here. */
  readonly moment: MomentReport | undefined;
  /** Whether the last step is on the page. */
  readonly isDrawn: () => boolean;
  /** Whether going on by so much shows another moment, or moves the thumb by what can be seen. */
  readonly isSeen: (more: number) => boolean;
  /** Goes on by so much as soon as the figures of that place are here. */
  readonly forward: (more: number) => void;
  /** Drops the step whose figures are not here yet. */
  readonly stay: () => void;
}

/** A thumb that goes on by less of its line cannot be seen to move. */
const SEEN_SHARE = 1 / 200;

interface Step {
  /** Steps are told apart by their number. */
  readonly count: number;
  readonly subject: Case;
  readonly atM: number;
  readonly moment: MomentReport | undefined;
}

/**
 * The figures of where a pull is played to. Where it is put by hand it is at once, and its figures follow; a step of its own is asked
 * for first and made when they are here, so that thumb and drawing go together and all is drawn once.
 */
export function usePlayedMoment({ subject, timeline, by, at, atM, stepTo }: Place): Played {
  const [step, setStep] = useState<Step>();
  const stepped = step?.subject === subject && step.atM === atM ? step.moment : undefined;
  const ask = useCallback(() => solver().momentReport(named(subject), atM), [subject, atM]);
  const asked = useAsked(stepped ? undefined : ask);
  const last = useRef<MomentReport>(undefined);
  const moment = stepped ?? (asked.isNewest ? asked.value : last.current);
  const here = useRef({ at, subject });
  const count = useRef(0);
  const coming = useRef<number>(undefined);
  useLayoutEffect(() => {
    last.current = moment;
    // A step is over once it is drawn, and none is taken in another plan than it was asked for.
    if (step?.count === coming.current || here.current.subject !== subject) coming.current = undefined;
    here.current = { at, subject };
  });
  const stay = useCallback(() => {
    coming.current = undefined;
  }, []);
  const reached = useCallback(
    (more: number) => {
      const points = timeline?.points ?? [];
      const to = Math.min(wholeOf(points, by), here.current.at + more);
      return { to, metre: instantAt(points, by, to).atM };
    },
    [timeline, by],
  );
  const isSeen = useCallback(
    (more: number) => {
      const { points = [], stationsM = [] } = timeline ?? {};
      const { to, metre } = reached(more);
      const whole = wholeOf(points, by);
      return to === whole || to - here.current.at >= whole * SEEN_SHARE || stationAt(stationsM, metre) !== last.current?.travelM;
    },
    [timeline, by, reached],
  );
  useEffect(() => stay, [stay]);
  const forward = useCallback(
    async (more: number) => {
      const { to, metre } = reached(more);
      const mine = ++count.current;
      coming.current = mine;
      const answer = await solver()
        .momentReport(named(subject), metre)
        .catch(() => undefined);
      if (coming.current !== mine) return;
      stepTo(to, answer);
      setStep({ count: mine, subject, atM: metre, moment: answer });
    },
    [subject, reached, stepTo],
  );
  return { moment, isDrawn: useCallback(() => coming.current === undefined, []), isSeen, forward, stay };
}
