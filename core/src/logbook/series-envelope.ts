/** Smallest and largest tension over equal stretches of time, N. */
export interface SeriesEnvelope {
  /** Length of a stretch, s; the first begins with the series. */
  readonly stepS: number;
  readonly lowN: readonly number[];
  readonly highN: readonly number[];
}

export interface EnvelopeCount {
  readonly push: (timeS: number, tensionN: number) => void;
  readonly end: () => SeriesEnvelope;
}

/** A drawing has no more points across. */
const MOST_STRETCHES = 2000;
/** The first stretches are so long, s; they double as the series goes on. */
const FIRST_STEP_S = 0.001;

/**
 * What a drawing of a series needs of it: no peak is lost, whatever its length, in memory that does not grow with it. Times from 0 on, s,
 * never falling. A stretch without a reading has NaN.
 */
export function seriesEnvelope(): EnvelopeCount {
  let stepS = FIRST_STEP_S;
  const low = new Float64Array(MOST_STRETCHES).fill(Number.NaN);
  const high = new Float64Array(MOST_STRETCHES).fill(Number.NaN);
  const double = (): void => {
    for (let at = 0; at < MOST_STRETCHES / 2; at++) {
      low[at] = least(low[2 * at] ?? Number.NaN, low[2 * at + 1] ?? Number.NaN);
      high[at] = -least(-(high[2 * at] ?? Number.NaN), -(high[2 * at + 1] ?? Number.NaN));
    }
    low.fill(Number.NaN, MOST_STRETCHES / 2);
    high.fill(Number.NaN, MOST_STRETCHES / 2);
    stepS *= 2;
  };
  return {
    push(timeS, tensionN) {
      while (timeS >= stepS * MOST_STRETCHES) double();
      const at = Math.floor(timeS / stepS);
      low[at] = least(low[at] ?? Number.NaN, tensionN);
      high[at] = -least(-(high[at] ?? Number.NaN), -tensionN);
    },
    end() {
      const last = high.findLastIndex((value) => !Number.isNaN(value)) + 1;
      return { stepS, lowN: [...low.subarray(0, last)], highN: [...high.subarray(0, last)] };
    },
  };
}

/** The smaller of two, where one may be none. */
const least = (a: number, b: number): number => (Number.isNaN(a) || b < a ? b : a);
