import type { Rule } from '../../rule.ts';
import { legsApart } from './straps-on-trees.ts';

export const strapLegsTooWide: Rule = {
  code: 'strap-legs-too-wide',
  severity: 'stop',
  softenable: false,
  why: 'The wider a strap’s legs stand apart, the more each of them carries.',
  needs: 'strap length, trunk diameter',
  check: (assessment) => legsApart(assessment, 120, Number.POSITIVE_INFINITY),
};
