import { type HoldFigures, holdUnder, slidesFromShare, type VehiclePull } from '../hold/vehicle-hold.ts';
import type { PulledVehicle, ResolvedPoint } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import { scale, subtract, unit, type Vec3, vec3, ZERO } from '../statics/vec3.ts';
import type { HoldState, LoadState, LoadStates } from './moment.ts';

interface HoldsInput {
  readonly rig: ResolvedRig;
  readonly positions: readonly Vec3[];
  readonly states: LoadStates;
  /** The leg of the load's way that it has turned to; undefined while it stands as drawn. */
  readonly leg: number | undefined;
}

/** Every vehicle with points that something may pull on, each in the worst of the states looked at. */
export function holdsOf(input: HoldsInput): readonly HoldState[] {
  const { rig } = input;
  const own = rig.vehicles.map((vehicle) => holdOf(input, vehicle, NOTHING));
  if (rig.ties.length === 0) return own;
  // What a back-anchor holds pulls at whatever holds the back-anchor.
  return own.map((hold) => {
    const behind = backPulls(input, hold.vehicle, own);
    return behind.planned.length === 0 ? hold : holdOf(input, hold.vehicle, behind);
  });
}

/** Pulls on a vehicle beside those of the lines, at the planned and at the greatest pull. */
interface Behind {
  readonly planned: readonly VehiclePull[];
  readonly greatest: readonly VehiclePull[];
}

const NOTHING: Behind = { planned: [], greatest: [] };

/** What the vehicles that are tied back to this one pull it with. */
function backPulls({ rig, positions }: HoldsInput, { on }: PulledVehicle, holds: readonly HoldState[]): Behind {
  const margin = rig.policy.hold.backAnchorMargin.value;
  const tied = rig.ties.flatMap(({ vehicle, anchor }) => {
    const held = holds.find((hold) => hold.vehicle.on === vehicle.on);
    const { place } = anchor.point;
    if (anchor.on !== on || place.kind !== 'on-vehicle' || held === undefined) return [];
    const along = unit(subtract(positionOf(positions, vehicle), positionOf(positions, anchor))) ?? ZERO;
    const share = 1 / Math.max(1, held.vehicle.ties.length);
    const pull = (byN: number | undefined, factor: number): VehiclePull => ({
      force: scale(along, Math.max(0, byN ?? 0) * factor * share),
      forwardM: place.forwardM,
      heightM: place.heightM,
    });
    return [{ planned: pull(held.planned?.slidesByN, margin), greatest: pull(held.greatest?.slidesByN, 1) }];
  });
  return { planned: tied.map(({ planned }) => planned), greatest: tied.map(({ greatest }) => greatest) };
}

const positionOf = (positions: readonly Vec3[], { index }: ResolvedPoint): Vec3 => positions[index] ?? ZERO;

function holdOf(input: HoldsInput, vehicle: PulledVehicle, behind: Behind): HoldState {
  const { rig, states, leg } = input;
  const { policy } = rig;
  const standing = (leg !== undefined && vehicle.isLoad && rig.legs[leg]?.standing) || vehicle.standing;
  const planned = worst({ standing, mounts: vehicle.mounts }, states.planned, behind.planned);
  const greatest = worst({ standing, mounts: vehicle.mounts }, states.greatest, behind.greatest);
  // A back-anchor's pull is taken to grow along with the line's; it begins later, so that the share found is on the careful side.
  const slidesFrom = greatest && !vehicle.isLoad ? slidesFromShare(standing, greatest.pulls) : undefined;
  const stop = policy.hold.tipStop.value;
  const tipsFrom = greatest && greatest.figures.tipping > stop ? stop / greatest.figures.tipping : undefined;
  return {
    vehicle,
    ...(planned && { planned: planned.figures }),
    ...(greatest && { greatest: greatest.figures }),
    ...(slidesFrom !== undefined && { slidesFrom }),
    ...(tipsFrom !== undefined && { tipsFrom }),
  };
}

interface Worst {
  readonly figures: HoldFigures;
  readonly pulls: readonly VehiclePull[];
}

function worst(
  { standing, mounts }: Pick<PulledVehicle, 'standing' | 'mounts'>,
  list: readonly LoadState[],
  behind: readonly VehiclePull[],
): Worst | undefined {
  let found: Worst | undefined;
  for (const { balance, scale: factor } of list) {
    const { points } = balance.forces;
    const pulls = mounts.map(({ point, forwardM, heightM }): VehiclePull => {
      const at = 3 * point;
      const force = vec3(factor * (points[at] ?? 0), factor * (points[at + 1] ?? 0), factor * (points[at + 2] ?? 0));
      return { force, forwardM, heightM };
    });
    const all = behind.length === 0 ? pulls : [...pulls, ...behind];
    const figures = holdUnder(standing, all);
    const by = figures.slidesByN ?? figures.demandN;
    if (found === undefined || by > (found.figures.slidesByN ?? found.figures.demandN)) found = { figures, pulls: all };
  }
  return found;
}
