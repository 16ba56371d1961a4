import { rich } from '../../../quantity/format.ts';
import { type Rule, rigSubject, ticked } from '../../rule.ts';

export const restTooShort: Rule = {
  code: 'rest-too-short',
  severity: 'fix',
  softenable: true,
  why: 'A stretch rope pulled again while still warm melts inside.',
  needs: 'time since the last pull',
  asks: 'Has the stretch rope rested long enough since its last pull?',
  check: (assessment) =>
    assessment.uses.some(({ piece }) => piece.kind === 'stretch-rope')
      ? [
          ticked(assessment, {
            code: 'rest-too-short',
            subject: rigSubject,
            question: rich`Has the stretch rope rested since its last pull, at least as long as the team asks for?`,
            ifNo: { title: rich`The stretch rope has not rested`, detail: rich`Let it cool: pulled again while warm it melts inside.` },
          }),
        ]
      : [],
};
