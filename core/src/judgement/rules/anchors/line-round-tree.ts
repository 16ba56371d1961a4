import { rich } from '../../../quantity/format.ts';
import { type Answer, chooseAnother, notFound, type Rule, useSubject } from '../../rule.ts';
import { treeChains } from './straps-on-trees.ts';

const STRAPS = ['tree-strap', 'static-strap'];

export const lineRoundTree: Rule = {
  code: 'line-round-tree',
  severity: 'stop',
  softenable: false,
  why: 'A line round a tree and hooked to itself is cut by its own hook and cuts the tree.',
  needs: 'the first piece at the tree',
  check: (assessment) =>
    treeChains(assessment).map(({ use, piece, tree }): Answer => {
      if (piece === undefined || STRAPS.includes(piece.kind)) return notFound(useSubject(use));
      return {
        kind: 'found',
        subject: useSubject(use),
        title: rich`No strap round ${tree.label}`,
        detail: rich`${piece.tag} would lie on the bark. Put a tree strap first.`,
        fixes: [chooseAnother(use, 'Choose a tree strap')],
      };
    }),
};
