import { spanLengthM } from '../moment/forces.ts';
import type { Moment } from '../moment/moment.ts';
import { type ChosenUse, isChosen, type ResolvedLine } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import { distance } from '../statics/vec3.ts';

/** A rope of given length whose end is held by a grip that can be moved along it. */
export interface MovableGrip {
  readonly line: ResolvedLine;
  readonly rope: number;
}

/** Ropes that a grip at their first end holds: a block that travels on a grip. */
export function movableGrips({ lines, chains }: ResolvedRig): readonly MovableGrip[] {
  return lines.flatMap((line) => {
    const [start] = line.stops;
    const rope = line.spans[0]?.rope;
    if (line.line.drive.kind !== 'held' || start === undefined || start.chain !== undefined || rope === undefined) return [];
    const grips = chains.some(({ root, uses }) => root === start.node && uses.some(({ use }) => use.role === 'grip'));
    return grips ? [{ line, rope }] : [];
  });
}

/**
 * The lengths once every such grip is moved back to where it was when the haul began: the first span is as long as then, the
 * others as they are now. Metres.
 */
export function regripped(grips: readonly MovableGrip[], began: Moment, now: Moment): ReadonlyMap<number, number> | undefined {
  const [then, here] = [began.shown?.balance, now.shown?.balance];
  if (then === undefined || here === undefined || grips.length === 0) return undefined;
  const lengths = new Map(now.at.lengths ?? []);
  for (const { line, rope } of grips) {
    const others = line.spans.reduce((sum, _, span) => (span === 0 ? sum : sum + spanLengthM(line, span, here)), 0);
    lengths.set(rope, spanLengthM(line, 0, then) + others);
  }
  return lengths;
}

/** Rope parts behind a grip on a hauled strand, which follow the load as the rope runs through the grip. */
export interface CapturedPart {
  readonly line: ResolvedLine;
  readonly rope: number;
  /** Its spans. */
  readonly spans: readonly number[];
}

export function capturedParts({ lines, equations }: ResolvedRig): readonly CapturedPart[] {
  return lines.flatMap((line) => {
    if (line.drive === undefined) return [];
    const ropes = [...new Set(line.spans.map(({ rope }) => rope))].slice(1);
    return ropes.flatMap((rope) =>
      equations.ropes[rope]?.pull.kind === 'length'
        ? [{ line, rope, spans: line.spans.flatMap((ref, span) => (ref.rope === rope ? [span] : [])) }]
        : [],
    );
  });
}

/**
 * The lengths behind capturing grips once the load has gone on to `positions`: the grip stays where it is and the rope runs
 * through it, so that the part behind it is as long as its way. Metres.
 */
export function captured(
  parts: readonly CapturedPart[],
  now: Moment,
  positions: Moment['positions'],
): ReadonlyMap<number, number> | undefined {
  if (parts.length === 0 || now.shown === undefined) return now.at.lengths;
  const lengths = new Map(now.at.lengths ?? []);
  for (const part of parts) {
    const lengthM = wayBehind(part, now, positions);
    if (lengthM !== undefined) lengths.set(part.rope, Math.max(LEAST_PART_M, lengthM));
  }
  return lengths;
}

/** Rope that stays between a grip and what it holds at the very least, metres. */
const LEAST_PART_M = 1e-3;

/** The way behind a grip: as it is now, changed by as much as the point at its end comes nearer to the stop before it. */
function wayBehind({ line, spans }: CapturedPart, { shown, positions: here }: Moment, positions: Moment['positions']): number | undefined {
  const last = spans.at(-1) ?? 0;
  const point = line.stops[last + 1]?.chain?.point;
  const previous = line.stops[last];
  if (shown === undefined || point === undefined || previous === undefined) return undefined;
  const from = shown.balance.equilibrium.positions[previous.node];
  const [before, after] = [here[point.index], positions[point.index]];
  if (from === undefined || before === undefined || after === undefined) return undefined;
  const wayM = spans.reduce((sum, span) => sum + spanLengthM(line, span, shown.balance), 0);
  return wayM + distance(after, from) - distance(before, from);
}

/** The grips that tie a strand of a line to something other than its load, chosen ones: they hold it while hands or a brake do not. */
export function holdingGrips({ chains, load, rig }: ResolvedRig, { line }: ResolvedLine): readonly ChosenUse[] {
  const own = (rig.grips ?? []).filter(({ lineId }) => lineId === line.id).map(({ id }) => id);
  return chains.flatMap(({ chain, point, uses }) =>
    chain.to?.kind === 'grip' && own.includes(chain.to.gripId) && point !== undefined && point.on !== load.on
      ? uses.filter(isChosen).filter(({ use }) => use.role === 'grip')
      : [],
  );
}
