import type { MomentReport, Rig, ToldReport } from '@wainrope/core';
import type { SheetPlan } from '../draft/shown-plans.ts';

/** A report with the figures of one moment of its act; what is found and what is worst of all stay as they are. */
export function reportAt(report: ToldReport, moment: MomentReport): ToldReport {
  const { travelM: _, moved: __, highestPlaceId, ...figures } = moment;
  return { ...report, ...figures, weakestPlaceId: highestPlaceId ?? report.weakestPlaceId };
}

/** The rig with every body where it stands at a moment. */
export function rigAt(rig: Rig, { moved }: Pick<MomentReport, 'moved'>): Rig {
  if (moved.length === 0) return rig;
  return {
    ...rig,
    bodies: rig.bodies.map((body) => {
      const pose = moved.find(({ bodyId }) => bodyId === body.id);
      if (pose === undefined) return body;
      const placed = { ...body, xM: pose.xM, yM: pose.yM };
      return 'headingRad' in placed ? { ...placed, headingRad: placed.headingRad + pose.turnRad } : placed;
    }),
  };
}

/** What the sheet draws at a moment: nothing on it can be moved, and it stands still round the rig as that was drawn. */
export function planAt(plan: SheetPlan, moment: MomentReport): SheetPlan {
  return { ...plan, rig: rigAt(plan.rig, moment), report: reportAt(plan.report, moment), isPlayed: true };
}
