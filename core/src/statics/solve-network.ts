import { type Assembly, assemble, type Trial, workspaceOf } from './assemble.ts';
import { columnsOf, type Layout, layoutOf, nameOfColumn } from './members.ts';
import type { Equilibrium, Motion, Network, StaticsFailure, StaticsOutcome } from './network.ts';
import { relaxNetwork } from './relax-network.ts';
import { solveLinear } from './solve-linear.ts';
import { type Vec3, vec3 } from './vec3.ts';

/** Largest unbalanced force aimed at, per unit of the largest tension; and gap in a link, metres. */
const RESIDUAL_TOLERANCE = 1e-11;
/** From here on a step changes the matrix by next to nothing, per unit of the largest tension. */
const NEAR = 1e-3;
/** A matrix whose smallest pivot is above this share of its largest entry is far from singular. */
const REGULAR = 1e-6;
/** The bound that is published and never exceeded. */
const RESIDUAL_BOUND = 1e-9;
const NEWTON_STEPS = 60;
/** Longest move of a node in one step, metres: no strand may turn over at a stroke. */
const REACH_M = 0.5;
/** A member of given length counts as pushing below this tension, per unit of the largest drive tension. */
const PUSHING = -1e-9;

/**
 * Finds where the free nodes of a network stand and what every strand and link carries.
 * One formulation for every rig: equilibrium at each free node and the given length of each link and undriven rope, solved
 * together by Newton's method with exact derivatives from the frictionless state of least energy; members that would push
 * are let go slack and the rest solved again. `start` warms the solve with the state of a neighbouring one.
 * What cannot be found is named with the nodes concerned, never a number.
 */
export function solveNetwork(network: Network, motion: Motion, start?: Equilibrium): StaticsOutcome {
  const nonsense = notNumbers(network);
  if (nonsense.length > 0) return { kind: 'not-a-number', nodes: nonsense };
  const layout = layoutOf(network);
  const lost = untouched(layout);
  if (lost.length > 0) return { kind: 'slack', nodes: lost };
  const redundant = layout.members.filter(
    ({ lengthM, nodes }) => lengthM > 0 && nodes.every((node) => (layout.columnOf[node] as number) < 0),
  );
  if (redundant.length > 0) return { kind: 'redundant', nodes: redundant.map(({ id }) => id) };
  if (start !== undefined) {
    const warm = withSlack(layout, motion, fromEquilibrium(layout, start));
    if (warm.kind === 'solved') return warm;
  }
  const rested = relaxNetwork(layout);
  const first = { places: rested.places, tensionOf: rested.tensions };
  const outcome = withSlack(layout, motion, first);
  if (outcome.kind === 'solved' || motion === 'frictionless') return outcome;
  const smooth = withSlack(layout, 'frictionless', first);
  return smooth.kind === 'solved' ? withSlack(layout, motion, fromEquilibrium(layout, smooth)) : outcome;
}

/** Coordinates of points, three in a row each. */
export function flat(points: readonly Vec3[]): Float64Array {
  const all = new Float64Array(3 * points.length);
  points.forEach(({ x, y, z }, index) => {
    all[3 * index] = x;
    all[3 * index + 1] = y;
    all[3 * index + 2] = z;
  });
  return all;
}

/** Where a solve begins: places of all nodes, and the tension of every member of given length (0: slack). */
interface Start {
  readonly places: Float64Array;
  readonly tensionOf: Float64Array;
}

/** What is held stands where the network has it; only what is free begins where it came to rest before. */
function fromEquilibrium(layout: Layout, { positions, strandTensions, linkTensions }: Equilibrium): Start {
  const places = flat(layout.network.nodes.map(({ at, held }, node) => (held ? at : (positions[node] ?? at))));
  const tensionOf = Float64Array.from(layout.members, (_, index) =>
    index < strandTensions.length ? (strandTensions[index]?.[0] ?? 0) : (linkTensions[index - strandTensions.length] ?? 0),
  );
  return { places, tensionOf };
}

