import type { TypeOf } from '../codec/codec.ts';
import { choice, day, id, numeric, text } from '../codec/scalars.ts';
import { list, record } from '../codec/structures.ts';
import { type Depth, depths, type Surface, surfaces } from './grounds.ts';

/** Pulls kept as the evidence of one figure. */
export const MOST_EVIDENCE = 200;
/** Figures that a team plans by at once. */
export const MOST_FIGURES = 60;

/**
 * A figure of the team's own that it plans by: what its measured pulls came to on one ground, depth and machine, as a share of the
 * vehicle's weight, with the pulls that it rests on.
 */
const adoptedFigureCodec = record({
  surface: choice(surfaces),
  depth: choice(depths),
  machine: text(),
  /** The largest share of its pulls, or 1.1 times their 90th percentile where that is more. */
  share: numeric({ above: 0, max: 100 }),
  pulls: list(record({ pullId: id, on: day, share: numeric({ min: 0, max: 100 }) }), { max: MOST_EVIDENCE }),
});
export type AdoptedFigure = TypeOf<typeof adoptedFigureCodec>;

export const adoptedFigures = list(adoptedFigureCodec, { max: MOST_FIGURES });

/** What a figure of the team's own is a figure of. */
export interface FigureKey {
  readonly surface: Surface;
  readonly depth: Depth;
  readonly machine: string;
}

export const isFigureOf = (one: FigureKey, other: FigureKey): boolean =>
  one.surface === other.surface && one.depth === other.depth && one.machine === other.machine;

/** The path under which two policies differ in such a figure. */
export const figurePath = ({ surface, depth, machine }: FigureKey): string => `ownFigures.${surface}/${depth}/${machine}`;

/** Ground, depth and machine out of such a path; nothing where it is another path. */
export function figureOfPath(path: string): FigureKey | undefined {
  const [, surface, depth, machine] = /^ownFigures\.([a-z-]+)\/([a-z]+)\/(.*)$/.exec(path) ?? [];
  const [known, deep] = [surfaces.find((each) => each === surface), depths.find((each) => each === depth)];
  return known && deep && machine !== undefined ? { surface: known, depth: deep, machine } : undefined;
}
