import { force, percent, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, ownerName, ownerSubject, type Rule } from '../../rule.ts';
import { stronger } from './stronger-piece.ts';

export const nearLimit: Rule = {
  code: 'near-limit',
  severity: 'caution',
  softenable: true,
  why: 'The pull is an estimate: a piece near its limit leaves little for a wrong guess.',
  needs: 'loads and limits of every place',
  check: (assessment) =>
    assessment.checks
      .filter(({ place }) => place.kind !== 'drum')
      .map(({ place, plannedN, utilisation }): Answer => {
        const subject = ownerSubject(place);
        const near =
          utilisation !== undefined && exceeds(utilisation, assessment.policy.limits.nearLimit.value) && !exceeds(utilisation, 1);
        if (!near || plannedN === undefined) return notFound(subject);
        return {
          kind: 'found',
          subject,
          title: rich`${ownerName(place)} is near its working limit`,
          detail: rich`Planned ${force(plannedN)}${place.where ? ` (${place.where})` : ''} against ${force(place.capacity?.wllN ?? 0)}: ${percent(utilisation)}.`,
          fixes: stronger(place),
        };
      }),
};
