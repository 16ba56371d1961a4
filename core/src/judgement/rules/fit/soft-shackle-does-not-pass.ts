import { type Rule } from '../../rule.ts';
import { fitAnswers } from './fit-answers.ts';

export const softShackleDoesNotPass: Rule = {
  code: 'soft-shackle-does-not-pass',
  severity: 'stop',
  softenable: false,
  why: 'A soft shackle forced through a hole is cut by it.',
  needs: 'rope diameter of the soft shackle, bore',
  asks: 'Does the soft shackle pass through the hole?',
  check: (assessment) => fitAnswers(assessment, 'soft-shackle-through-bore', { inner: 'both strands', opening: 'hole' }),
};
