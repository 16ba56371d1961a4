import { isWinch, joinedLengthM, pulleyOf } from '../gear/traits.ts';
import { frictionUnder } from '../hold/footing.ts';
import type { Policy } from '../policy/policy.ts';
import { STANDARD_GRAVITY } from '../quantity/units.ts';
import type { Line, Rig, VehicleBody } from '../rig/rig.ts';
import type { BendFriction } from '../statics/network.ts';
import type { EquationRope, Equations, SpanRef } from './equations.ts';
import type {
  Damped,
  ResolvedChain,
  ResolvedDamper,
  ResolvedDrive,
  ResolvedLine,
  ResolvedPoint,
  ResolvedStop,
  ResolvedUse,
  RopeReach,
} from './parts.ts';
import type { OpenEquations } from './resolve-chains.ts';
import type { OpenUse, OpenUses } from './resolve-uses.ts';
import { winchSizes } from './winch-sizes.ts';

interface LineInput {
  readonly rig: Rig;
  readonly policy: Policy;
  readonly points: readonly ResolvedPoint[];
  readonly uses: OpenUses;
  readonly chains: readonly ResolvedChain[];
  readonly equations: OpenEquations;
  readonly dampers: readonly ResolvedDamper[];
}

interface Lines {
  readonly lines: readonly ResolvedLine[];
  readonly drives: readonly ResolvedDrive[];
  readonly equations: Equations;
}

type OpenLine = { -readonly [K in keyof ResolvedLine]: ResolvedLine[K] };

/** Every line with its stops and spans, what drives it, and the ropes of the equations. */
export function resolveLines(input: LineInput): Lines {
  const ropes: EquationRope[] = [];
  const drives: ResolvedDrive[] = [];
  let firstSpan = 0;
  const lines = input.rig.lines.map((line, index): ResolvedLine => {
    const { stops, spans } = walk(input, line, ropes);
    const dampersOn = (span: number) => input.dampers.filter(({ lineId, strand }) => lineId === line.id && strand === span);
    const open: OpenLine = {
      index,
      line,
      drive: undefined,
      ropes: input.uses.lines[index]?.ropes ?? [],
      reaches: reachesOf(input.uses.lines[index]?.ropes ?? []),
      stops,
      spans,
      firstSpan,
      runningBridle: isRunningBridle(line, stops),
      damped: spans.map((_, span) => dampedBy(dampersOn(span))),
      hung: spans.map((_, span) => dampersOn(span).length > 0),
    };
    firstSpan += spans.length;
    seatLine(input.uses.lines[index], open);
    const drive = driveOf(input, open, drives.length);
    if (drive) drives.push(drive);
    open.drive = drive;
    return open;
  });
  return { lines, drives, equations: { nodes: input.equations.nodes, links: input.equations.links, ropes } };
}

function dampedBy(dampers: readonly ResolvedDamper[]): Damped {
  if (dampers.some(({ counts }) => counts === 'yes')) return 'yes';
  return dampers.some(({ counts }) => counts === 'unknown') ? 'unknown' : 'no';
}

function seatLine(uses: OpenUses['lines'][number] | undefined, line: ResolvedLine): void {
  if (uses?.drive) uses.drive.seat = { kind: 'drive', line };
  uses?.ropes.forEach((open: OpenUse, order) => {
    open.seat = { kind: 'rope', line, order };
  });
}

/** Which stretch of the path each rope covers, as far as lengths are on record. */
function reachesOf(ropes: readonly ResolvedUse[]): readonly RopeReach[] {
  let fromEndM = 0;
  const reaches = [...ropes].reverse().map((rope): RopeReach => {
    const start = fromEndM;
    fromEndM += (rope.piece && joinedLengthM(rope.piece)) ?? 0;
    return { rope, fromEndM: start, toEndM: fromEndM };
  });
  return reaches.reverse();
}

function isRunningBridle({ drive, via }: Line, stops: readonly ResolvedStop[]): boolean {
  if (drive.kind !== 'held' || via.length === 0) return false;
  const [first, last] = [stops[0], stops.at(-1)].map((stop) => stop?.chain?.point?.on);
  return first !== undefined && first === last;
}

function driveOf({ rig, policy, uses }: LineInput, line: ResolvedLine, index: number): ResolvedDrive | undefined {
  const { drive } = line.line;
  const start = line.stops[0];
  switch (drive.kind) {
    case 'winch': {
      const [use, point] = [uses.lines[line.index]?.drive, start?.point];
      if (use === undefined || point === undefined) return undefined;
      const winch = isWinch(use.piece) ? use.piece : undefined;
      const sizes = winchSizes(
        rig,
        winch,
        line.ropes.map(({ piece }) => piece),
        policy,
      );
      return { index, kind: 'winch', line, use, point, on: point.on, winch, sizes };
    }
    case 'hand': {
      const point = start?.point;
      if (point === undefined) return undefined;
      const { body } = point.on;
      const ratedN = (body.kind === 'crew' ? body.people : 1) * policy.hand.pullPerPersonN.value;
      return { index, kind: 'hand', line, point, on: point.on, ratedN, greatestN: limitedTo(rig, ratedN) };
    }
    case 'tow': {
      const on = start?.chain?.point?.on;
      const towing = on?.body.kind === 'vehicle' ? on.body : undefined;
      const ratedN = towing && tractionN(towing, rig, policy);
      return { index, kind: 'tow', line, on, towing, ratedN, greatestN: ratedN === undefined ? undefined : limitedTo(rig, ratedN) };
    }
    case 'held':
      return undefined;
    default: {
      const never: never = drive;
      return never;
    }
  }
}

