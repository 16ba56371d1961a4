import { anchorCapacity } from '../anchors/anchor-capacity.ts';
import type { AnchorCapacity } from '../anchors/capacity.ts';
import { bentBy, bowAngleFactor } from '../rating/derates.ts';
import type { ResolvedLine } from '../resolved/parts.ts';
import type { AnchorPoint, LoadSource, Place, RopeBend, ShackleInPoint } from '../resolved/place.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import { add, norm, subtract, scale as times, unit, type Vec3, ZERO } from '../statics/vec3.ts';
import { bodyForce, sizeAt, toEndM, vectorAt, wrapAtStop } from './forces.ts';
import type { Balance, DriveState, LoadState, LoadStates, Moment, PlaceLoads, TieForces } from './moment.ts';
import { offTheBowRad } from './shackle-angle.ts';

interface PlacesInput {
  readonly rig: ResolvedRig;
  readonly hauling: Balance | undefined;
  readonly drives: readonly DriveState[];
  readonly states: LoadStates;
  readonly positions: readonly Vec3[];
  readonly pose: Moment['pose'];
  readonly ties: TieForces;
}

/** Loads and capacities of every place of a rig in balance; without one no place has any. */
export function placesAt(input: PlacesInput): PlaceLoads {
  const { rig, hauling, drives, states, positions, pose, ties } = input;
  const { places } = rig;
  const fresh = () => new Float64Array(places.length).fill(Number.NaN);
  const figures: PlaceLoads = {
    present: new Uint8Array(places.length),
    plannedN: fresh(),
    greatestN: fresh(),
    perPullN: fresh(),
    wllN: fresh(),
    mbsN: fresh(),
    limitN: fresh(),
  };
  if (hauling === undefined) return figures;
  for (const place of places) {
    const { index } = place;
    if (place.onlyWhere !== undefined && !covers(place.onlyWhere, hauling)) continue;
    figures.present[index] = 1;
    fillCapacity(figures, place, { rig, hauling, drives, positions, pose });
    figures.limitN[index] = limitOf(place, figures.wllN[index] ?? Number.NaN);
    if (place.load.kind === 'back-anchor') fillBehind(figures, index, place.load, ties);
    else if (isTied(rig, place.load)) fillTied(figures, place, { rig, states, positions, ties });
    else {
      figures.plannedN[index] = mostOver(rig, place.load, states.planned, hauling);
      figures.greatestN[index] = mostOver(rig, place.load, states.greatest, hauling);
      figures.perPullN[index] = mostOver(rig, place.load, states.unit, hauling);
    }
  }
  return figures;
}

/** What a place keeps to in the line-pull limit, newtons: its working limit, what a grip holds before it slips; 0 where nothing says what it carries. */
function limitOf({ strength, empty, slipsN }: Place, wllN: number): number {
  if (strength.kind === 'unrated' && !empty) return 0;
  return slipsN === undefined ? wllN : Math.min(wllN, slipsN);
}

/** Whether the rope of an order lies over a bend: by the length of the way from there to the line's end. */
export function covers({ line, order, stop }: NonNullable<Place['onlyWhere']>, { forces }: Balance): boolean {
  const reach = line.reaches[order];
  if (reach === undefined) return false;
  const wayM = toEndM(line, stop, forces);
  return wayM >= reach.fromEndM && (order === 0 || wayM < reach.toEndM);
}

