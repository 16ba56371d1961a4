import { type Rule } from '../../rule.ts';
import { fitAnswers } from './fit-answers.ts';

export const openingTooNarrow: Rule = {
  code: 'opening-too-narrow',
  severity: 'stop',
  softenable: false,
  why: 'What does not go into its opening hangs on the tip.',
  needs: 'thickness of the fitting, width of the opening',
  asks: 'Does the fitting go into the opening?',
  check: (assessment) => fitAnswers(assessment, 'fitting-in-opening', { inner: 'lug', opening: 'inside width' }),
};
