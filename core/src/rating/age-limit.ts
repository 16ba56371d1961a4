import type { GearFacts } from '../gear/gear-facts.ts';
import { traitsOf } from '../gear/traits.ts';
import type { Policy } from '../policy/policy.ts';
import { addMonths } from '../quantity/calendar.ts';
import { firstDay } from '../quantity/partial-date.ts';

/**
 * The day on which a soft good comes of age: made (else first used) plus the policy's years, or a person's renewal where later. Of a year
 * or a month its first day counts.
 */
export function ageLimitDay(piece: GearFacts, policy: Policy): string | undefined {
  const born = piece.madeOn ?? piece.firstUsedOn;
  if (!traitsOf(piece).soft || born === undefined) return undefined;
  const limit = addMonths(firstDay(born), policy.care.softGoodsYears.value * 12);
  return piece.renewedUntil !== undefined && piece.renewedUntil > limit ? piece.renewedUntil : limit;
}
