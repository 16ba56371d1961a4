import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';
import { vehiclesToStayUp } from './tipping.ts';

export const tipsAtGreatest = momentRule({
  code: 'tips-at-greatest',
  severity: 'note',
  softenable: false,
  unless: ['tips'],
  why: 'At its greatest pull the winch could turn the vehicle over.',
  needs: ['vehicle.track', 'body.mass', 'body.size', 'point.mount', 'line.way'],
  subjects: vehiclesToStayUp,
  about: ({ body }) => aboutBody(body),
  margin: ({ holds, greatestPullN, rig }, { index }) => {
    const { planned, tipsFrom } = holds[index] ?? {};
    const already = planned !== undefined && exceeds(planned.tipping, rig.policy.hold.tipStop.value);
    return tipsFrom === undefined || greatestPullN === undefined || already ? Number.POSITIVE_INFINITY : tipsFrom - 1;
  },
  answer: ({ holds, greatestPullN = 0 }, { index, body }) =>
    found({ label: body.label, fromN: (holds[index]?.tipsFrom ?? 0) * greatestPullN, greatestN: greatestPullN }),
  title: ({ label, fromN }) => rich`${label} could turn over from ${force(fromN)} of line pull`,
  detail: ({ greatestN }) => rich`The winch can get to ${force(greatestN)}. Hook on lower, or pull more in line.`,
});
