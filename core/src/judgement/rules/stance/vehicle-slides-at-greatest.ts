import type { Moment } from '../../../moment/moment.ts';
import { force, rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';

export const vehicleSlidesAtGreatest = momentRule({
  code: 'vehicle-slides-at-greatest',
  severity: 'note',
  softenable: true,
  unless: ['vehicle-slides'],
  why: 'Before the winch stalls, its vehicle slides.',
  needs: ['body.mass', 'vehicle.stance', 'vehicle.axles', 'ground.slope', 'line.way', 'tie.back'],
  // What tows drives on; its grip is asked for by another rule.
  subjects: ({ vehicles, drives }) =>
    vehicles.filter(
      ({ isLoad, ties, on }) => !isLoad && ties.length === 0 && !drives.some((drive) => drive.kind === 'tow' && drive.on === on),
    ),
  about: ({ body }) => aboutBody(body),
  margin: (moment, { index }) => {
    const fromN = slidesFromN(moment, index);
    // Where it slides already at the planned pull another rule speaks.
    if (Number.isNaN(fromN) || (moment.plannedPullN !== undefined && fromN <= moment.plannedPullN)) return Number.POSITIVE_INFINITY;
    return fromN - (moment.greatestPullN ?? 0);
  },
  answer: (moment, { index, body }) =>
    found({ label: body.label, fromN: slidesFromN(moment, index), greatestN: moment.greatestPullN ?? 0 }),
  title: ({ label, fromN }) => rich`${label} would slide from ${force(fromN)} of line pull`,
  detail: ({ greatestN }) => rich`The winch can get to ${force(greatestN)}. Watch its wheels; a slide is no relief for the line.`,
});

/** Line pull of the first drive from which a vehicle slides, newtons; NaN where it does not. */
const slidesFromN = ({ holds, greatestPullN }: Moment, index: number): number =>
  (holds[index]?.slidesFrom ?? Number.NaN) * (greatestPullN ?? Number.NaN);
