import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { itself, ticked, vehicleOf, wholeRig, winchDrives } from '../../ask/speak.ts';

export const heldOnPark = rigRule({
  code: 'held-on-park',
  severity: 'stop',
  softenable: false,
  why: 'A parking pawl breaks at a load that the brakes would have held.',
  needs: ['answers'],
  asks: 'Is the winching vehicle out of gear with all its brakes on?',
  subjects: (rig) => (winchDrives(rig).some(({ on }) => vehicleOf(on) !== undefined && on !== rig.load.on) ? wholeRig() : []),
  about: itself,
  answer: (rig) => ticked(rig, 'held-on-park.rig', {}),
  title: () => rich`The winching vehicle is held by its selector alone`,
  detail: () => rich`Take it out of gear, put all brakes on and chock the wheels.`,
  question: () => rich`Is the winching vehicle out of gear with all its brakes on?`,
});
