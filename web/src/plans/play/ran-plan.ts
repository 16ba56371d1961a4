import { type RunInstant, type RunUpCurves, type RunUpMoment, runUpMoment } from '@wainrope/core';
import type { SheetPlan } from '../draft/shown-plans.ts';
import { rigAt } from './moved-plan.ts';

/** What the sheet draws at an instant of a run-up: both vehicles where they are by then, the line with its tension. Nothing can be moved. */
export function ranPlan(plan: SheetPlan, curves: RunUpCurves, instant: RunInstant): SheetPlan {
  const moment = runUpMoment(plan.rig, plan.report, curves, instant);
  if (moment === undefined) return plan;
  const { moved: _, ...figures } = moment;
  const report = { ...plan.report, ...figures, breaks: flyingFrom(plan.report, figures, instant) };
  return { ...plan, rig: rigAt(plan.rig, moment), report, isPlayed: true };
}

type Breaks = SheetPlan['report']['breaks'];

/** What would fly at an instant, from where it hangs by then; nothing while the rope is slack. */
function flyingFrom({ breaks, pulleys }: SheetPlan['report'], now: Pick<RunUpMoment, 'pulleys'>, { tensionN }: RunInstant): Breaks {
  if (tensionN === 0) return breaks.map((entry) => ({ ...entry, flights: [] }));
  const at = (list: RunUpMoment['pulleys'], chainId: string) => list.find((pulley) => pulley.chainId === chainId)?.at;
  return breaks.map((entry) => ({
    ...entry,
    flights: entry.flights.map((flight) => {
      const [was, is] = [at(pulleys, flight.chainId), at(now.pulleys, flight.chainId)];
      if (!was || !is) return flight;
      const { from } = flight;
      return { ...flight, from: { ...from, x: from.x + is.x - was.x, y: from.y + is.y - was.y } };
    }),
  }));
}
