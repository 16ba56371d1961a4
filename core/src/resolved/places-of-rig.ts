import { isAnchor } from '../anchors/anchor-body.ts';
import { anchorCapacity } from '../anchors/anchor-capacity.ts';
import { numberAt, swingOf, traitsOf } from '../gear/traits.ts';
import type { PieceLimit } from '../rating/piece-limit.ts';
import { isJudgedPoint } from '../rig/judged-point.ts';
import { connectionLocals, hitchOf } from './chain-locals.ts';
import type { ResolvedBody, ResolvedChain, ResolvedDrive, ResolvedLine, ResolvedPoint, ResolvedStop, ResolvedUse } from './parts.ts';
import type { AnchorPoint, LoadSource, OpenPlace, Owner, Place, PlaceStrength, ShackleInPoint } from './place.ts';
import type { RigParts } from './resolved-rig.ts';
import { factorOf, ropePlaces } from './rope-places.ts';

const NO_LOCALS: Place['locals'] = [];
const NO_SPANS: Place['spans'] = [];

/**
 * All places of a rig in load-path order: each line from its drive, then at each bend and at the end the chain outward to
 * its body, the legs of a bridle one after the other; back-anchors last. Joined ropes carry a place at each bend that they
 * may lie over: the lengths of the moment tell which do.
 */
export function placesOfRig(rig: RigParts): readonly Place[] {
  const walked = new Set<ResolvedChain | ResolvedBody>();
  const onLines = rig.lines.flatMap((line) => [
    ...drumPlaces(line),
    ...ropePlaces(rig, line),
    ...line.stops.flatMap((_, stop) => chainsAtStop(rig, line, stop, walked)),
  ]);
  const places = [...onLines, ...backAnchorPlaces(rig, walked)];
  places.forEach((place, index) => {
    place.index = index;
  });
  return places;
}

function drumPlaces(line: ResolvedLine): readonly OpenPlace[] {
  const { drive } = line;
  if (drive?.kind !== 'winch') return [];
  return [
    {
      index: 0,
      id: `${drive.use.use.id}:drum`,
      part: line.line.id,
      kind: 'drum',
      owner: { kind: 'use', use: drive.use },
      where: 'drum',
      load: { kind: 'span', line: line.index, span: 0 },
      strength: drumStrength(drive),
      bend: undefined,
      shackle: undefined,
      locals: NO_LOCALS,
      slipsN: undefined,
      ownLine: false,
      judged: false,
      empty: drive.use.piece === undefined,
      spans: [line.firstSpan],
      onlyWhere: undefined,
    },
  ];
}

const drumStrength = (drive: Extract<ResolvedDrive, { kind: 'winch' }>): PlaceStrength =>
  drive.sizes.kind === 'no-winch' ? { kind: 'unrated' } : { kind: 'drum', drive };

/** The chains that hold a line at one of its stops, outward to their bodies; a chain in the air is followed by those that hold its joint. */
function chainsAtStop(rig: RigParts, line: ResolvedLine, at: number, walked: Set<unknown>): readonly OpenPlace[] {
  const stop = line.stops[at];
  if (stop === undefined) return [];
  const spans = [at - 1, at].filter((span) => span >= 0 && span < line.spans.length).map((span) => line.firstSpan + span);
  return holding(rig, stop).flatMap((chain) => outward(rig, chain, { spans, part: line.line.id }, walked));
}

function holding({ chains }: RigParts, { chain, node }: ResolvedStop): readonly ResolvedChain[] {
  return chain ? [chain] : chains.filter(({ tip, chain: { to } }) => tip === node && to !== undefined);
}

/** What a chain hangs on: the spans that pull at it, and the line it is part of. */
interface Hanging {
  readonly spans: readonly number[];
  readonly part: string;
}

function outward(rig: RigParts, chain: ResolvedChain, hanging: Hanging, walked: Set<unknown>): readonly OpenPlace[] {
  if (walked.has(chain)) return [];
  walked.add(chain);
  const own = placesOfChain(rig, chain, hanging, walked);
  if (chain.chain.from.kind !== 'joint') return own;
  const legs = rig.chains.filter(({ chain: { to }, tip }) => to !== undefined && tip === chain.root);
  return [...own, ...legs.flatMap((leg) => outward(rig, leg, hanging, walked))];
}

