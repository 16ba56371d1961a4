import type { TimelinePoint } from '@wainrope/core';

/** What a pull is played by. */
export type PlayedBy = 'metre' | 'time';

const on = (point: TimelinePoint, by: PlayedBy): number => (by === 'metre' ? point.atM : (point.timeS ?? 0));

/** How long the whole of a timeline is, metres or seconds. */
export const wholeOf = (points: readonly TimelinePoint[], by: PlayedBy): number => {
  const last = points.at(-1);
  return last === undefined ? 0 : on(last, by);
};

const NOWHERE: TimelinePoint = { atM: 0 };

/** The place of the first point at a value or beyond it, or their number; the points stand in order. */
function firstAt(points: readonly TimelinePoint[], by: PlayedBy, value: number): number {
  let [low, high] = [0, points.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (on(points[middle] ?? NOWHERE, by) >= value) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** The instant at a metre or a second, between the two that are known; of several at one metre the first. Held within the timeline. */
export function instantAt(points: readonly TimelinePoint[], by: PlayedBy, value: number): TimelinePoint {
  const first = firstAt(points, by, value);
  const after = Math.min(first, points.length - 1);
  const [from, to] = [points[first > after ? after : Math.max(0, after - 1)], points[after]];
  if (from === undefined || to === undefined) return { atM: 0 };
  const span = on(to, by) - on(from, by);
  const share = span > 0 ? Math.min(1, Math.max(0, (value - on(from, by)) / span)) : 1;
  const between = <K extends keyof TimelinePoint>(key: K) => {
    const [a, b] = [from[key], to[key]];
    return typeof a === 'number' && typeof b === 'number' ? { [key]: a + (b - a) * share } : b === undefined ? {} : { [key]: b };
  };
  return {
    atM: from.atM + (to.atM - from.atM) * share,
    ...between('timeS'),
    ...between('linePullN'),
    ...between('greatestPullN'),
    ...between('ratedN'),
    ...between('share'),
    ...between('breakingShare'),
    ...between('heatC'),
    ...between('chargeShare'),
  };
}

/** The metre nearest to another among those that were looked at, of which each has a moment of its own; of two as near the further on. */
export function stationAt(stationsM: readonly number[], metre: number): number | undefined {
  return stationsM.reduce<number | undefined>(
    (best, at) => (best === undefined || Math.abs(at - metre) <= Math.abs(best - metre) ? at : best),
    undefined,
  );
}

/** Whether a motor rests at a second of the timeline. */
export function restsAt(points: readonly TimelinePoint[], timeS: number): boolean {
  const after = firstAt(points, 'time', timeS);
  return after > 0 && points[after]?.rested === true && (points[after - 1]?.timeS ?? 0) < timeS;
}

/** A time as it is read on a watch: `2 min 10 s`. */
export function clockWords(seconds: number): string {
  const whole = Math.round(seconds);
  const [minutes, rest] = [Math.floor(whole / 60), whole % 60];
  return minutes === 0 ? `${rest} s` : `${minutes} min ${rest} s`;
}
