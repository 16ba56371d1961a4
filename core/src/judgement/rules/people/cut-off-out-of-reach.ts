import { rich } from '../../../quantity/format.ts';
import { type Rule, rigSubject, ticked } from '../../rule.ts';

export const cutOffOutOfReach: Rule = {
  code: 'cut-off-out-of-reach',
  severity: 'fix',
  softenable: true,
  why: 'A relay that sticks keeps the winch running until the power is cut.',
  needs: 'a look at the winching vehicle',
  asks: 'Can the power cut-off be reached from a safe place?',
  check: (assessment) =>
    assessment.drives.some(({ kind }) => kind === 'winch')
      ? [
          ticked(assessment, {
            code: 'cut-off-out-of-reach',
            subject: rigSubject,
            question: rich`Can the power cut-off be reached from a safe place?`,
            ifNo: {
              title: rich`The power cut-off is out of reach`,
              detail: rich`Fit or free it, or post somebody who can reach it without crossing the line.`,
            },
          }),
        ]
      : [],
};
