import { rich } from '../../../quantity/format.ts';
import { type Answer, type Rule, ticked, useSubject } from '../../rule.ts';
import { treeChains } from './straps-on-trees.ts';

export const strapTwisted: Rule = {
  code: 'strap-twisted',
  severity: 'fix',
  softenable: false,
  why: 'A twisted or bunched strap carries its load on one edge.',
  needs: 'a look at the strap',
  asks: 'Does the strap lie flat, with both eyes joined?',
  check: (assessment) =>
    treeChains(assessment)
      .filter(({ piece }) => piece !== undefined)
      .map(
        ({ use, piece, tree }): Answer =>
          ticked(assessment, {
            code: 'strap-twisted',
            subject: useSubject(use),
            question: rich`Does ${piece?.tag ?? 'the strap'} lie flat and untwisted round ${tree.label}, as low as it can?`,
            ifNo: { title: rich`${piece?.tag ?? 'The strap'} is twisted`, detail: rich`Lay it flat before tensioning.` },
          }),
      ),
};
