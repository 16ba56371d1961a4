import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';

export const handTooFew: Rule = {
  code: 'hand-too-few',
  severity: 'fix',
  softenable: true,
  why: 'People who pull beyond their strength let go all at once.',
  needs: 'people at the rope, the tension in their hands',
  check: ({ drives, plannedPullN, policy }) =>
    drives
      .filter(({ kind }) => kind === 'hand')
      .map(({ walk, share, ratedN }): Answer => {
        const subject = { kind: 'strand', id: `${walk.line.id}.0` } as const;
        const pullN = plannedPullN === undefined ? undefined : plannedPullN * share;
        if (pullN === undefined || ratedN === undefined || !exceeds(pullN, ratedN)) return notFound(subject);
        const each = policy.hand.pullPerPersonN.value;
        return {
          kind: 'found',
          subject,
          title: rich`Too few people at the rope`,
          detail: rich`They must pull ${force(pullN)} and together give ${force(ratedN)}. It takes ${String(Math.ceil(pullN / each))} people, or another part in the rope.`,
        };
      }),
};