/** The span in which the joint lies that a joined rope begins with, by lengths from the line's end; the first where it is still on the drum. */
export function joinedSpan(line: ResolvedLine, order: number, { forces }: Balance): number {
  const jointM = line.reaches[order]?.toEndM ?? 0;
  for (let span = 0; span < line.spans.length - 1; span++) if (toEndM(line, span + 1, forces) <= jointM) return span;
  return Math.max(0, line.spans.length - 1);
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
    case 'point':
      return scale * sizeAt(balance.forces.points, source.point);
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

/** What a back-anchor has to hold: the greatest of its tensions over the states of each check. */
function fillBehind(
  figures: PlaceLoads,
  index: number,
  { tie, share }: Extract<LoadSource, { kind: 'back-anchor' }>,
  { planned, greatest }: TieForces,
): void {
  const most = (list: readonly Float64Array[]) => share * Math.max(...list.map((own) => own[tie] ?? 0));
  if (planned.length > 0) figures.plannedN[index] = most(planned);
  if (greatest.length > 0) figures.greatestN[index] = most(greatest);
  // It does not grow with the pull alone.
  figures.perPullN[index] = 0;
}

/** Whether a back-anchor pulls along at what a source adds up. */
export function isTied({ ties }: ResolvedRig, source: LoadSource): boolean {
  if (source.kind === 'body')
    return ties.some(({ anchor, vehicle }) => anchor.on.index === source.body || vehicle.on.index === source.body);
  return source.kind === 'point' && ties.some(({ anchor, vehicle }) => anchor.index === source.point || vehicle.index === source.point);
}

type Tied = Pick<PlacesInput, 'rig' | 'states' | 'positions' | 'ties'>;

/** The load of a trunk or a point at which lines and back-anchors pull: their sum as vectors, the largest over the states. */
function fillTied(figures: PlaceLoads, { index, load }: Place, tied: Tied): void {
  const { states, ties } = tied;
  const most = (list: readonly LoadState[], tensions: readonly Float64Array[]) =>
    Math.max(...list.map((state, order) => norm(tiedForce(tied, load, state, tensions[order]))));
  if (states.stands.length > 0) figures.plannedN[index] = most(states.stands, ties.planned);
  if (states.greatest.length > 0) figures.greatestN[index] = most(states.greatest, ties.greatest);
  if (states.unit.length > 0) figures.perPullN[index] = most(states.unit, []);
}

/** What lines, chains and back-anchors do together to a body or a point, newtons. */
function tiedForce(
  { rig, positions }: Omit<Tied, 'states' | 'ties'>,
  source: LoadSource,
  state: LoadState,
  tensions: Float64Array | undefined,
): Vec3 {
  const { forces } = state.balance;
  const on = source.kind === 'body' ? rig.bodies[source.body] : undefined;
  const own = on ? bodyForce(on, forces) : vectorAt(forces.points, source.kind === 'point' ? source.point : -1);
  return rig.ties.reduce(
    (sum, { index, vehicle, anchor, likeTie }) => {
      const pulls = (point: typeof vehicle) => (on ? point.on === on : source.kind === 'point' && point.index === source.point);
      const [from, to] = pulls(vehicle) ? [vehicle, anchor] : [anchor, vehicle];
      if (!pulls(from)) return sum;
      const like = rig.ties.filter((other) => other.likeTie === likeTie).length;
      const way = unit(subtract(positions[to.index] ?? ZERO, positions[from.index] ?? ZERO)) ?? ZERO;
      return add(sum, times(way, (tensions?.[index] ?? 0) / like));
    },
    times(own, state.scale),
  );
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

/** Strength that is left to a shackle by how far off its bow it is pulled; none is known beyond a right angle, which it never is here. */
export const bowFactorAt = (at: Parameters<typeof offTheBowRad>[0], shackle: ShackleInPoint): number =>
  bowAngleFactor(offTheBowRad(at, shackle)) ?? 0;

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
  { strength, index, bend, shackle }: Place,
  { rig, hauling, drives, positions, pose }: Pick<PlacesInput, 'rig' | 'drives' | 'positions' | 'pose'> & { readonly hauling: Balance },
): void {
  switch (strength.kind) {
    case 'rated': {
      const bent = bend ? bendFactorAt({ rig, bend, hauling }) : 1;
      const factor = strength.factor * bent * (shackle ? bowFactorAt({ rig, positions, pose, balance: hauling }, shackle) : 1);
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
