import type { Case, ToldReport } from '@wainrope/core';
import { startTransition, useEffect, useRef, useState } from 'react';
import { named, solver } from './solver.ts';

export interface Judgement {
  readonly report: ToldReport | undefined;
  /** The case that the report is of. */
  readonly judged: Case | undefined;
  readonly failure: string | undefined;
  /** The report belongs to an earlier case and a newer one is being solved. */
  readonly pending: boolean;
}

interface Answer {
  readonly subject: Case;
  readonly report: ToldReport | undefined;
  readonly failure?: string;
}

const messageOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** So long the verdict over the whole pull may take before its start is shown alone, ms: a shorter flicker tells nobody anything. */
const START_SHOWN_MS = 350;

/** So long nothing may be dragged before the whole pull follows its start, ms: two answers to every touch of a drag are one too many. */
const QUIET_MS = 120;

/** The longest that it waits for the browser to have nothing else to do, ms. */
const LEISURE_MS = 1000;

/**
 * Judges a case whenever it changes: its start at once, its whole act as soon as it is worked out. One solve runs at a time; of the
 * cases that come meanwhile only the newest is solved, and what it overtakes is given up. `hurried`, while something is dragged, shows
 * every start as it comes, and the whole once the hand rests; otherwise a start is shown only where the whole takes long. What the server
 * has `told` of this very case is shown as it is; the worker follows it at leisure, so that what is asked about it next is answered at
 * once.
 */
export function useJudgement(subject: Case | undefined, hurried: boolean, told?: ToldReport): Judgement {
  const [answer, setAnswer] = useState<Answer>();
  const newest = useRef<Case | undefined>(undefined);
  const busy = useRef(false);
  const show = useRef(hurried);
  const known = useRef(told);
  /** Ends what is waited for or followed, since a newer case is there. */
  const cut = useRef<() => void>(undefined);
  useEffect(() => {
    show.current = hurried;
    known.current = told;
  }, [hurried, told]);
  useEffect(() => {
    newest.current = subject;
    const isNewest = (wanted: Case) => newest.current === wanted;
    const put = (wanted: Case, report: ToldReport | undefined) => {
      if (report) startTransition(() => setAnswer({ subject: wanted, report }));
    };
    /** Until nothing has come for a while, or something newer has. */
    const quiet = () =>
      new Promise<void>((resume) => {
        cut.current = resume;
        setTimeout(resume, QUIET_MS);
      });
    /** Until the page is drawn and the browser has nothing else to do, or something newer has come. */
    const leisure = () =>
      new Promise<void>((resume) => {
        cut.current = resume;
        if (typeof requestIdleCallback === 'function') requestIdleCallback(() => resume(), { timeout: LEISURE_MS });
        else setTimeout(resume, LEISURE_MS);
      });
    const followed = (wanted: Case): Promise<ToldReport | undefined> => {
      cut.current = () => void solver().overtake();
      return solver().follow(named(wanted));
    };
    /** Takes what the server has told, and follows the case for what will be asked about it. */
    const takeTold = async (wanted: Case, report: ToldReport): Promise<void> => {
      setAnswer({ subject: wanted, report });
      await leisure();
      if (isNewest(wanted)) await followed(wanted);
    };
    const judgeOne = async (wanted: Case): Promise<void> => {
      cut.current = undefined;
      const start = await solver().judgeStart(named(wanted));
      const showStart = () => put(wanted, start);
      if (show.current) showStart();
      if (show.current && isNewest(wanted)) await quiet();
      if (!isNewest(wanted)) return;
      const timer = setTimeout(showStart, START_SHOWN_MS);
      const whole = start.startOnly === 'not-yet-run' ? await followed(wanted) : start;
      clearTimeout(timer);
      put(wanted, whole);
    };
    const next = async (): Promise<void> => {
      const wanted = newest.current;
      const report = known.current;
      if (busy.current || wanted === undefined) return;
      busy.current = true;
      try {
        await (report ? takeTold(wanted, report) : judgeOne(wanted));
      } catch (error) {
        setAnswer({ subject: wanted, report, failure: messageOf(error) });
      }
      busy.current = false;
      if (newest.current !== wanted) await next();
    };
    if (busy.current) cut.current?.();
    void next();
  }, [subject]);
  const shown: Answer | undefined = told && subject && answer?.subject !== subject ? { subject, report: told } : answer;
  return { report: shown?.report, judged: shown?.subject, failure: shown?.failure, pending: shown?.subject !== subject };
}

/** A case judged here and now, for what is printed: never a report of an earlier one. */
export const judgedNow = (subject: Case): Promise<ToldReport> => solver().judge(named(subject));
