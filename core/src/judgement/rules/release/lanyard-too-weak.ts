import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { lanyardStrength } from '../../../release/lanyards.ts';
import { actRule } from '../../ask/rule.ts';
import { found, undecided } from '../../ask/speak.ts';
import { aboutLanyard, caughtName } from './about-lanyard.ts';

export const lanyardTooWeak = actRule({
  code: 'lanyard-too-weak',
  severity: 'fix',
  softenable: true,
  why: 'A lanyard that breaks adds to what flies.',
  needs: ['lanyard.tie', 'gear.marks', 'gear.lengthM', 'gear.massKg'],
  asks: 'What may this lanyard carry, and what is the mass of what it holds?',
  subjects: ({ lanyards }) => lanyards,
  about: aboutLanyard,
  answer: ({ rig, release }, lanyard) => {
    const { arrestN, breaksN } = lanyardStrength(lanyard, release.breaks, rig);
    const data = { name: caughtName(lanyard), arrestN: arrestN ?? 0, breaksN: breaksN ?? 0 };
    if (arrestN === undefined || breaksN === undefined) return undecided(data);
    return exceeds(arrestN, breaksN) ? found(data) : undefined;
  },
  title: ({ name }) => rich`The lanyard of ${name} would break`,
  detail: ({ arrestN, breaksN }) =>
    rich`Stopping what flies there would load it with ${force(arrestN)}; it breaks at ${force(breaksN)}. Take a stronger or a longer one, and keep clear all the same.`,
  question: ({ name }) => rich`Would the lanyard of ${name} hold? Its strength, its length or the mass of what it holds is not on record.`,
});
