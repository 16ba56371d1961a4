import { anchorCapacity } from '../anchors/anchor-capacity.ts';
import type { AnchorCapacity } from '../anchors/capacity.ts';
import { bentBy } from '../rating/derates.ts';
import type { ResolvedLine } from '../resolved/parts.ts';
import type { AnchorPoint, LoadSource, Place, RopeBend } from '../resolved/place.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import { norm, type Vec3 } from '../statics/vec3.ts';
import { bodyForce, toEndM, vectorAt, wrapAtStop } from './forces.ts';
import type { Balance, DriveState, HoldState, LoadState, LoadStates, Moment, PlaceLoads } from './moment.ts';

interface PlacesInput {
  readonly rig: ResolvedRig;
  readonly hauling: Balance | undefined;
  readonly drives: readonly DriveState[];
  readonly states: LoadStates;
  readonly holds: readonly HoldState[];
}

/** Loads and capacities of every place of a rig in balance; without one no place has any. */
export function placesAt({ rig, hauling, drives, states, holds }: PlacesInput): PlaceLoads {
  const { places } = rig;
  const fresh = () => new Float64Array(places.length).fill(Number.NaN);
  const figures: PlaceLoads = {
    present: new Uint8Array(places.length),
    plannedN: fresh(),
    greatestN: fresh(),
    perPullN: fresh(),
    wllN: fresh(),
    mbsN: fresh(),
  };
  if (hauling === undefined) return figures;
  for (const place of places) {
    const { index } = place;
    if (place.onlyWhere !== undefined && !covers(place.onlyWhere, hauling)) continue;
    figures.present[index] = 1;
    fillCapacity(figures, place, { rig, hauling, drives });
    if (place.load.kind === 'back-anchor') fillBehind(figures, index, place.load, { rig, holds });
    else {
      figures.plannedN[index] = mostOver(rig, place.load, states.planned, hauling);
      figures.greatestN[index] = mostOver(rig, place.load, states.greatest, hauling);
      figures.perPullN[index] = mostOver(rig, place.load, states.unit, hauling);
    }
  }
  return figures;
}

/** Whether the rope of an order lies over a bend: by the length of the way from there to the line's end. */
function covers({ line, order, stop }: NonNullable<Place['onlyWhere']>, { forces }: Balance): boolean {
  const reach = line.reaches[order];
  if (reach === undefined) return false;
  const wayM = toEndM(line, stop, forces);
  return wayM >= reach.fromEndM && (order === 0 || wayM < reach.toEndM);
}

/** The span in which a joined rope begins: the one before the first bend that lies in it, else the last of the line. */
export function joinedSpan(line: ResolvedLine, order: number, hauling: Balance): number {
  const first = line.stops.findIndex(({ kind }, stop) => (kind === 'pulley' || kind === 'edge') && covers({ line, order, stop }, hauling));
  return Math.max(0, (first < 0 ? line.spans.length : first) - 1);
}

/** What one load source carries in one balance of the rig, its scale included, newtons. */
export function loadIn(rig: ResolvedRig, source: LoadSource, { balance, scale }: LoadState, hauling: Balance): number {
  const { spans, chainSizes } = balance.forces;
  switch (source.kind) {
    case 'span':
      return scale * (spans[(rig.lines[source.line]?.firstSpan ?? 0) + source.span] ?? 0);
    case 'joined': {
      const line = rig.lines[source.line];
      return line === undefined ? 0 : scale * (spans[line.firstSpan + joinedSpan(line, source.order, hauling)] ?? 0);
    }
    case 'bend': {
      const at = (rig.lines[source.line]?.firstSpan ?? 0) + source.span;
      return scale * Math.max(spans[at] ?? 0, spans[at + 1] ?? 0);
    }
    case 'chain':
      return scale * source.share * (chainSizes[source.chain] ?? 0);
    case 'body': {
      const on = rig.bodies[source.body];
      return on === undefined ? 0 : scale * norm(bodyForce(on, balance.forces));
    }
    case 'back-anchor':
      // What a vehicle slides by does not grow with the pull; its hold gives it.
      return 0;
    default: {
      const never: never = source;
      return never;
    }
  }
}

function mostOver(rig: ResolvedRig, source: LoadSource, list: readonly LoadState[], hauling: Balance): number {
  let most = Number.NaN;
  for (const state of list) {
    const loadN = loadIn(rig, source, state, hauling);
    if (!(loadN <= most)) most = loadN;
  }
  return most;
}

