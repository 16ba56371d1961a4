import { force, percent, rich } from '../../quantity/format.ts';
import { exceeds } from '../../quantity/tolerance.ts';
import { notFound, type Rule, rigSubject } from '../rule.ts';

export const winchOverRating: Rule = {
  code: 'winch-over-rating',
  severity: 'fix',
  softenable: false,
  why: 'Beyond its rating a winch heats, drains the battery and may stall; on upper layers it pulls less.',
  needs: 'planned line pull, rated pull on the working layer',
  check: ({ drum, plannedPullN }) => {
    if (drum.kind === 'no-winch' || plannedPullN === undefined) return [notFound(rigSubject)];
    const load = plannedPullN / drum.ratedN;
    if (!exceeds(load, 1) || exceeds(load, drum.stallFactor)) return [notFound(rigSubject)];
    const layer = drum.kind === 'known' ? ` on layer ${drum.layer}` : '';
    return [
      {
        kind: 'found',
        subject: rigSubject,
        title: rich`The winch is beyond its rating`,
        detail: rich`It must pull ${force(plannedPullN)}; rated${layer} ${force(drum.ratedN)}: ${percent(load)}. Take more line out, add a part to the line, or lower the pull first.`,
      },
    ];
  },
};
