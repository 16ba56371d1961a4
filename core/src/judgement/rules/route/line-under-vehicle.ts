import { passesOver } from '../../../hazards/danger-zones.ts';
import { stopAt } from '../../../moment/forces.ts';
import type { Moment } from '../../../moment/moment.ts';
import { bodyPose } from '../../../moment/poses.ts';
import type { Policy } from '../../../policy/policy.ts';
import { rich } from '../../../quantity/format.ts';
import { outlineOf } from '../../../release/zones-of-rig.ts';
import type { ResolvedBody } from '../../../resolved/parts.ts';
import type { VehicleBody } from '../../../rig/rig.ts';
import { legNamed } from '../../ask/leg-name.ts';
import { momentRule } from '../../ask/rule.ts';
import { ticked } from '../../ask/speak.ts';

export const lineUnderVehicle = momentRule({
  code: 'line-under-vehicle',
  severity: 'fix',
  softenable: true,
  why: 'A line under a vehicle saws through hoses and wiring and is out of sight.',
  needs: ['line.way', 'body.stands', 'body.size', 'body.heading', 'answers', 'policy'],
  asks: 'Is the line protected and clear of hoses where it passes under the vehicle?',
  subjects: ({ bodies, lines, policy }) => {
    const vehicles = bodies.flatMap((on) =>
      on.body.kind === 'vehicle' ? [{ on, body: on.body, outline: countedOutline(on.body, policy) }] : [],
    );
    return lines.flatMap((line) => line.spans.flatMap((_, span) => vehicles.map((vehicle) => ({ ...vehicle, line, span }))));
  },
  about: ({ line, span, body }) => ({ subject: { kind: 'strand', id: `${line.line.id}.${span}` }, place: body.id }),
  margin: (moment, { on, body, line, span, outline }) => {
    const { shown } = moment;
    if (shown === undefined) return 1;
    const here = moment.travelM > 0 && (on === moment.rig.load.on || on.points.length > 0) ? movedOutline(moment, on, body) : outline;
    return passesOver(stopAt(line, span, shown.balance), stopAt(line, span + 1, shown.balance), here) ? -1 : 1;
  },
  answer: ({ rig }, { line, span, body }) =>
    ticked(rig, `line-under-vehicle.${line.line.id}.${span}`, { label: body.label, ...legNamed(rig, { line, span }) }),
  title: ({ label, leg }) => rich`Under ${label}, ${leg} runs unprotected`,
  detail: () =>
    rich`Lead it through a pulley or a sleeve, clear of everything that it could saw through; write down each part that it touches.`,
  question: ({ label, leg }) =>
    rich`Where ${leg} passes under ${label}: is it protected and clear of hoses, wiring and the exhaust? Each part that it touches goes into the outline, with how round it is.`,
});

/** As much of a vehicle's outline as counts: a line that starts or ends on its front or back crosses a corner without running under it. */
const countedOutline = (body: VehicleBody, { judging: { underShare } }: Policy) =>
  outlineOf({ ...body, lengthM: body.lengthM * underShare.value, widthM: body.widthM * underShare.value });

function movedOutline(moment: Moment, on: ResolvedBody, body: VehicleBody) {
  const { xM, yM, turnRad } = bodyPose(moment, on);
  return countedOutline({ ...body, xM, yM, headingRad: body.headingRad + turnRad }, moment.rig.policy);
}
