import { strapBasket } from '../anchors/strap-basket.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { inLineLengthM } from '../gear/in-line-length.ts';
import { isPulley, pulleyKind } from '../gear/pulleys.ts';
import type { Policy } from '../policy/policy.ts';
import type { BendFriction, Link, Network, NetworkNode, Rope } from '../statics/network.ts';
import { add, scale, subtract, unit, type Vec3, vec3 } from '../statics/vec3.ts';
import { pointPosition } from './places.ts';
import type { Chain, PieceUse, Rig } from './rig.ts';

/** Gear by its id. */
export type GearIndex = ReadonlyMap<string, GearFacts>;

export interface ChainPlace {
  readonly chain: Chain;
  /** The node at the body's point, and the node that holds the line; equal for a chain without length. */
  readonly root: number;
  readonly tip: number;
  /** Its link; −1 for a chain without length. */
  readonly link: number;
  readonly lengthM: number;
}

/** A rig turned into a mechanical problem, with the way back. */
export interface RigNetwork {
  readonly network: Network;
  readonly chains: readonly ChainPlace[];
  /** Node of each line's drive. */
  readonly drives: readonly number[];
  /** Uses whose length is unknown and was taken as nothing. */
  readonly unknownLengths: readonly PieceUse[];
}

/** Chains shorter than this count as none; far below what a tape measure shows. Metres. */
const SHORTEST_CHAIN_M = 1e-6;

export function gearOf(use: PieceUse, gear: GearIndex): GearFacts | undefined {
  return use.gearId === undefined ? undefined : gear.get(use.gearId);
}

/** The length of a use in its chain: a basket reaches from the trunk's axis to where its legs meet, all else its length. */
function useLengthM(use: PieceUse, trunkDiameterM: number | undefined, gear: GearIndex): number | undefined {
  const piece = gearOf(use, gear);
  if (piece === undefined) return 0;
  const lengthM = inLineLengthM(piece);
  if (lengthM === undefined || trunkDiameterM === undefined || (use.hitch !== 'basket' && use.hitch !== 'choke')) return lengthM;
  if (use.hitch === 'choke') return Math.max(0, lengthM - Math.PI * trunkDiameterM);
  return strapBasket(lengthM, trunkDiameterM)?.reachM ?? trunkDiameterM / 2;
}

/** Builds nodes, links and ropes from a rig whose references hold. */
export function rigNetwork(rig: Rig, gear: GearIndex, policy: Policy): RigNetwork {
  const nodes: NetworkNode[] = [];
  const links: Link[] = [];
  const unknownLengths: PieceUse[] = [];
  const middle = centreOf(rig);
  const chains = rig.chains.map((chain): ChainPlace => {
    const point = rig.points.find(({ id }) => id === chain.from.pointId);
    const body = rig.bodies.find(({ id }) => id === point?.bodyId);
    const root = point === undefined ? vec3(0, 0, 0) : pointPosition(rig, point);
    const trunk = body?.kind === 'tree' ? body.trunkDiameterM : undefined;
    let lengthM = 0;
    for (const use of chain.pieces) {
      const own = useLengthM(use, trunk, gear);
      if (own === undefined) unknownLengths.push(use);
      lengthM += own ?? 0;
    }
    const rootNode = nodes.push({ id: `${chain.id} at its point`, at: root, held: true }) - 1;
    if (lengthM < SHORTEST_CHAIN_M) return { chain, root: rootNode, tip: rootNode, link: -1, lengthM: 0 };
    const towards = unit(subtract(middle, root)) ?? vec3(1, 0, 0);
    const tip = nodes.push({ id: `end of ${chain.id}`, at: add(root, scale(towards, lengthM)), held: false }) - 1;
    const link = links.push({ id: chain.id, from: rootNode, to: tip, lengthM }) - 1;
    return { chain, root: rootNode, tip, link, lengthM };
  });
  const drives: number[] = [];
  const ropes = rig.lines.map((line): Rope => {
    const point = rig.points.find(({ id }) => id === line.drive.pointId);
    const drive = nodes.push({ id: `drive of ${line.id}`, at: point ? pointPosition(rig, point) : vec3(0, 0, 0), held: true }) - 1;
    drives.push(drive);
    const tips = [...line.via.map(({ chainId }) => chainId), line.to.chainId].map(
      (id) => chains.find(({ chain }) => chain.id === id)?.tip ?? drive,
    );
    return { id: line.id, nodes: [drive, ...tips], bends: line.via.map(({ chainId }) => bendFriction(rig, chainId, gear, policy)) };
  });
  return { network: { nodes, links, ropes }, chains, drives, unknownLengths };
}

/** The middle of all points that hold something: where first guesses look. */
function centreOf(rig: Rig): Vec3 {
  const places = rig.points.map((point) => pointPosition(rig, point));
  return scale(places.reduce(add, vec3(0, 0, 0)), 1 / Math.max(1, places.length));
}

function bendFriction(rig: Rig, chainId: string, gear: GearIndex, policy: Policy): BendFriction {
  const last = rig.chains.find(({ id }) => id === chainId)?.pieces.at(-1);
  const pulley = last && gearOf(last, gear);
  const { friction } = policy;
  switch (friction.school) {
    case 'none':
      return { kind: 'frictionless' };
    case 'flat':
      return { kind: 'flat', efficiency: friction.flatPerPulley.value };
    case 'by-wrap':
      return { kind: 'by-wrap', efficiency180: friction.pulleyEfficiency[isPulley(pulley) ? pulleyKind(pulley) : 'ring'].value };
    default: {
      const never: never = friction.school;
      return never;
    }
  }
}
