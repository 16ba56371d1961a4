import { force, rich } from '../../../quantity/format.ts';
import { answerWinches, type Rule } from '../../rule.ts';

export const limitedByStatement: Rule = {
  code: 'limited-by-statement',
  severity: 'note',
  softenable: true,
  why: 'The greatest pull rests on a person’s word that a load cell or limiter holds it.',
  needs: 'the stated line-pull limit',
  check: (assessment) =>
    answerWinches(assessment, ({ drum }) =>
      drum.kind !== 'no-winch' && drum.limitedBy !== undefined
        ? {
            title: rich`The greatest pull is held to ${force(drum.greatestN)}`,
            detail: rich`Stated by ${drum.limitedBy}; the winch alone could give more.`,
          }
        : undefined,
    ),
};
