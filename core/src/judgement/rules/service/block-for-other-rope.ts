import { rich } from '../../../quantity/format.ts';
import { type Answer, chooseAnother, notFound, openPiece, pieceName, type Rule, useSubject } from '../../rule.ts';
import { ropesOnPulleys } from '../fit/line-pulley.ts';

export const blockForOtherRope: Rule = {
  code: 'block-for-other-rope',
  severity: 'stop',
  softenable: false,
  why: 'A sheave that has carried steel line is burred and cuts fibre; one made for fibre is crushed by steel.',
  needs: 'rope kind, what the block is made for',
  asks: 'Which kind of rope is this block made for?',
  check: (assessment) =>
    ropesOnPulleys(assessment).map(({ use, pulley, steel }): Answer => {
      if (pulley.kind !== 'snatch-block') return notFound(useSubject(use));
      const made = pulley.attributes.ropeKind;
      if (made === undefined)
        return {
          kind: 'undecided',
          subject: useSubject(use),
          question: rich`Is ${pieceName(pulley)} made for synthetic line, for steel, or for both?`,
          fixes: [openPiece(pulley, 'Enter its rope kind')],
        };
      if (made === 'both' || made === (steel ? 'steel' : 'synthetic')) return notFound(useSubject(use));
      return {
        kind: 'found',
        subject: useSubject(use),
        title: rich`${pieceName(pulley)} is made for ${made} line`,
        detail: rich`The line here is ${steel ? 'steel' : 'synthetic'}.`,
        fixes: [chooseAnother(use)],
      };
    }),
};
