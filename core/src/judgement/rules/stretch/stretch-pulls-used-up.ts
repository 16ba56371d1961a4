import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, openPiece, pieceName, undecided, usesOfClass } from '../../ask/speak.ts';

export const stretchPullsUsedUp = rigRule({
  code: 'stretch-pulls-used-up',
  severity: 'stop',
  softenable: false,
  why: 'A stretch rope lasts a limited number of pulls.',
  needs: ['use.piece', 'gear.pullsAllowed', 'gear.pullsUsed', 'policy'],
  asks: 'How many pulls has this stretch rope done, and how many may it do?',
  subjects: (rig) => usesOfClass(rig, 'stretch-rope'),
  about: aboutUse,
  answer: ({ policy }, use) => {
    const { pullsUsed: used, pullsAllowed } = use.piece.attributes;
    const allowed = pullsAllowed ?? policy.stretch.pullsAllowed.value;
    const data = { name: pieceName(use.piece), used: used ?? 0, allowed };
    if (used === undefined) return undecided(data, openPiece(use.piece, 'Enter the pulls'));
    return used < allowed ? undefined : found(data, chooseAnother(use));
  },
  title: ({ name }) => rich`${name} has used up its pulls`,
  detail: ({ used, allowed }) => rich`${String(used)} of ${String(allowed)}. Take it out of use.`,
  question: ({ name }) => rich`How many pulls has ${name} done?`,
});
