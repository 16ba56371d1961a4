import type { Rule } from '../../rule.ts';
import { fitAnswers } from './fit-answers.ts';

export const pinDoesNotFit: Rule = {
  code: 'pin-does-not-fit',
  severity: 'stop',
  softenable: false,
  why: 'A pin that does not go through its hole gets replaced by something weaker.',
  needs: 'pin diameter, bore of the point',
  asks: 'Does the pin go through the hole?',
  check: (assessment) => fitAnswers(assessment, 'pin-in-hole', { inner: 'pin', opening: 'hole' }),
};
