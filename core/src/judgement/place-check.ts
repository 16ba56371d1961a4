import type { Assessment, Place } from './assessment.ts';

/** A place's loads against its capacity. Forces in newtons. */
export interface PlaceCheck {
  readonly place: Place;
  readonly plannedN: number | undefined;
  readonly greatestN: number | undefined;
  /** Planned load ÷ WLL here; undefined where there is no load or no limit to compare, or the limit is 0. */
  readonly utilisation: number | undefined;
  /** Breaking strength here ÷ greatest load; undefined likewise, and for the drum, which does not break at its own pull. */
  readonly breakingRatio: number | undefined;
  /** The least breaking ratio that passes. */
  readonly stopRatio: number;
  readonly nearRatio: number;
  /** What ranks places: max(utilisation, stop ratio ÷ breaking ratio); infinite where nothing stands against the load. */
  readonly severity: number;
}

/** The two checks of a place: planned loads hauling, greatest loads the larger of hauling and frictionless. */
export function checkPlace(place: Place, { plannedPullN, greatestPullN, policy }: Assessment): PlaceCheck {
  const plannedN = plannedPullN === undefined ? undefined : place.unitLoads.hauling * plannedPullN;
  const greatestN =
    greatestPullN === undefined ? undefined : Math.max(place.unitLoads.hauling, place.unitLoads.frictionless) * greatestPullN;
  const { limits } = policy;
  const stopRatio = (place.ownLine ? limits.ownLineMargin : limits.breakingMargin).value;
  const nearRatio = (place.ownLine ? limits.ownLineNear : limits.nearBreaking).value;
  const { capacity } = place;
  const utilisation = plannedN !== undefined && capacity && capacity.wllN > 0 ? plannedN / capacity.wllN : undefined;
  const breaks = place.kind !== 'drum' && capacity !== undefined && capacity.mbsN > 0;
  const breakingRatio = greatestN !== undefined && greatestN > 0 && breaks ? capacity.mbsN / greatestN : undefined;
  return {
    place,
    plannedN,
    greatestN,
    utilisation,
    breakingRatio,
    stopRatio,
    nearRatio,
    severity: severityOf(place, utilisation, breakingRatio, stopRatio),
  };
}

function severityOf(
  { capacity, owner }: Place,
  utilisation: number | undefined,
  breakingRatio: number | undefined,
  stopRatio: number,
): number {
  const chosen = owner.kind === 'body' || owner.piece !== undefined;
  if (chosen && (capacity === undefined || capacity.wllN === 0)) return Number.POSITIVE_INFINITY;
  return Math.max(utilisation ?? 0, breakingRatio === undefined ? 0 : stopRatio / breakingRatio);
}

/** The place that stands worst; ties (within 1e-9) go to the first in load-path order. */
export function weakestOf(checks: readonly PlaceCheck[]): PlaceCheck | undefined {
  let worst: PlaceCheck | undefined;
  for (const check of checks) {
    if (check.severity > 0 && (worst === undefined || check.severity > worst.severity * (1 + 1e-9))) worst = check;
  }
  return worst;
}

export interface LinePullLimit {
  readonly pullN: number;
  readonly place: Place;
}

/** The largest line pull that keeps every place within its WLL under hauling friction and under none, and the place that sets it. */
export function linePullLimit(places: readonly Place[]): LinePullLimit | undefined {
  let least: LinePullLimit | undefined;
  for (const place of places) {
    const most = Math.max(place.unitLoads.hauling, place.unitLoads.frictionless);
    if (place.capacity === undefined || most <= 0) continue;
    const pullN = place.capacity.wllN / most;
    if (least === undefined || pullN < least.pullN * (1 - 1e-9)) least = { pullN, place };
  }
  return least;
}
