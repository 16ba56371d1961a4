import type { Body, Case, GearFacts, Report, Rig } from '@wainrope/core';
import { createContext, useContext, useDeferredValue, useEffect } from 'react';
import { useAppDispatch, useAppSelector } from '../store.ts';
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

/** What stands round the sheet: live; while something is dragged, what was judged last, as soon as there is time for it. */
export function useCalm<T>(live: T, judged: T): T {
  const dragging = useAppSelector((state) => state.planner.held !== undefined);
  const deferred = useDeferredValue(judged);
  return dragging ? deferred : live;
}

/** A body as it is drawn: where the pointer holds it, else where the rig has it. */
export const useHeld = <B extends Body>(body: B): B =>
  useAppSelector(({ planner: { held } }) => (held?.id === body.id ? (held as B) : body));

/** Takes what is held into the rig each time that all there is to draw from its last place has been drawn: as often as the device can. */
export function HeldFollows({ ready }: { readonly ready: boolean }) {
  const held = useAppSelector((state) => state.planner.held);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (held && ready) dispatch(heldTakenOver());
  }, [held, ready, dispatch]);
  return null;
}
