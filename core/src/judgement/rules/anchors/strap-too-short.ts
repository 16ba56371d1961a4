import { length, rich } from '../../../quantity/format.ts';
import { type Answer, chooseAnother, notFound, openPiece, type Rule, useSubject } from '../../rule.ts';
import { treeChains } from './straps-on-trees.ts';

export const strapTooShort: Rule = {
  code: 'strap-too-short',
  severity: 'stop',
  softenable: false,
  why: 'A strap that barely goes round pulls its eyes apart with many times the load.',
  needs: 'strap length, trunk diameter',
  asks: 'How long is the strap?',
  check: (assessment) =>
    treeChains(assessment).map(({ use, piece, lengthM, basket, tree }): Answer => {
      const subject = useSubject(use);
      if (use.hitch !== 'basket' || piece === undefined || basket !== undefined) return notFound(subject);
      if (lengthM === undefined)
        return {
          kind: 'undecided',
          subject,
          question: rich`How long is ${piece.tag}? Without its length its legs cannot be judged.`,
          fixes: [openPiece(piece, 'Enter its length')],
        };
      return {
        kind: 'found',
        subject,
        title: rich`${piece.tag} does not go round ${tree.label}`,
        detail: rich`${length(lengthM)} strap, ${length(Math.PI * tree.trunkDiameterM)} of trunk. Take a longer one.`,
        fixes: [chooseAnother(use, 'Choose a longer strap')],
      };
    }),
};
