import { type AnchorCapacity, isAnchor } from '../anchors/anchor-capacity.ts';
import type { LoadSource, Owner, Place, Solved } from '../moment/assessment.ts';
import type { DriveReport } from '../moment/drives.ts';
import type { Policy } from '../policy/policy.ts';
import type { PieceLimit } from '../rating/piece-limit.ts';
import { isJudgedPoint } from '../rig/judged-point.ts';
import type { Body, PieceUse, Rig, RigPoint } from '../rig/rig.ts';
import { bodyOfChain, bodyOfPoint, pointOfChain } from '../rig/site-geometry.ts';
import { connectionLocals, hitchOf } from './chain-locals.ts';
import { type ChainPlace, type GearIndex, gearOf, type LineWalk, type RigNetwork } from './rig-network.ts';
import { capacityOf, ropePlaces, strandNumber } from './rope-places.ts';

export interface PlacesInput {
  readonly rig: Rig;
  readonly gear: GearIndex;
  readonly policy: Policy;
  readonly network: RigNetwork;
  readonly solved: Solved;
  readonly drives: readonly DriveReport[];
  readonly limits: ReadonlyMap<string, PieceLimit>;
  readonly anchors: ReadonlyMap<string, AnchorCapacity | undefined>;
}

/**
 * All places of a rig in load-path order: each line from its drive, then at each bend and at the end the chain outward to
 * its body, the legs of a bridle one after the other; back-anchors last.
 */
export function placesOfRig(input: PlacesInput): readonly Place[] {
  const walked = new Set<string>();
  const onLines = input.network.lines.flatMap((walk) => [
    ...drumPlaces(input, walk),
    ...ropePlaces(input, walk),
    ...walk.stops.flatMap((_, stop) => chainsAtStop(input, walk, stop, walked)),
  ]);
  return [...onLines, ...backAnchorPlaces(input)];
}

function drumPlaces(input: PlacesInput, walk: LineWalk): readonly Place[] {
  const { drive } = walk.line;
  if (drive.kind !== 'winch') return [];
  const drum = input.drives.find((entry) => entry.walk === walk)?.drum;
  const capacity = drum === undefined || drum.kind === 'no-winch' ? undefined : { wllN: drum.ratedN, mbsN: 0 };
  return [
    {
      id: `${drive.use.id}:drum`,
      part: walk.line.id,
      kind: 'drum',
      owner: { kind: 'use', use: drive.use, piece: gearOf(drive.use, input.gear) },
      where: drum?.kind === 'known' ? `drum, layer ${drum.layer}` : 'drum',
      load: { kind: 'span', line: walk.index, span: 0 },
      locals: [],
      capacity,
      ownLine: false,
      judged: false,
      strands: [strandNumber(input, walk.index, 0)],
    },
  ];
}

/** The chains that hold a line at one of its stops, outward to their bodies; a chain in the air is followed by those that hold its joint. */
function chainsAtStop(input: PlacesInput, walk: LineWalk, stop: number, walked: Set<string>): readonly Place[] {
  const { chainId, node, kind } = walk.stops[stop] as LineWalk['stops'][number];
  const here = [stop - 1, stop]
    .filter((span) => span >= 0 && span < walk.spans.length)
    .map((span) => strandNumber(input, walk.index, span));
  const first = input.network.chains.find(({ chain }) => chain.id === chainId);
  const holding = first
    ? [first]
    : kind === 'grip' || chainId === undefined
      ? input.network.chains.filter(({ tip, chain }) => tip === node && chain.to)
      : [];
  return holding.flatMap((place) => outward(input, place, { strands: here, part: walk.line.id }, walked));
}

/** What a chain hangs on: the spans that pull at it, and the line it is part of. */
interface Hanging {
  readonly strands: readonly number[];
  readonly part: string;
}

function outward(input: PlacesInput, place: ChainPlace, hanging: Hanging, walked: Set<string>): readonly Place[] {
  if (walked.has(place.chain.id)) return [];
  walked.add(place.chain.id);
  const own = placesOfChain(input, place, hanging, walked);
  if (place.chain.from.kind !== 'joint') return own;
  const legs = input.network.chains.filter(({ chain, tip }) => chain.to !== undefined && tip === place.root);
  return [...own, ...legs.flatMap((leg) => outward(input, leg, hanging, walked))];
}

