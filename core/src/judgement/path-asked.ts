import { bodyForce } from '../moment/forces.ts';
import type { Case } from '../rig/case.ts';
import { holdsBack } from '../rig/site-geometry.ts';
import type { Judged } from './ask/judged.ts';

/**
 * The same case with the vehicle's path drawn along the net force of its ropes, where that leads further off its heading than the
 * policy lets pass and nobody has drawn a path; undefined otherwise.
 */
export function alongTheForce({ rig, start, startOnly, runUp }: Judged): Case | undefined {
  const { load } = rig.rig;
  const balance = start.shown?.balance;
  const goes = load.travelM !== undefined && load.travelM > 0;
  if (startOnly || runUp || !goes || load.path || load.task || holdsBack(rig.rig) || rig.rig.purpose === 'respool') return undefined;
  if (rig.load.body.kind !== 'vehicle' || balance === undefined) return undefined;
  const force = bodyForce(rig.load.on, balance.forces);
  const size = Math.hypot(force.x, force.y);
  const off = Math.acos(
    Math.min(1, (force.x * start.travel.x + force.y * start.travel.y) / (size * Math.hypot(start.travel.x, start.travel.y))),
  );
  if (!(size > 0) || !(off * (180 / Math.PI) > rig.policy.pull.pathAskedDeg.value)) return undefined;
  const { xM, yM } = rig.load.body;
  const to = { xM: xM + (force.x / size) * FAR_M, yM: yM + (force.y / size) * FAR_M };
  return { ...rig.subject, rig: { ...rig.rig, load: { ...load, path: [to] } } };
}

/** A corner this far off makes a straight way, metres. */
const FAR_M = 100;
