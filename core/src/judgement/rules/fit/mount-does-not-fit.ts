import { rich, smallLength } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import type { VehicleBody } from '../../../rig/rig.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, ticked, type UseOf, usesOfClass, vehicleOf } from '../../ask/speak.ts';

export const mountDoesNotFit = rigRule({
  code: 'mount-does-not-fit',
  severity: 'stop',
  softenable: false,
  why: 'A mount that is too small for its receiver hangs on its pin alone and bends it.',
  needs: ['use.piece', 'gear.receiverM', 'vehicle.receiver', 'answers', 'policy'],
  asks: 'Does the mount go into this vehicle’s receiver without play?',
  subjects: (rig) => usesOfClass(rig, 'receiver-mount'),
  about: aboutUse,
  answer: (rig, use) => {
    const vehicle = carrying(use);
    const [mountM, receiverM] = [use.piece.attributes.receiverM, vehicle?.receiverM];
    const data = { name: pieceName(use.piece), vehicle: vehicle?.label ?? 'the vehicle', mountM, receiverM };
    if (mountM === undefined || receiverM === undefined) return ticked(rig, `mount-does-not-fit.${use.use.id}`, data);
    return exceeds(Math.abs(mountM - receiverM), rig.policy.judging.receiverPlayM.value) ? found(data, chooseAnother(use)) : undefined;
  },
  title: ({ name, vehicle }) => rich`${name} does not fit the receiver of ${vehicle}`,
  detail: ({ mountM, receiverM }) =>
    mountM === undefined || receiverM === undefined
      ? rich`Take a mount of the receiver’s own size, with its own pin.`
      : rich`It is made for a receiver of ${smallLength(mountM)}; this one is ${smallLength(receiverM)}. Take a mount of its own size.`,
  question: ({ name, vehicle }) => rich`Does ${name} go into the receiver of ${vehicle} without play, with its own pin through?`,
});

/** The vehicle that a mount sits in. */
function carrying({ seat }: UseOf<'receiver-mount'>): VehicleBody | undefined {
  if (seat.kind === 'chain') return vehicleOf(seat.chain.point?.on);
  return seat.kind === 'back-anchor' ? vehicleOf(seat.order === 0 ? seat.tie.anchor.on : seat.tie.vehicle.on) : undefined;
}
