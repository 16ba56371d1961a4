import { norm } from '../statics/vec3.ts';
import type { Assessment, LoadSource, LoadState, Place } from './assessment.ts';
import { bodyForce, chainLoad, pointForces, spanTension } from './rig-forces.ts';

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
  /** Largest load per newton of the first drive, over hauling and no friction (and lowering, where it lowers). */
  readonly loadPerPull: number;
}

export type Loaded = Pick<Assessment, 'rig' | 'policy' | 'network' | 'states' | 'holds'>;

/** What one load source carries in one balance of the rig, its scale included, newtons. */
export function loadIn({ rig, network }: Pick<Loaded, 'rig' | 'network'>, source: LoadSource, { state, scale }: LoadState): number {
  switch (source.kind) {
    case 'span': {
      const walk = network.lines[source.line];
      return walk === undefined ? 0 : scale * spanTension(walk, source.span, state);
    }
    case 'bend': {
      const walk = network.lines[source.line];
      return walk === undefined ? 0 : scale * Math.max(spanTension(walk, source.span, state), spanTension(walk, source.span + 1, state));
    }
    case 'chain': {
      const chain = network.chains[source.chain];
      return chain === undefined ? 0 : scale * source.share * chainLoad(network, chain, state);
    }
    case 'body':
      return scale * norm(bodyForce(rig, pointForces(rig, network, state), source.bodyId));
    case 'back-anchor':
      // What a vehicle slides by does not grow with the pull; backAnchorLoads gives it.
      return 0;
    default: {
      const never: never = source;
      return never;
    }
  }
}

/** The state of a list in which a source carries most, and how much; undefined for an empty list. */
export function worstState(
  loaded: Loaded,
  source: LoadSource,
  list: readonly LoadState[],
): { readonly state: LoadState; readonly loadN: number } | undefined {
  let worst: { readonly state: LoadState; readonly loadN: number } | undefined;
  for (const state of list) {
    const loadN = loadIn(loaded, source, state);
    if (worst === undefined || loadN > worst.loadN) worst = { state, loadN };
  }
  return worst;
}

/** The two checks of a place: planned loads in the states planned, greatest loads the largest over the states of the greatest pull. */
export function checkPlace(loaded: Loaded, place: Place): PlaceCheck {
  const { policy, states } = loaded;
  const behind = place.load.kind === 'back-anchor' ? backAnchorLoads(loaded, place.load) : undefined;
  const plannedN = behind ? behind.plannedN : worstState(loaded, place.load, states.planned)?.loadN;
  const greatestN = behind ? behind.greatestN : worstState(loaded, place.load, states.greatest)?.loadN;
  const loadPerPull = behind ? 0 : (worstState(loaded, place.load, states.unit)?.loadN ?? 0);
  const { limits } = policy;
  const stopRatio = (place.ownLine ? limits.ownLineMargin : limits.breakingMargin).value;
  const nearRatio = (place.ownLine ? limits.ownLineNear : limits.nearBreaking).value;
  const { capacity } = place;
  const utilisation = plannedN !== undefined && capacity && capacity.wllN > 0 ? plannedN / capacity.wllN : undefined;
  const breaks = place.kind !== 'drum' && capacity !== undefined && capacity.mbsN > 0;
  const breakingRatio = greatestN !== undefined && greatestN > 0 && breaks ? capacity.mbsN / greatestN : undefined;
  const severity = severityOf(place, utilisation, breakingRatio, stopRatio);
  return { place, plannedN, greatestN, utilisation, breakingRatio, stopRatio, nearRatio, severity, loadPerPull };
}

/** What a back-anchor has to hold: the margin × what slides at the planned pull, and what slides at the greatest. */
export function backAnchorLoads(
  { holds, policy }: Loaded,
  { backAnchorId, share }: Extract<LoadSource, { kind: 'back-anchor' }>,
): { readonly plannedN: number | undefined; readonly greatestN: number | undefined } {
  const hold = holds.find(({ backAnchorIds }) => backAnchorIds.includes(backAnchorId));
  const times = (value: number | undefined, factor: number) => (value === undefined ? undefined : Math.max(0, value) * factor * share);
  const each = 1 / Math.max(1, hold?.backAnchorIds.length ?? 1);
  return {
    plannedN: times(hold?.planned?.slidesByN, policy.hold.backAnchorMargin.value * each),
    greatestN: times(hold?.greatest?.slidesByN, each),
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
  /** At the first drive; the others at their shares of it. */
  readonly pullN: number;
  readonly place: Place;
}

/** The largest line pull that keeps every place within its WLL under both hauling friction and none, and the place that sets it. */
export function linePullLimit(checks: readonly PlaceCheck[]): LinePullLimit | undefined {
  let least: LinePullLimit | undefined;
  for (const { place, loadPerPull } of checks) {
    if (place.capacity === undefined || loadPerPull <= 0) continue;
    const pullN = place.capacity.wllN / loadPerPull;
    if (least === undefined || pullN < least.pullN * (1 - 1e-9)) least = { pullN, place };
  }
  return least;
}
