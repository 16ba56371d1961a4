import { invariant } from '../quantity/invariant.ts';

/** What a count tells: a range of load and how much of a cycle it is, a whole or a half. */
export type CycleSeen = (range: number, count: 1 | 0.5) => void;

export interface RainflowCount {
  /** The next value of the series, in order. Values in between a peak and a valley change nothing. */
  readonly push: (value: number) => void;
  /** The next values, the first `length` of an array; many at once are counted several times as fast as one by one. */
  readonly pushAll: (values: Float64Array, length?: number) => void;
  /** The series has ended: what is left counts as halves. Afterwards nothing is pushed any more. */
  readonly end: () => void;
}

/**
 * Counts the cycles of a load series by the three-point standard method: of the last three turning points, a range that is at least as
 * large as the one before it closes that one, as a whole cycle, or as a half where it holds the series' first point; at the end every
 * range that is left counts as a half. Source: the usual practice for cycle counting in fatigue analysis.
 *
 * Values in any unit, finite; ranges come in the same unit, above 0. A series that never turns has one half cycle, an even one none.
 * What is kept while counting is the turning points that are not closed, in memory that grows with them alone.
 */
export function rainflowCount(seen: CycleSeen): RainflowCount {
  /** Turning points that are not closed, the first `depth` of them; the first is the starting point of the method. */
  let open: Float64Array = new Float64Array(64);
  let depth = 0;
  /** The last value, none at first. */
  let last = Number.NaN;
  let direction = 0;

  function turn(point: number): void {
    if (depth === open.length) open = doubled(open);
    open[depth++] = point;
    while (depth >= 3) {
      const second = open[depth - 2] ?? 0;
      const before = Math.abs(second - (open[depth - 3] ?? 0));
      if (Math.abs(point - second) < before) return;
      if (depth === 3) {
        seen(before, 0.5);
        open[0] = second;
        open[1] = point;
        depth = 2;
      } else {
        seen(before, 1);
        open[depth - 3] = point;
        depth -= 2;
      }
    }
  }

  /** The way on from a point; one that goes back from it makes it a turning point. */
  function onward(way: number, next: number, point: number): number {
    if (way === -next) turn(point);
    return next;
  }

  /** The first of a series; any other that has no order to the one before is no number. */
  function begin(value: number, before: number): void {
    invariant(!Number.isNaN(value) && Number.isNaN(before), 'a load of a series is a number');
    open[depth++] = value;
  }

  /** The loop's own numbers stay in registers; what is kept between two calls is written back once. */
  function pushAll(values: Float64Array, length = values.length): void {
    let [before, way] = [last, direction];
    for (let at = 0; at < length; at++) {
      const value = values[at] ?? Number.NaN;
      if (value > before) way = onward(way, 1, before);
      else if (value < before) way = onward(way, -1, before);
      else if (value !== before) begin(value, before);
      before = value;
    }
    [last, direction] = [before, way];
  }

  const one = new Float64Array(1);
  return {
    push(value) {
      one[0] = value;
      pushAll(one);
    },
    pushAll,
    end() {
      if (direction !== 0) turn(last);
      for (let at = 1; at < depth; at++) seen(Math.abs((open[at] ?? 0) - (open[at - 1] ?? 0)), 0.5);
    },
  };
}

function doubled(points: Float64Array): Float64Array {
  const larger = new Float64Array(points.length * 2);
  larger.set(points);
  return larger;
}
