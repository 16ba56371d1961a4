import type { Judged } from './ask/judged.ts';
import type { RunUpCurves } from './report/report.ts';
import { historiesOf } from './simulate.ts';

/**
 * The tension of the line over time, attempt by attempt and one step beyond, with the tension at which each place of the rig meets its
 * working limit: its limit ÷ its load per newton of the line, at the peak. Nothing where the rig has no run-up
 * that can be reckoned.
 */
export function runUpCurves(judged: Judged): RunUpCurves | undefined {
  if (judged.runUp?.kind !== 'planned') return undefined;
  const { plan } = judged.runUp;
  const { rig, start } = judged;
  const histories = historiesOf(judged, plan);
  const curve = (speedMPerS: number) => ({
    speedMPerS,
    planned: histories.planned(speedMPerS).map(({ timeS, tensionN, movedM }) => ({ timeS, tensionN, movedM })),
  });
  return {
    attempts: plan.attempts.map(({ speedMPerS }) => curve(speedMPerS)),
    beyond: curve(plan.beyond.speedMPerS),
    limits: rig.places.flatMap(({ id, index }) => {
      const per = start.places.perPullN[index] ?? Number.NaN;
      const limitN = (start.places.wllN[index] ?? Number.NaN) / per;
      return per > 0 && Number.isFinite(limitN) ? [{ placeId: id, limitN }] : [];
    }),
  };
}