function placesOfChain(rig: RigParts, chain: ResolvedChain, hanging: Hanging, walked: Set<unknown>): readonly OpenPlace[] {
  const on = chain.point?.on;
  const load = (share: number): LoadSource => ({ kind: 'chain', chain: chain.index, share: share * chain.share });
  const pieces = [...chain.uses]
    .reverse()
    .filter(({ use }) => use.role !== 'anchor')
    .map((use) => chainPiece(rig, use, { point: chain.point, load, ...hanging }));
  if (on === undefined || walked.has(on)) return pieces;
  walked.add(on);
  return [...pieces, ...anchorOf(rig, on, chain.chain.id, hanging)];
}

/** What holds, once for all chains and back-anchors on it: it carries their sum, and is as strong as at its weakest point. */
function anchorOf(rig: RigParts, on: ResolvedBody, id: string, { spans, part }: Hanging): readonly OpenPlace[] {
  const chains = rig.chains.filter(({ point }) => point?.on === on);
  const ties = rig.ties.filter(({ anchor }) => anchor.on === on);
  const at = new Set([...chains.flatMap(({ point }) => point ?? []), ...ties.map(({ anchor }) => anchor)]);
  const points = [...at].flatMap((point) => anchorPoint(rig, point));
  const alone = chains.length === 1 && ties.length === 0;
  return anchorPlaces(on, points, { id, load: { kind: 'body', body: on.index }, part, spans: alone ? spans : NO_SPANS });
}

/** What an anchor is asked at one of its points, by the last chain that starts there; a back-anchor's pull is taken as level. */
function anchorPoint({ chains, ties, policy }: RigParts, point: ResolvedPoint): readonly AnchorPoint[] {
  const { body } = point.on;
  if (!isAnchor(body)) return [];
  const tie = ties.filter(({ anchor }) => anchor === point).at(-1);
  const uses = tie?.uses ?? chains.filter((chain) => chain.point === point).at(-1)?.uses ?? [];
  const piece = uses.find(({ use }) => use.role === 'anchor')?.piece;
  const question = { body, heightM: point.point.place.heightM, piece };
  const risen = tie === undefined && body.kind === 'deadman' && body.judged === undefined;
  return [
    {
      question,
      point: tie ? undefined : point.index,
      capacity: risen ? 'with-the-rise' : anchorCapacity({ ...question, riseRad: 0 }, policy),
    },
  ];
}

interface ChainPart extends Hanging {
  /** The point that the chain starts from. */
  readonly point: ResolvedPoint | undefined;
  readonly load: (share: number) => LoadSource;
}

function chainPiece({ policy }: RigParts, use: ResolvedUse, { point, load, spans, part }: ChainPart): OpenPlace {
  const own = use.piece === undefined && isJudgedPoint(use.use) ? point : undefined;
  const owner: Owner = own ? { kind: 'use', use, point: own.point.label } : { kind: 'use', use };
  const hitch = hitchOf(use, policy);
  const meets = connectionLocals(use, policy);
  const locals = hitch.locals.length === 0 ? meets : [...hitch.locals, ...meets];
  const kind = hitch.legs ? 'legs' : 'body';
  const judged = use.use.judged ?? (use.limit?.kind === 'judged' ? use.limit : undefined);
  const strength: PlaceStrength = judged
    ? { kind: 'judged', wllN: judged.workingN, mbsN: judged.failingN }
    : ratedStrength(onItsAxis(use), factorOf(locals));
  return {
    index: 0,
    id: `${use.use.id}:${kind}`,
    part,
    kind,
    owner,
    where: hitch.legs && !judged ? 'each leg' : '',
    // A vehicle's own point may carry more than this one chain.
    load: use.use.role === 'point' && point !== undefined ? { kind: 'point', point: point.index } : load(hitch.share),
    strength,
    bend: undefined,
    shackle: judged ? undefined : shackleInPoint(use),
    locals: judged ? NO_LOCALS : locals,
    slipsN: use.piece && numberAt(use.piece, 'slipLoadN'),
    ownLine: false,
    judged: judged !== undefined,
    empty: use.piece === undefined,
    spans,
    onlyWhere: undefined,
  };
}

