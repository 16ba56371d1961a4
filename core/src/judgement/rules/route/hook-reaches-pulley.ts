import { fittingsTowardsPulleys, roomM } from '../../../pull/stops.ts';
import { length, rich, smallLength } from '../../../quantity/format.ts';
import { leftAbove } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutSpan, found } from '../../ask/speak.ts';

export const hookReachesPulley = momentRule({
  code: 'hook-reaches-pulley',
  severity: 'stop',
  softenable: false,
  why: 'A hook, link or grip drawn into a pulley jams it, bends its cheeks or cuts the rope.',
  needs: ['load.travel', 'line.way', 'body.stands', 'gear.treadDiameterM', 'policy'],
  subjects: fittingsTowardsPulleys,
  about: aboutSpan,
  margin: (moment, approach) => leftAbove(roomM(moment, approach), moment.rig.policy.pull.sheaveRoomM.value),
  answer: (moment) => found({ travelM: moment.rig.rig.load.travelM, atM: moment.travelM, leftM: moment.rig.policy.pull.sheaveRoomM.value }),
  title: () => rich`A fitting reaches a pulley before the load is free`,
  detail: ({ travelM, atM, leftM }) =>
    rich`After ${length(atM)}${travelM === undefined ? rich`` : rich` of ${length(travelM)}`} only ${smallLength(leftM)} are left between them. Begin with more distance between them, re-rig half-way, or haul with a grip that can be reset.`,
});
