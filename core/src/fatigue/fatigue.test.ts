import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rainflowCount } from './count-rainflow-cycles.ts';
import { addBins, binnedCount, cyclesOfPulls } from './cycle-bins.ts';
import { usageIndex } from './usage-index.ts';

/** Cycles by their range. */
function counted(series: readonly number[]): Record<string, number> {
  const cycles: Record<string, number> = {};
  const count = rainflowCount((range, part) => {
    cycles[range] = (cycles[range] ?? 0) + part;
  });
  for (const value of series) count.push(value);
  count.end();
  return cycles;
}

describe('cycles of a series', () => {
  it('are those of the standard’s own example', () => {
    expect(counted([-2, 1, -3, 5, -1, 3, -4, 4, -2])).toEqual({ 3: 0.5, 4: 1.5, 6: 0.5, 8: 1, 9: 0.5 });
  });
  it('are the same whatever stands between peaks and valleys, and however often a value is repeated', () => {
    const dense = [-2, -2, -1, 0, 1, 1, -1, -3, -3, 0, 2, 5, 4, -1, 0, 3, 3, -4, 0, 4, 1, -2, -2];
    expect(counted(dense)).toEqual(counted([-2, 1, -3, 5, -1, 3, -4, 4, -2]));
  });
  it.each([
    [[], {}],
    [[7], {}],
    [[7, 7, 7], {}],
    [[0, 10], { 10: 0.5 }],
    [[10, 0], { 10: 0.5 }],
    // One pull: out and back, two halves.
    [[0, 10, 0], { 10: 1 }],
    // Three like pulls: the ends as halves, the rest whole.
    [[0, 10, 0, 10, 0, 10, 0], { 10: 3 }],
    // A small swing within a large one is closed by it.
    [[0, 10, 6, 8, 0], { 2: 1, 10: 1 }],
    // A swing as large as the one before closes it.
    [[0, 4, 0, 10], { 4: 1, 10: 0.5 }],
  ])('of %j are %j', (series, cycles) => {
    expect(counted(series)).toEqual(cycles);
  });
  it('are not counted of what is no number', () => {
    const count = rainflowCount(() => undefined);
    count.push(1);
    expect(() => count.push(Number.NaN)).toThrow('is a number');
    expect(() => rainflowCount(() => undefined).push(Number.NaN)).toThrow('is a number');
    expect(() => rainflowCount(() => undefined).pushAll(Float64Array.of(1, 2, Number.NaN))).toThrow('is a number');
  });
  it('are the same however a series is cut into parts, and however deep its swings stand in each other', () => {
    // Two hundred swings, each within the one before: none is closed until the end.
    const nested = Array.from({ length: 200 }, (_, index) => (index % 2 === 0 ? 1 : -1) * (1000 - index));
    expect(Object.values(counted(nested))).toEqual(Array.from({ length: 199 }, () => 0.5));
    const series = [...nested, ...nested.map((value) => value / 2), 2000];
    for (const size of [1, 2, 7, 64, series.length]) {
      const cycles: Record<string, number> = {};
      const count = rainflowCount((range, part) => {
        cycles[range] = (cycles[range] ?? 0) + part;
      });
      const part = new Float64Array(size);
      for (let at = 0; at < series.length; at += size) {
        const some = series.slice(at, at + size);
        part.set(some);
        count.pushAll(part, some.length);
      }
      count.end();
      expect(cycles).toEqual(counted(series));
    }
  });
  it('do not depend on where zero is, and turn over with the series', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -50, max: 50 }), { maxLength: 60 }), fc.integer({ min: -9, max: 9 }), (series, shift) => {
        const cycles = counted(series);
        expect(counted(series.map((value) => value + shift))).toEqual(cycles);
        expect(counted(series.map((value) => -value))).toEqual(cycles);
      }),
      { seed: 5 },
    );
  });
  it('lose no half: there are as many halves as ranges between turning points', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -9, max: 9 }), { maxLength: 60 }), (series) => {
        const plain = series.filter((value, index) => index === 0 || value !== series[index - 1]);
        const turns = plain.filter((value, index) => {
          const [before, after] = [plain[index - 1], plain[index + 1]];
          return before === undefined || after === undefined || Math.sign(value - before) !== Math.sign(after - value);
        });
        const halves = Object.values(counted(series)).reduce((sum, part) => sum + 2 * part, 0);
        expect(halves).toBe(Math.max(0, turns.length - 1));
      }),
      { seed: 6 },
    );
  });
});

describe('bins of two per cent of the breaking strength', () => {
  const binsOf = (mbsN: number, series: readonly number[]) => {
    const count = binnedCount(mbsN);
    for (const value of series) count.push(value);
    return count.end();
  };
  it('have their lower edge closed', () => {
    expect(binsOf(100_000, [0, 1999.9, 0])).toEqual([{ bin: 0, cycles: 1 }]);
    expect(binsOf(100_000, [0, 2000, 0])).toEqual([{ bin: 1, cycles: 1 }]);
    expect(binsOf(100_000, [0, 3999.9, 0])).toEqual([{ bin: 1, cycles: 1 }]);
    expect(binsOf(100_000, [0, 4000, 0])).toEqual([{ bin: 2, cycles: 1 }]);
  });
  it('are not moved by rounding of a load that stands on an edge', () => {
    for (let bin = 1; bin < 60; bin++) expect(cyclesOfPulls(bin * 0.02 * 87_000, 87_000, 1)).toEqual([{ bin, cycles: 1 }]);
  });
  it('count a pull without a gauge as one cycle from nothing to its load', () => {
    expect(cyclesOfPulls(30_000, 100_000, 3)).toEqual([{ bin: 15, cycles: 3 }]);
    expect(cyclesOfPulls(0, 100_000, 3)).toEqual([]);
    expect(cyclesOfPulls(30_000, 100_000, 0)).toEqual([]);
    expect(() => cyclesOfPulls(1, 0, 1)).toThrow('above zero');
  });
  it('are added bin by bin', () => {
    expect(
      addBins([
        [{ bin: 3, cycles: 1 }],
        [],
        [
          { bin: 1, cycles: 0.5 },
          { bin: 3, cycles: 0.5 },
        ],
      ]),
    ).toEqual([
      { bin: 1, cycles: 0.5 },
      { bin: 3, cycles: 1.5 },
    ]);
  });
});

describe('the usage index', () => {
  it('is the sum of cycles by the share of the strength, to the fifth power for steel and the eighth for fibre', () => {
    // Two cycles in the bin that ends at a half: 2 × 0.5^5 and 2 × 0.5^8.
    expect(usageIndex([{ bin: 24, cycles: 2 }], 'steel')).toBeCloseTo(0.0625, 12);
    expect(usageIndex([{ bin: 24, cycles: 2 }], 'fibre')).toBeCloseTo(0.0078125, 12);
    const two = usageIndex(
      [
        { bin: 24, cycles: 1 },
        { bin: 49, cycles: 0.5 },
      ],
      'steel',
    );
    expect(two).toBeCloseTo(0.03125 + 0.5, 12);
    expect(usageIndex([], 'steel')).toBe(0);
  });
  it('weighs one heavy pull above a hundred light ones', () => {
    expect(usageIndex([{ bin: 39, cycles: 1 }], 'fibre')).toBeGreaterThan(usageIndex([{ bin: 9, cycles: 100 }], 'fibre'));
  });
});
