import type { Moment } from '../moment/moment.ts';
import type { Attempt } from '../shock/attempts.ts';
import type { RunUp } from '../shock/run-at.ts';
import type { RunUpSetup } from '../shock/run-up-setup.ts';
import type { Judged } from './ask/judged.ts';
import { strandsAt } from './report/drawing-facts.ts';
import type { RunUpCurves } from './report/report.ts';
import { historiesOf } from './simulate.ts';

/**
 * Tension of the line and way of both vehicles over time, attempt by attempt and one step beyond, with the tension at which each place of
 * the rig meets its working limit: its limit ÷ its load per newton of the line, at the peak. Nothing where the rig has no run-up
 * that can be reckoned.
 */
export function runUpCurves(judged: Judged): RunUpCurves | undefined {
  if (judged.runUp?.kind !== 'planned') return undefined;
  const { plan } = judged.runUp;
  const { rig, start } = judged;
  const { towing } = plan.setup.drive;
  if (towing === undefined) throw new Error('Broken invariant: a run-up is planned without a vehicle that tows');
  const histories = historiesOf(judged, plan);
  const curve = ({ speedMPerS, slackM }: Attempt): RunUp => ({
    speedMPerS,
    ...(Number.isFinite(slackM) && { slackM }),
    planned: histories.planned(speedMPerS).map(({ timeS, tensionN, towedM, movedM }) => ({ timeS, tensionN, towedM, movedM })),
  });
  return {
    attempts: plan.attempts.map(curve),
    beyond: curve(plan.beyond),
    towingId: towing.id,
    way: wayOf(start, plan.setup),
    limits: rig.places.flatMap(({ id, index }) => {
      const per = start.places.perPullN[index] ?? Number.NaN;
      const limitN = (start.places.wllN[index] ?? Number.NaN) / per;
      return per > 0 && Number.isFinite(limitN) ? [{ placeId: id, limitN }] : [];
    }),
  };
}

/** The level way from the stuck vehicle to the one that tows, along the strand at it. */
function wayOf(start: Moment, { drive }: RunUpSetup): RunUpCurves['way'] {
  const strand = strandsAt(start).find(({ lineId, index }) => lineId === drive.line.line.id && index === 0);
  const [dx, dy] = strand ? [strand.from.x - strand.to.x, strand.from.y - strand.to.y] : [0, 0];
  const far = Math.hypot(dx, dy);
  return far > 0 ? { xM: dx / far, yM: dy / far } : { xM: 0, yM: 0 };
}
