import { strapBasket } from '../anchors/strap-basket.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { inLineLengthM } from '../gear/in-line-length.ts';
import { isPulley, pulleyKind } from '../gear/pulleys.ts';
import type { Policy } from '../policy/policy.ts';
import type { Chain, Line, PieceUse, Rig } from '../rig/rig.ts';
import { bodyOfChain, pointOfChain, pointPosition, roundDiameterM } from '../rig/site-geometry.ts';
import type { BendFriction, Link, Network, NetworkNode, Rope } from '../statics/network.ts';
import { add, scale, subtract, unit, type Vec3, vec3 } from '../statics/vec3.ts';

/** Gear by its id. */
export type GearIndex = ReadonlyMap<string, GearFacts>;

export interface ChainPlace {
  readonly chain: Chain;
  /** The node where it starts, and the node that holds the line; equal for a chain without length. */
  readonly root: number;
  readonly tip: number;
  /** Its link; −1 for a chain without length. */
  readonly link: number;
  readonly lengthM: number;
  /** Share of the link's force that it is judged for: less than 1 where like straps lie side by side. */
  readonly share: number;
}

/** What a line meets on its way: node by node, its first end first. */
export interface Stop {
  readonly kind: 'start' | 'pulley' | 'edge' | 'grip' | 'end';
  readonly node: number;
  /** The chain that holds the line here. */
  readonly chainId?: string;
  /** Place in the line's `via`; −1 for ends and grips. */
  readonly via: number;
}

/** One straight stretch of a line, as the network counts it. */
export interface SpanRef {
  readonly rope: number;
  readonly strand: number;
}

/** A line as the network has it: spans[i] runs from stops[i] to stops[i + 1]. */
export interface LineWalk {
  readonly line: Line;
  readonly index: number;
  readonly stops: readonly Stop[];
  readonly spans: readonly SpanRef[];
}

/** A rig turned into a mechanical problem, with the way back. Driven ropes are driven at 1 until shares are known. */
export interface RigNetwork {
  readonly network: Network;
  readonly chains: readonly ChainPlace[];
  readonly lines: readonly LineWalk[];
  readonly joints: ReadonlyMap<string, number>;
  /** Uses whose length is unknown and was taken as nothing. */
  readonly unknownLengths: readonly PieceUse[];
}

/** Chains shorter than this count as none; far below what a tape measure shows. Metres. */
const SHORTEST_CHAIN_M = 1e-6;
/** A chain that joins two places in the air is at least so long, metres; a shackle is longer. */
const SHORTEST_JOINING_M = 0.01;
/** Straps between the same points whose lengths differ by less than this share are like straps. */
const LIKE = 0.01;

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

interface Building {
  readonly rig: Rig;
  readonly gear: GearIndex;
  readonly policy: Policy;
  readonly nodes: NetworkNode[];
  readonly links: Link[];
  readonly ropes: Rope[];
  readonly joints: Map<string, number>;
  readonly grips: Map<string, number>;
  readonly chains: ChainPlace[];
  readonly unknownLengths: PieceUse[];
  readonly middle: Vec3;
}

/** Builds nodes, links and ropes from a rig whose references hold. */
export function rigNetwork(rig: Rig, gear: GearIndex, policy: Policy): RigNetwork {
  const building: Building = {
    rig,
    gear,
    policy,
    nodes: [],
    links: [],
    ropes: [],
    joints: new Map(),
    grips: new Map(),
    chains: [],
    unknownLengths: [],
    middle: centreOf(rig),
  };
  const floating = (id: string, order: number) => {
    // Spread a little, so that no two first guesses coincide.
    const at = add(building.middle, vec3(0.13 * order, 0.07 * order, 0));
    return building.nodes.push({ id, at, held: false }) - 1;
  };
  (rig.joints ?? []).forEach(({ id, label }, order) => {
    building.joints.set(id, floating(label, order + 1));
  });
  (rig.grips ?? []).forEach(({ id }, order) => {
    building.grips.set(id, floating(`grip ${id}`, -order - 1));
  });
  for (const chain of rig.chains) addChain(building, chain);
  const lines = rig.lines.map((line, index) => addLine(building, line, index));
  const { nodes, links, ropes, chains, joints, unknownLengths } = building;
  return { network: { nodes, links, ropes }, chains, lines, joints, unknownLengths };
}