/** Solves with some members slack until no taut one pushes and no slack one is too short. */
function withSlack(layout: Layout, motion: Motion, start: Start): StaticsOutcome {
  const slack = new Set<number>();
  layout.members.forEach(({ lengthM }, index) => {
    if (lengthM > 0 && start.tensionOf[index] === 0) slack.add(index);
  });
  let from = start;
  for (let round = 0; round <= 2 * layout.members.length; round++) {
    const outcome = solveTaut(layout, motion, slack, from);
    if (outcome.kind !== 'solved') return named(layout, slack, outcome);
    const change = misjudged(layout, outcome, slack);
    if (change === undefined) return outcome;
    if (slack.has(change)) slack.delete(change);
    else slack.add(change);
    from = fromEquilibrium(layout, outcome);
  }
  return { kind: 'not-converged', residual: 1, nodes: layout.members.filter((_, index) => slack.has(index)).map(({ id }) => id) };
}

/** A search without end is called what it is where a pulley floats: on its rope alone, its own chain slack, it has no one place. */
function named(layout: Layout, slack: ReadonlySet<number>, failure: StaticsFailure): StaticsFailure {
  if (failure.kind !== 'not-converged') return failure;
  const fixed = new Set(layout.members.flatMap(({ nodes }, index) => (slack.has(index) ? [] : [nodes[0], nodes[nodes.length - 1]])));
  const floating = layout.freeNodes.filter((node) => !fixed.has(node));
  return floating.length === 0 ? failure : { kind: 'mechanism', nodes: floating.map((node) => layout.network.nodes[node]?.id ?? '') };
}

/** The taut member that pushes hardest, else a slack one whose ends stand further apart than its length. */
function misjudged(layout: Layout, state: Equilibrium, slack: ReadonlySet<number>): number | undefined {
  let worst = PUSHING * layout.scale;
  let which: number | undefined;
  layout.members.forEach(({ lengthM, nodes }, index) => {
    if (lengthM === 0) return;
    if (slack.has(index)) {
      const over = pathLength(nodes, state.positions) - lengthM;
      if (which === undefined && over > RESIDUAL_BOUND) which = index;
      return;
    }
    const tension =
      index < state.strandTensions.length
        ? (state.strandTensions[index]?.[0] as number)
        : (state.linkTensions[index - state.strandTensions.length] as number);
    if (tension < worst) {
      worst = tension;
      which = index;
    }
  });
  return which;
}

function pathLength(nodes: readonly number[], positions: readonly Vec3[]): number {
  let total = 0;
  for (let index = 1; index < nodes.length; index++) {
    const a = positions[nodes[index - 1] as number] as Vec3;
    const b = positions[nodes[index] as number] as Vec3;
    total += Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z);
  }
  return total;
}

function solveTaut(layout: Layout, motion: Motion, slack: ReadonlySet<number>, start: Start): StaticsOutcome {
  const columns = columnsOf(layout, slack);
  const assembly: Assembly = { layout, columns, motion, slack, work: workspaceOf(layout, columns) };
  const trial: Trial = {
    places: start.places.slice(),
    tensions: Float64Array.from(columns.taut, (index) => (start.tensionOf[index] as number) || layout.scale),
  };
  let residual = Number.POSITIVE_INFINITY;
  let regular = false;
  for (let iteration = 0; iteration < NEWTON_STEPS; iteration++) {
    const coincident = assemble(assembly, trial);
    if (coincident) return { kind: 'coincident', nodes: coincident.map((node) => layout.network.nodes[node]?.id ?? '') };
    residual = sizeOf(assembly, trial);
    if (regular && residual < RESIDUAL_TOLERANCE) return finished(assembly, trial, iteration, residual);
    const answer = stepFrom(assembly, trial, residual);
    if (answer.kind !== 'stepped') return answer.kind === 'balanced' ? finished(assembly, trial, iteration, residual) : answer;
    // Near the end the matrix hardly changes: once it was far from singular there, it need not be eliminated again to know it.
    regular = residual < NEAR && answer.leastPivot > REGULAR;
  }
  assemble(assembly, trial);
  if (residual < RESIDUAL_BOUND) return finished(assembly, trial, NEWTON_STEPS, residual);
  return { kind: 'not-converged', residual, nodes: layout.freeNodes.map((node) => layout.network.nodes[node]?.id ?? '') };
}

type Stepped = { readonly kind: 'balanced' } | { readonly kind: 'stepped'; readonly leastPivot: number };

/**
 * One Newton step in place. Elimination runs also where balance is already reached: a singular matrix there means that
 * something could still move freely, or that members share in a way that equilibrium does not tell.
 */
