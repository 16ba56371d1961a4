import { pinOf } from '../gear/pin-of.ts';
import { isPulley } from '../gear/pulleys.ts';
import type { LoadSource, Owner, Place } from '../moment/assessment.ts';
import { isRope } from '../moment/drum-state.ts';
import { spanLengthM, wrapAtStop } from '../moment/rig-forces.ts';
import { bendFactor, type Derate, eyeFactor } from '../rating/derates.ts';
import type { PieceLimit } from '../rating/piece-limit.ts';
import type { PieceUse } from '../rig/rig.ts';
import type { PlacesInput } from './places-of-rig.ts';
import { gearOf, type LineWalk } from './rig-network.ts';

/** Number of a span counted through all lines, as a report lists its strands. */
export function strandNumber({ network }: Pick<PlacesInput, 'network'>, line: number, span: number): number {
  return network.lines.slice(0, line).reduce((total, { spans }) => total + spans.length, 0) + span;
}

/** WLL and breaking strength of a rated piece with the factors of one place in; newtons. */
export function capacityOf(limit: PieceLimit | undefined, locals: readonly Derate[]): Place['capacity'] {
  if (limit?.kind !== 'rated') return undefined;
  const local = locals.reduce((total, { factor }) => total * factor, 1);
  return { wllN: limit.wllN * local, mbsN: limit.mbsN * local };
}

interface RopeSpan {
  readonly use: PieceUse;
  /** The stretch it covers, measured back from the line's end, metres. */
  readonly fromEndM: number;
  readonly toEndM: number;
}

/** Which stretch of the path each rope covers. */
export function ropeSpans({ line }: LineWalk, { gear }: Pick<PlacesInput, 'gear'>): readonly RopeSpan[] {
  let fromEndM = 0;
  const spans = [...line.ropes].reverse().map((use) => {
    const start = fromEndM;
    fromEndM += ropeLengthM(use, { gear }) ?? 0;
    return { use, fromEndM: start, toEndM: fromEndM };
  });
  return spans.reverse();
}

/** Length of a rope or strap of the line, metres. */
export function ropeLengthM(use: PieceUse, { gear }: Pick<PlacesInput, 'gear'>): number | undefined {
  const piece = gearOf(use, gear);
  return piece && 'lengthM' in piece.attributes ? piece.attributes.lengthM : undefined;
}

/** The places on the ropes of one line: where each begins, its bends, its end. */
export function ropePlaces(input: PlacesInput, walk: LineWalk): readonly Place[] {
  const lengths = walk.spans.map((_, span) => spanLengthM(walk, span, input.solved.hauling));
  const bends = walk.stops.flatMap(({ kind }, stop) =>
    kind === 'pulley' || kind === 'edge' ? [{ stop, toEndM: lengths.slice(stop).reduce((a, b) => a + b, 0) }] : [],
  );
  return ropeSpans(walk, input).flatMap(({ use, fromEndM, toEndM }, order) => {
    const mine = bends.filter((bend) => bend.toEndM >= fromEndM && (order === 0 || bend.toEndM < toEndM));
    const first = order === 0 ? 0 : Math.max(0, (mine[0]?.stop ?? walk.spans.length) - 1);
    const driven = order === 0 && walk.line.drive.kind === 'winch';
    // The drum and the hands hold a line by itself; everything else takes it by a made-up end.
    const ended = order > 0 || walk.line.drive.kind === 'held' || walk.line.drive.kind === 'tow';
    const where = driven ? 'at the drum' : ended ? 'at its first end' : 'in its length';
    const start = ropePlace(input, walk, use, { kind: 'rope', where, span: first, locals: ended ? madeUp(input, use) : [] });
    return [start, ...mine.map(({ stop }) => bendPlace(input, walk, use, stop)), endPlace(input, walk, use)];
  });
}

interface RopePlaceParts {
  readonly kind: 'rope' | 'bend' | 'end';
  readonly where: string;
  readonly span: number;
  readonly locals: readonly Derate[];
}

