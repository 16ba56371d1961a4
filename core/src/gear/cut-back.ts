/** Sizes of a line that change when it is cut; metres from its end at the drum to its end at the hook. */
export interface CutSizes {
  readonly lengthM: number;
  /** How much of it is out when its end mark, or its change of colour, is at the fairlead. */
  readonly endMarkM?: number;
  readonly colourChangeM?: number;
}

/** A line of which less is left is none, m. */
export const SHORTEST_LINE_M = 1;

/** To the micrometre, so that sums of decimals stay decimals. */
const rounded = (m: number): number => Math.round(m * 1e6) / 1e6;

/**
 * A line with so many metres cut off: at the hook its marks come nearer by as much, at the drum they stay. A mark that was cut off
 * with it is missing. `metres` above 0 and below its length.
 */
export function cutBack({ lengthM, endMarkM, colourChangeM }: CutSizes, metres: number, at: 'hook' | 'drum'): CutSizes {
  const length = rounded(lengthM - metres);
  const moved = (mark: number | undefined): number | undefined => {
    if (mark === undefined) return undefined;
    const here = at === 'hook' ? rounded(mark - metres) : mark;
    return here > 0 && here <= length ? here : undefined;
  };
  const [end, colour] = [moved(endMarkM), moved(colourChangeM)];
  return { lengthM: length, ...(end !== undefined && { endMarkM: end }), ...(colour !== undefined && { colourChangeM: colour }) };
}
