import type { Moment } from '../moment/moment.ts';
import { momentAt } from '../moment/moment-at.ts';
import type { Act } from './act.ts';

/**
 * The moment of an act that is nearest to a metre of its travel among those that were looked at, so that its figures are those that
 * the act was judged by. Of several at one metre, the last: as it goes on from there. A run-up has its peak alone.
 */
export function momentOn({ rig, stations, samples, start, runUp }: Act, travelM: number): Moment {
  if (runUp !== undefined || stations.length < 2) return start;
  let nearest = 0;
  stations.forEach((at, index) => {
    const [best, own] = [Math.abs((stations[nearest]?.travelM ?? 0) - travelM), Math.abs(at.travelM - travelM)];
    if (own <= best) nearest = index;
  });
  const at = stations[nearest] ?? start.at;
  const before = samples.findLast((sample) => sample.travelM <= at.travelM && sample.pose.leg === (at.leg ?? sample.pose.leg));
  return before?.at === at ? before : momentAt(rig, at, before ?? start);
}
