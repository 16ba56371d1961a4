import { type HoldFigures, type VehiclePull, vehicleHold } from '../hold/vehicle-hold.ts';
import type { Policy } from '../policy/policy.ts';
import type { RigNetwork } from '../resolved/rig-network.ts';
import type { Rig, VehicleBody } from '../rig/rig.ts';
import { pointPosition } from '../rig/site-geometry.ts';
import { scale, subtract, unit, ZERO } from '../statics/vec3.ts';
import type { LoadState, LoadStates } from './assessment.ts';
import { pointForces } from './rig-forces.ts';

/** How a pulled vehicle stands at the planned and at the greatest pull. */
export interface VehicleHold {
  readonly body: VehicleBody;
  /** The vehicle that is to move: asked whether it tips, not whether it slides. */
  readonly isLoad: boolean;
  readonly backAnchorIds: readonly string[];
  readonly planned?: HoldFigures;
  readonly greatest?: HoldFigures;
  /** Share of the greatest pull from which it slides, and from which it tips; missing where it does neither. */
  readonly slidesFrom?: number;
  readonly tipsFrom?: number;
}

interface HoldsInput {
  readonly rig: Rig;
  readonly policy: Policy;
  readonly network: RigNetwork;
  readonly states: LoadStates;
}

/** Every vehicle that a rope pulls on, the one that sits in each the worst of the states looked at. */
export function holdsOf(input: HoldsInput): readonly VehicleHold[] {
  const { rig } = input;
  const pulled = new Set(rig.points.map(({ bodyId }) => bodyId));
  const vehicles = rig.bodies.flatMap((body) => (body.kind === 'vehicle' && pulled.has(body.id) ? [body] : []));
  const own = vehicles.map((body) => holdOf(input, body, NOTHING));
  // What a back-anchor holds pulls at whatever holds the back-anchor.
  return own.map((hold) => {
    const behind = backPulls(input, hold.body, own);
    return behind.planned.length === 0 ? hold : holdOf(input, hold.body, behind);
  });
}

/** Pulls on a vehicle beside those of the lines, at the planned and at the greatest pull. */
interface Behind {
  readonly planned: readonly VehiclePull[];
  readonly greatest: readonly VehiclePull[];
}

const NOTHING: Behind = { planned: [], greatest: [] };

/** What the vehicles that are tied back to this one pull it with. */
function backPulls({ rig, policy }: HoldsInput, body: VehicleBody, holds: readonly VehicleHold[]): Behind {
  const tied = (rig.backAnchors ?? []).flatMap((anchor) => {
    const at = rig.points.find(({ id }) => id === anchor.anchorPointId);
    const from = rig.points.find(({ id }) => id === anchor.vehiclePointId);
    const held = holds.find(({ body: other }) => other.id === from?.bodyId);
    if (at?.bodyId !== body.id || at.place.kind !== 'on-vehicle' || from === undefined || held === undefined) return [];
    const along = unit(subtract(pointPosition(rig, from), pointPosition(rig, at))) ?? ZERO;
    const share = 1 / Math.max(1, held.backAnchorIds.length);
    const pull = (byN: number | undefined, factor: number): VehiclePull => ({
      force: scale(along, Math.max(0, byN ?? 0) * factor * share),
      forwardM: at.place.kind === 'on-vehicle' ? at.place.forwardM : 0,
      heightM: at.place.heightM,
    });
    return [{ planned: pull(held.planned?.slidesByN, policy.hold.backAnchorMargin.value), greatest: pull(held.greatest?.slidesByN, 1) }];
  });
  return { planned: tied.map(({ planned }) => planned), greatest: tied.map(({ greatest }) => greatest) };
}

function holdOf(input: HoldsInput, body: VehicleBody, behind: Behind): VehicleHold {
  const { rig, states } = input;
  const planned = worst(input, body, states.planned, behind.planned);
  const greatest = worst(input, body, states.greatest, behind.greatest);
  const isLoad = rig.load.bodyId === body.id;
  const backAnchorIds = (rig.backAnchors ?? [])
    .filter(({ vehiclePointId }) => rig.points.some(({ id, bodyId }) => id === vehiclePointId && bodyId === body.id))
    .map(({ id }) => id);
  const slidesFrom = greatest && !isLoad ? slidesFromShare(input, body, greatest.state, behind.greatest) : undefined;
  const stop = input.policy.hold.tipStop.value;
  const tipsFrom = greatest && greatest.figures.tipping > stop ? stop / greatest.figures.tipping : undefined;
  return {
    body,
    isLoad,
    backAnchorIds,
    ...(planned && { planned: planned.figures }),
    ...(greatest && { greatest: greatest.figures }),
    ...(slidesFrom !== undefined && { slidesFrom }),
    ...(tipsFrom !== undefined && { tipsFrom }),
  };
}

function pullsOn({ rig, network }: HoldsInput, body: VehicleBody, { state, scale: factor }: LoadState): readonly VehiclePull[] {
  const forces = pointForces(rig, network, state);
  return rig.points.flatMap(({ id, bodyId, place }) => {
    const force = forces.get(id);
    if (bodyId !== body.id || force === undefined || place.kind !== 'on-vehicle') return [];
    return [{ force: scale(force, factor), forwardM: place.forwardM, heightM: place.heightM }];
  });
}

function worst(
  input: HoldsInput,
  body: VehicleBody,
  list: readonly LoadState[],
  behind: readonly VehiclePull[],
): { readonly figures: HoldFigures; readonly state: LoadState } | undefined {
  let found: { readonly figures: HoldFigures; readonly state: LoadState } | undefined;
  for (const state of list) {
    const figures = vehicleHold(body, [...pullsOn(input, body, state), ...behind], input.rig.ground, input.policy);
    const by = figures.slidesByN ?? figures.demandN;
    if (found === undefined || by > (found.figures.slidesByN ?? found.figures.demandN)) found = { figures, state };
  }
  return found;
}

/** Halvings of the pull in search of where sliding begins; 2⁻⁴⁰ is far below what a load cell shows. */
const HALVINGS = 40;

/** A back-anchor's pull is taken to grow along with the line's; it begins later, so that the share found is on the careful side. */
function slidesFromShare(input: HoldsInput, body: VehicleBody, state: LoadState, behind: readonly VehiclePull[]): number | undefined {
  const slides = (share: number) => {
    const back = behind.map((pull) => ({ ...pull, force: scale(pull.force, share) }));
    const pulls = [...pullsOn(input, body, { ...state, scale: state.scale * share }), ...back];
    return (vehicleHold(body, pulls, input.rig.ground, input.policy).slidesByN ?? -1) > 0;
  };
  if (!slides(1)) return undefined;
  let [held, sliding] = [0, 1];
  for (let step = 0; step < HALVINGS; step++) {
    const middle = (held + sliding) / 2;
    if (slides(middle)) sliding = middle;
    else held = middle;
  }
  return sliding;
}
