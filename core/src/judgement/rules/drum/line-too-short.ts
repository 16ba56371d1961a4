import { length, rich } from '../../../quantity/format.ts';
import { answerWinches, type Rule } from '../../rule.ts';

export const lineTooShort: Rule = {
  code: 'line-too-short',
  severity: 'stop',
  softenable: false,
  why: 'There is less rope than the rig needs.',
  needs: 'length of the line, the layout',
  check: (assessment) =>
    answerWinches(assessment, ({ drum }) =>
      drum.kind === 'too-short'
        ? {
            title: rich`The line is too short`,
            detail: rich`The rig needs ${length(drum.lineOutM)} from the drum; the line is ${length(drum.ropeM)}. Take a nearer anchor, or put an extension in the anchor leg.`,
          }
        : undefined,
    ),
};
