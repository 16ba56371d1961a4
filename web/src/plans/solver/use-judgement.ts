import type { AdvantageAt, AnchorOption, Case, GearFacts, PlaceExplanation, Report, SparedRig, TagReading, Trial } from '@wainrope/core';
import { type Remote, wrap } from 'comlink';
import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { ShownFigure, Solver } from './solver.worker.ts';

let shared: Remote<Solver> | undefined;

/** One worker for the life of the page. */
function solver(): Remote<Solver> {
  shared ??= wrap<Solver>(new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' }));
  return shared;
}

export interface Judgement {
  readonly report: Report | undefined;
  /** The case that the report is of. */
  readonly judged: Case | undefined;
  readonly failure: string | undefined;
  /** The report belongs to an earlier case and a newer one is being solved. */
  readonly pending: boolean;
}

interface Answer {
  readonly subject: Case;
  readonly report?: Report;
  readonly failure?: string;
}

/** So long the verdict over the whole pull may take before its start is shown alone, ms: a shorter flicker tells nobody anything. */
const START_SHOWN_MS = 350;

/** So long nothing may be dragged before the whole pull follows its start, ms: two answers to every touch of a drag are one too many. */
const QUIET_MS = 120;

/**
 * Judges a case whenever it changes: its start at once, its whole act as soon as it is worked out. One solve runs at a time; of the
 * cases that come meanwhile only the newest is solved, and what it overtakes is given up. `hurried`, while something is dragged, shows
 * every start as it comes, and the whole once the hand rests; otherwise a start is shown only where the whole takes long.
 */
export function useJudgement(subject: Case | undefined, hurried: boolean): Judgement {
  const [answer, setAnswer] = useState<Answer>();
  const newest = useRef<Case | undefined>(undefined);
  const busy = useRef(false);
  const show = useRef(hurried);
  /** Ends what is waited for or followed, since a newer case is there. */
  const cut = useRef<() => void>(undefined);
  useEffect(() => {
    show.current = hurried;
  }, [hurried]);
  useEffect(() => {
    newest.current = subject;
    const isNewest = (wanted: Case) => newest.current === wanted;
    const put = (wanted: Case, report: Report | undefined) => {
      if (report) startTransition(() => setAnswer({ subject: wanted, report }));
    };
    /** Until nothing has come for a while, or something newer has. */
    const quiet = () =>
      new Promise<void>((resume) => {
        cut.current = resume;
        setTimeout(resume, QUIET_MS);
      });
    const followed = (): Promise<Report | undefined> => {
      cut.current = () => void solver().overtake();
      return solver().follow();
    };
    const judgeOne = async (wanted: Case): Promise<void> => {
      cut.current = undefined;
      const start = await solver().judgeStart(wanted);
      const showStart = () => put(wanted, start);
      if (show.current) showStart();
      if (show.current && isNewest(wanted)) await quiet();
      if (!isNewest(wanted)) return;
      const timer = setTimeout(showStart, START_SHOWN_MS);
      const whole = start.startOnly === 'not-yet-run' ? await followed() : start;
      clearTimeout(timer);
      put(wanted, whole);
    };
    const next = async (): Promise<void> => {
      const wanted = newest.current;
      if (busy.current || wanted === undefined) return;
      busy.current = true;
      try {
        await judgeOne(wanted);
      } catch (error) {
        setAnswer({ subject: wanted, failure: error instanceof Error ? error.message : String(error) });
      }
      busy.current = false;
      if (newest.current !== wanted) await next();
    };
    if (busy.current) cut.current?.();
    void next();
  }, [subject]);
  return { report: answer?.report, judged: answer?.subject, failure: answer?.failure, pending: answer?.subject !== subject };
}

/** A case judged here and now, for what is printed: never a report of an earlier one. */
export const judgedNow = (subject: Case): Promise<Report> => solver().judge(subject);

/** How one place of the case was worked out, at the start or where it is worst on the way; late answers are dropped. */
export function useExplanation(
  subject: Case | undefined,
  placeId: string | undefined,
  when: 'start' | 'worst',
): PlaceExplanation | undefined {
  const [explained, setExplained] = useState<{ readonly when: 'start' | 'worst'; readonly answer: PlaceExplanation | undefined }>();
  useEffect(() => {
    let current = true;
    if (subject === undefined || placeId === undefined) return;
    solver()
      .explain(subject, placeId, when)
      .then(
        (answer) => current && setExplained({ when, answer }),
        () => current && setExplained(undefined),
      );
    return () => {
      current = false;
    };
  }, [subject, placeId, when]);
  return explained?.when === when && explained.answer?.placeId === placeId ? explained.answer : undefined;
}

/** Every figure of the case's report, explained; late answers are dropped. */
export function useReportFigures(subject: Case): readonly ShownFigure[] | undefined {
  const [shown, setShown] = useState<{ readonly subject: Case; readonly figures: readonly ShownFigure[] }>();
  useEffect(() => {
    let current = true;
    solver()
      .figures(subject)
      .then(
        (figures) => current && setShown({ subject, figures }),
        () => current && setShown(undefined),
      );
    return () => {
      current = false;
    };
  }, [subject]);
  return shown?.figures;
}

/** What would come of each piece in one place; nothing until it is worked out, late answers are dropped. */
export function useTrials(
  subject: Case | undefined,
  useId: string | undefined,
  pieces: readonly GearFacts[],
): ReadonlyMap<string, Trial> | undefined {
  const [trials, setTrials] = useState<ReadonlyMap<string, Trial>>();
  useEffect(() => {
    let current = true;
    setTrials(undefined);
    if (subject === undefined || useId === undefined || pieces.length === 0) return;
    solver()
      .tryPieces(subject, useId, pieces)
      .then(
        (answer) => current && setTrials(new Map(answer.map((trial) => [trial.gearId, trial]))),
        () => undefined,
      );
    return () => {
      current = false;
    };
  }, [subject, useId, pieces]);
  return trials;
}

/** Every anchor of the site in the place of the one in use, best first; late answers are dropped. */
export function useAnchorOptions(subject: Case | undefined, lineId: string | undefined): readonly AnchorOption[] | undefined {
  const [options, setOptions] = useState<readonly AnchorOption[]>();
  useEffect(() => {
    let current = true;
    if (subject === undefined || lineId === undefined) return;
    solver()
      .compareAnchors(subject, lineId)
      .then(
        (answer) => current && setOptions(answer),
        () => current && setOptions([]),
      );
    return () => {
      current = false;
    };
  }, [subject, lineId]);
  return options;
}

/** An answer of the solver to one question; nothing while there is none to ask; late answers are dropped. `ask` stays the same while the question does. */
function useAsked<T>(ask: (() => Promise<T>) | undefined): T | undefined {
  const [answer, setAnswer] = useState<T>();
  useEffect(() => {
    let current = true;
    if (!ask) return setAnswer(undefined);
    ask().then(
      (value) => current && setAnswer(() => value),
      () => current && setAnswer(undefined),
    );
    return () => {
      current = false;
    };
  }, [ask]);
  return answer;
}

/** Which cheaper action makes which rig unnecessary; nothing until it is worked out. */
export function useSparedRigs(subject: Case, lineId: string | undefined): readonly SparedRig[] | undefined {
  const ask = useCallback(() => solver().sparedRigs(subject, lineId ?? ''), [subject, lineId]);
  return useAsked(lineId === undefined ? undefined : ask);
}

/** What the rig makes of a pull, with pulleys between ideal (0) and as they are (1). */
export function useAdvantage(subject: Case, realness: number): AdvantageAt | undefined {
  return useAsked(useCallback(() => solver().advantageAt(subject, realness), [subject, realness]));
}

/** What the unclear marks of a piece may mean. */
export function useTagReadings(subject: Case | undefined, gearId: string | undefined): readonly TagReading[] | undefined {
  const ask = useMemo(() => (subject && gearId !== undefined ? () => solver().tagReadings(subject, gearId) : undefined), [subject, gearId]);
  return useAsked(ask);
}
