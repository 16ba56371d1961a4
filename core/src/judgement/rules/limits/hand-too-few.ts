import { plannedOf } from '../../../moment/drives.ts';
import { force, rich } from '../../../quantity/format.ts';
import { leftBelow } from '../../../quantity/tolerance.ts';
import { momentRule } from '../../ask/rule.ts';
import { found } from '../../ask/speak.ts';

export const handTooFew = momentRule({
  code: 'hand-too-few',
  severity: 'fix',
  softenable: true,
  why: 'People who pull beyond their strength let go all at once.',
  needs: ['crew.people', 'line.way', 'situation'],
  subjects: ({ drives }) => drives.filter((drive) => drive.kind === 'hand'),
  about: ({ line }) => ({ subject: { kind: 'strand', id: `${line.line.id}.0` } }),
  margin: (moment, { index, ratedN }) => leftBelow(plannedOf(moment, index), ratedN),
  answer: (moment, { index, ratedN }) => {
    const pullN = plannedOf(moment, index);
    return found({ pullN, ratedN, people: Math.ceil(pullN / moment.rig.policy.hand.pullPerPersonN.value) });
  },
  title: () => rich`Too few people at the rope`,
  detail: ({ pullN, ratedN, people }) =>
    rich`They must pull ${force(pullN)} and together give ${force(ratedN)}. It takes ${String(people)} people, or another part in the rope.`,
});