/** A steel shackle whose neighbour is a vehicle's point and whose angle nobody states. */
export function shackleInPoint(use: ResolvedUse): ShackleInPoint | undefined {
  const { piece, seat } = use;
  if (piece === undefined || use.use.bowAngleRad !== undefined || (seat.kind !== 'chain' && seat.kind !== 'back-anchor')) return undefined;
  const { enters } = traitsOf(piece);
  const held = enters !== 'nothing' && enters.kind === 'shackle' ? pointBeside(use, seat) : undefined;
  return held && { use, seat, on: held.on, swing: swingOf(held.point.piece) };
}

/** The vehicle's point that a piece sits in, and the vehicle: towards the body in a chain, at either end of a back-anchor. */
function pointBeside({ inner, outer }: ResolvedUse, seat: ShackleInPoint['seat']) {
  const ends =
    seat.kind === 'chain'
      ? [{ point: inner, on: seat.chain.point?.on }]
      : [
          { point: outer, on: seat.tie.vehicle.on },
          { point: inner, on: seat.tie.anchor.on },
        ];
  for (const { point, on } of ends) if (point?.use.role === 'point' && on !== undefined) return { point, on };
  return undefined;
}

function ratedStrength(limit: PieceLimit | undefined, factor: number): PlaceStrength {
  return limit?.kind === 'rated' ? { kind: 'rated', wllN: limit.wllN, mbsN: limit.mbsN, factor } : { kind: 'unrated' };
}

/** The limit of a carabiner across its gate is its breaking strength there, in the same proportion. */
function onItsAxis({ use, piece, limit }: ResolvedUse): PieceLimit | undefined {
  const minorN = use.axis === 'minor' && piece ? numberAt(piece, 'minorAxisBreakingN') : undefined;
  if (minorN === undefined || limit?.kind !== 'rated') return limit;
  const share = Math.min(1, minorN / limit.limit.mbsN);
  return { ...limit, wllN: limit.wllN * share, mbsN: limit.mbsN * share };
}

interface AnchorPart extends Hanging {
  readonly id: string;
  readonly load: LoadSource;
}

function anchorPlaces({ body }: ResolvedBody, points: readonly AnchorPoint[], { id, load, spans, part }: AnchorPart): readonly OpenPlace[] {
  if (!isAnchor(body)) return [];
  const strength: PlaceStrength = points.some(({ capacity }) => capacity === undefined) ? { kind: 'unrated' } : { kind: 'anchor', points };
  return [
    {
      index: 0,
      id: `${body.id}:anchor:${id}`,
      part,
      kind: 'anchor',
      owner: { kind: 'body', bodyId: body.id, label: body.label },
      where: 'anchor',
      load,
      strength,
      bend: undefined,
      shackle: undefined,
      locals: NO_LOCALS,
      slipsN: undefined,
      ownLine: false,
      judged: true,
      empty: false,
      spans,
      onlyWhere: undefined,
    },
  ];
}

function backAnchorPlaces(rig: RigParts, walked: Set<unknown>): readonly OpenPlace[] {
  return rig.ties.flatMap(({ index, id, anchor, vehicle, uses, share: own }) => {
    const load = (share: number): LoadSource => ({ kind: 'back-anchor', tie: index, share: share * own });
    const hanging: Hanging = { spans: NO_SPANS, part: id };
    const places = uses
      .filter(({ use }) => use.role !== 'anchor')
      .map((use, order) => chainPiece(rig, use, { point: order === 0 ? anchor : vehicle, load, ...hanging }));
    if (walked.has(anchor.on)) return places;
    walked.add(anchor.on);
    return [...places, ...anchorOf(rig, anchor.on, id, hanging)];
  });
}
