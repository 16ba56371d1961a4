import { type Approach, roomM, towardsFairleads } from '../../../pull/stops.ts';
import { length, rich } from '../../../quantity/format.ts';
import { leftAbove } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';

export const hookReachesFairlead = momentRule({
  code: 'hook-reaches-fairlead',
  severity: 'stop',
  softenable: false,
  why: 'A hook or ring drawn into the fairlead breaks something at full pull.',
  needs: ['load.travel', 'line.way', 'body.stands', 'policy'],
  subjects: towardsFairleads,
  about: ({ line, span }: Approach) => ({
    subject: line.drive?.kind === 'winch' ? { kind: 'use', id: line.drive.use.use.id } : { kind: 'strand', id: `${line.line.id}.${span}` },
  }),
  margin: (moment, approach) => leftAbove(roomM(moment, approach), moment.rig.policy.pull.fairleadRoomM.value),
  answer: (moment, approach) =>
    found({
      travelM: moment.rig.rig.load.travelM,
      atM: moment.travelM,
      roomM: moment.rig.policy.pull.fairleadRoomM.value,
      block: approach.line.stops[approach.span + 1]?.kind === 'pulley',
    }),
  title: ({ block }) => rich`The ${block ? 'pulley' : 'hook'} comes to the fairlead before the load is free`,
  detail: ({ travelM, atM, roomM: room, block }) =>
    rich`After ${length(atM)}${travelM === undefined ? rich`` : rich` of ${length(travelM)}`} the ${block ? 'pulley' : 'line’s end'} is within ${length(room)} of the fairlead. Take an anchor further on, or re-rig half-way.`,
});
