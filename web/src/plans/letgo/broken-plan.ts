import type { LetGo, ToldReport } from '@wainrope/core';
import type { SheetPlan } from '../draft/shown-plans.ts';

/** What the sheet draws where one thing is let go: only what leaves then, the zones of the lines that whip, and who stands there. */
export function brokenPlan(plan: SheetPlan, letGo: LetGo): SheetPlan {
  return {
    ...plan,
    report: brokenReport(plan.report, letGo),
    ...(plan.named && { named: { rig: plan.named.rig, report: brokenReport(plan.named.report, letGo) } }),
    endangered: letGo.inTheWay.flatMap(({ bodyId, sheltered }) => (sheltered ? [] : [bodyId])),
  };
}

function brokenReport(report: ToldReport, { leaves, lines }: LetGo): ToldReport {
  const whips = report.zones.filter(({ lineId }) => lines.includes(lineId));
  return { ...report, breaks: [{ lineId: 'let-go', atM: 0, flights: leaves }], zones: whips.length > 0 ? whips : report.zones };
}
