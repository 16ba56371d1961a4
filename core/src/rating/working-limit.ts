import type { Mark, MarkBasis } from '../gear/mark.ts';
import type { FactoredUse, Policy } from '../policy/policy.ts';

declare const working: unique symbol;
declare const breaking: unique symbol;
/** A working load limit in newtons. Never to be mixed up with a breaking strength. */
export type WorkingLimitN = number & { readonly [working]: true };
/** A minimum breaking strength in newtons. */
export type BreakingStrengthN = number & { readonly [breaking]: true };

/** A mark that decided a figure, with the reading that was taken. */
export interface Deciding {
  readonly mark: Mark;
  readonly readingN: number;
}

export interface Limit {
  readonly kind: 'limit';
  readonly use: FactoredUse;
  readonly wllN: WorkingLimitN;
  readonly mbsN: BreakingStrengthN;
  readonly designFactor: number;
  /** The marked working limit, where there is one, and the marked breaking strength. */
  readonly markedWll?: Deciding;
  readonly markedMbs?: Deciding;
  /** Set when the breaking strength was inferred from a marked working limit. */
  readonly inferredBy?: number;
  /** The marked working limit is above breaking strength ÷ design factor. */
  readonly markAboveQuotient: boolean;
  /** Nothing but an advert rates this limit. */
  readonly advertOnly: boolean;
  readonly basisUnstated: boolean;
  readonly ambiguousUnit: boolean;
}

export type LimitResult = Limit | { readonly kind: 'unrated' };

/** What a straight pull makes of a mark's basis: which side it speaks for and by what it is divided. */
function straight(basis: MarkBasis): { readonly side: 'wll' | 'mbs'; readonly divisor: number } | undefined {
  switch (basis) {
    case 'wll':
      return { side: 'wll', divisor: 1 };
    case 'proof':
      return { side: 'wll', divisor: 2 };
    case 'mbs':
    case 'unstated':
      return { side: 'mbs', divisor: 1 };
    case 'basket-mbs':
      return { side: 'mbs', divisor: 2 };
    case 'rated-pull':
      return undefined;
    default: {
      const never: never = basis;
      return never;
    }
  }
}

/** The smallest reading of a mark, newtons. */
function smallestReadingN({ readings }: Mark): number {
  let least = Number.POSITIVE_INFINITY;
  for (const { forceN } of readings) least = Math.min(least, forceN);
  return least;
}

/** The lowest mark of one side in newtons; an ambiguous unit takes its smallest reading, as a strength must. */
function lowest(marks: readonly Mark[], side: 'wll' | 'mbs'): Deciding | undefined {
  let best: Deciding | undefined;
  for (const mark of marks) {
    const meaning = straight(mark.basis);
    if (meaning?.side !== side) continue;
    const readingN = smallestReadingN(mark) / meaning.divisor;
    if (best === undefined || readingN < best.readingN) best = { mark, readingN };
  }
  return best;
}

/**
 * The working load limit and breaking strength of a piece in one use, from its marks, before any derate.
 * With both known: WLL = min(marked WLL, MBS ÷ design factor). With a WLL alone: MBS = WLL × maker's usual factor, inferred.
 * With an MBS alone, or an unstated mark (the unfavourable reading): WLL = MBS ÷ design factor. With neither: unrated.
 * A limit in which adverts speak is never above the one without them. Forces in newtons, above 0.
 */
export function workingLimit(marks: readonly Mark[], use: FactoredUse, policy: Policy): LimitResult {
  const all = limitOf(marks, use, policy);
  if (!marks.some(({ source }) => source === 'advert')) return all;
  const sober = marks.filter(({ source }) => source !== 'advert');
  const without = limitOf(sober, use, policy);
  if (without.kind === 'unrated') return all.kind === 'unrated' ? all : { ...all, advertOnly: true };
  if (all.kind === 'unrated') return without;
  const lower = all.wllN < without.wllN ? all : without;
  const mbsN = Math.min(all.mbsN, without.mbsN) as BreakingStrengthN;
  return { ...lower, mbsN };
}

function limitOf(marks: readonly Mark[], use: FactoredUse, policy: Policy): LimitResult {
  const markedWll = lowest(marks, 'wll');
  const markedMbs = lowest(marks, 'mbs');
  const designFactor = policy.designFactors[use].value;
  const makerFactor = policy.makerFactors[use].value;
  const mbsN = markedMbs?.readingN ?? (markedWll && markedWll.readingN * makerFactor);
  if (mbsN === undefined) return { kind: 'unrated' };
  const quotient = mbsN / designFactor;
  const trusted = markedWll !== undefined && policy.trustMarkedWll;
  const wllN = trusted ? markedWll.readingN : Math.min(markedWll?.readingN ?? quotient, quotient);
  const deciding = [markedWll, markedMbs].filter((entry) => entry !== undefined);
  return {
    kind: 'limit',
    use,
    wllN: wllN as WorkingLimitN,
    mbsN: mbsN as BreakingStrengthN,
    designFactor,
    ...(markedWll && { markedWll }),
    ...(markedMbs ? { markedMbs } : { inferredBy: makerFactor }),
    markAboveQuotient: markedWll !== undefined && markedMbs !== undefined && markedWll.readingN > quotient * (1 + 1e-9),
    advertOnly: false,
    basisUnstated: deciding.some(({ mark }) => mark.basis === 'unstated'),
    ambiguousUnit: deciding.some(({ mark }) => mark.readings.length > 1),
  };
}
