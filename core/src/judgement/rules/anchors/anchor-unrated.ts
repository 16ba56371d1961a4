import { rich } from '../../../quantity/format.ts';
import { type Answer, notFound, ownerName, ownerSubject, type Rule } from '../../rule.ts';

export const anchorUnrated: Rule = {
  code: 'anchor-unrated',
  severity: 'stop',
  softenable: false,
  why: 'Nobody can say what an anchor without a figure holds.',
  needs: 'rating or judgement of every rock, ground anchor and structure',
  check: ({ places }) =>
    places
      .filter(({ kind }) => kind === 'anchor')
      .map((place): Answer => {
        const subject = ownerSubject(place);
        if (place.capacity !== undefined) return notFound(subject);
        return {
          kind: 'found',
          subject,
          title: rich`Nothing says what ${ownerName(place)} holds`,
          detail: rich`State a working and a failing number with a name and a reason, choose a rated anchor, or take another.`,
        };
      }),
};
