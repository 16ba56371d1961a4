import { force, ratio, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { type Answer, chooseAnother, notFound, type Rule, useSubject } from '../../rule.ts';
import { stretchMatches } from './stretch-match.ts';

export const stretchTooWeak: Rule = {
  code: 'stretch-too-weak',
  severity: 'fix',
  softenable: true,
  why: 'A stretch rope should break at twice the heavier vehicle’s weight at least.',
  needs: 'rope strength, masses of both vehicles',
  check: (assessment) =>
    stretchMatches(assessment).map(({ use, name, mbsN, heavierN }): Answer => {
      const least = assessment.policy.stretch.weakestMatch.value;
      if (!fallsShort(mbsN, least * heavierN)) return notFound(useSubject(use));
      return {
        kind: 'found',
        subject: useSubject(use),
        title: rich`${name} is weak for these vehicles`,
        detail: rich`It breaks at ${force(mbsN)}, ${ratio(mbsN / heavierN)} × the heavier one’s weight; ${ratio(least)} × is asked for.`,
        fixes: [chooseAnother(use, 'Choose a stronger rope')],
      };
    }),
};
