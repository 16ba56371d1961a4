import { force, ratio, rich } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { type Answer, notFound, ownerName, ownerSubject, type Rule } from '../../rule.ts';
import { stronger } from './stronger-piece.ts';

export const nearBreaking: Rule = {
  code: 'near-breaking',
  severity: 'caution',
  softenable: true,
  why: 'At the winch’s greatest pull this piece keeps less in hand than it should.',
  needs: 'breaking strengths, the winch’s rated pull and stall factor',
  check: (assessment) =>
    assessment.checks.map(({ place, greatestN, breakingRatio, stopRatio, nearRatio }): Answer => {
      const subject = ownerSubject(place);
      const near = breakingRatio !== undefined && fallsShort(breakingRatio, nearRatio) && !fallsShort(breakingRatio, stopRatio);
      if (!near || greatestN === undefined) return notFound(subject);
      return {
        kind: 'found',
        subject,
        title: rich`${ownerName(place)} is close to breaking at the winch’s greatest pull`,
        detail: rich`It would carry ${force(greatestN)}${place.where ? ` (${place.where})` : ''} and breaks at ${force(place.capacity?.mbsN ?? 0)}: ${ratio(breakingRatio)} ×. Comfortable from ${ratio(nearRatio)} ×.`,
        fixes: stronger(place),
      };
    }),
};
