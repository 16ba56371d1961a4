import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../quantity/calendar.ts';
import { median, meets, percentile, theilSen } from './theil-sen.ts';
import { limitValue, type MeasureLimit, type Reading, readingQuestion, wearTrend } from './wear-trend.ts';

const loss: { readonly limit: MeasureLimit } = { limit: { kind: 'loss', value: 0.1 } };
const growth: { readonly limit: MeasureLimit } = { limit: { kind: 'growth', value: 0.05 } };
const FIRST = '2026-01-01';
/** Readings by day after the first and value. */
const readings = (...pairs: readonly (readonly [day: number, value: number])[]): Reading[] =>
  pairs.map(([day, value]) => ({ on: addDays(FIRST, day), value }));

describe('percentiles', () => {
  it('are read between two values on (n − 1)·q', () => {
    expect(percentile([4, 1, 3, 2], 0)).toBe(1);
    expect(percentile([4, 1, 3, 2], 1)).toBe(4);
    // 3 × 0.1 = 0.3 of the way from the first to the second.
    expect(percentile([4, 1, 3, 2], 0.1)).toBeCloseTo(1.3, 12);
    expect(median([5, 1, 9])).toBe(5);
    expect(median([1, 9])).toBe(5);
    expect(() => percentile([], 0.5)).toThrow('needs a value');
  });
});

describe('the trend of some readings', () => {
  it('is the line itself where they lie on one', () => {
    const fit = theilSen([0, 10, 30, 70].map((x) => ({ x, y: 20 - 0.02 * x })));
    expect(fit?.slope).toBeCloseTo(-0.02, 12);
    expect(fit?.intercept).toBeCloseTo(20, 12);
    expect(fit?.low.slope).toBeCloseTo(-0.02, 12);
    expect(meets({ slope: -0.02, intercept: 20 }, 18)).toBeCloseTo(100, 9);
    expect(meets({ slope: 0, intercept: 20 }, 18)).toBeUndefined();
  });
  it('is worked by hand for three readings that do not', () => {
    // Slopes between each two: −0.1, −0.2 and −0.3; the median −0.2.
    const fit = theilSen([
      { x: 0, y: 20 },
      { x: 10, y: 19 },
      { x: 20, y: 16 },
    ]);
    expect(fit?.slope).toBeCloseTo(-0.2, 12);
    // y − slope·x: 20, 21, 20; the median 20.
    expect(fit?.intercept).toBeCloseTo(20, 12);
    // 2 × 0.1 = 0.2 of the way from −0.3 to −0.2, and from the other end.
    expect(fit?.low.slope).toBeCloseTo(-0.28, 12);
    expect(fit?.high.slope).toBeCloseTo(-0.12, 12);
    // Of the steeper: 20, 21.8, 21.6; of the flatter: 20, 20.2, 18.4.
    expect(fit?.low.intercept).toBeCloseTo(21.6, 12);
    expect(fit?.high.intercept).toBeCloseTo(20, 12);
  });
  it('is not moved by one wild reading', () => {
    const points = [0, 10, 20, 30, 40, 50, 60].map((x) => ({ x, y: 20 - 0.02 * x }));
    const wild = points.map((point) => (point.x === 30 ? { ...point, y: 5 } : point));
    expect(theilSen(wild)?.slope).toBeCloseTo(-0.02, 2);
  });
  it('has none where all lie on one x', () => {
    expect(
      theilSen([
        { x: 3, y: 1 },
        { x: 3, y: 2 },
      ]),
    ).toBeUndefined();
    expect(theilSen([])).toBeUndefined();
  });
  it('follows a change of scale, and of where zero is', () => {
    const some = fc.array(fc.record({ x: fc.integer({ min: 0, max: 400 }), y: fc.integer({ min: 0, max: 100 }) }), {
      minLength: 3,
      maxLength: 12,
    });
    fc.assert(
      fc.property(some, (points) => {
        const fit = theilSen(points);
        const moved = theilSen(points.map(({ x, y }) => ({ x: x + 7, y: 3 * y - 2 })));
        expect(moved === undefined).toBe(fit === undefined);
        if (fit && moved) expect(moved.slope).toBeCloseTo(3 * fit.slope, 6);
      }),
      { seed: 7 },
    );
  });
});

describe('the limit of a measure', () => {
  it.each([
    [loss, 20, 18],
    [growth, 20, 21],
    [{ limit: { kind: 'at-most', value: 3 } } as const, 20, 3],
    [{ limit: { kind: 'at-most', value: 3 } } as const, undefined, 3],
    [loss, undefined, undefined],
  ])('%j of a piece that measured %s new is %s', (measure, whenNew, limit) => {
    expect(limitValue(measure, whenNew)).toEqual(limit === undefined ? undefined : expect.closeTo(limit, 9));
  });
});

