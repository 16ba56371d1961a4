import { type HoldFigures, type VehiclePull, vehicleHold } from '../hold/vehicle-hold.ts';
import type { Policy } from '../policy/policy.ts';
import type { Rig, VehicleBody } from '../rig/rig.ts';
import type { RigNetwork } from '../rig/rig-network.ts';
import { scale } from '../statics/vec3.ts';
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
  return rig.bodies.flatMap((body) => (body.kind === 'vehicle' && pulled.has(body.id) ? [holdOf(input, body)] : []));
}

function holdOf(input: HoldsInput, body: VehicleBody): VehicleHold {
  const { rig, states } = input;
  const planned = worst(input, body, states.planned);
  const greatest = worst(input, body, states.greatest);
  const isLoad = rig.load.bodyId === body.id;
  const backAnchorIds = (rig.backAnchors ?? [])
    .filter(({ vehiclePointId }) => rig.points.some(({ id, bodyId }) => id === vehiclePointId && bodyId === body.id))
    .map(({ id }) => id);
  const slidesFrom = greatest && !isLoad ? slidesFromShare(input, body, greatest.state) : undefined;
  const tipsFrom =
    greatest && greatest.figures.tipping > input.policy.hold.tipStop.value
      ? input.policy.hold.tipStop.value / greatest.figures.tipping
      : undefined;
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
): { readonly figures: HoldFigures; readonly state: LoadState } | undefined {
  let found: { readonly figures: HoldFigures; readonly state: LoadState } | undefined;
  for (const state of list) {
    const figures = vehicleHold(body, pullsOn(input, body, state), input.rig.ground, input.policy);
    const by = figures.slidesByN ?? figures.demandN;
    if (found === undefined || by > (found.figures.slidesByN ?? found.figures.demandN)) found = { figures, state };
  }
  return found;
}

/** Halvings of the pull in search of where sliding begins; 2⁻⁴⁰ is far below what a load cell shows. */
const HALVINGS = 40;

function slidesFromShare(input: HoldsInput, body: VehicleBody, state: LoadState): number | undefined {
  const slides = (share: number) => {
    const pulls = pullsOn(input, body, { ...state, scale: state.scale * share });
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
