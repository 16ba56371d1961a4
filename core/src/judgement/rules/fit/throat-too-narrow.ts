import { type Rule } from '../../rule.ts';
import { fitAnswers } from './fit-answers.ts';

export const throatTooNarrow: Rule = {
  code: 'throat-too-narrow',
  severity: 'stop',
  softenable: false,
  why: 'A bow that does not go into the throat hangs on the tip of the hook and springs off.',
  needs: 'diameter of the bow, throat of the hook',
  asks: 'Does the bow go into the throat?',
  check: (assessment) => fitAnswers(assessment, 'bow-in-throat', { inner: 'bow', opening: 'throat' }),
};
