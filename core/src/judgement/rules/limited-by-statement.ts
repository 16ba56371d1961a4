import { force, rich } from '../../quantity/format.ts';
import { notFound, type Rule, rigSubject } from '../rule.ts';

export const limitedByStatement: Rule = {
  code: 'limited-by-statement',
  severity: 'note',
  softenable: true,
  why: 'The greatest pull rests on a person’s word that a load cell or limiter holds it.',
  needs: 'the stated line-pull limit',
  check: ({ drum }) => {
    if (drum.kind === 'no-winch' || drum.limitedBy === undefined) return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`The greatest pull is held to ${force(drum.greatestN)}`,
        detail: rich`Stated by ${drum.limitedBy}; the winch alone could give more.`,
      },
    ];
  },
};
