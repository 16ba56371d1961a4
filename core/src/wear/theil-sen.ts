import { invariant } from '../quantity/invariant.ts';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A straight line: y = intercept + slope · x. */
export interface TrendLine {
  readonly slope: number;
  readonly intercept: number;
}

export interface TheilSen extends TrendLine {
  /** The lines of the 10th and the 90th percentile of all slopes between two points, each with its own intercept. */
  readonly low: TrendLine;
  readonly high: TrendLine;
}

/** Percentile by straight interpolation on (n − 1)·q of sorted values. `values` not empty, `q` from 0 to 1. */
export function percentile(values: readonly number[], q: number): number {
  invariant(values.length > 0, 'a percentile needs a value');
  const sorted = [...values].sort((a, b) => a - b);
  const at = (sorted.length - 1) * q;
  const [below, above] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0];
  return below + (above - below) * (at - Math.floor(at));
}

export const median = (values: readonly number[]): number => percentile(values, 0.5);

const BAND = { low: 0.1, high: 0.9 };

/**
 * The trend of some readings that a few wild ones do not move: the median of the slopes between every two points of different x, and the
 * median of y − slope·x as intercept (Theil and Sen). Undefined where no two points differ in x.
 */
export function theilSen(points: readonly Point[]): TheilSen | undefined {
  const slopes = points.flatMap((a, index) => points.slice(index + 1).flatMap((b) => (a.x === b.x ? [] : [(b.y - a.y) / (b.x - a.x)])));
  if (slopes.length === 0) return undefined;
  const line = (slope: number): TrendLine => ({ slope, intercept: median(points.map(({ x, y }) => y - slope * x)) });
  return { ...line(median(slopes)), low: line(percentile(slopes, BAND.low)), high: line(percentile(slopes, BAND.high)) };
}

/** The x at which a line has a value; undefined where it is level. */
export const meets = ({ slope, intercept }: TrendLine, y: number): number | undefined =>
  slope === 0 ? undefined : (y - intercept) / slope;
