import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { itself, ticked, wholeRig, winchDrives } from '../../ask/speak.ts';

export const engineOff = rigRule({
  code: 'engine-off',
  severity: 'fix',
  softenable: true,
  why: 'With the engine off the battery alone feeds the winch; a hydraulic winch does nothing at all.',
  needs: ['answers'],
  asks: 'Is the engine of the winching vehicle running?',
  subjects: (rig) => (winchDrives(rig).length > 0 ? wholeRig() : []),
  about: itself,
  answer: (rig) => ticked(rig, 'engine-off.rig', {}),
  title: () => rich`The engine is off`,
  detail: () => rich`Start it: the battery alone feeds an electric winch, and a hydraulic one does nothing.`,
  question: () => rich`Is the engine of the winching vehicle running?`,
});
