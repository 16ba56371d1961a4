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
  /** Turning points that are not closed; the first that remains is the starting point of the method. */
  const open: number[] = [];
  let last: number | undefined;
  let rising: boolean | undefined;

  function turn(point: number): void {
    open.push(point);
    while (open.length >= 3) {
      const at = open.length - 3;
      const before = Math.abs((open[at + 1] ?? 0) - (open[at] ?? 0));
      const now = Math.abs((open[at + 2] ?? 0) - (open[at + 1] ?? 0));
      if (now < before) return;
      if (at === 0) {
        seen(before, 0.5);
        open.shift();
      } else {
        seen(before, 1);
        open.splice(at, 2);
      }
    }
  }

  return {
    push(value) {
      if (last === undefined) {
        last = value;
        open.push(value);
        return;
      }
      if (value === last) return;
      const rises = value > last;
      if (rising !== undefined && rises !== rising) turn(last);
      rising = rises;
      last = value;
    },
    end() {
      if (last !== undefined && rising !== undefined) turn(last);
      for (let at = 1; at < open.length; at++) seen(Math.abs((open[at] ?? 0) - (open[at - 1] ?? 0)), 0.5);
    },
  };
}
