import { pulleysTowardsPulleys, roomM } from '../../../pull/stops.ts';
import { length, rich, smallLength } from '../../../quantity/format.ts';
import { leftAbove } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutSpan, found } from '../../ask/speak.ts';

export const blocksMeet = momentRule({
  code: 'blocks-meet',
  severity: 'stop',
  softenable: false,
  why: 'Two blocks drawn into each other stop the load and break whatever is weakest.',
  needs: ['load.travel', 'line.way', 'body.stands', 'gear.treadDiameterM', 'policy'],
  subjects: pulleysTowardsPulleys,
  about: aboutSpan,
  margin: (moment, approach) => leftAbove(roomM(moment, approach), moment.rig.policy.pull.rimGapM.value),
  answer: (moment) => found({ travelM: moment.rig.rig.load.travelM, atM: moment.travelM, gapM: moment.rig.policy.pull.rimGapM.value }),
  title: () => rich`Two pulleys meet before the load is free`,
  detail: ({ travelM, atM, gapM }) =>
    rich`After ${length(atM)}${travelM === undefined ? rich`` : rich` of ${length(travelM)}`} their rims are ${smallLength(gapM)} apart. Take an anchor further on, re-rig half-way, or haul with a grip that can be reset.`,
});
