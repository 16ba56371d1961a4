import type { Rule } from '../../rule.ts';
import { thinTrees } from './straps-on-trees.ts';

export const treeThin: Rule = {
  code: 'tree-thin',
  severity: 'caution',
  softenable: true,
  why: 'A thin trunk bends, its roots are shallow, and the formula behind its number no longer holds.',
  needs: 'trunk diameter',
  check: (assessment) => thinTrees(assessment, assessment.policy.tree.thinM.value, assessment.policy.tree.tooThinM.value),
};