function ropePlace(input: PlacesInput, walk: LineWalk, use: PieceUse, { kind, where, span, locals }: RopePlaceParts): Place {
  const owner: Owner = { kind: 'use', use, piece: gearOf(use, input.gear) };
  const line = walk.index;
  const load: LoadSource = kind === 'bend' ? { kind: 'bend', line, span } : { kind: 'span', line, span };
  const here = strandNumber(input, line, span);
  return {
    id: `${use.id}:${kind}${kind === 'bend' ? `:${span}` : ''}`,
    part: walk.line.id,
    kind,
    owner,
    where,
    load,
    locals,
    capacity: capacityOf(input.limits.get(use.id), locals),
    ownLine: use.role === 'winch-line' && walk.line.drive.kind === 'winch',
    judged: false,
    strands: kind === 'bend' ? [here, here + 1] : [here],
  };
}

function bendPlace(input: PlacesInput, walk: LineWalk, use: PieceUse, stop: number): Place {
  const { policy, gear } = input;
  const under = walk.stops[stop];
  const bend = walk.line.via[under?.via ?? -1];
  const last = input.rig.chains.find(({ id }) => id === under?.chainId)?.pieces.at(-1);
  const pulley = last && gearOf(last, gear);
  const rope = gearOf(use, gear);
  const name = bend?.kind === 'edge' ? 'the edge' : (pulley?.tag ?? 'the pulley');
  const parts = { kind: 'bend', where: `bend at ${name}`, span: stop - 1 } as const;
  const ropeDiameterM = rope && 'ropeDiameterM' in rope.attributes ? rope.attributes.ropeDiameterM : undefined;
  const edgeM = bend?.kind === 'edge' && bend.radiusM !== undefined ? 2 * bend.radiusM : undefined;
  const treadDiameterM = isPulley(pulley) ? pulley.attributes.treadDiameterM : edgeM;
  if (ropeDiameterM === undefined || treadDiameterM === undefined) return ropePlace(input, walk, use, { ...parts, locals: [] });
  const steelWire = rope?.kind === 'winch-line-steel';
  const wrapRad = wrapAtStop(walk, stop, input.solved.hauling);
  const factor = bendFactor({ treadDiameterM, ropeDiameterM, wrapRad, steelWire }, policy);
  const source = (steelWire ? policy.bends.steelWire : policy.bends.fibre).source;
  const locals = [{ name: `bend, D/d ${(treadDiameterM / ropeDiameterM).toFixed(1)}`, factor, reason: `over ${name}`, source }];
  return ropePlace(input, walk, use, { ...parts, locals });
}

function endPlace(input: PlacesInput, walk: LineWalk, use: PieceUse): Place {
  const piece = gearOf(use, input.gear);
  const locals = [...madeUp(input, use), ...eyeAtEnd(input, walk, use)];
  return ropePlace(input, walk, use, { kind: 'end', where: 'end', span: walk.spans.length - 1, locals: isRope(piece) ? locals : [] });
}

/** The factor of how a rope's end is made. */
function madeUp({ policy, gear }: PlacesInput, use: PieceUse): readonly Derate[] {
  const piece = gearOf(use, gear);
  if (!isRope(piece)) return [];
  const end = piece.attributes.endTermination ?? 'unknown';
  const fibreKnot =
    'material' in piece.attributes && piece.attributes.material === 'hmpe' && ['figure-eight', 'bowline', 'other-knot'].includes(end);
  const row = fibreKnot ? policy.hmpeTermination.anyKnot : policy.terminations[end];
  return row.value === 1 ? [] : [{ name: end.replaceAll('-', ' '), factor: row.value, reason: 'how the end is made', source: row.source }];
}

/** The line's own eye on the pin that takes it, for the last rope of the line. */
function eyeAtEnd({ rig, gear, policy }: PlacesInput, { line }: LineWalk, use: PieceUse): readonly Derate[] {
  const piece = gearOf(use, gear);
  const { to } = line;
  const last = to.kind === 'chain' ? rig.chains.find(({ id }) => id === to.chainId)?.pieces.at(-1) : undefined;
  const pin = last && pinOf(gearOf(last, gear));
  if (line.ropes.at(-1)?.id !== use.id || !isRope(piece) || piece.attributes.ropeDiameterM === undefined || pin === undefined) return [];
  const factor = eyeFactor(pin, piece.attributes.ropeDiameterM, policy);
  return factor === 1
    ? []
    : [{ name: 'eye on a thin pin', factor, reason: 'the pin is thinner than the rope', source: policy.bends.eyeOnTightPin.source }];
}
