import { rich } from '../../../quantity/format.ts';
import { isChosen } from '../../../resolved/parts.ts';
import { rigRule } from '../../ask/rule.ts';
import { ticked } from '../../ask/speak.ts';
import { aboutStrap, atTrees } from './trees.ts';

export const strapTwisted = rigRule({
  code: 'strap-twisted',
  severity: 'fix',
  softenable: false,
  why: 'A twisted or bunched strap carries its load on one edge.',
  needs: ['use.piece', 'answers'],
  asks: 'Does the strap lie flat, with both eyes joined?',
  subjects: (rig) => atTrees(rig).filter(({ use }) => isChosen(use)),
  about: aboutStrap,
  answer: (rig, { use, tree }) => ticked(rig, `strap-twisted.${use.use.id}`, { tag: use.piece?.tag ?? 'the strap', tree: tree.label }),
  title: ({ tag }) => rich`${tag} is twisted`,
  detail: () => rich`Lay it flat before tensioning.`,
  question: ({ tag, tree }) => rich`Does ${tag} lie flat and untwisted round ${tree}, as low as it can?`,
});
