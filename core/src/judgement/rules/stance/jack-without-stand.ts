import { isClass } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { itself, ticked, wholeRig } from '../../ask/speak.ts';

export const jackWithoutStand = rigRule({
  code: 'jack-without-stand',
  severity: 'stop',
  softenable: false,
  why: 'A jack that slips drops the vehicle on whoever is under it.',
  needs: ['tools', 'answers'],
  asks: 'Does a stand take the weight wherever a jack lifts?',
  subjects: ({ tools }) => (tools.some((tool) => isClass(tool, 'lifting-jack')) ? wholeRig() : []),
  about: itself,
  answer: (rig) => ticked(rig, 'jack-without-stand.rig', {}),
  title: () => rich`A jack lifts without a stand`,
  detail: () => rich`Nobody goes under the vehicle until a stand or packing takes the weight.`,
  question: () => rich`Does a stand take the weight wherever a jack lifts?`,
});
