import { rich, smallLength } from '../../quantity/format.ts';
import { fallsShort } from '../../quantity/tolerance.ts';
import { type Answer, notFound, type Rule } from '../rule.ts';
import { treeChains } from './straps-on-trees.ts';

export const treeThin: Rule = {
  code: 'tree-thin',
  severity: 'caution',
  softenable: true,
  why: 'A thin trunk bends, its roots are shallow, and the formula behind its number no longer holds.',
  needs: 'trunk diameter',
  check: (assessment) =>
    treeChains(assessment).map(({ tree }): Answer => {
      const subject = { kind: 'body', id: tree.id } as const;
      const least = assessment.policy.tree.thinM.value;
      if (!fallsShort(tree.trunkDiameterM, least) || fallsShort(tree.trunkDiameterM, assessment.policy.tree.tooThinM.value))
        return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`${tree.label} is thin: ${smallLength(tree.trunkDiameterM)}`,
        detail: rich`At least ${smallLength(least)} is asked for. Take a thicker tree, or share the load between two.`,
      };
    }),
};