/** The middle of all points that hold something: where first guesses look. */
function centreOf(rig: Rig): Vec3 {
  const places = rig.points.map((point) => pointPosition(rig, point));
  return scale(places.reduce(add, vec3(0, 0, 0)), 1 / Math.max(1, places.length));
}

function addChain(building: Building, chain: Chain): void {
  const { rig, nodes, links, chains, joints, grips, middle } = building;
  const point = pointOfChain(rig, chain);
  const rootAt = point === undefined ? middle : pointPosition(rig, point);
  const root =
    chain.from.kind === 'joint'
      ? (joints.get(chain.from.jointId) as number)
      : nodes.push({ id: `${chain.id} at its point`, at: rootAt, held: true }) - 1;
  const counted = chainLengthM(building, chain);
  if (chain.to === undefined && counted < SHORTEST_CHAIN_M) {
    chains.push({ chain, root, tip: root, link: -1, lengthM: 0, share: 1 });
    return;
  }
  const lengthM = chain.to === undefined ? counted : Math.max(counted, SHORTEST_JOINING_M);
  const towards = unit(subtract(middle, rootAt)) ?? vec3(1, 0, 0);
  const tip =
    chain.to === undefined
      ? nodes.push({ id: `end of ${chain.id}`, at: add(rootAt, scale(towards, lengthM)), held: false }) - 1
      : ((chain.to.kind === 'joint' ? joints.get(chain.to.jointId) : grips.get(chain.to.gripId)) as number);
  const like = chains.find((other) => sameEnds(other.chain, chain) && Math.abs(other.lengthM - lengthM) <= LIKE * lengthM);
  if (like !== undefined) {
    const share = building.policy.sharing.parallelStraps.value;
    chains.forEach((other, index) => {
      if (other.link === like.link) chains[index] = { ...other, share };
    });
    chains.push({ ...like, chain, share });
    return;
  }
  const link = links.push({ id: chain.id, from: root, to: tip, lengthM }) - 1;
  chains.push({ chain, root, tip, link, lengthM, share: 1 });
}

function sameEnds(a: Chain, b: Chain): boolean {
  if (a.to?.kind !== 'joint' || b.to?.kind !== 'joint' || a.to.jointId !== b.to.jointId) return false;
  if (a.from.kind === 'point') return b.from.kind === 'point' && a.from.pointId === b.from.pointId;
  return b.from.kind === 'joint' && a.from.jointId === b.from.jointId;
}

function chainLengthM({ rig, gear, unknownLengths }: Building, chain: Chain): number {
  const trunk = roundDiameterM(bodyOfChain(rig, chain));
  return chain.pieces.reduce((total, use) => {
    const own = useLengthM(use, trunk, gear);
    if (own === undefined) unknownLengths.push(use);
    return total + (own ?? 0);
  }, 0);
}

function addLine(building: Building, line: Line, index: number): LineWalk {
  const stops = stopsOf(building, line);
  const bends = stops.map((stop) => bendFriction(building, line, stop));
  const grips = gripsOn(building, line);
  const spans: SpanRef[] = [];
  let first = 0;
  let part = 0;
  for (let end = 1; end < stops.length; end++) {
    const stop = stops[end] as Stop;
    if (stop.kind !== 'grip' && end < stops.length - 1) continue;
    const rope = building.ropes.length;
    building.ropes.push({
      id: part === 0 ? line.id : `${line.id} behind a grip`,
      nodes: stops.slice(first, end + 1).map(({ node }) => node),
      bends: bends.slice(first + 1, end),
      pull: part > 0 ? { kind: 'length', lengthM: behindGrip(grips, part) } : ownPull(line),
    });
    for (let strand = 0; strand < end - first; strand++) spans.push({ rope, strand });
    first = end;
    part++;
  }
  return { line, index, stops, spans };
}

