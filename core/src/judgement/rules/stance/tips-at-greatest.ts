import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';

export const tipsAtGreatest: Rule = {
  code: 'tips-at-greatest',
  severity: 'note',
  softenable: false,
  why: 'At its greatest pull the winch could turn the vehicle over.',
  needs: 'side force and height at every vehicle, track, mass',
  check: ({ holds, greatestPullN, policy }) =>
    holds.map(({ body, planned, tipsFrom }): Answer => {
      const subject = { kind: 'body', id: body.id } as const;
      const already = planned !== undefined && exceeds(planned.tipping, policy.hold.tipStop.value);
      if (tipsFrom === undefined || greatestPullN === undefined || already) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`${body.label} could turn over from ${force(tipsFrom * greatestPullN)} of line pull`,
        detail: rich`The winch can get to ${force(greatestPullN)}. Hook on lower, or pull more in line.`,
      };
    }),
};
