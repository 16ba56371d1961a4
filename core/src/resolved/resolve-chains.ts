import { strapBasket } from '../anchors/strap-basket.ts';
import { inLineLengthM, lengthOf } from '../gear/traits.ts';
import type { Policy } from '../policy/policy.ts';
import type { Chain, Rig } from '../rig/rig.ts';
import { roundDiameterM } from '../rig/site-geometry.ts';
import type { Link } from '../statics/network.ts';
import type { EquationNode } from './equations.ts';
import type { ResolvedChain, ResolvedPoint } from './parts.ts';
import type { OpenUse, OpenUses } from './resolve-uses.ts';

/** Chains shorter than this count as none; far below what a tape measure shows. Metres. */
const SHORTEST_CHAIN_M = 1e-6;
/** A chain that joins two places in the air is at least so long, metres; a shackle is longer. */
const SHORTEST_JOINING_M = 0.01;
/** Straps between the same points whose lengths differ by less than this share are like straps. */
export const LIKE = 0.01;

/** The equations while they grow: nodes and links of the chains, then the ropes. */
export interface OpenEquations {
  readonly nodes: EquationNode[];
  readonly links: Link[];
  readonly joints: ReadonlyMap<string, number>;
  readonly grips: ReadonlyMap<string, number>;
}

interface ChainInput {
  readonly rig: Rig;
  readonly policy: Policy;
  readonly points: readonly ResolvedPoint[];
  readonly uses: OpenUses;
}

/** Every chain with its pieces, its nodes and its link. A chain of length c is a massless link between where it starts and its free end. */
export function resolveChains(input: ChainInput): { readonly chains: readonly ResolvedChain[]; readonly equations: OpenEquations } {
  const { rig } = input;
  const nodes: EquationNode[] = [];
  const floating = (id: string, order: number) => nodes.push({ id, kind: 'floating', order }) - 1;
  const joints = new Map((rig.joints ?? []).map(({ id, label }, order) => [id, floating(label, order + 1)]));
  const grips = new Map((rig.grips ?? []).map(({ id }, order) => [id, floating(`grip ${id}`, -order - 1)]));
  const equations: OpenEquations = { nodes, links: [], joints, grips };
  const chains: ResolvedChain[] = [];
  rig.chains.forEach((chain, index) => {
    addChain(input, equations, chains, { chain, index });
  });
  chains.forEach((chain, index) => {
    (input.uses.chains[index] ?? []).forEach((open, order) => {
      open.seat = { kind: 'chain', chain, order };
    });
  });
  return { chains, equations };
}

type ChainEnds = Pick<ResolvedChain, 'root' | 'tip' | 'link' | 'lengthM' | 'share' | 'twin'>;

function addChain(
  { policy, points, uses: { chains: uses } }: ChainInput,
  { nodes, links, joints, grips }: OpenEquations,
  chains: ResolvedChain[],
  { chain, index }: { readonly chain: Chain; readonly index: number },
): void {
  const { from, to } = chain;
  const own = uses[index] ?? [];
  const point = from.kind === 'point' ? points.find((entry) => entry.point.id === from.pointId) : undefined;
  const root =
    from.kind === 'joint'
      ? (joints.get(from.jointId) ?? 0)
      : nodes.push({ id: `${chain.id} at its point`, kind: 'held', point: point?.index ?? 0 }) - 1;
  const counted = chainLengthM(own, point);
  const add = ({ root: start, tip, link, lengthM, share, twin }: ChainEnds) =>
    chains.push({ index, chain, uses: own, first: own[0], last: own.at(-1), point, root: start, tip, link, lengthM, share, twin });
  if (to === undefined && counted < SHORTEST_CHAIN_M) {
    add({ root, tip: root, link: -1, lengthM: 0, share: 1, twin: false });
    return;
  }
  const lengthM = to === undefined ? counted : Math.max(counted, SHORTEST_JOINING_M);
  const tip =
    to === undefined
      ? nodes.push({ id: `end of ${chain.id}`, kind: 'tip', point: point?.index, lengthM }) - 1
      : ((to.kind === 'joint' ? joints.get(to.jointId) : grips.get(to.gripId)) ?? 0);
  const like = chains.find((other) => sameEnds(other.chain, chain) && Math.abs(other.lengthM - lengthM) <= LIKE * lengthM);
  if (like !== undefined) {
    const share = policy.sharing.parallelStraps.value;
    chains.forEach((other, order) => {
      if (other.link === like.link) chains[order] = { ...other, share };
    });
    add({ root: like.root, tip: like.tip, link: like.link, lengthM: like.lengthM, share, twin: true });
    return;
  }
  const link = links.push({ id: chain.id, from: root, to: tip, lengthM }) - 1;
  add({ root, tip, link, lengthM, share: 1, twin: false });
}

function sameEnds(a: Chain, b: Chain): boolean {
  if (a.to?.kind !== 'joint' || b.to?.kind !== 'joint' || a.to.jointId !== b.to.jointId) return false;
  if (a.from.kind === 'point') return b.from.kind === 'point' && a.from.pointId === b.from.pointId;
  return b.from.kind === 'joint' && a.from.jointId === b.from.jointId;
}

/** How far pieces reach from where they start, metres; what they go round and whose length is not on record is noted with them. */
export function chainLengthM(own: readonly OpenUse[], point: ResolvedPoint | undefined): number {
  const trunkM = roundDiameterM(point?.on.body);
  let total = 0;
  for (const open of own) {
    goRound(open, trunkM);
    const lengthM = useLengthM(open);
    open.lengthUnknown = lengthM === undefined;
    total += lengthM ?? 0;
  }
  return total;
}

/** What a strap goes round, where it goes round something. */
function goRound(open: OpenUse, trunkDiameterM: number | undefined): void {
  const { piece, use } = open;
  if (piece === undefined || trunkDiameterM === undefined) return;
  const lengthM = lengthOf(piece);
  const basket = use.hitch === 'basket' && lengthM !== undefined ? strapBasket(lengthM, trunkDiameterM) : undefined;
  open.round = { diameterM: trunkDiameterM, basket };
}

/** The length of a use in its chain: a basket reaches from the trunk's axis to where its legs meet, all else its length. */
function useLengthM({ use, piece, round }: OpenUse): number | undefined {
  if (piece === undefined) return 0;
  const lengthM = inLineLengthM(piece);
  if (lengthM === undefined || round === undefined || (use.hitch !== 'basket' && use.hitch !== 'choke')) return lengthM;
  if (use.hitch === 'choke') return Math.max(0, lengthM - Math.PI * round.diameterM);
  const basket = lengthM === lengthOf(piece) ? round.basket : strapBasket(lengthM, round.diameterM);
  return basket?.reachM ?? round.diameterM / 2;
}
