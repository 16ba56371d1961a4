import { type RunInstant, type RunUpCurves, runUpMoment } from '@wainrope/core';
import type { SheetPlan } from '../draft/shown-plans.ts';
import { rigAt } from './moved-plan.ts';

/** What the sheet draws at an instant of a run-up: both vehicles where they are by then, the line with its tension. Nothing can be moved. */
export function ranPlan(plan: SheetPlan, curves: RunUpCurves, instant: RunInstant): SheetPlan {
  const moment = runUpMoment(plan.rig, plan.report, curves, instant);
  if (moment === undefined) return plan;
  const { moved: _, ...figures } = moment;
  return { ...plan, rig: rigAt(plan.rig, moment), report: { ...plan.report, ...figures }, isPlayed: true };
}
