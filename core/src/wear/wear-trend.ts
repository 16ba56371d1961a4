import { addDays, daysBetween } from '../quantity/calendar.ts';
import { LIMIT_TOLERANCE } from '../quantity/tolerance.ts';
import { meets, type Point, type TheilSen, type TrendLine, theilSen } from './theil-sen.ts';

/** When a measured value ends a piece's use: a loss or a growth against new by more than a share, or more than a value of its own. */
export interface MeasureLimit {
  readonly kind: 'loss' | 'growth' | 'at-most';
  readonly value: number;
}

interface Limited {
  readonly limit: MeasureLimit;
}

/** One measured value of a piece. */
export interface Reading {
  readonly on: string;
  /** In the measure's own unit. */
  readonly value: number;
  /** Pulls that the piece had made by then, where they are counted. */
  readonly pulls?: number;
}

/** From so few readings there is no trend. */
export const FEWEST_READINGS = 3;

export interface Trend extends TheilSen {
  /** Where the trend meets the limit, and where the band does first: days since the first reading, or pulls. */
  readonly meetsAt?: number;
  readonly earlyAt?: number;
}

export type WearTrend =
  | { readonly kind: 'too-few'; readonly have: number }
  /** All readings of one day: there is nothing to draw a line by. */
  | { readonly kind: 'one-day' }
  | {
      readonly kind: 'trend';
      readonly limit: number;
      readonly byDays: Trend;
      readonly byPulls?: Trend;
      /** The day by which it reaches its limit at the earliest end of the band; missing where it goes the harmless way. */
      readonly forecastOn?: string;
      /** The same by the trend itself. */
      readonly expectedOn?: string;
    };

/** The value at which a measure ends a piece's use; undefined where the value when new is needed and unknown. `whenNew` above 0. */
export function limitValue({ limit }: Limited, whenNew: number | undefined): number | undefined {
  if (limit.kind === 'at-most') return limit.value;
  if (whenNew === undefined) return undefined;
  return limit.kind === 'loss' ? whenNew * (1 - limit.value) : whenNew * (1 + limit.value);
}

/** Which way a measure wears: towards smaller values or larger ones. */
export const wearsDown = ({ limit }: Limited): boolean => limit.kind === 'loss';

/** Farther than this a forecast says nothing: a hundred years, days. */
const MOST_DAYS = 36_525;
/** Rounding must not make it the day before: a millionth of a day. */
const DAY_EDGE = 1e-6;

/**
 * The trend of a measure over its readings, by days and, where they are counted, by pulls. A line that goes the harmless way, or none,
 * never meets the limit. The early end of the band of slopes sets the day, never before the last reading.
 */
export function wearTrend(measure: Limited, limit: number, readings: readonly Reading[]): WearTrend {
  if (readings.length < FEWEST_READINGS) return { kind: 'too-few', have: readings.length };
  const first = readings.reduce((day, { on }) => (on < day ? on : day), readings[0]?.on ?? '');
  const daysOf = ({ on }: Reading) => daysBetween(first, on);
  const byDays = trendOf(
    readings.map((reading) => ({ x: daysOf(reading), y: reading.value })),
    { limit, down: wearsDown(measure) },
  );
  if (!byDays) return { kind: 'one-day' };
  const counted = readings.flatMap(({ pulls, value }) => (pulls === undefined ? [] : [{ x: pulls, y: value }]));
  const byPulls = counted.length < FEWEST_READINGS ? undefined : trendOf(counted, { limit, down: wearsDown(measure) });
  const last = Math.max(...readings.map(daysOf));
  const day = (at: number | undefined) =>
    at === undefined || at > MOST_DAYS ? undefined : addDays(first, Math.floor(Math.max(at, last) + DAY_EDGE));
  const [forecastOn, expectedOn] = [day(byDays.earlyAt), day(byDays.meetsAt)];
  return {
    kind: 'trend',
    limit,
    byDays,
    ...(byPulls && { byPulls }),
    ...(forecastOn !== undefined && { forecastOn }),
    ...(expectedOn !== undefined && { expectedOn }),
  };
}

interface Towards {
  readonly limit: number;
  readonly down: boolean;
}

function trendOf(points: readonly Point[], { limit, down }: Towards): Trend | undefined {
  const fit = theilSen(points);
  if (!fit) return undefined;
  const reach = (line: TrendLine) => ((down ? line.slope < 0 : line.slope > 0) ? meets(line, limit) : undefined);
  const ends = [reach(fit.low), reach(fit.high), reach(fit)].filter((at) => at !== undefined);
  const meetsAt = reach(fit);
  return { ...fit, ...(meetsAt !== undefined && { meetsAt }), ...(ends.length > 0 && { earlyAt: Math.min(...ends) }) };
}

/** Why a reading that is being typed is asked about. */
export type ReadingQuestion =
  /** Farther outside the band of the trend than the band is wide. */
  | { readonly kind: 'outside-band'; readonly lowest: number; readonly highest: number }
  /** Better than the reading before by more than two people's readings differ: nothing grows back. */
  | { readonly kind: 'better-than-before'; readonly before: number };

/** Rounding of what was typed must not ask. */
const isOver = (value: number, most: number): boolean => value > most * (1 + LIMIT_TOLERANCE);

interface TypedReading {
  readonly measure: Limited;
  readonly limit: number;
  readonly earlier: readonly Reading[];
  readonly typed: Reading;
  /** By how much two readings of one value may differ, in the measure's unit; 0 or more. */
  readonly tolerance: number;
}

/** What is to be asked about a reading before it is confirmed; nothing where it is as expected. */
export function readingQuestion({ measure, limit, earlier, typed, tolerance }: TypedReading): ReadingQuestion | undefined {
  const before = earlier.reduce<Reading | undefined>((last, reading) => (last && last.on > reading.on ? last : reading), undefined);
  if (before) {
    const better = wearsDown(measure) ? typed.value - before.value : before.value - typed.value;
    if (isOver(better, tolerance)) return { kind: 'better-than-before', before: before.value };
  }
  const trend = wearTrend(measure, limit, earlier);
  if (trend.kind !== 'trend') return undefined;
  const first = earlier.reduce((day, { on }) => (on < day ? on : day), typed.on);
  const x = daysBetween(first, typed.on);
  const at = ({ slope, intercept }: TrendLine) => intercept + slope * x;
  const ends = [at(trend.byDays.low), at(trend.byDays.high)];
  const [lowest, highest] = [Math.min(...ends), Math.max(...ends)];
  // A band of no width would ask about everything; what two readings differ by is its least width.
  const width = Math.max(highest - lowest, tolerance);
  const outside = Math.max(lowest - typed.value, typed.value - highest);
  return isOver(outside, width) ? { kind: 'outside-band', lowest, highest } : undefined;
}
