import { contactM, obstacles } from '../../../pull/outlines.ts';
import { length, rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';

export const loadReachesAnchor = momentRule({
  code: 'load-reaches-anchor',
  severity: 'stop',
  softenable: false,
  why: 'A load drawn into its anchor, or into whatever else stands in its way, breaks one of the two.',
  needs: ['load.travel', 'load.path', 'body.stands', 'body.size', 'body.heading', 'tree.trunk'],
  subjects: obstacles,
  about: ({ body }) => aboutBody(body),
  margin: contactM,
  answer: ({ rig, travelM: atM }, { body }) => found({ load: rig.load.body.label, on: body.label, travelM: rig.rig.load.travelM, atM }),
  title: ({ load, on }) => rich`${load} would run into ${on}`,
  detail: ({ travelM, on, atM }) =>
    rich`It${travelM === undefined ? rich`` : rich` has to move ${length(travelM)} and`} reaches ${on} after ${length(atM)}. Lead it past, or take an anchor further on or to one side.`,
});
