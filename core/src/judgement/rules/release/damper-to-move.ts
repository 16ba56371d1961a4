import { spanLengthM, toEndM } from '../../../moment/forces.ts';
import type { Moment } from '../../../moment/moment.ts';
import type { Approach } from '../../../pull/stops.ts';
import { length, rich } from '../../../quantity/format.ts';
import { leftAbove } from '../../../quantity/tolerance.ts';
import { legNamed } from '../../ask/leg-name.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutSpan, found } from '../../ask/speak.ts';

export const damperToMove = momentRule({
  code: 'damper-to-move',
  severity: 'note',
  softenable: true,
  why: 'A damper rides with the rope; drawn into a fairlead or a pulley it jams there.',
  needs: ['dampers', 'line.way', 'load.travel', 'policy'],
  subjects: ({ lines }) => lines.flatMap((line) => line.spans.flatMap((_, span) => (line.hung[span] ? [{ line, span }] : []))),
  about: aboutSpan,
  margin: (moment, leg) => leftAbove(roomOfDamperM(moment, leg), moment.rig.policy.pull.damperRoomM.value),
  answer: ({ rig }, leg) => found({ ...legNamed(rig, leg), roomM: rig.policy.pull.damperRoomM.value }),
  title: ({ leg }) => rich`The damper on ${leg} has to be moved during the pull`,
  detail: ({ roomM }) =>
    rich`It comes within ${length(roomM)} of a fairlead, a pulley or a hook. Stop there, ease the tension, then move it back out along its leg.`,
});

/** What a damper that began at mid-leg has left to the nearer end of its leg, metres; infinite where it never had that much. */
function roomOfDamperM(moment: Moment, { line, span }: Approach): number {
  const { shown, first = moment, rig } = moment;
  if (shown === undefined || first.shown === undefined) return Number.NaN;
  const began = spanLengthM(line, span, first.shown.balance) / 2;
  if (began <= rig.policy.pull.damperRoomM.value) return Number.POSITIVE_INFINITY;
  const drawnM = toEndM(line, span, first.shown.balance.forces) - toEndM(line, span, shown.balance.forces);
  const fromDrive = began - drawnM;
  return Math.min(fromDrive, spanLengthM(line, span, shown.balance) - fromDrive);
}
