import { passesOver } from '../../../hazards/danger-zones.ts';
import { stopAt } from '../../../moment/forces.ts';
import { rich } from '../../../quantity/format.ts';
import { outlineOf } from '../../../release/zones-of-rig.ts';
import type { VehicleBody } from '../../../rig/rig.ts';
import { momentRule } from '../../ask/rule.ts';
import { ticked } from '../../ask/speak.ts';

/** Share of a vehicle's outline that counts: a line that starts or ends on its front or back crosses a corner without running under it. */
const COUNTED_SHARE = 0.8;

export const lineUnderVehicle = momentRule({
  code: 'line-under-vehicle',
  severity: 'fix',
  softenable: true,
  why: 'A line under a vehicle saws through hoses and wiring and is out of sight.',
  needs: ['line.way', 'body.stands', 'body.size', 'body.heading', 'answers'],
  asks: 'Is the line protected and clear of hoses where it passes under the vehicle?',
  subjects: ({ rig, lines }) => {
    const vehicles = rig.bodies.flatMap((body) =>
      body.kind === 'vehicle'
        ? [{ body, outline: countedOutline(body) }]
        : [],
    );
    return lines.flatMap((line) => line.spans.flatMap((_, span) => vehicles.map(({ body, outline }) => ({ body, outline, line, span }))));
  },
  about: ({ line, span, body }) => ({ subject: { kind: 'strand', id: `${line.line.id}.${span}` }, place: body.id }),
  margin: (moment, { body, line, span, outline }) => {
    const { shown, rig, pose } = moment;
    if (shown === undefined) return 1;
    const here = rig.load.body.id === body.id && moment.travelM > 0 ? countedOutline({ ...body, ...pose, headingRad: body.headingRad + pose.turnRad }) : outline;
    return passesOver(stopAt(line, span, shown.balance), stopAt(line, span + 1, shown.balance), here) ? -1 : 1;
  },
  answer: ({ rig }, { line, span, body }) => ticked(rig, `line-under-vehicle.${line.line.id}.${span}`, { label: body.label }),
  title: ({ label }) => rich`The line runs unprotected under ${label}`,
  detail: () => rich`Lead it through a pulley or a sleeve, clear of everything that it could saw through.`,
  question: ({ label }) => rich`The line passes under ${label}: is it protected and clear of hoses, wiring and the exhaust?`,
});

const countedOutline = (body: VehicleBody) => outlineOf({ ...body, lengthM: body.lengthM * COUNTED_SHARE, widthM: body.widthM * COUNTED_SHARE });
