import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { itself, ticked, usesOfClass, wholeRig } from '../../ask/speak.ts';

export const restTooShort = rigRule({
  code: 'rest-too-short',
  severity: 'fix',
  softenable: true,
  why: 'A stretch rope pulled again while still warm melts inside.',
  needs: ['use.piece', 'answers'],
  asks: 'Has the stretch rope rested long enough since its last pull?',
  subjects: (rig) => (usesOfClass(rig, 'stretch-rope').length > 0 ? wholeRig() : []),
  about: itself,
  answer: (rig) => ticked(rig, 'rest-too-short.rig', {}),
  title: () => rich`The stretch rope has not rested`,
  detail: () => rich`Let it cool: pulled again while warm it melts inside.`,
  question: () => rich`Has the stretch rope rested since its last pull, at least as long as the team asks for?`,
});
