import { isRope, isWire, pinOf, pulleyOf, ropeDiameterOf } from '../gear/traits.ts';
import type { Policy } from '../policy/policy.ts';
import { keyWords } from '../quantity/key-words.ts';
import { type Derate, fullBendFactor } from '../rating/derates.ts';
import { eyeLocals, interlacedLocal } from './chain-locals.ts';
import { hasEyes, isInterlaced, neighboursInLine } from './eyes.ts';
import type { ResolvedLine, ResolvedUse } from './parts.ts';
import type { LoadSource, OpenPlace, PlaceStrength, RopeBend } from './place.ts';
import type { RigParts } from './resolved-rig.ts';

/** What the factors of one place make together. */
export const factorOf = (locals: readonly Derate[]): number => locals.reduce((total, { factor }) => total * factor, 1);

const NO_LOCALS: readonly Derate[] = [];

interface RopePart {
  readonly rig: RigParts;
  readonly line: ResolvedLine;
  readonly use: ResolvedUse;
  readonly order: number;
}

/** The places on the ropes of one line: where each begins, its bends, its end. */
export function ropePlaces(rig: RigParts, line: ResolvedLine): readonly OpenPlace[] {
  const bends = line.stops.flatMap(({ kind }, stop) => (kind === 'pulley' || kind === 'edge' ? [stop] : []));
  return line.ropes.flatMap((use, order) => {
    const part = { rig, line, use, order };
    return [startPlace(part), ...bends.map((stop) => bendPlace(part, stop)), endPlace(part)];
  });
}

function startPlace(part: RopePart): OpenPlace {
  const { line, use, order } = part;
  const { drive } = line.line;
  const driven = order === 0 && drive.kind === 'winch';
  // The drum and the hands hold a line by itself; everything else takes it by a made-up end.
  const ended = order > 0 || drive.kind === 'held' || drive.kind === 'tow';
  const where = driven ? 'at the drum' : ended ? 'at its first end' : 'in its length';
  const load: LoadSource = order === 0 ? { kind: 'span', line: line.index, span: 0 } : { kind: 'joined', line: line.index, order };
  const locals = ended ? [...madeUp(use, part.rig.policy), ...meeting(part, 0)] : NO_LOCALS;
  return ropePlace(part, { kind: 'rope', where, load, locals, bend: undefined, onlyWhere: undefined });
}

interface RopePlaceParts {
  readonly kind: 'rope' | 'bend' | 'end';
  readonly where: string;
  readonly load: LoadSource;
  readonly locals: readonly Derate[];
  readonly bend: RopeBend | undefined;
  readonly onlyWhere: OpenPlace['onlyWhere'];
}

const NO_SPANS: OpenPlace['spans'] = [];

function ropePlace({ line, use }: RopePart, { kind, where, load, locals, bend, onlyWhere }: RopePlaceParts): OpenPlace {
  return {
    index: 0,
    id: `${use.use.id}:${kind}${load.kind === 'bend' ? `:${load.span}` : ''}`,
    part: line.line.id,
    kind,
    owner: { kind: 'use', use },
    where,
    load,
    strength: ropeStrength(use, factorOf(locals)),
    bend,
    shackle: undefined,
    locals,
    slipsN: undefined,
    ownLine: use.use.role === 'winch-line' && line.line.drive.kind === 'winch',
    judged: false,
    empty: use.piece === undefined,
    spans: NO_SPANS,
    onlyWhere,
  };
}

function ropeStrength({ limit }: ResolvedUse, factor: number): PlaceStrength {
  if (limit?.kind !== 'rated') return { kind: 'unrated' };
  return { kind: 'rated', wllN: limit.wllN, mbsN: limit.mbsN, factor };
}

function bendPlace(part: RopePart, stop: number): OpenPlace {
  const { line, use, order } = part;
  const { bend, chain } = line.stops[stop] ?? {};
  const pulley = chain?.last?.piece;
  const over = bend?.kind === 'edge' ? 'the edge' : (pulley?.tag ?? 'the pulley');
  const edgeM = bend?.kind === 'edge' && bend.radiusM !== undefined ? 2 * bend.radiusM : undefined;
  const treadDiameterM = pulleyOf(pulley)?.treadDiameterM ?? edgeM;
  const ropeDiameterM = use.piece && ropeDiameterOf(use.piece);
  const bent = { treadDiameterM: treadDiameterM ?? 0, ropeDiameterM: ropeDiameterM ?? 0, steelWire: isWire(use.piece) };
  const known = ropeDiameterM !== undefined && treadDiameterM !== undefined;
  return ropePlace(part, {
    kind: 'bend',
    where: `bend at ${over}`,
    load: { kind: 'bend', line: line.index, span: stop - 1 },
    locals: NO_LOCALS,
    bend: known ? { line, stop, ...bent, full: fullBendFactor(bent, part.rig.policy), over } : undefined,
    onlyWhere: line.ropes.length === 1 ? undefined : { line, order, stop },
  });
}

function endPlace(part: RopePart): OpenPlace {
  const { line, use, rig } = part;
  const locals = [...madeUp(use, rig.policy), ...meeting(part, 1)];
  // The last rope ends with the line; any other where the next is joined to it, which may be a harder pulled strand.
  const last = part.order === line.ropes.length - 1;
  const load: LoadSource = last
    ? { kind: 'span', line: line.index, span: line.spans.length - 1 }
    : { kind: 'joined', line: line.index, order: part.order + 1 };
  return ropePlace(part, { kind: 'end', where: 'end', load, locals, bend: undefined, onlyWhere: undefined });
}

const KNOTS: readonly string[] = ['figure-eight', 'bowline', 'other-knot'];

/** The factor of how a rope's end is made. */
function madeUp({ piece }: ResolvedUse, policy: Policy): readonly Derate[] {
  if (!isRope(piece)) return NO_LOCALS;
  const end = piece.attributes.endTermination ?? 'unknown';
  const slippery = 'material' in piece.attributes && piece.attributes.material === 'hmpe' && KNOTS.includes(end);
  const row = slippery ? policy.hmpeTermination.anyKnot : policy.terminations[end];
  return row.value === 1 ? NO_LOCALS : [{ name: keyWords(end), factor: row.value, reason: 'how the end is made', source: row.source }];
}

/** What the piece that takes one end of a rope makes of it: an eye on a thin pin, a loop through a loop. */
function meeting({ line, use: { piece }, order, rig: { policy } }: RopePart, end: 0 | 1): readonly Derate[] {
  const other = neighboursInLine(line, order)[end]?.piece;
  if (piece === undefined || other === undefined) return NO_LOCALS;
  if (isInterlaced(piece, other)) return [interlacedLocal(other, policy)];
  const ropeDiameterM = hasEyes(piece) ? ropeDiameterOf(piece) : undefined;
  return ropeDiameterM === undefined ? NO_LOCALS : eyeLocals([pinOf(other)], ropeDiameterM, policy);
}
