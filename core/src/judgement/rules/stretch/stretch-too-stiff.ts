import { force, ratio, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, chooseAnother, notFound, type Rule, useSubject } from '../../rule.ts';
import { stretchMatches } from './stretch-match.ts';

export const stretchTooStiff: Rule = {
  code: 'stretch-too-stiff',
  severity: 'caution',
  softenable: true,
  why: 'A rope much stronger than the lighter vehicle does not stretch and pulls like a bar.',
  needs: 'rope strength, masses of both vehicles',
  check: (assessment) =>
    stretchMatches(assessment).map(({ use, name, mbsN, lighterN }): Answer => {
      const most = assessment.policy.stretch.stiffestMatch.value;
      if (!exceeds(mbsN, most * lighterN)) return notFound(useSubject(use));
      return {
        kind: 'found',
        subject: useSubject(use),
        title: rich`${name} is stiff for these vehicles`,
        detail: rich`It breaks at ${force(mbsN)}, ${ratio(mbsN / lighterN)} × the lighter one’s weight; above ${ratio(most)} × it hardly stretches.`,
        fixes: [chooseAnother(use, 'Choose a lighter rope')],
      };
    }),
};
