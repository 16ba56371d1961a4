import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { itself, ticked, usesOfClass, wholeRig } from '../../ask/speak.ts';

export const restTooShort = rigRule({
  code: 'rest-too-short',
  severity: 'fix',
  softenable: true,
  why: 'A stretch rope pulled again while still warm melts inside.',
  needs: ['use.piece', 'answers', 'policy'],
  asks: 'Has the stretch rope rested long enough since its last pull?',
  subjects: (rig) => (usesOfClass(rig, 'stretch-rope').length > 0 ? wholeRig() : []),
  about: itself,
  answer: (rig) => ticked(rig, 'rest-too-short.rig', { minutes: rig.policy.stretch.restMin.value }),
  title: () => rich`The stretch rope has not rested`,
  detail: ({ minutes }) => rich`Let it cool for ${String(minutes)} minutes at least: pulled again while warm it melts inside.`,
  question: ({ minutes }) => rich`Has the stretch rope rested for ${String(minutes)} minutes at least since its last pull?`,
});
