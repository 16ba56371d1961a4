import { rich } from '../../../quantity/format.ts';
import { shownState } from '../../report/drawing-facts.ts';
import { type Answer, notFound, type Rule, useSubject } from '../../rule.ts';

export const slackLeg: Rule = {
  code: 'slack-leg',
  severity: 'fix',
  softenable: true,
  why: 'A slack leg shares nothing: the other carries all.',
  needs: 'lengths of bridle legs and straps',
  check: (assessment) => {
    const state = shownState(assessment)?.state;
    if (state === undefined) return [];
    return assessment.network.chains.flatMap(({ chain, link }): readonly Answer[] => {
      const first = chain.pieces[0];
      if (chain.to?.kind !== 'joint' || first === undefined || link < 0) return [];
      if (!state.slackLinks.includes(link)) return [notFound(useSubject(first))];
      return [
        {
          kind: 'found',
          subject: useSubject(first),
          title: rich`One leg hangs slack`,
          detail: rich`The other carries all. Even the lengths out, or leave this leg off.`,
        },
      ];
    });
  },
};
