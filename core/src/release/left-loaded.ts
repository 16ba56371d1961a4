import { bodyForce } from '../moment/forces.ts';
import type { Moment } from '../moment/moment.ts';
import { momentAt } from '../moment/moment-at.ts';
import type { Act } from '../pull/act.ts';
import { resolveRig } from '../resolved/resolve-rig.ts';
import { applied } from '../rigging/fill-pieces.ts';
import { removeLine } from '../rigging/rigging.ts';
import { ahead } from '../statics/ground.ts';
import type { LeftLoaded } from './left.ts';
import { runners, runsByN } from './runs-away.ts';

/**
 * What is loaded when a line parts, line by line, at the start and at the end of the act: the rig without that line, the other drives as
 * they are, the load on slope and brakes. Nothing is told where the load would stay where it is.
 */
export function leftLoaded(act: Act): readonly LeftLoaded[] {
  const moments = act.start === act.last ? [act.start] : [act.start, act.last];
  return act.rig.lines.flatMap(({ line }) => moments.flatMap((moment) => leftAt(moment, [line.id]) ?? []));
}

/** The same of a rig without some of its lines, in one moment; told by the first of them. */
export function leftAt(moment: Moment, lineIds: readonly string[]): LeftLoaded | undefined {
  const { rig } = moment;
  const load = runners(rig).find(({ isLoad }) => isLoad);
  const byN = load ? runsByN(moment, load) : 0;
  if (!(byN > 0)) return undefined;
  const none: LeftLoaded = { lineId: lineIds[0] ?? '', atM: moment.travelM, runsByN: byN, held: false, strained: [] };
  const left = lineIds.reduce((state, lineId) => applied(state, removeLine(state, lineId)), rig.rig);
  if (!left.lines.some(({ drive }) => drive.kind !== 'held')) return none;
  const without = resolveRig({ ...rig.subject, rig: left });
  const there = momentAt(without, { travelM: moment.travelM });
  if (there.balances === undefined) return none;
  const downhill = ahead(left.ground.uphillRad + Math.PI);
  const force = bodyForce(without.load.on, there.balances.frictionless.forces);
  const gain = -(force.x * downhill.x + force.y * downhill.y) / Math.cos(left.ground.slopeRad);
  if (!(gain > 0)) return none;
  return { ...none, held: true, strained: strainedIn(there, byN / gain) };
}

/** Places of a moment that would carry more than the policy’s share of what they break at, with its drive at so many newtons. */
export function strainedIn({ rig, places }: Moment, driveN: number): LeftLoaded['strained'] {
  return rig.places.flatMap((place) => {
    const [per = Number.NaN, mbsN = Number.NaN] = [places.perPullN[place.index], places.mbsN[place.index]];
    const loadN = per * driveN;
    if (place.kind === 'drum' || places.present[place.index] !== 1 || !(loadN > rig.policy.judging.leftTold.value * mbsN)) return [];
    const name = place.owner.kind === 'use' ? (place.owner.use.piece?.tag ?? place.owner.use.use.id) : place.owner.label;
    return [{ placeId: place.id, name, loadN, mbsN }];
  });
}
