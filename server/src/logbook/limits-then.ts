import { type GearView, gearFactsOf } from '@wainrope/contract';
import { type LoadLimits, type Policy, pieceLimit, usualUse } from '@wainrope/core';

/** What a piece may carry on a day, in its usual use and dry; nothing where no mark says it, or where its class carries nothing. */
export function limitsThen(piece: GearView, policy: Policy, on: string): LoadLimits | undefined {
  const facts = gearFactsOf(piece);
  const limit = pieceLimit(facts, usualUse(facts.kind), { policy, asOf: on, wet: false });
  if (limit.kind === 'rated') return { wllEffN: limit.wllN, wllN: limit.limit.wllN, mbsN: limit.limit.mbsN };
  if (limit.kind === 'judged') return { wllEffN: limit.workingN, wllN: limit.workingN, mbsN: limit.failingN };
  return undefined;
}
