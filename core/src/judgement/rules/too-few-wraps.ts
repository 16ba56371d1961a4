import { length, rich } from '../../quantity/format.ts';
import { fallsShort } from '../../quantity/tolerance.ts';
import { answerWinches, type Rule } from '../rule.ts';

export const tooFewWraps: Rule = {
  code: 'too-few-wraps',
  severity: 'stop',
  softenable: false,
  why: 'The wraps on the drum hold the line, not its fixing; with too few it slips or tears off.',
  needs: 'drum and rope sizes, the layout, wraps to leave',
  check: (assessment) =>
    answerWinches(assessment, ({ drum }) =>
      drum.kind === 'known' && fallsShort(drum.wrapsLeft, drum.wrapsWanted)
        ? {
            title: rich`Only ${drum.wrapsLeft.toFixed(1)} wraps stay on the drum`,
            detail: rich`${String(drum.wrapsWanted)} are asked for: ${length(drum.usableM)} of line may be out, and ${length(drum.lineOutM)} is. Take a nearer anchor, or put an extension in the anchor leg.`,
          }
        : undefined,
    ),
};