describe('the forecast of a measure', () => {
  it('says how many readings it has where they are fewer than three, and none where all are of one day', () => {
    expect(wearTrend(loss, 18, [])).toEqual({ kind: 'too-few', have: 0 });
    expect(wearTrend(loss, 18, readings([0, 20], [10, 19.8]))).toEqual({ kind: 'too-few', have: 2 });
    expect(wearTrend(loss, 18, readings([0, 20], [0, 19.8], [0, 19.9])).kind).toBe('one-day');
  });
  it('is the day on which a straight line meets the limit', () => {
    const trend = wearTrend(loss, 18, readings([0, 20], [50, 19], [80, 18.4]));
    expect(trend).toMatchObject({ kind: 'trend', forecastOn: addDays(FIRST, 100), expectedOn: addDays(FIRST, 100) });
  });
  it('takes the early end of the band, each end with its own intercept', () => {
    // The line of the last test but one: −0.28 from 21.6, −0.2 from 20, −0.12 from 20.
    const trend = wearTrend(loss, 10, readings([0, 20], [10, 19], [20, 16]));
    if (trend.kind !== 'trend') throw new Error(trend.kind);
    expect(trend.byDays.meetsAt).toBeCloseTo((20 - 10) / 0.2, 9);
    expect(trend.byDays.earlyAt).toBeCloseTo((21.6 - 10) / 0.28, 9);
    expect(trend.forecastOn).toBe(addDays(FIRST, 41));
    expect(trend.expectedOn).toBe(addDays(FIRST, 50));
  });
  it.each([
    ['a loss that grows', loss, [20, 20.1, 20.2], 18],
    ['a loss that stands', loss, [20, 20, 20], 18],
    ['a growth that shrinks', growth, [20, 19.9, 19.8], 21],
  ] as const)('is never for %s', (_what, measure, values, limit) => {
    const trend = wearTrend(measure, limit, readings([0, values[0]], [10, values[1]], [20, values[2]]));
    expect(trend.kind).toBe('trend');
    expect(trend).not.toHaveProperty('forecastOn');
  });
  it('meets the limit of a growth from below', () => {
    expect(wearTrend(growth, 21, readings([0, 20], [10, 20.1], [20, 20.2]))).toMatchObject({ forecastOn: addDays(FIRST, 100) });
  });
  it('is not before the last reading, though a line was there earlier', () => {
    const trend = wearTrend(loss, 18, readings([0, 20], [10, 18.2], [60, 17.9], [70, 18.1]));
    if (trend.kind !== 'trend') throw new Error(trend.kind);
    expect((trend.forecastOn ?? '') >= addDays(FIRST, 70)).toBe(true);
  });
  it('goes by pulls where they are counted at three readings or more', () => {
    const counted = readings([0, 20], [10, 19], [20, 18]).map((reading, index) => ({ ...reading, pulls: 10 * index }));
    const trend = wearTrend(loss, 16, counted);
    if (trend.kind !== 'trend') throw new Error(trend.kind);
    expect(trend.byPulls?.meetsAt).toBeCloseTo(40, 9);
    const [first, ...rest] = counted;
    const two = wearTrend(loss, 16, [...(first ? [{ on: first.on, value: first.value }] : []), ...rest]);
    expect(two).not.toHaveProperty('byPulls');
  });
});

describe('a reading that is being typed', () => {
  it('is not asked about where rounding alone puts it over', () => {
    const typed = (value: number) =>
      readingQuestion({ measure: loss, limit: 0.018, earlier: readings([0, 0.0192]), typed: { on: FIRST, value }, tolerance: 0.0004 });
    expect(typed(0.0196)).toBeUndefined();
    expect(typed(0.01961)).toEqual({ kind: 'better-than-before', before: 0.0192 });
  });
  const earlier = readings([0, 20], [10, 19], [20, 16]);
  const asked = (value: number, day = 30) =>
    readingQuestion({ measure: loss, limit: 10, earlier, typed: { on: addDays(FIRST, day), value }, tolerance: 0.2 });
  it('is asked about where it is better than the last by more than two readings differ', () => {
    expect(asked(16.21)).toEqual({ kind: 'better-than-before', before: 16 });
    expect(asked(16.19)).toBeUndefined();
    const shrinks = { measure: growth, limit: 21, earlier: readings([0, 20], [10, 20.5]), tolerance: 0.2 };
    expect(readingQuestion({ ...shrinks, typed: { on: addDays(FIRST, 20), value: 20.29 } })).toMatchObject({ kind: 'better-than-before' });
    expect(readingQuestion({ ...shrinks, typed: { on: addDays(FIRST, 20), value: 20.31 } })).toBeUndefined();
  });
  it('is asked about where it lies outside the band by more than the band is wide', () => {
    // After 30 days: 21.6 − 8.4 = 13.2 and 20 − 3.6 = 16.4; 3.2 wide, so that 10 is the lowest not asked about.
    expect(asked(10.01)).toBeUndefined();
    expect(asked(9.99)).toMatchObject({ kind: 'outside-band', lowest: expect.closeTo(13.2, 9), highest: expect.closeTo(16.4, 9) });
  });
  it('of a band without width is asked about beyond what two readings differ by', () => {
    const straight = { measure: loss, limit: 10, earlier: readings([0, 20], [10, 19.5], [20, 19]), tolerance: 0.2 };
    const at30 = (value: number) => readingQuestion({ ...straight, typed: { on: addDays(FIRST, 30), value } });
    expect(at30(18.31)).toBeUndefined();
    expect(at30(18.29)).toMatchObject({ kind: 'outside-band' });
  });
  it('is not asked about where there is nothing before it', () => {
    expect(readingQuestion({ measure: loss, limit: 18, earlier: [], typed: { on: FIRST, value: 3 }, tolerance: 0.2 })).toBeUndefined();
  });
});
