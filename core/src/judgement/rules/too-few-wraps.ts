import { length, rich } from '../../quantity/format.ts';
import { fallsShort } from '../../quantity/tolerance.ts';
import { notFound, type Rule, rigSubject } from '../rule.ts';

export const tooFewWraps: Rule = {
  code: 'too-few-wraps',
  severity: 'stop',
  softenable: false,
  why: 'The wraps on the drum hold the line, not its fixing; with too few it slips or tears off.',
  needs: 'drum and rope sizes, the layout, wraps to leave',
  check: ({ drum }) => {
    if (drum.kind !== 'known' || !fallsShort(drum.wrapsLeft, drum.wrapsWanted)) return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`Only ${drum.wrapsLeft.toFixed(1)} wraps stay on the drum`,
        detail: rich`${String(drum.wrapsWanted)} are asked for: ${length(drum.usableM)} of line may be out, and ${length(drum.lineOutM)} is. Take a nearer anchor, or put an extension in the anchor leg.`,
      },
    ];
  },
};
