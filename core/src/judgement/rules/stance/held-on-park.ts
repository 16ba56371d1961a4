import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { found, itself, ticked, vehicleOf, wholeRig, winchDrives } from '../../ask/speak.ts';

export const heldOnPark = rigRule({
  code: 'held-on-park',
  severity: 'stop',
  softenable: false,
  why: 'A parking pawl breaks at a load that the brakes would have held.',
  needs: ['answers', 'vehicle.stance', 'policy'],
  asks: 'Is the winching vehicle out of gear with all its brakes on?',
  subjects: (rig) => (winchDrives(rig).some(({ on }) => vehicleOf(on) !== undefined && on !== rig.load.on) ? wholeRig() : []),
  about: itself,
  answer: (rig) => {
    const alone = winchDrives(rig).flatMap(({ on }) => (vehicleOf(on)?.stance?.brakes === 'park-only' ? [vehicleOf(on)?.label ?? ''] : []));
    const data = { names: alone, park: rig.policy.schools.winchHeldBy === 'park-and-brakes' };
    return alone.length > 0 ? found(data) : ticked(rig, 'held-on-park.rig', data);
  },
  title: ({ names }) => rich`${names.length > 0 ? names.join(', ') : 'The winching vehicle'} is held by its selector alone`,
  detail: () => rich`Take it out of gear, put all brakes on and chock the wheels.`,
  question: ({ park }) =>
    park
      ? rich`Is the winching vehicle in park with all its brakes on, not in park alone?`
      : rich`Is the winching vehicle out of gear with all its brakes on?`,
});
