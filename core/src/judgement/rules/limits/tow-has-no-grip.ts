import { towingVehicle } from '../../../moment/drives.ts';
import { force, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, type Rule } from '../../rule.ts';

export const towHasNoGrip: Rule = {
  code: 'tow-has-no-grip',
  severity: 'fix',
  softenable: true,
  why: 'The towing vehicle’s wheels spin before the load moves.',
  needs: 'mass of the towing vehicle, ground, planned pull',
  asks: 'What ground does the towing vehicle stand on?',
  check: ({ rig, drives, plannedPullN }) =>
    drives.flatMap(({ walk, share, ratedN }): readonly Answer[] => {
      const towing = towingVehicle(rig, walk);
      if (!towing) return [];
      const subject = { kind: 'body', id: towing.id } as const;
      if (towing.stance === undefined)
        return [{ kind: 'undecided', subject, question: rich`What ground does ${towing.label} stand on? Its grip limits the tow.` }];
      const pullN = plannedPullN === undefined ? undefined : plannedPullN * share;
      if (pullN === undefined || ratedN === undefined || !exceeds(pullN, ratedN)) return [notFound(subject)];
      return [
        {
          kind: 'found',
          subject,
          title: rich`The wheels of ${towing.label} spin first`,
          detail: rich`The tow needs ${force(pullN)}, and on this ground it grips ${force(ratedN)}. Lower the pull first, or winch.`,
        },
      ];
    }),
};
