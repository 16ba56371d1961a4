import { invariant } from '../quantity/invariant.ts';

/** What a count tells: a range of load and how much of a cycle it is, a whole or a half. */
export type CycleSeen = (range: number, count: 1 | 0.5) => void;

export interface RainflowCount {
  /** The next value of the series, in order. Values in between a peak and a valley change nothing. */
  readonly push: (value: number) => void;
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
  const open: number[] = [];
  let depth = 0;
  /** The last value, in a place of its own: a captured number would be made anew at every sample. */
  const last = new Float64Array(1);
  let hasBegun = false;
  let direction = 0;

  function turn(point: number): void {
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

  return {
    push(value) {
      const change = value - (last[0] ?? 0);
      invariant(!Number.isNaN(change), 'a load of a series is a number');
      if (hasBegun && change !== 0) {
        const now = change > 0 ? 1 : -1;
        if (now === -direction) turn(last[0] ?? 0);
        direction = now;
      } else if (!hasBegun) {
        hasBegun = true;
        open[depth++] = value;
      }
      last[0] = value;
    },
    end() {
      if (direction !== 0) turn(last[0] ?? 0);
      for (let at = 1; at < depth; at++) seen(Math.abs((open[at] ?? 0) - (open[at - 1] ?? 0)), 0.5);
    },
  };
}
