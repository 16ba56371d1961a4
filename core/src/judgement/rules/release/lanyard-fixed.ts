import { rich } from '../../../quantity/format.ts';
import { isFixed, travelsWithLoad } from '../../../release/lanyards.ts';
import { rigRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';
import { aboutLanyard, caughtName } from './about-lanyard.ts';

export const lanyardFixed = rigRule({
  code: 'lanyard-fixed',
  severity: 'stop',
  softenable: false,
  why: 'A lanyard tied to something that stands still is torn out, or tears the piece out, when the piece travels.',
  needs: ['lanyard.tie', 'line.way'],
  subjects: ({ lanyards }) => lanyards,
  about: aboutLanyard,
  answer: (rig, lanyard) => (isFixed(lanyard, rig) && travelsWithLoad(lanyard, rig) ? found({ name: caughtName(lanyard) }) : undefined),
  title: ({ name }) => rich`${name} travels but its lanyard is tied to something fixed`,
  detail: () => rich`Tie it by a grip to a strand that moves along, or to the load itself.`,
});
