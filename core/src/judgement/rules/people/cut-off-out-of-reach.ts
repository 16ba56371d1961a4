import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { itself, ticked, wholeRig, winchDrives } from '../../ask/speak.ts';

export const cutOffOutOfReach = rigRule({
  code: 'cut-off-out-of-reach',
  severity: 'fix',
  softenable: true,
  why: 'A relay that sticks keeps the winch running until the power is cut.',
  needs: ['answers'],
  asks: 'Can the power cut-off be reached from a safe place?',
  subjects: (rig) => (winchDrives(rig).length > 0 ? wholeRig() : []),
  about: itself,
  answer: (rig) => ticked(rig, 'cut-off-out-of-reach.rig', {}),
  title: () => rich`The power cut-off is out of reach`,
  detail: () => rich`Fit or free it, or post somebody who can reach it without crossing the line.`,
  question: () => rich`Can the power cut-off be reached from a safe place?`,
});
