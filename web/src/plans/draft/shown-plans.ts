import type { Body, Case, GearFacts, Rig, ToldReport } from '@wainrope/core';
import { createContext, useContext, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useInMotion } from '../../kept/in-motion.ts';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import type { Judgement } from '../solver/use-judgement.ts';
import { handRests, onHandRest } from './hand.ts';
import { type HeldAhead, heldAhead } from './held-ahead.ts';
import { heldTakenOver } from './planner-slice.ts';

/** A rig, the case made of it, and a report. */
export interface JudgedPlan {
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: ToldReport;
  /** The report belongs to an earlier rig. */
  readonly pending: boolean;
}

/** What the sheet's words are about. */
export type NamedPlan = Pick<JudgedPlan, 'rig' | 'report'>;

/** What the sheet draws: the rig as it stands with the newest report, which may be of the rig a moment ago. */
export interface SheetPlan extends JudgedPlan {
  readonly facts: ReadonlyMap<string, GearFacts>;
  /** The rig that was judged last with its own report: all of one moment. */
  readonly lastJudged: JudgedPlan;
  /** Another moment than the start is shown: nothing can be moved. */
  readonly isPlayed?: true;
  /** What its words are about, where they follow more calmly than what is drawn. */
  readonly named?: NamedPlan;
  /** Bodies that would be hit by what is let go. */
  readonly endangered?: readonly string[];
}

/** What is drawn of the open plan. */
interface ShownPlans {
  readonly onSheet: SheetPlan | undefined;
  /** What stands round the sheet: the same, and while something is dragged what was judged last, drawn anew a few times a second. */
  readonly roundSheet: JudgedPlan | undefined;
}

interface DraftOfPlan {
  readonly rig: Rig | undefined;
  readonly subject: Case | undefined;
  readonly facts: ReadonlyMap<string, GearFacts>;
}

/**
 * What the planner shows of a draft and of how it was judged. While something is dragged the sheet keeps to what was judged last, so
 * that what is drawn is of one moment (its words and zones of one a little earlier), and what is held is drawn ahead of it; else the rig
 * is shown as it stands at once.
 */
export function useShownPlans({ rig, subject, facts }: DraftOfPlan, { report, judged, pending }: Judgement): ShownPlans {
  const dragging = useAppSelector((state) => state.planner.held !== undefined);
  const lastJudged = useMemo(
    (): JudgedPlan | undefined =>
      judged?.kind === 'rig' && report ? { rig: judged.rig, subject: judged, report, pending: false } : undefined,
    [judged, report],
  );
  const drawn = useMemo(
    (): JudgedPlan | undefined => (dragging || !rig || !subject || !lastJudged ? lastJudged : { ...lastJudged, rig, subject, pending }),
    [dragging, rig, subject, lastJudged, pending],
  );
  const onSheet = useMemo(
    (): SheetPlan | undefined => (drawn && lastJudged ? { ...drawn, facts, lastJudged } : undefined),
    [drawn, lastJudged, facts],
  );
  const slowed = useSlowedWhileDragging<JudgedPlan | undefined>(onSheet, lastJudged);
  // What stands round the sheet says so where more has been judged since.
  const isOlder = dragging && slowed !== undefined && slowed !== lastJudged;
  const roundSheet = useMemo(() => (isOlder ? { ...slowed, pending: true } : slowed), [isOlder, slowed]);
  return { onSheet, roundSheet };
}

/** For the sheet alone, which follows the pointer. */
export const SheetPlanContext = createContext<SheetPlan | undefined>(undefined);

export function useSheetPlan(): SheetPlan {
  const plan = useContext(SheetPlanContext);
  if (!plan) throw new Error('The sheet is drawn inside an open plan.');
  return plan;
}

/** While something is dragged, what stands round the sheet is drawn anew this often at most, ms: numbers that change faster cannot be read. */
const SLOWED_MS = 250;
/** So many times as long as drawing it took, the device is left to itself while the hand moves, and at most so long, ms. */
const ROUND_REST = 6;
const MOST_ROUND_REST_MS = 5000;

/** Acts once, so much later or as soon as the hand rests; gives how to leave it. */
function after(ms: number, act: () => void): () => void {
  const timer = setTimeout(act, ms);
  const stay = onHandRest(() => {
    clearTimeout(timer);
    stay();
    act();
  });
  return () => {
    clearTimeout(timer);
    stay();
  };
}

/** What stands now; while something is dragged, what was judged last: as soon as the hand rests, else as often as there is time for it. */
export function useSlowedWhileDragging<T>(now: T, lastJudged: T): T {
  const dragging = useAppSelector((state) => state.planner.held !== undefined);
  const [shown, setShown] = useState<{ readonly value: T; readonly at: number }>();
  const newest = useRef(lastJudged);
  useEffect(() => {
    newest.current = lastJudged;
  }, [lastJudged]);
  const deferred = useDeferredValue(shown);
  useEffect(() => {
    if (!dragging) setShown(undefined);
    else setShown({ value: newest.current, at: performance.now() });
  }, [dragging]);
  useEffect(() => {
    // Goes on once what was given last is drawn.
    if (!dragging || deferred === undefined || deferred !== shown) return;
    const tookMs = performance.now() - deferred.at;
    const restMs = handRests() ? 0 : Math.min(ROUND_REST * tookMs, MOST_ROUND_REST_MS);
    return after(Math.max(SLOWED_MS, restMs), () => setShown({ value: newest.current, at: performance.now() }));
  }, [dragging, deferred, shown]);
  return dragging && deferred ? deferred.value : now;
}

/** A body as it is drawn: where the pointer holds it, else where the rig has it. */
export const useHeld = <B extends Body>(body: B): B =>
  useAppSelector(({ planner: { held } }) => (held?.id === body.id ? (held as B) : body));

/** So many times as long as taking it in and drawing it took, the device is left to itself while the hand moves. */
const REST = 6;
/** Even a slow device shows the rope where it is about once a second, ms; the body itself goes with the pointer. */
const MOST_REST_MS = 900;

/** Takes what is held into the rig each time that its last place has been judged and drawn: as often as the device can without a stutter. */
export function HeldFollows({ ready }: { readonly ready: boolean }) {
  const heldId = useAppSelector((state) => state.planner.held?.id);
  const dragging = heldId !== undefined;
  useInMotion(dragging);
  const waiting = dragging && ready;
  const taken = useRef<{ readonly at: number; readonly held: HeldAhead | undefined }>(undefined);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!dragging) taken.current = undefined;
  }, [dragging]);
  useEffect(() => {
    if (!waiting) return;
    const restMs = taken.current === undefined ? 0 : REST * (performance.now() - taken.current.at);
    let leave = after(Math.min(restMs, handRests() ? SLOWED_MS : MOST_REST_MS), take);
    function take() {
      const held = heldId === undefined ? undefined : heldAhead(heldId);
      // What has not been moved since is not judged again.
      if (held !== undefined && held === taken.current?.held) leave = after(SLOWED_MS, take);
      else {
        taken.current = { at: performance.now(), held };
        dispatch(heldTakenOver(held));
      }
    }
    return () => leave();
  }, [waiting, heldId, dispatch]);
  return null;
}
