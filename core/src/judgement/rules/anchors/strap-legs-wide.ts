import type { Rule } from '../../rule.ts';
import { legsApart } from './straps-on-trees.ts';

export const strapLegsWide: Rule = {
  code: 'strap-legs-wide',
  severity: 'fix',
  softenable: false,
  why: 'The wider a strap’s legs stand apart, the more each of them carries.',
  needs: 'strap length, trunk diameter',
  check: (assessment) => legsApart(assessment, 90, 120),
};
