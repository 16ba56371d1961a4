import type { Rule } from '../../rule.ts';
import { thinTrees } from './straps-on-trees.ts';

export const treeTooThin: Rule = {
  code: 'tree-too-thin',
  severity: 'stop',
  softenable: false,
  why: 'A thin trunk bends, its roots are shallow, and the formula behind its number no longer holds.',
  needs: 'trunk diameter',
  check: (assessment) => thinTrees(assessment, assessment.policy.tree.tooThinM.value, 0),
};
