import { force, rich } from '../../quantity/format.ts';
import { exceeds } from '../../quantity/tolerance.ts';
import { notFound, type Rule, rigSubject } from '../rule.ts';

export const winchStalls: Rule = {
  code: 'winch-stalls',
  severity: 'stop',
  softenable: false,
  why: 'The planned pull is more than this winch can give at all.',
  needs: 'planned line pull, rated pull on the working layer, stall factor',
  check: ({ drum, plannedPullN }) => {
    if (drum.kind === 'no-winch' || plannedPullN === undefined || !exceeds(plannedPullN, drum.ratedN * drum.stallFactor))
      return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`The winch will stall`,
        detail: rich`It must pull ${force(plannedPullN)} and stalls near ${force(drum.ratedN * drum.stallFactor)}. Add a part to the line, or dig and use boards first.`,
      },
    ];
  },
};
