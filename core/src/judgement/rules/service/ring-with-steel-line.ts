import { rich } from '../../../quantity/format.ts';
import { type Answer, chooseAnother, notFound, pieceName, type Rule, useSubject } from '../../rule.ts';
import { ropesOnPulleys } from '../fit/line-pulley.ts';

export const ringWithSteelLine: Rule = {
  code: 'ring-with-steel-line',
  severity: 'stop',
  softenable: false,
  why: 'Steel line saws through a ring’s coating and its soft shackle; a plain ring is for synthetic line only.',
  needs: 'rope kind, pulley class',
  check: (assessment) =>
    ropesOnPulleys(assessment).map(({ use, pulley, steel, ropeTag }): Answer => {
      if (!steel || pulley.kind === 'snatch-block') return notFound(useSubject(use));
      return {
        kind: 'found',
        subject: useSubject(use),
        title: rich`${pieceName(pulley)} under a steel line`,
        detail: rich`${ropeTag} is steel. Use a block made for steel line.`,
        fixes: [chooseAnother(use, 'Choose a block')],
      };
    }),
};
