import type { LetGo } from '@wainrope/core';
import type { SheetPlan } from '../draft/shown-plans.ts';

/** What the sheet draws where one thing is let go: only what leaves then, the zones of the lines that whip, and who stands there. */
export function brokenPlan(plan: SheetPlan, { leaves, lines, inTheWay }: LetGo): SheetPlan {
  const { report } = plan;
  const whips = report.zones.filter(({ lineId }) => lines.includes(lineId));
  return {
    ...plan,
    report: { ...report, breaks: [{ lineId: 'let-go', atM: 0, flights: leaves }], zones: whips.length > 0 ? whips : report.zones },
    endangered: inTheWay.flatMap(({ bodyId, sheltered }) => (sheltered ? [] : [bodyId])),
  };
}