function ownPull({ drive }: Line): NonNullable<Rope['pull']> {
  return drive.kind === 'held' ? { kind: 'length', lengthM: drive.lengthM } : { kind: 'driven', tension: 1 };
}

/** Rope between the part-th grip and the next, or the line's end. */
function behindGrip(grips: readonly { readonly toEndM: number }[], part: number): number {
  return (grips[part - 1]?.toEndM ?? 0) - (grips[part]?.toEndM ?? 0);
}

/** The grips on a line in the order in which the line meets them. */
function gripsOn({ rig, grips }: Building, line: Line) {
  return (rig.grips ?? [])
    .filter(({ lineId }) => lineId === line.id)
    .map((grip) => ({ ...grip, node: grips.get(grip.id) as number }))
    .sort((a, b) => b.toEndM - a.toEndM);
}

function stopsOf(building: Building, line: Line): readonly Stop[] {
  const grips = gripsOn(building, line);
  const held = (strand: number): Stop[] =>
    grips.filter((grip) => grip.strand === strand).map(({ node }) => ({ kind: 'grip', node, via: -1 }));
  const ends = (end: Line['to'], kind: 'start' | 'end'): Stop =>
    end.kind === 'chain'
      ? { kind, node: tipOf(building, end.chainId), chainId: end.chainId, via: -1 }
      : { kind, node: building.joints.get(end.jointId) as number, via: -1 };
  const between = line.via.flatMap((bend, via): Stop[] => {
    const stop: Stop =
      bend.kind === 'pulley'
        ? { kind: 'pulley', node: tipOf(building, bend.chainId), chainId: bend.chainId, via }
        : { kind: 'edge', node: fixedNode(building, bend.pointId, `edge ${via} of ${line.id}`), via };
    return [...held(via), stop];
  });
  return [startOf(building, line, ends), ...between, ...held(line.via.length), ends(line.to, 'end')];
}

function startOf(building: Building, line: Line, ends: (end: Line['to'], kind: 'start') => Stop): Stop {
  const { drive } = line;
  switch (drive.kind) {
    case 'winch':
    case 'hand':
      return { kind: 'start', node: fixedNode(building, drive.pointId, `drive of ${line.id}`), via: -1 };
    case 'tow':
      return ends({ kind: 'chain', chainId: drive.chainId }, 'start');
    case 'held':
      return ends(drive.end, 'start');
    default: {
      const never: never = drive;
      return never;
    }
  }
}

function tipOf({ chains }: Building, chainId: string): number {
  return chains.find(({ chain }) => chain.id === chainId)?.tip ?? 0;
}

function fixedNode({ rig, nodes }: Building, pointId: string, id: string): number {
  const point = rig.points.find((entry) => entry.id === pointId);
  return nodes.push({ id, at: point ? pointPosition(rig, point) : vec3(0, 0, 0), held: true }) - 1;
}

function bendFriction({ rig, gear, policy }: Building, line: Line, stop: Stop): BendFriction {
  const { friction } = policy;
  if (friction.school === 'none' || stop.kind === 'start' || stop.kind === 'end' || stop.kind === 'grip') return { kind: 'frictionless' };
  const bend = line.via[stop.via];
  if (bend?.kind === 'edge') return { kind: 'plain', friction: friction.plainBendFriction[bend.bend].value };
  if (friction.school === 'flat') return { kind: 'flat', efficiency: friction.flatPerPulley.value };
  const last = rig.chains.find(({ id }) => id === stop.chainId)?.pieces.at(-1);
  const pulley = last && gearOf(last, gear);
  return { kind: 'by-wrap', efficiency180: friction.pulleyEfficiency[isPulley(pulley) ? pulleyKind(pulley) : 'ring'].value };
}
