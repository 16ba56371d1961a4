import { lengthOf } from '../../../gear/traits.ts';
import { length, rich } from '../../../quantity/format.ts';
import { isChosen } from '../../../resolved/parts.ts';
import { rigRule } from '../../ask/rule.ts';
import { chooseAnother, found, openPiece, undecided } from '../../ask/speak.ts';
import { aboutStrap, atTrees } from './trees.ts';

export const strapTooShort = rigRule({
  code: 'strap-too-short',
  severity: 'stop',
  softenable: false,
  why: 'A strap that barely goes round pulls its eyes apart with many times the load.',
  needs: ['use.piece', 'use.hitch', 'gear.lengthM', 'tree.trunk'],
  asks: 'How long is the strap?',
  subjects: atTrees,
  about: aboutStrap,
  answer: (_, { use, tree }) => {
    if (use.use.hitch !== 'basket' || !isChosen(use) || use.round?.basket !== undefined) return undefined;
    const lengthM = lengthOf(use.piece);
    const data = { tag: use.piece.tag, tree: tree.label, lengthM: lengthM ?? 0, roundM: Math.PI * tree.trunkDiameterM };
    return lengthM === undefined
      ? undecided(data, openPiece(use.piece, 'Enter its length'))
      : found(data, chooseAnother(use, 'Choose a longer strap'));
  },
  title: ({ tag, tree }) => rich`${tag} does not go round ${tree}`,
  detail: ({ lengthM, roundM }) => rich`${length(lengthM)} strap, ${length(roundM)} of trunk. Take a longer one.`,
  question: ({ tag }) => rich`How long is ${tag}? Without its length its legs cannot be judged.`,
});
