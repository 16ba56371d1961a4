import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { itself, ticked, wholeRig } from '../../ask/speak.ts';

import { standingVehicles } from './standing-vehicles.ts';

export const noChocks = rigRule({
  code: 'no-chocks',
  severity: 'fix',
  softenable: true,
  why: 'A brake that slips on a slope leaves only the chocks.',
  needs: ['answers'],
  asks: 'Are the wheels of the winching vehicle chocked?',
  subjects: (rig) => (standingVehicles(rig).length > 0 ? wholeRig() : []),
  about: itself,
  answer: (rig) => ticked(rig, 'no-chocks.rig', {}),
  title: () => rich`The winching vehicle is not chocked`,
  detail: () => rich`Chock its wheels on the side towards the load.`,
  question: () => rich`Are the wheels of the winching vehicle chocked?`,
});
