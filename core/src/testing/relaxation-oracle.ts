import { logShare } from '../statics/bend-tension.ts';
import type { Motion, Network } from '../statics/network.ts';
import { add, angleBetween, distance, scale, subtract, unit, type Vec3, ZERO } from '../statics/vec3.ts';

/**
 * A slow and obvious way to the balance of a network, sharing nothing with the solver but the friction of a single bend:
 * free nodes drift along the force on them and are stopped whenever they speed up the wrong way; a member of given length is
 * a spring whose pre-tension is raised until it no longer stretches. Gives the tension of every strand and link.
 */
export interface Balance {
  readonly strandTensions: readonly (readonly number[])[];
  readonly linkTensions: readonly number[];
  /** Largest unbalanced force left at a free node. */
  readonly residual: number;
}

const STIFFNESS = 20;
const ROUNDS = 60;
const STEPS = 1500;

interface Spring {
  readonly nodes: readonly number[];
  readonly lengthM: number | undefined;
  readonly driven: number;
  readonly share: (places: readonly Vec3[], strand: number) => number;
}

export function relaxationOracle(network: Network, motion: Motion): Balance {
  const springs = springsOf(network, motion);
  const preTension = springs.map(() => 0);
  let places: Vec3[] = network.nodes.map(({ at }) => at);
  for (let round = 0; round < ROUNDS; round++) {
    places = drift(network, springs, preTension, places);
    springs.forEach(({ nodes, lengthM }, index) => {
      if (lengthM !== undefined)
        preTension[index] = Math.max(0, (preTension[index] as number) + STIFFNESS * (pathM(nodes, places) - lengthM));
    });
  }
  const forces = forcesAt(network, springs, preTension, places);
  const tension = (index: number) => tensionOf(springs[index] as Spring, preTension[index] as number, places);
  return {
    strandTensions: network.ropes.map(({ nodes }, index) =>
      nodes.slice(1).map((_, strand) => tension(index) * (springs[index] as Spring).share(places, strand)),
    ),
    linkTensions: network.links.map((_, index) => tension(network.ropes.length + index)),
    residual: Math.max(0, ...network.nodes.map(({ held }, node) => (held ? 0 : Math.hypot(...axes(forces[node] as Vec3))))),
  };
}

const axes = ({ x, y, z }: Vec3): [number, number, number] => [x, y, z];

function springsOf(network: Network, motion: Motion): readonly Spring[] {
  const ropes = network.ropes.map(({ nodes, bends, pull }): Spring => {
    const share = (places: readonly Vec3[], strand: number) => {
      let log = 0;
      for (let bend = 1; bend <= strand; bend++) {
        const [a, b, c] = [bend - 1, bend, bend + 1].map((index) => places[nodes[index] as number]) as [Vec3, Vec3, Vec3];
        const friction = bends[bend - 1];
        if (friction) log += logShare(friction, motion, angleBetween(subtract(b, a), subtract(c, b))).value;
      }
      return Math.exp(log);
    };
    return {
      nodes,
      lengthM: pull?.kind === 'length' ? pull.lengthM : undefined,
      driven: pull?.kind === 'driven' ? pull.tension : 1,
      share,
    };
  });
  const links = network.links.map(({ from, to, lengthM }): Spring => ({ nodes: [from, to], lengthM, driven: 0, share: () => 1 }));
  return [...ropes, ...links];
}

function pathM(nodes: readonly number[], places: readonly Vec3[]): number {
  return nodes.slice(1).reduce((sum, node, index) => sum + distance(places[nodes[index] as number] as Vec3, places[node] as Vec3), 0);
}

function tensionOf({ nodes, lengthM, driven }: Spring, preTension: number, places: readonly Vec3[]): number {
  return lengthM === undefined ? driven : Math.max(0, preTension + STIFFNESS * (pathM(nodes, places) - lengthM));
}

function forcesAt(network: Network, springs: readonly Spring[], preTension: readonly number[], places: readonly Vec3[]): readonly Vec3[] {
  const forces = network.nodes.map(() => ZERO);
  springs.forEach((spring, index) => {
    const tension = tensionOf(spring, preTension[index] as number, places);
    if (tension === 0) return;
    for (let strand = 0; strand + 1 < spring.nodes.length; strand++) {
      const [from, to] = [spring.nodes[strand] as number, spring.nodes[strand + 1] as number];
      const along = unit(subtract(places[to] as Vec3, places[from] as Vec3)) ?? ZERO;
      const pull = scale(along, tension * spring.share(places, strand));
      forces[from] = add(forces[from] as Vec3, pull);
      forces[to] = subtract(forces[to] as Vec3, pull);
    }
  });
  return forces;
}

/** Lets the free nodes drift for a while; one that moves against the force on it is stopped. */
function drift(network: Network, springs: readonly Spring[], preTension: readonly number[], from: readonly Vec3[]): Vec3[] {
  const places = [...from];
  const speeds = network.nodes.map(() => ZERO);
  const free = network.nodes.map((_, node) => node).filter((node) => network.nodes[node]?.held === false);
  // Heavy enough for the stiffest node to be stable at a step of one.
  const mass = 4 * STIFFNESS * Math.max(1, ...free.map((node) => springs.filter(({ nodes }) => nodes.includes(node)).length));
  for (let step = 0; step < STEPS; step++) {
    const forces = forcesAt(network, springs, preTension, places);
    let work = 0;
    for (const node of free) {
      const [f, v] = [forces[node] as Vec3, speeds[node] as Vec3];
      work += f.x * v.x + f.y * v.y + f.z * v.z;
    }
    for (const node of free) {
      const speed = add(work < 0 ? ZERO : (speeds[node] as Vec3), scale(forces[node] as Vec3, 1 / mass));
      speeds[node] = speed;
      places[node] = add(places[node] as Vec3, speed);
    }
  }
  return places;
}