function stepFrom(assembly: Assembly, trial: Trial, residual: number): Stepped | StaticsFailure {
  const { layout, columns, work } = assembly;
  const coordinates = layout.freeNodes.length * 3;
  const outcome = solveLinear(work.jacobian, work.residual);
  if (outcome.kind === 'singular') {
    const nodes = [nameOfColumn(layout, columns, outcome.column)];
    return outcome.column < coordinates ? { kind: 'mechanism', nodes } : { kind: 'redundant', nodes };
  }
  if (residual < RESIDUAL_TOLERANCE || columns.size === 0) return { kind: 'balanced' };
  let longest = 0;
  for (let index = 0; index < coordinates; index++) longest = Math.max(longest, Math.abs(work.residual[index] as number));
  const share = longest > REACH_M ? REACH_M / longest : 1;
  layout.freeNodes.forEach((node, order) => {
    for (let i = 0; i < 3; i++)
      trial.places[3 * node + i] = (trial.places[3 * node + i] as number) - share * (work.residual[3 * order + i] as number);
  });
  for (let index = 0; index < trial.tensions.length; index++)
    trial.tensions[index] = (trial.tensions[index] as number) - share * (work.residual[coordinates + index] as number);
  return { kind: 'stepped', leastPivot: outcome.leastPivot };
}

/** Largest unbalanced force per unit of the largest tension, or gap in metres. */
function sizeOf({ layout, work }: Assembly, { tensions }: Trial): number {
  const forces = layout.freeNodes.length * 3;
  let unit = layout.scale;
  for (const tension of tensions) unit = Math.max(unit, Math.abs(tension));
  let size = 0;
  for (let index = 0; index < work.residual.length; index++)
    size = Math.max(size, Math.abs(work.residual[index] as number) / (index < forces ? unit : 1));
  return Number.isNaN(size) ? Number.POSITIVE_INFINITY : size;
}

function finished(
  { layout, columns, work, slack }: Assembly,
  { places, tensions }: Trial,
  iterations: number,
  residual: number,
): Equilibrium {
  const ropes = layout.network.ropes.length;
  const strandTensions: number[][] = [];
  const linkTensions: number[] = [];
  let share = 0;
  layout.members.forEach(({ nodes, drivenTension }, index) => {
    const column = columns.tensionOf[index] as number;
    const first = slack.has(index) ? 0 : column < 0 ? drivenTension : (tensions[column - layout.freeNodes.length * 3] as number);
    const strands: number[] = [];
    for (let strand = 0; strand + 1 < nodes.length; strand++) strands.push(first * (work.shares[share + strand] as number));
    share += nodes.length - 1;
    if (index < ropes) strandTensions.push(strands);
    else linkTensions.push(first);
  });
  const slackOnes = [...slack].sort((a, b) => a - b);
  return {
    kind: 'solved',
    positions: layout.network.nodes.map((_, node) =>
      vec3(places[3 * node] as number, places[3 * node + 1] as number, places[3 * node + 2] as number),
    ),
    strandTensions,
    linkTensions,
    slackLinks: slackOnes.filter((index) => index >= ropes).map((index) => index - ropes),
    slackRopes: slackOnes.filter((index) => index < ropes),
    iterations,
    residual,
  };
}

/** Free nodes that no rope and no link touches. */
function untouched({ members, freeNodes, network }: Layout): readonly string[] {
  const touched = new Uint8Array(network.nodes.length);
  for (const { nodes } of members) for (const node of nodes) touched[node] = 1;
  return freeNodes.filter((node) => touched[node] === 0).map((node) => network.nodes[node]?.id ?? '');
}

/** Nodes, links and ropes whose figures are no numbers or make no sense, by id. */
function notNumbers({ nodes, links, ropes }: Network): readonly string[] {
  const sound = (value: number) => Number.isFinite(value) && value >= 0;
  return [
    ...nodes.filter(({ at }) => !Number.isFinite(at.x + at.y + at.z)),
    ...links.filter(({ lengthM }) => !(sound(lengthM) && lengthM > 0)),
    ...ropes.filter(
      ({ pull }) => pull !== undefined && !(pull.kind === 'driven' ? sound(pull.tension) : sound(pull.lengthM) && pull.lengthM > 0),
    ),
  ].map(({ id }) => id);
}
