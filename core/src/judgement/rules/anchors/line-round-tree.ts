import { servesAs } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { isChosen } from '../../../resolved/parts.ts';
import { rigRule } from '../../ask/rule.ts';
import { chooseAnother, found } from '../../ask/speak.ts';
import { aboutStrap, atTrees } from './trees.ts';

export const lineRoundTree = rigRule({
  code: 'line-round-tree',
  severity: 'stop',
  softenable: false,
  why: 'A line round a tree and hooked to itself is cut by its own hook and cuts the tree.',
  needs: ['use.piece', 'gear.class'],
  subjects: atTrees,
  about: aboutStrap,
  answer: (_, { use, tree }) =>
    !isChosen(use) || servesAs(use.piece, 'tree-strap')
      ? undefined
      : found({ tree: tree.label, tag: use.piece.tag }, chooseAnother(use, 'Choose a tree strap')),
  title: ({ tree }) => rich`No strap round ${tree}`,
  detail: ({ tag }) => rich`${tag} would lie on the bark. Put a tree strap first.`,
});
