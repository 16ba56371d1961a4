import { rich } from '../../../quantity/format.ts';
import { type Answer, notFound, type Rule, useSubject } from '../../rule.ts';
import { treeChains } from './straps-on-trees.ts';

export const treeChoked: Rule = {
  code: 'tree-choked',
  severity: 'stop',
  softenable: false,
  why: 'A choked strap bites on itself, strips the bark and loses a quarter of its strength.',
  needs: 'hitch of the strap at the tree',
  check: (assessment) =>
    treeChains(assessment).map(({ use, tree }): Answer => {
      if (use.hitch !== 'choke') return notFound(useSubject(use));
      return {
        kind: 'found',
        subject: useSubject(use),
        title: rich`The strap is choked round ${tree.label}`,
        detail: rich`Lay it round flat and join both eyes.`,
        fixes: [
          { kind: 'edits', label: 'Lay it as a basket', edits: [{ kind: 'change-use', useId: use.id, use: { ...use, hitch: 'basket' } }] },
        ],
      };
    }),
};
