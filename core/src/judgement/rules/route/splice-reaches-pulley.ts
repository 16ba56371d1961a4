import { spliceMargin } from '../../../pull/ends.ts';
import { nextStop, splices } from '../../../pull/stops.ts';
import { length, rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutUse, found } from '../../ask/speak.ts';

export const spliceReachesPulley = momentRule({
  code: 'splice-reaches-pulley',
  severity: 'stop',
  softenable: false,
  why: 'A joint drawn into a pulley or the fairlead jams or breaks.',
  needs: ['line.way', 'gear.lengthM', 'load.travel', 'policy'],
  subjects: splices,
  about: ({ reach }) => aboutUse(reach.rope),
  margin: spliceMargin,
  answer: (moment, splice) =>
    found({ travelM: moment.rig.rig.load.travelM, atM: moment.travelM, fairlead: nextStop(moment, splice).fairlead }),
  title: ({ fairlead }) => rich`The joint before an extension reaches ${fairlead ? 'the fairlead' : 'a pulley'}`,
  detail: ({ travelM, atM, fairlead }) =>
    rich`After ${length(atM)}${travelM === undefined ? rich`` : rich` of ${length(travelM)}`} it is at ${fairlead ? 'the fairlead' : 'the pulley'}. Put the extension in the anchor leg, or re-rig half-way.`,
});
