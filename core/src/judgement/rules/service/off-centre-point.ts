import { length, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, found, pieceName, usesOfClass, vehicleOf } from '../../ask/speak.ts';

export const offCentrePoint = rigRule({
  code: 'off-centre-point',
  severity: 'note',
  softenable: true,
  why: 'A pull beside the centre line turns the vehicle as it comes.',
  needs: ['use.piece', 'point.mount', 'body.size', 'policy'],
  subjects: (rig) => usesOfClass(rig, 'recovery-point'),
  about: aboutUse,
  answer: ({ policy }, { piece, seat }) => {
    // The legs of a bridle share the pull across the centre line.
    if (seat.kind !== 'chain' || seat.chain.chain.to !== undefined) return undefined;
    const place = seat.chain.point?.point.place;
    const vehicle = vehicleOf(seat.chain.point?.on);
    if (place?.kind !== 'on-vehicle' || vehicle === undefined) return undefined;
    const offM = Math.abs(place.leftM);
    return exceeds(offM, vehicle.widthM * policy.judging.offCentreShare.value) ? found({ name: pieceName(piece), offM }) : undefined;
  },
  title: ({ name, offM }) => rich`${name} sits ${length(offM)} off the centre line`,
  detail: () => rich`The vehicle will turn towards the other side; steer for it, or use a bridle on two points.`,
});
