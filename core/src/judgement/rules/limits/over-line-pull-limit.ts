import { linePullLimit } from '../../../moment/place-check.ts';
import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { notFound, ownerName, ownerSubject, type Rule, rigSubject } from '../../rule.ts';

export const overLinePullLimit: Rule = {
  code: 'over-line-pull-limit',
  severity: 'caution',
  softenable: false,
  why: 'With less friction than counted on, some piece would carry more than its working limit.',
  needs: 'loads of every place with and without friction',
  check: ({ checks, plannedPullN }) => {
    const limit = linePullLimit(checks);
    if (limit === undefined || plannedPullN === undefined || !exceeds(plannedPullN, limit.pullN)) return [notFound(rigSubject)];
    return [
      {
        kind: 'found',
        subject: ownerSubject(limit.place),
        title: rich`The planned line pull is above the line-pull limit`,
        detail: rich`Planned ${force(plannedPullN)}; ${ownerName(limit.place)} keeps within its limit up to ${force(limit.pullN)}.`,
      },
    ];
  },
};
