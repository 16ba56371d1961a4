import type { winchFaces } from '../../../gear/classes/materials.ts';
import { stopAt } from '../../../moment/forces.ts';
import type { Moment } from '../../../moment/moment.ts';
import { angle, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import type { WinchDrive } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { ahead } from '../../../statics/ground.ts';
import { angleBetween, vec3 } from '../../../statics/vec3.ts';
import { momentRule } from '../../ask/rule.ts';
import { found, openPiece, pieceName, undecided, vehicleOf, winchDrives } from '../../ask/speak.ts';

export const fairleadAngle = momentRule({
  code: 'fairlead-angle',
  severity: 'fix',
  softenable: true,
  why: 'A line that leaves to one side stacks on the drum and wears at the fairlead.',
  needs: ['line.way', 'body.heading', 'point.mount', 'gear.fairlead', 'gear.faces', 'drive.faces', 'policy'],
  asks: 'Which way does the winch face?',
  subjects: (rig) => winchDrives(rig).filter(({ on, point }) => on?.body.kind === 'vehicle' && point.point.place.kind === 'on-vehicle'),
  about: ({ point }) => ({ subject: { kind: 'point', id: point.point.id } }),
  margin: (moment, drive) => {
    const limit = fairleadLimitRad(drive, moment.rig);
    const faces = facesOf(drive);
    if (faces !== undefined) return leftBelow(offFairleadRad(moment, drive, faces), limit);
    // Where nobody states which way it faces, only a line that leaves well by none of the likely ways is found to leave badly.
    const [guess, other] = LIKELY.map((way) => leftBelow(offFairleadRad(moment, drive, way), limit));
    const guessed = isBehind(drive) ? other : guess;
    if (guessed === undefined || guess === undefined || other === undefined || !(guessed < 0)) return guessed;
    return Math.max(guess, other) >= 0 ? undefined : Math.max(guess, other);
  },
  answer: (moment, drive) => {
    const mostRad = fairleadLimitRad(drive, moment.rig);
    const faces = facesOf(drive);
    const offs = (faces === undefined ? LIKELY : [faces]).map((way) => offFairleadRad(moment, drive, way));
    const offRad = Math.min(...offs);
    const data = { offRad, mostRad, name: drive.winch ? pieceName(drive.winch) : 'the winch' };
    return faces === undefined && offRad <= mostRad
      ? undecided(data, drive.winch && openPiece(drive.winch, 'Enter which way it faces'))
      : found(data);
  },
  title: ({ offRad }) => rich`The line leaves the fairlead ${angle(offRad)} to one side`,
  question: ({ name }) =>
    rich`Which way does ${name} face? Its line leaves ahead or astern of its vehicle, and only one of them is straight.`,
  detail: ({ mostRad }) => rich`At most ${angle(mostRad)} for this fairlead. Move the anchor more into line, or redirect.`,
});

type Faces = (typeof winchFaces)[number];
const LIKELY: readonly Faces[] = ['ahead', 'astern'];
const TURN_RAD: { readonly [F in Faces]: number } = { ahead: 0, astern: Math.PI, left: -Math.PI / 2, right: Math.PI / 2 };

/** As the rig states it, else as the register does. */
const facesOf = ({ line: { line }, winch }: WinchDrive): Faces | undefined =>
  (line.drive.kind === 'winch' ? line.drive.faces : undefined) ?? winch?.attributes.faces;

const isBehind = ({ point: { point } }: WinchDrive): boolean => point.place.kind === 'on-vehicle' && point.place.forwardM < 0;

/** Angle in plan between the line and the way its fairlead faces, rad; NaN where the rig has no balance. */
function offFairleadRad({ balances, rig, pose }: Moment, { line, on, point }: WinchDrive, faces: Faces): number {
  const vehicle = vehicleOf(on);
  const { place } = point.point;
  if (balances === undefined || vehicle === undefined || place.kind !== 'on-vehicle') return Number.NaN;
  const [from, to] = [stopAt(line, 0, balances.hauling), stopAt(line, 1, balances.hauling)];
  const turned = on === rig.load.on ? pose.turnRad : 0;
  const facing = ahead(vehicle.headingRad + turned + TURN_RAD[faces]);
  return angleBetween(vec3(to.x - from.x, to.y - from.y, 0), facing);
}

function fairleadLimitRad({ winch }: WinchDrive, { policy }: ResolvedRig): number {
  const roller = winch?.attributes.fairlead === undefined || winch.attributes.fairlead === 'roller';
  return ((roller ? policy.winch.fairleadRollerMaxDeg : policy.winch.fairleadHawseMaxDeg).value * Math.PI) / 180;
}
