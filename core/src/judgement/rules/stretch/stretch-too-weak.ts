import { force, ratio, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName } from '../../ask/speak.ts';
import { stretchMatches } from './tow-ropes.ts';

export const stretchTooWeak = rigRule({
  code: 'stretch-too-weak',
  severity: 'fix',
  softenable: true,
  why: 'A stretch rope should break at twice the heavier vehicle’s weight at least.',
  needs: ['gear.marks', 'body.mass', 'policy'],
  subjects: stretchMatches,
  about: ({ rope }) => aboutUse(rope),
  answer: ({ policy }, { rope, mbsN, heavierN }) => {
    const least = policy.stretch.weakestMatch.value;
    if (!fallsShort(mbsN, least * heavierN)) return undefined;
    return found({ name: pieceName(rope.piece), mbsN, times: mbsN / heavierN, least }, chooseAnother(rope, 'Choose a stronger rope'));
  },
  title: ({ name }) => rich`${name} is weak for these vehicles`,
  detail: ({ mbsN, times, least }) =>
    rich`It breaks at ${force(mbsN)}, ${ratio(times)} × the heavier one’s weight; ${ratio(least)} × is asked for.`,
});
