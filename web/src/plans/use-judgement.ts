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

/** Judges a case whenever it changes. One solve runs at a time; of the cases that come meanwhile only the newest is solved. */
export function useJudgement(subject: Case | undefined): Judgement {
  const [answer, setAnswer] = useState<{ readonly subject: Case; readonly report?: Report; readonly failure?: string }>();
  const newest = useRef<Case | undefined>(undefined);
  const busy = useRef(false);
  useEffect(() => {
    newest.current = subject;
    const next = async (): Promise<void> => {
      const wanted = newest.current;
      if (busy.current || wanted === undefined) return;
      busy.current = true;
      try {
        const report = await solver().judge(wanted);
        startTransition(() => setAnswer({ subject: wanted, report }));
      } catch (error) {
        setAnswer({ subject: wanted, failure: error instanceof Error ? error.message : String(error) });
      }
      busy.current = false;
      if (newest.current !== wanted) await next();
    };
    void next();
  }, [subject]);
  return { report: answer?.report, judged: answer?.subject, failure: answer?.failure, pending: answer?.subject !== subject };
}

/** A case judged here and now, for what is printed: never a report of an earlier one. */
export const judgedNow = (subject: Case): Promise<Report> => solver().judge(subject);

/** How one place of the case was worked out; late answers are dropped. */
export function useExplanation(subject: Case | undefined, placeId: string | undefined): PlaceExplanation | undefined {
  const [explained, setExplained] = useState<PlaceExplanation>();
  useEffect(() => {
    let current = true;
    if (subject === undefined || placeId === undefined) return;
    solver()
      .explain(subject, placeId)
      .then(
        (answer) => current && setExplained(answer),
        () => current && setExplained(undefined),
      );
    return () => {
      current = false;
    };
  }, [subject, placeId]);
  return explained?.placeId === placeId ? explained : undefined;
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