function placesOfChain(input: PlacesInput, place: ChainPlace, hanging: Hanging, walked: Set<string>): readonly Place[] {
  const chain = input.network.chains.indexOf(place);
  const body = bodyOfChain(input.rig, place.chain);
  const load = (share: number): LoadSource => ({ kind: 'chain', chain, share: share * place.share });
  const pieces = [...place.chain.pieces]
    .reverse()
    .filter(({ role }) => role !== 'anchor')
    .map((use) => chainPiece(input, place.chain.pieces, use, { body, point: pointOfChain(input.rig, place.chain), load, ...hanging }));
  return [...pieces, ...(body && !walked.has(body.id) ? anchorOfLines(input, body, place, hanging, walked) : [])];
}

/** The anchor that a chain ends at, once for all chains on it: it carries their sum, and is as strong as at its weakest point. */
function anchorOfLines(input: PlacesInput, body: Body, place: ChainPlace, hanging: Hanging, walked: Set<string>): readonly Place[] {
  walked.add(body.id);
  const chains = input.network.chains.filter(({ chain }) => bodyOfChain(input.rig, chain)?.id === body.id);
  const capacities = chains.map(({ chain }) => (chain.from.kind === 'point' ? input.anchors.get(chain.from.pointId) : undefined));
  const weakest = capacities.some((capacity) => capacity === undefined)
    ? undefined
    : capacities.reduce((least, capacity) => ((capacity?.workingN ?? 0) < (least?.workingN ?? 0) ? capacity : least));
  const strands = chains.length > 1 ? [] : hanging.strands;
  return anchorPlaces(body, weakest, { id: place.chain.id, load: { kind: 'body', bodyId: body.id }, part: hanging.part, strands });
}

interface ChainPart extends Hanging {
  readonly body: Body | undefined;
  /** The point that the chain starts from. */
  readonly point: RigPoint | undefined;
  readonly load: (share: number) => LoadSource;
}

function chainPiece(
  input: PlacesInput,
  pieces: readonly PieceUse[],
  use: PieceUse,
  { body, point, load, strands, part }: ChainPart,
): Place {
  const piece = gearOf(use, input.gear);
  const own = piece === undefined && isJudgedPoint(use) ? point : undefined;
  const owner: Owner = { kind: 'use', use, piece, ...(own && { point: own.label }) };
  const hitch = hitchOf(input, body, use);
  const locals = [...hitch.locals, ...connectionLocals(input, pieces, use)];
  const limit = input.limits.get(use.id);
  const kind = hitch.legs ? 'legs' : 'body';
  const judged = use.judged ?? (limit?.kind === 'judged' ? limit : undefined);
  const minor = use.axis === 'minor' && piece?.kind === 'carabiner' ? piece.attributes.minorAxisBreakingN : undefined;
  const held = minor === undefined || limit?.kind !== 'rated' ? limit : onMinorAxis(limit, minor);
  return {
    id: `${use.id}:${kind}`,
    part,
    kind,
    owner,
    where: hitch.legs && !judged ? 'each leg' : '',
    load: load(hitch.share),
    locals: judged ? [] : locals,
    capacity: judged ? { wllN: judged.workingN, mbsN: judged.failingN } : capacityOf(held, locals),
    ownLine: false,
    judged: judged !== undefined,
    strands,
  };
}

function onMinorAxis(limit: Extract<PieceLimit, { kind: 'rated' }>, minorN: number): PieceLimit {
  const share = Math.min(1, minorN / limit.limit.mbsN);
  return { ...limit, wllN: limit.wllN * share, mbsN: limit.mbsN * share };
}

interface AnchorPart extends Hanging {
  readonly id: string;
  readonly load: LoadSource;
}

function anchorPlaces(body: Body, anchor: AnchorCapacity | undefined, { id, load, strands, part }: AnchorPart): readonly Place[] {
  if (!isAnchor(body)) return [];
  return [
    {
      id: `${body.id}:anchor:${id}`,
      part,
      kind: 'anchor',
      owner: { kind: 'body', bodyId: body.id, label: body.label },
      where: 'anchor',
      load,
      locals: [],
      capacity: anchor && { wllN: anchor.workingN, mbsN: anchor.failingN },
      ownLine: false,
      judged: true,
      strands,
    },
  ];
}

function backAnchorPlaces(input: PlacesInput): readonly Place[] {
  return (input.rig.backAnchors ?? []).flatMap(({ id, anchorPointId, pieces }) => {
    const body = bodyOfPoint(input.rig, anchorPointId);
    const load = (share: number): LoadSource => ({ kind: 'back-anchor', backAnchorId: id, share });
    const places = pieces.map((use) => chainPiece(input, pieces, use, { body, point: undefined, load, strands: [], part: id }));
    return [...places, ...(body ? anchorPlaces(body, input.anchors.get(anchorPointId), { id, load: load(1), strands: [], part: id }) : [])];
  });
}