/** The state of a list in which a source carries most; undefined for an empty list. */
export function worstState({ rig, balances }: Moment, source: LoadSource, list: readonly LoadState[]): LoadState | undefined {
  if (balances === undefined) return undefined;
  let worst: LoadState | undefined;
  let most = Number.NaN;
  for (const state of list) {
    const loadN = loadIn(rig, source, state, balances.hauling);
    if (worst === undefined || loadN > most) {
      worst = state;
      most = loadN;
    }
  }
  return worst;
}

interface Behind {
  readonly rig: ResolvedRig;
  readonly holds: readonly HoldState[];
}

/** What a back-anchor has to hold: the margin × what slides at the planned pull, and what slides at the greatest. */
function fillBehind(
  figures: PlaceLoads,
  index: number,
  { tie, share }: Extract<LoadSource, { kind: 'back-anchor' }>,
  { rig, holds }: Behind,
): void {
  const hold = holds.find(({ vehicle }) => vehicle.ties.some((entry) => entry.index === tie));
  const each = share / Math.max(1, hold?.vehicle.ties.length ?? 1);
  const [plannedBy, greatestBy] = [hold?.planned?.slidesByN, hold?.greatest?.slidesByN];
  if (plannedBy !== undefined) figures.plannedN[index] = Math.max(0, plannedBy) * rig.policy.hold.backAnchorMargin.value * each;
  if (greatestBy !== undefined) figures.greatestN[index] = Math.max(0, greatestBy) * each;
  figures.perPullN[index] = 0;
}

/** Strength that a bend leaves at its wrap in this balance. */
export function bendFactorAt({
  rig,
  bend,
  hauling,
}: {
  readonly rig: ResolvedRig;
  readonly bend: RopeBend;
  readonly hauling: Balance;
}): number {
  return bentBy(bend.full, wrapAtStop(bend.line, bend.stop, hauling), rig.policy);
}

/** The factor of a bend in words: how wide the tread is for the rope. */
export const bendName = ({ treadDiameterM, ropeDiameterM }: RopeBend): string => `bend, D/d ${(treadDiameterM / ropeDiameterM).toFixed(1)}`;

/** The weakest point of an anchor in a balance, and its capacity. */
export function weakestAnchor({
  points,
  hauling,
  rig,
}: {
  readonly points: readonly AnchorPoint[];
  readonly hauling: Balance;
  readonly rig: ResolvedRig;
}): { readonly at: AnchorPoint; readonly riseRad: number; readonly capacity: AnchorCapacity } | undefined {
  let weakest: { readonly at: AnchorPoint; readonly riseRad: number; readonly capacity: AnchorCapacity } | undefined;
  for (const at of points) {
    const riseRad = at.capacity === 'with-the-rise' && at.point !== undefined ? riseOf(vectorAt(hauling.forces.points, at.point)) : 0;
    const capacity = at.capacity === 'with-the-rise' ? anchorCapacity({ ...at.question, riseRad }, rig.policy) : at.capacity;
    if (capacity !== undefined && (weakest === undefined || capacity.workingN < weakest.capacity.workingN))
      weakest = { at, riseRad, capacity };
  }
  return weakest;
}

const riseOf = ({ x, y, z }: Vec3): number => Math.atan2(z, Math.hypot(x, y));

function fillCapacity(
  figures: PlaceLoads,
  { strength, index, bend }: Place,
  { rig, hauling, drives }: Pick<PlacesInput, 'rig' | 'drives'> & { readonly hauling: Balance },
): void {
  switch (strength.kind) {
    case 'rated': {
      const factor = bend ? strength.factor * bendFactorAt({ rig, bend, hauling }) : strength.factor;
      figures.wllN[index] = strength.wllN * factor;
      figures.mbsN[index] = strength.mbsN * factor;
      return;
    }
    case 'judged':
      figures.wllN[index] = strength.wllN;
      figures.mbsN[index] = strength.mbsN;
      return;
    case 'drum':
      figures.wllN[index] = drives[strength.drive.index]?.ratedN ?? Number.NaN;
      return;
    case 'anchor': {
      const weakest = weakestAnchor({ points: strength.points, hauling, rig });
      if (weakest === undefined) return;
      figures.wllN[index] = weakest.capacity.workingN;
      figures.mbsN[index] = weakest.capacity.failingN;
      return;
    }
    case 'unrated':
      return;
    default:
      strength satisfies never;
  }
}
