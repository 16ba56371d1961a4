import type { Equilibrium, Motion, Network, StaticsOutcome } from './network.ts';
import { type RopeState, ropeState } from './rope-geometry.ts';
import { solveLinear } from './solve-linear.ts';
import { assemble, type System, systemOf } from './system.ts';
import { add, distance, scale, subtract, unit, type Vec3, ZERO } from './vec3.ts';

/** Largest unbalanced force accepted, per newton of drive tension; and gap in a link, metres. */
const RESIDUAL_TOLERANCE = 1e-11;
const NEWTON_STEPS = 60;
const SETTLING_STEPS = 40;
/** A first guess is good enough once nothing moves further than this in a step, metres. */
const SETTLED_M = 0.01;

/**
 * Finds where the free nodes of a network stand and what every strand and link carries, per newton of drive tension.
 * One formulation for every rig: equilibrium at each free node and the given length of each link, solved together by
 * Newton's method with exact derivatives; links that would push are let go slack and the rest solved again.
 * `start` warms the solve with positions from a neighbouring state. What cannot be found is named, never a number.
 */
export function solveNetwork(network: Network, motion: Motion, start?: readonly Vec3[]): StaticsOutcome {
  const slack = new Set<number>();
  for (let round = 0; round <= network.links.length; round++) {
    const outcome = solveTaut(network, motion, slack, start);
    if (outcome.kind !== 'solved') return outcome;
    const pushing = network.links.findIndex((_, index) => !slack.has(index) && (outcome.linkTensions[index] as number) < -1e-9);
    if (pushing < 0) return outcome;
    slack.add(pushing);
  }
  return { kind: 'slack', nodes: network.nodes.filter(({ held }) => !held).map(({ id }) => id) };
}

function solveTaut(network: Network, motion: Motion, slack: ReadonlySet<number>, start: readonly Vec3[] | undefined): StaticsOutcome {
  const system = systemOf(network, slack);
  const lost = unsupported(network, system);
  if (lost.length > 0) return { kind: 'slack', nodes: lost };
  let places = start ?? settle(network, motion, slack);
  let tensions = new Float64Array(system.links.length).fill(1);
  let last = Number.POSITIVE_INFINITY;
  for (let iteration = 0; iteration < NEWTON_STEPS; iteration++) {
    const ropes = ropesAt(network, places, motion);
    if ('coincident' in ropes) return { kind: 'coincident', nodes: ropes.coincident };
    const { residual, jacobian, size } = assemble(system, network, { places, ropes, tensions });
    last = size;
    // Also where balance is already reached: a singular matrix there means that something could still move freely.
    const outcome = solveLinear(jacobian, residual);
    if (outcome.kind === 'singular') return { kind: 'mechanism', nodes: [system.nameOfColumn(outcome.column)] };
    if (size < RESIDUAL_TOLERANCE || residual.length === 0) return finished(network, system, { places, ropes, tensions }, iteration, size);
    const step = limited(residual, system);
    places = system.moved(places, residual, step);
    tensions = tensions.map((tension, index) => tension - step * (residual[system.freeNodes.length * 3 + index] as number));
  }
  if (last < 1e-9) return refuseOrKeep(network, motion, system, places, tensions, last);
  return { kind: 'not-converged', residual: last, nodes: system.freeNodes.map((node) => network.nodes[node]?.id ?? '') };
}

/** Rounding can stall just above the tight tolerance; the published bound of 1e-9 still holds there. */
function refuseOrKeep(
  network: Network,
  motion: Motion,
  system: System,
  places: readonly Vec3[],
  tensions: Float64Array,
  residual: number,
): StaticsOutcome {
  const ropes = ropesAt(network, places, motion);
  if ('coincident' in ropes) return { kind: 'coincident', nodes: ropes.coincident };
  return finished(network, system, { places, ropes, tensions }, NEWTON_STEPS, residual);
}

interface State {
  readonly places: readonly Vec3[];
  readonly ropes: readonly RopeState[];
  readonly tensions: Float64Array;
}

function finished(network: Network, system: System, state: State, iterations: number, residual: number): Equilibrium {
  const linkTensions = network.links.map((_, index) => {
    const place = system.links.indexOf(index);
    return place < 0 ? 0 : (state.tensions[place] as number);
  });
  return {
    kind: 'solved',
    positions: state.places,
    strandTensions: state.ropes.map(({ strands }) => strands.map(({ tension }) => tension)),
    linkTensions,
    slackLinks: network.links.map((_, index) => index).filter((index) => !system.links.includes(index)),
    iterations,
    residual,
  };
}

function ropesAt(
  network: Network,
  places: readonly Vec3[],
  motion: Motion,
): readonly RopeState[] | { readonly coincident: readonly string[] } {
  const states: RopeState[] = [];
  for (const rope of network.ropes) {
    const state = ropeState(rope, places, motion);
    if ('coincident' in state) return { coincident: state.coincident.map((node) => network.nodes[node]?.id ?? '') };
    states.push(state);
  }
  return states;
}

/** Free nodes that no rope and no link holds. */
function unsupported(network: Network, system: System): readonly string[] {
  const touched = new Set(network.ropes.flatMap(({ nodes }) => nodes));
  for (const index of system.links) {
    const link = network.links[index];
    if (link) touched.add(link.from).add(link.to);
  }
  return system.freeNodes.filter((node) => !touched.has(node)).map((node) => network.nodes[node]?.id ?? '');
}

/** Steps longer than this share of the shortest link or a metre are shortened, so that no strand turns over in one step. */
function limited(step: Float64Array, system: System): number {
  let longest = 0;
  for (let index = 0; index < system.freeNodes.length * 3; index++) longest = Math.max(longest, Math.abs(step[index] as number));
  return longest > system.reachM ? system.reachM / longest : 1;
}

/** A first guess: each free end of a link on a held node swings towards its resultant, a few times over. */
function settle(network: Network, motion: Motion, slack: ReadonlySet<number>): readonly Vec3[] {
  let places: readonly Vec3[] = network.nodes.map(({ at }) => at);
  for (let step = 0; step < SETTLING_STEPS; step++) {
    const ropes = ropesAt(network, places, motion);
    if ('coincident' in ropes) return places;
    const next = swung(network, places, ropes, slack);
    const moved = Math.max(...next.map((place, node) => distance(place, places[node] as Vec3)));
    places = next;
    if (moved < SETTLED_M) break;
  }
  return places;
}

function swung(network: Network, places: readonly Vec3[], ropes: readonly RopeState[], slack: ReadonlySet<number>): readonly Vec3[] {
  const pull = network.nodes.map(() => ZERO);
  for (const { strands } of ropes) {
    for (const { from, to, along, tension } of strands) {
      pull[from] = add(pull[from] as Vec3, scale(along, tension));
      pull[to] = subtract(pull[to] as Vec3, scale(along, tension));
    }
  }
  return places.map((place, node) => {
    const held = network.nodes[node]?.held === true;
    const link = held
      ? undefined
      : network.links.find(({ from, to }, index) => !slack.has(index) && to === node && network.nodes[from]?.held);
    const direction = unit(pull[node] as Vec3);
    if (link === undefined || direction === undefined) return place;
    return add(places[link.from] as Vec3, scale(direction, link.lengthM));
  });
}
