import { force, rich } from '../../../quantity/format.ts';
import { exceeds, leftBelow } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';
import { standingVehicles } from './standing-vehicles.ts';

export const vehicleSlidesAtGreatest = momentRule({
  code: 'vehicle-slides-at-greatest',
  severity: 'note',
  softenable: true,
  unless: ['vehicle-slides'],
  why: 'Before the winch stalls, its vehicle slides.',
  needs: ['body.mass', 'vehicle.stance', 'vehicle.axles', 'ground.slope', 'line.way', 'tie.back', 'situation'],
  subjects: standingVehicles,
  about: ({ body }) => aboutBody(body),
  margin: ({ holds }, { index }) => {
    const { plannedStays: planned, greatestStays: greatest } = holds[index] ?? {};
    // Where nobody knows what holds it, and where it slides already at the planned pull, another rule speaks.
    if (greatest?.holdN === undefined) return Number.POSITIVE_INFINITY;
    if (planned?.holdN !== undefined && exceeds(planned.acrossN, planned.holdN)) return Number.POSITIVE_INFINITY;
    return leftBelow(greatest.acrossN, greatest.holdN);
  },
  answer: ({ holds, greatestPullN = 0 }, { index, body }) => {
    const from = holds[index]?.slidesFrom;
    return found({ label: body.label, fromN: from === undefined ? undefined : from * greatestPullN, greatestN: greatestPullN });
  },
  title: ({ label, fromN }) =>
    fromN === undefined
      ? rich`${label} would slide at the winch’s greatest pull`
      : rich`${label} would slide from ${force(fromN)} of line pull`,
  detail: ({ greatestN }) => rich`The winch can get to ${force(greatestN)}. Watch its wheels; a slide is no relief for the line.`,
});
