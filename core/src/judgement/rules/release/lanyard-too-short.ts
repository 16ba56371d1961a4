import { length, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import { isFixed, lanyardLengthM, lanyardNeedsM, travelsWithLoad } from '../../../release/lanyards.ts';
import { momentRule } from '../../ask/rule.ts';
import { found, undecided } from '../../ask/speak.ts';
import { aboutLanyard, caughtName } from './about-lanyard.ts';

export const lanyardTooShort = momentRule({
  code: 'lanyard-too-short',
  severity: 'fix',
  softenable: true,
  why: 'A lanyard that comes tight carries the line’s load.',
  needs: ['lanyard.tie', 'gear.lengthM', 'load.travel', 'line.way'],
  asks: 'How long is this lanyard?',
  // One that is tied to something fixed and travels has a rule of its own.
  subjects: (rig) => rig.lanyards.filter((lanyard) => !(isFixed(lanyard, rig) && travelsWithLoad(lanyard, rig))),
  about: aboutLanyard,
  margin: (moment, lanyard) => {
    const lengthM = lanyardLengthM(lanyard);
    return lengthM === undefined ? undefined : leftBelow(lanyardNeedsM(lanyard, moment), lengthM);
  },
  answer: (moment, lanyard) => {
    const lengthM = lanyardLengthM(lanyard);
    const data = { name: caughtName(lanyard), lengthM: lengthM ?? 0, needsM: lanyardNeedsM(lanyard, moment) };
    return lengthM === undefined ? undecided(data) : found(data);
  },
  title: ({ name }) => rich`The lanyard of ${name} comes tight`,
  detail: ({ lengthM, needsM }) => rich`It is ${length(lengthM)} long and spans ${length(needsM)}. Take a longer one, or tie it nearer.`,
  question: ({ name }) => rich`How long is the lanyard of ${name}? It has to stay slack through the whole travel.`,
});
