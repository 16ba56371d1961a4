import { type AdoptedFigure, type FigureKey, MOST_EVIDENCE } from '../policy/adopted-figures.ts';
import { percentile } from '../wear/theil-sen.ts';

/** From so many pulls on a figure of the team's own is shown; from so many it may be adopted. */
export const SHOWN_FROM = 3;
export const ADOPTED_FROM = 10;

/** A pull of which the force on the load was measured, failed ones too. */
export interface MeasuredPull {
  /** The largest line tension times the advantage of the real rig, N. */
  readonly forceN: number;
  /** Weight of the vehicle with its load, N, above 0. */
  readonly weightN: number;
}

export interface OwnFigure {
  readonly pulls: number;
  /** Shares of the vehicle's weight. */
  readonly median: number;
  readonly low: number;
  readonly high: number;
  readonly largest: number;
  /** What may be planned with in place of the method: the largest, or 1.1 times the 90th percentile where that is more. */
  readonly adoptable?: number;
}

/** What a team's own measured pulls on one ground, depth and machine come to; nothing from too few. */
export function ownFigure(pulls: readonly MeasuredPull[]): OwnFigure | undefined {
  if (pulls.length < SHOWN_FROM) return undefined;
  const shares = pulls.map(({ forceN, weightN }) => forceN / weightN);
  const largest = Math.max(...shares);
  const high = percentile(shares, 0.9);
  return {
    pulls: pulls.length,
    median: percentile(shares, 0.5),
    low: percentile(shares, 0.1),
    high,
    largest,
    ...(pulls.length >= ADOPTED_FROM && { adoptable: Math.max(largest, 1.1 * high) }),
  };
}

/**
 * The pulls that a figure rests on, out of all of one ground, depth and machine, newest first: the newest of them, and always the
 * largest, however old.
 */
function evidenceOf(pulls: AdoptedFigure['pulls']): AdoptedFigure['pulls'] {
  if (pulls.length <= MOST_EVIDENCE) return pulls;
  const largest = pulls.reduce((most, pull) => (pull.share > most.share ? pull : most));
  const newest = pulls.slice(0, MOST_EVIDENCE);
  return newest.includes(largest) ? newest : [...newest.slice(0, -1), largest];
}

/** What a team adopts of its pulls on one ground, depth and machine, newest first, with the evidence; nothing from too few. */
export function adoptedFigure({ surface, depth, machine }: FigureKey, all: AdoptedFigure['pulls']): AdoptedFigure | undefined {
  const pulls = evidenceOf(all);
  const share = ownFigure(pulls.map((pull) => ({ forceN: pull.share, weightN: 1 })))?.adoptable;
  return share === undefined ? undefined : { surface, depth, machine, share, pulls };
}
