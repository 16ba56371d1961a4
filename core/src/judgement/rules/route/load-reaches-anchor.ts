import type { Moment } from '../../../moment/moment.ts';
import { length, rich } from '../../../quantity/format.ts';
import { LIMIT_TOLERANCE } from '../../../quantity/tolerance.ts';
import type { ResolvedBody, ResolvedPoint } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { holdsBack } from '../../../rig/site-geometry.ts';
import { dot, subtract, vec3 } from '../../../statics/vec3.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found, winchDrives } from '../../ask/speak.ts';

export const loadReachesAnchor = momentRule({
  code: 'load-reaches-anchor',
  severity: 'stop',
  softenable: false,
  why: 'A load drawn into its anchor breaks one of the two.',
  needs: ['load.travel', 'body.stands', 'body.size', 'line.way'],
  subjects: holders,
  about: ({ on, id }) => ({ ...aboutBody(on.body), place: id }),
  margin: (moment, { at }) => {
    const { aheadM, asideM, halfWidthM } = inTheWay(moment, at);
    if (!(aheadM > 0) || asideM > halfWidthM) return Number.POSITIVE_INFINITY;
    return aheadM - moment.rig.rig.load.travelM * (1 - LIMIT_TOLERANCE);
  },
  answer: (moment, { on, at }) => {
    const { load, rig } = moment.rig;
    return found({ load: load.body.label, on: on.body.label, travelM: rig.load.travelM, aheadM: inTheWay(moment, at).aheadM });
  },
  title: ({ load, on }) => rich`${load} would run into ${on}`,
  detail: ({ travelM, on, aheadM }) =>
    rich`It has to move ${length(travelM)} and reaches ${on} after ${length(aheadM)}. Take an anchor further on or to one side.`,
});

interface Holder {
  readonly id: string;
  readonly on: ResolvedBody;
  /** Where it holds. */
  readonly at: ResolvedPoint;
}

/** Every body that holds or drives a line, other than the load, unless the rig holds the load back. */
function holders(rig: ResolvedRig): readonly Holder[] {
  if (holdsBack(rig.rig)) return [];
  const held = [
    ...rig.chains.map(({ chain, point }) => ({ id: chain.id, at: point })),
    ...winchDrives(rig).map(({ line, point }) => ({ id: line.line.id, at: point })),
  ];
  return held.flatMap(({ id, at }) => (at && at.on !== rig.load.on ? [{ id, on: at.on, at }] : []));
}

/** How far a point stands ahead of the load's front and to one side of its middle, metres. */
function inTheWay({ shown, positions, rig, travel, travelM }: Moment, { index }: ResolvedPoint) {
  const { body } = rig.load;
  const at = positions[index];
  if (at === undefined || shown === undefined) return { aheadM: Number.NaN, asideM: Number.NaN, halfWidthM: Number.NaN };
  const away = subtract(at, vec3(body.xM + travel.x * travelM, body.yM + travel.y * travelM, at.z));
  const along = dot(away, travel);
  return {
    aheadM: along - body.lengthM / 2,
    asideM: Math.hypot(away.x - travel.x * along, away.y - travel.y * along),
    halfWidthM: body.widthM / 2,
  };
}