function limitedTo({ limiter }: Rig, pullN: number): number {
  return limiter === undefined ? pullN : Math.min(pullN, limiter.pullN);
}

/** What the driven wheels of a towing vehicle can give on its ground. */
function tractionN({ massKg, stance }: VehicleBody, { situation }: Rig, policy: Policy): number {
  return frictionUnder(stance, situation, policy).value * massKg * STANDARD_GRAVITY;
}

/** The stops and spans of a line, and its ropes: a grip parts the rope, and behind it the rope has a length instead of a tension. */
function walk(
  input: LineInput,
  line: Line,
  ropes: EquationRope[],
): { readonly stops: readonly ResolvedStop[]; readonly spans: readonly SpanRef[] } {
  const stops = stopsOf(input, line);
  const bends = stops.map((stop) => bendFriction(input.policy, stop));
  const grips = gripsOn(input, line);
  const spans: SpanRef[] = [];
  let first = 0;
  let part = 0;
  for (let end = 1; end < stops.length; end++) {
    if (stops[end]?.kind !== 'grip' && end < stops.length - 1) continue;
    const rope = ropes.length;
    ropes.push({
      id: part === 0 ? line.id : `${line.id} behind a grip`,
      nodes: stops.slice(first, end + 1).map(({ node }) => node),
      bends: bends.slice(first + 1, end),
      pull: part > 0 ? { kind: 'length', lengthM: behindGrip(grips, part) } : ownPull(line),
    });
    for (let strand = 0; strand < end - first; strand++) spans.push({ rope, strand });
    first = end;
    part++;
  }
  return { stops, spans };
}

function ownPull({ drive }: Line): EquationRope['pull'] {
  return drive.kind === 'held' ? { kind: 'length', lengthM: drive.lengthM } : { kind: 'driven', tension: 1 };
}

/** Rope between the part-th grip and the next, or the line's end. */
function behindGrip(grips: readonly { readonly toEndM: number }[], part: number): number {
  return (grips[part - 1]?.toEndM ?? 0) - (grips[part]?.toEndM ?? 0);
}

/** The grips on a line in the order in which the line meets them. */
function gripsOn({ rig, equations }: LineInput, line: Line) {
  return (rig.grips ?? [])
    .filter(({ lineId }) => lineId === line.id)
    .map((grip) => ({ ...grip, node: equations.grips.get(grip.id) ?? 0 }))
    .sort((a, b) => b.toEndM - a.toEndM);
}

const nothingThere = { chain: undefined, point: undefined, bend: undefined } as const;

function stopsOf(input: LineInput, line: Line): readonly ResolvedStop[] {
  const { chains, equations } = input;
  const grips = gripsOn(input, line);
  const held = (strand: number): ResolvedStop[] =>
    grips.filter((grip) => grip.strand === strand).map(({ node }) => ({ ...nothingThere, kind: 'grip', node }));
  const chainOf = (id: string) => chains.find(({ chain }) => chain.id === id);
  const ends = (end: Line['to'], kind: 'start' | 'end'): ResolvedStop => {
    if (end.kind === 'joint') return { ...nothingThere, kind, node: equations.joints.get(end.jointId) ?? 0 };
    const chain = chainOf(end.chainId);
    return { ...nothingThere, kind, node: chain?.tip ?? 0, chain };
  };
  const between = line.via.flatMap((bend, via): ResolvedStop[] => {
    if (bend.kind === 'edge') {
      const { node, point } = onPoint(input, bend.pointId, `edge ${via} of ${line.id}`);
      return [...held(via), { ...nothingThere, kind: 'edge', node, point, bend }];
    }
    const chain = chainOf(bend.chainId);
    return [...held(via), { ...nothingThere, kind: 'pulley', node: chain?.tip ?? 0, chain, bend }];
  });
  return [startOf(input, line, ends), ...between, ...held(line.via.length), ends(line.to, 'end')];
}

function startOf(input: LineInput, line: Line, ends: (end: Line['to'], kind: 'start') => ResolvedStop): ResolvedStop {
  const { drive } = line;
  switch (drive.kind) {
    case 'winch':
    case 'hand':
      return { ...nothingThere, kind: 'start', ...onPoint(input, drive.pointId, `drive of ${line.id}`) };
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

/** A node of its own that stands on a point. */
function onPoint(
  { points, equations }: LineInput,
  pointId: string,
  id: string,
): { readonly node: number; readonly point: ResolvedPoint | undefined } {
  const point = points.find((entry) => entry.point.id === pointId);
  return { node: equations.nodes.push({ id, kind: 'held', point: point?.index ?? 0 }) - 1, point };
}

function bendFriction({ friction }: Policy, { bend, chain }: ResolvedStop): BendFriction {
  if (friction.school === 'none' || bend === undefined) return { kind: 'frictionless' };
  if (bend.kind === 'edge') return { kind: 'plain', friction: friction.plainBendFriction[bend.bend].value };
  if (friction.school === 'flat') return { kind: 'flat', efficiency: friction.flatPerPulley.value };
  return { kind: 'by-wrap', efficiency180: friction.pulleyEfficiency[pulleyOf(chain?.last?.piece)?.kind ?? 'ring'].value };
}
