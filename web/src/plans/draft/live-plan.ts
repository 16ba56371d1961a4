import type { Body, Case, GearFacts, Report, Rig } from '@wainrope/core';
import { createContext, useContext, useDeferredValue, useEffect, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../store.ts';
import { heldTakenOver } from './planner-slice.ts';

/** A rig, the case made of it, and a report. */
export interface JudgedPlan {
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: Report;
  /** The report belongs to an earlier rig. */
  readonly pending: boolean;
}

/** The open plan: the rig as it stands with the newest report, which may be of the rig a moment ago, and the rig that report is of. */
export interface LivePlan extends JudgedPlan {
  readonly facts: ReadonlyMap<string, GearFacts>;
  readonly judged: JudgedPlan;
}

/** For the sheet alone, which follows the pointer. */
export const LivePlanContext = createContext<LivePlan | undefined>(undefined);

export function useLivePlan(): LivePlan {
  const plan = useContext(LivePlanContext);
  if (!plan) throw new Error('The sheet is drawn inside an open plan.');
  return plan;
}

/** While something is dragged, what stands round the sheet is drawn anew this often at most, ms: numbers that change faster cannot be read. */
const CALM_MS = 250;

/** What stands round the sheet: live; while something is dragged, what was judged last, now and then, as soon as there is time for it. */
export function useCalm<T>(live: T, judged: T): T {
  const dragging = useAppSelector((state) => state.planner.held !== undefined);
  const [shown, setShown] = useState<{ readonly value: T }>();
  const newest = useRef(judged);
  useEffect(() => {
    newest.current = judged;
  }, [judged]);
  useEffect(() => {
    if (!dragging) return;
    const timer = setInterval(() => setShown({ value: newest.current }), CALM_MS);
    setShown({ value: newest.current });
    return () => {
      clearInterval(timer);
      setShown(undefined);
    };
  }, [dragging]);
  const deferred = useDeferredValue(shown);
  return dragging && deferred ? deferred.value : live;
}

/** A body as it is drawn: where the pointer holds it, else where the rig has it. */
export const useHeld = <B extends Body>(body: B): B =>
  useAppSelector(({ planner: { held } }) => (held?.id === body.id ? (held as B) : body));

/** So many times as long as taking it in and drawing it took, the device is left to itself before it is taken in again. */
const REST = 2;

/** Takes what is held into the rig each time that its last place has been judged and drawn: as often as the device can without a stutter. */
export function HeldFollows({ ready }: { readonly ready: boolean }) {
  const held = useAppSelector((state) => state.planner.held);
  const dragging = held !== undefined;
  const waiting = dragging && ready;
  const taken = useRef(0);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!dragging) taken.current = 0;
  }, [dragging]);
  useEffect(() => {
    if (!waiting) return;
    const tookMs = performance.now() - taken.current;
    const timer = setTimeout(
      () => {
        taken.current = performance.now();
        dispatch(heldTakenOver());
      },
      taken.current === 0 ? 0 : Math.min(REST * tookMs, MOST_REST_MS),
    );
    return () => clearTimeout(timer);
  }, [waiting, dispatch]);
  return null;
}

/** Even a slow device shows the rope where it is a few times a second, ms. */
const MOST_REST_MS = 200;
