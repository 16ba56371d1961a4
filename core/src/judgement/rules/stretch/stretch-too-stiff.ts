import { force, ratio, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName } from '../../ask/speak.ts';
import { stretchMatches } from './tow-ropes.ts';

export const stretchTooStiff = rigRule({
  code: 'stretch-too-stiff',
  severity: 'caution',
  softenable: true,
  why: 'A rope much stronger than the lighter vehicle does not stretch and pulls like a bar.',
  needs: ['gear.marks', 'body.mass', 'policy'],
  subjects: stretchMatches,
  about: ({ rope }) => aboutUse(rope),
  answer: ({ policy }, { rope, mbsN, lighterN }) => {
    const most = policy.stretch.stiffestMatch.value;
    if (!exceeds(mbsN, most * lighterN)) return undefined;
    return found({ name: pieceName(rope.piece), mbsN, times: mbsN / lighterN, most }, chooseAnother(rope, 'Choose a lighter rope'));
  },
  title: ({ name }) => rich`${name} is stiff for these vehicles`,
  detail: ({ mbsN, times, most }) =>
    rich`It breaks at ${force(mbsN)}, ${ratio(times)} × the lighter one’s weight; above ${ratio(most)} × it hardly stretches.`,
});
