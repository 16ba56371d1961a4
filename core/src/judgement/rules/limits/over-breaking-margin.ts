import { force, ratio, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, ownerName, ownerSubject, type Rule } from '../../rule.ts';
import { stronger } from './stronger-piece.ts';

export const overBreakingMargin: Rule = {
  code: 'over-breaking-margin',
  severity: 'stop',
  softenable: false,
  why: 'Nothing stops the winch from reaching its greatest pull; a piece must not come near breaking when it does.',
  needs: 'breaking strengths, the winch’s rated pull and stall factor',
  check: (assessment) =>
    assessment.checks.map(({ place, greatestN, breakingRatio, stopRatio }): Answer => {
      const subject = ownerSubject(place);
      if (greatestN === undefined || breakingRatio === undefined || !fallsShort(breakingRatio, stopRatio)) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`${ownerName(place)} may break at the winch’s greatest pull`,
        detail: rich`It would carry ${force(greatestN)}${place.where ? ` (${place.where})` : ''}; it breaks at ${force(place.capacity?.mbsN ?? 0)}, ${ratio(breakingRatio)} ×. Asked for: ${ratio(stopRatio)} ×.`,
        fixes: stronger(place),
      };
    }),
};
