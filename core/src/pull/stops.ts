import { pulleyOf } from '../gear/traits.ts';
import { spanLengthM, toEndM } from '../moment/forces.ts';
import type { Moment } from '../moment/moment.ts';
import type { ResolvedLine, ResolvedStop, RopeReach } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';

/** Two things on a line that come towards each other as the load goes its way. */
export interface Approach {
  readonly line: ResolvedLine;
  /** The span between them. */
  readonly span: number;
}

/** Radius of a stop's rim, metres: half the tread of its pulley where that is on record. */
export const rimM = ({ kind, chain }: ResolvedStop): number =>
  kind === 'pulley' ? (pulleyOf(chain?.last?.piece)?.treadDiameterM ?? 0) / 2 : 0;

/** Whether a line leaves a drum here, through a fairlead. */
const isFairlead = ({ kind, chain }: ResolvedStop): boolean => kind === 'start' && chain === undefined;
const isFitting = ({ kind, chain }: ResolvedStop): boolean =>
  kind === 'grip' || kind === 'end' || (kind === 'start' && chain !== undefined);

/** Spans whose ends may come nearer to each other: not both on one body, and not both on what stands still. */
function moving(rig: ResolvedRig, wanted: (from: ResolvedStop, to: ResolvedStop, line: ResolvedLine) => boolean): readonly Approach[] {
  return rig.lines.flatMap((line) =>
    line.spans.flatMap((_, span) => {
      const [from, to] = [line.stops[span], line.stops[span + 1]];
      return from && to && canMeet(rig, from, to) && wanted(from, to, line) ? [{ line, span }] : [];
    }),
  );
}

function canMeet({ load }: ResolvedRig, from: ResolvedStop, to: ResolvedStop): boolean {
  const bodies = [from, to].map(({ chain, point }) => (chain ? chain.point?.on : point?.on));
  const [a, b] = bodies;
  if (a !== undefined && a === b) return false;
  return bodies.some((on) => on === undefined || on === load.on);
}

/** What a winch draws towards its fairlead: a pulley, or the line's own end. A rig that lowers draws nothing in. */
export const towardsFairleads = (rig: ResolvedRig): readonly Approach[] =>
  rig.rig.purpose === 'lower'
    ? []
    : moving(rig, (from, to, line) => line.drive?.kind === 'winch' && isFairlead(from) && (to.kind === 'pulley' || isFitting(to)));

/** An end or a grip that comes to a pulley or an edge. */
export const fittingsTowardsPulleys = (rig: ResolvedRig): readonly Approach[] =>
  moving(rig, (from, to) => {
    const turns = ({ kind }: ResolvedStop) => kind === 'pulley' || kind === 'edge';
    return (turns(from) && isFitting(to)) || (isFitting(from) && turns(to));
  });

/** Two pulleys of one line. */
export const pulleysTowardsPulleys = (rig: ResolvedRig): readonly Approach[] =>
  moving(rig, (from, to) => from.kind === 'pulley' && to.kind === 'pulley');

/** Room between two stops, their rims taken off, metres; NaN without a balance. */
export function roomM({ shown }: Moment, { line, span }: Approach): number {
  const [from, to] = [line.stops[span], line.stops[span + 1]];
  if (shown === undefined || from === undefined || to === undefined) return Number.NaN;
  return spanLengthM(line, span, shown.balance) - rimM(from) - rimM(to);
}

/** The joint before a rope that is joined to a line's end. */
export interface Splice {
  readonly line: ResolvedLine;
  readonly reach: RopeReach;
}

export const splices = ({ lines }: ResolvedRig): readonly Splice[] =>
  lines.flatMap((line) => line.reaches.slice(1).map((reach) => ({ line, reach })));

export interface NextStop {
  /** Room to the stop that it is drawn to, its rim taken off, metres; below 0 where it is already past the drum. NaN where none lies that way. */
  readonly roomM: number;
  readonly fairlead: boolean;
}

const NONE: NextStop = { roomM: Number.NaN, fairlead: false };
const turnsRope = ({ kind }: ResolvedStop): boolean => kind === 'pulley' || kind === 'edge';

/** How far a joint is from the stop that the rope draws it to: the one before it, where the rig lowers the one behind. */
export function nextStop({ shown, rig }: Moment, { line, reach }: Splice): NextStop {
  if (shown === undefined || line.drive === undefined || line.drive.kind === 'tow') return NONE;
  /** How far behind a stop the joint is, along the line. */
  const behindM = (stop: number) => toEndM(line, stop, shown.balance.forces) - reach.toEndM;
  return rig.rig.purpose === 'lower' ? nextBehind(line, behindM) : nextBefore(line, behindM);
}

/** The last pulley or edge before a joint, else the drum. */
function nextBefore(line: ResolvedLine, behindM: (stop: number) => number): NextStop {
  for (let stop = line.stops.length - 1; stop > 0; stop--) {
    const entry = line.stops[stop];
    if (entry !== undefined && turnsRope(entry) && behindM(stop) >= 0) return { roomM: behindM(stop) - rimM(entry), fairlead: false };
  }
  const [start] = line.stops;
  return start !== undefined && isFairlead(start) ? { roomM: behindM(0), fairlead: line.drive?.kind === 'winch' } : NONE;
}

/** The first pulley or edge behind a joint. */
function nextBehind(line: ResolvedLine, behindM: (stop: number) => number): NextStop {
  for (let stop = 1; stop < line.stops.length; stop++) {
    const entry = line.stops[stop];
    if (entry !== undefined && turnsRope(entry) && behindM(stop) < 0) return { roomM: -behindM(stop) - rimM(entry), fairlead: false };
  }
  return NONE;
}
