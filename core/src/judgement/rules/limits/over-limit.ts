import { force, percent, rich } from '../../../quantity/format.ts';
import { exceeds } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, ownerName, ownerSubject, type Rule } from '../../rule.ts';
import { stronger } from './stronger-piece.ts';

export const overLimit: Rule = {
  code: 'over-limit',
  severity: 'stop',
  softenable: false,
  why: 'A piece must never carry more than its working load limit, which already allows for wear and for how it is used here.',
  needs: 'loads and limits of every place',
  check: (assessment) =>
    assessment.checks
      .filter(({ place }) => place.kind !== 'drum')
      .map(({ place, plannedN, utilisation }): Answer => {
        const subject = ownerSubject(place);
        if (plannedN === undefined || utilisation === undefined || !exceeds(utilisation, 1)) return notFound(subject);
        return {
          kind: 'found',
          subject,
          title: rich`${ownerName(place)} is over its working limit`,
          detail: rich`Planned ${force(plannedN)}${place.where ? ` (${place.where})` : ''} against ${force(place.capacity?.wllN ?? 0)}: ${percent(utilisation)}. Use a stronger piece, or lower the pull.`,
          fixes: stronger(place),
        };
      }),
};
