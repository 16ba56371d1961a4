import { LIMIT_TOLERANCE } from '../quantity/tolerance.ts';
import type { Place } from '../resolved/place.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Moment } from './moment.ts';

/** Planned load ÷ working limit at a place; NaN where there is no load or no limit to compare, or the limit is 0. */
export function utilisationAt({ places }: Moment, { index }: Place): number {
  const wllN = places.wllN[index] ?? Number.NaN;
  return wllN > 0 ? (places.plannedN[index] ?? Number.NaN) / wllN : Number.NaN;
}

/** Breaking strength ÷ greatest load at a place; NaN likewise, and for the drum, which does not break at its own pull. */
export function breakingRatioAt({ places }: Moment, { index, kind }: Place): number {
  const [mbsN = Number.NaN, greatestN = Number.NaN] = [places.mbsN[index], places.greatestN[index]];
  return kind !== 'drum' && mbsN > 0 && greatestN > 0 ? mbsN / greatestN : Number.NaN;
}

/** The least breaking ratio that passes, and the one from which it is comfortable. */
export const stopRatio = ({ policy: { limits } }: ResolvedRig, { ownLine }: Place): number =>
  (ownLine ? limits.ownLineMargin : limits.breakingMargin).value;
export const nearRatio = ({ policy: { limits } }: ResolvedRig, { ownLine }: Place): number =>
  (ownLine ? limits.ownLineNear : limits.nearBreaking).value;

/** What ranks places: max(utilisation, stop ratio ÷ breaking ratio); infinite where nothing stands against the load. */
export function strainAt(moment: Moment, place: Place): number {
  const wllN = moment.places.wllN[place.index] ?? Number.NaN;
  if (!place.empty && !(wllN !== 0 && !Number.isNaN(wllN))) return Number.POSITIVE_INFINITY;
  const [utilisation, breaking] = [utilisationAt(moment, place), breakingRatioAt(moment, place)];
  return Math.max(Number.isNaN(utilisation) ? 0 : utilisation, Number.isNaN(breaking) ? 0 : stopRatio(moment.rig, place) / breaking);
}

/** The index of the greatest of some strains above 0; ties (within 1e-9) go to the first. */
export function worstIndex(strains: ArrayLike<number>): number | undefined {
  let worst: number | undefined;
  let most = 0;
  for (let index = 0; index < strains.length; index++) {
    const strain = strains[index] ?? 0;
    if (strain > 0 && (worst === undefined || strain > most * (1 + LIMIT_TOLERANCE))) {
      worst = index;
      most = strain;
    }
  }
  return worst;
}

export interface LinePullLimit {
  /** At the first drive; the others at their shares of it. Newtons. */
  readonly pullN: number;
  readonly place: Place;
}

/** The least of limits ÷ loads per newton of line pull, and its index; where either is missing or no load there is none. */
export function leastPull(
  limitsN: ArrayLike<number>,
  perPullN: ArrayLike<number>,
): { readonly pullN: number; readonly index: number } | undefined {
  let least: { readonly pullN: number; readonly index: number } | undefined;
  for (let index = 0; index < limitsN.length; index++) {
    const [limitN = Number.NaN, perN = Number.NaN] = [limitsN[index], perPullN[index]];
    if (Number.isNaN(limitN) || !(perN > 0)) continue;
    const pullN = limitN / perN;
    if (least === undefined || pullN < least.pullN * (1 - LIMIT_TOLERANCE)) least = { pullN, index };
  }
  return least;
}

/** The largest line pull that keeps every place within its WLL, and every grip from slipping, under both hauling friction and none; and the place that sets it. */
export function linePullLimit({ rig, places }: Moment): LinePullLimit | undefined {
  const least = leastPull(places.limitN, places.perPullN);
  const place = least && rig.places[least.index];
  return place && { pullN: least.pullN, place };
}
