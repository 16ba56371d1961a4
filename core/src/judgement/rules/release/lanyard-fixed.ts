import { rich } from '../../../quantity/format.ts';
import { lanyardsOf } from '../../../release/lanyards.ts';
import { type Answer, notFound, type Rule, useSubject } from '../../rule.ts';

export const lanyardFixed: Rule = {
  code: 'lanyard-fixed',
  severity: 'stop',
  softenable: false,
  why: 'A lanyard tied to something that stands still is torn out, or tears the piece out, when the piece travels.',
  needs: 'lanyards, which pieces travel',
  check: (assessment) =>
    lanyardsOf(assessment).map(({ use, name, fixed, travels }): Answer => {
      if (!fixed || !travels) return notFound(useSubject(use));
      return {
        kind: 'found',
        subject: useSubject(use),
        title: rich`${name} travels but its lanyard is tied to something fixed`,
        detail: rich`Tie it by a grip to a strand that moves along, or to the load itself.`,
      };
    }),
};
