import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { binnedCount } from '../fatigue/cycle-bins.ts';
import { clockSeconds, type SeriesColumns, type SeriesStated, seriesHead, seriesNumber } from './series-columns.ts';
import { seriesEnvelope } from './series-envelope.ts';
import { seriesOfPieces } from './series-of-pieces.ts';
import { seriesRows } from './series-rows.ts';

const head = (text: string, stated: SeriesStated = {}, separator = ',') =>
  seriesHead(
    text.split('\n').map((line) => line.split(separator)),
    stated,
  );

describe('the head of a recorder’s file', () => {
  it.each([
    ['time_s,tension_N\n0,1', ',', { time: 0, timeS: 1, tension: 1, tensionN: 1, decimal: '.', headLines: 1 }],
    ['Time (ms),Load (kN)\n0,1', ',', { timeS: 0.001, tensionN: 1000 }],
    ['t/s;F/kN\n0;1,5', ';', { timeS: 1, tensionN: 1000, decimal: ',' }],
    ['Elapsed [s]\tForce [lbf]\n0\t1', '\t', { timeS: 1, tensionN: 4.4482216152605 }],
    ['No.,Date Time,Load kg\n1,2026-03-01 10:15:00,20', ',', { time: 1, timeS: 'clock', tension: 2, tensionN: 9.80665 }],
    ['Timestamp,Line tension (tf)\n10:15:00.250,2', ',', { timeS: 'clock', tensionN: 9806.65 }],
    ['Recorder 4,\nBattery,3.7 V\ntime,force\ns,daN\n0,1', ',', { timeS: 1, tensionN: 10, headLines: 4 }],
    ['seconds,tension kN\n0,1', ',', { timeS: 1, tensionN: 1000 }],
    ['time_s,tension_N,travel_m\n0,1,0.5', ',', { travel: 2, travelM: 1 }],
    ['time_s,position (cm),tension_N\n0,1,0.5', ',', { travel: 1, travelM: 0.01, tension: 2 }],
    ['time_s,load_kg,tension_N\n0,1,2', ',', { tension: 2, tensionN: 1 }],
  ] as const)('%j is read', (text, separator, columns) => {
    expect(head(text, {}, separator)).toMatchObject({ kind: 'read', columns });
  });
  it('whose unit nobody wrote is asked for, never guessed; a bare ton likewise', () => {
    expect(head('time_s,load\n0,1')).toMatchObject({ kind: 'asked', ask: 'forceUnit', heading: 'load' });
    expect(head('time_s,load (ton)\n0,1')).toMatchObject({ kind: 'asked', ask: 'forceUnit' });
    expect(head('time_s,load_mm\n0,1')).toMatchObject({ kind: 'asked', ask: 'forceUnit' });
    expect(head('time,load_kN\n0,1')).toMatchObject({ kind: 'asked', ask: 'timeUnit', heading: 'time' });
    expect(head('time,load\n0,1', { forceUnit: 'kN', timeUnit: 'ms' })).toMatchObject({ columns: { timeS: 0.001, tensionN: 1000 } });
    expect(head('time_s,load_kN\n0,1', { forceUnit: 'lbf' })).toMatchObject({ columns: { tensionN: 4.4482216152605 } });
  });
  it('with two columns that could be the tension is asked about', () => {
    const two = 'time_s,load_kN,force_kN\n0,1,2';
    expect(head(two)).toEqual({ kind: 'asked', ask: 'tension', choices: ['load_kN', 'force_kN'] });
    expect(head(two, { tension: 'force_kN' })).toMatchObject({ columns: { tension: 2 } });
    expect(head(two, { tension: 'weight' })).toMatchObject({ kind: 'fault', message: 'No column is headed “weight”.' });
  });
  it('without headings, or without figures, is refused', () => {
    expect(head('0,1\n1,2')).toMatchObject({ kind: 'fault', message: expect.stringContaining('time_s,tension_N') });
    expect(head('time_s,tension_N')).toMatchObject({ kind: 'fault', message: expect.stringContaining('no row of figures') });
    expect(seriesHead([])).toMatchObject({ kind: 'fault' });
    expect(head('time_s,\n0,1')).toMatchObject({ kind: 'fault' });
    expect(head('time_s,strain_kN\n0,1')).toMatchObject({ kind: 'fault' });
    expect(head('time_s,strain_kN\n0,1', { tension: 'strain_kN' })).toMatchObject({ columns: { tension: 1 } });
  });
});

describe('the examples of the format', () => {
  const rowsOf = (name: string, separator: string) =>
    readFileSync(resolve(import.meta.dirname, '../../../demo/series', name), 'utf8')
      .trimEnd()
      .split(/\r?\n/)
      .map((line) => line.split(separator));
  it.each([
    ['plain.csv', ',', { timeS: 1, tensionN: 1, travelM: 1 }, 241],
    ['recorder.csv', ';', { timeS: 'clock', tensionN: 9.80665, decimal: ',', headLines: 4 }, 121],
  ] as const)('%s is read to its last row', (name, separator, columns, rows) => {
    const lines = rowsOf(name, separator);
    const found = seriesHead(lines);
    expect(found).toMatchObject({ kind: 'read', columns });
    if (found.kind !== 'read') throw new Error(found.kind);
    const reader = seriesRows({ columns: found.columns, leavesOutSpikes: false, seen: () => undefined });
    for (const [index, cells] of lines.entries()) if (index >= found.columns.headLines) reader.push(cells, index + 1);
    expect(reader.end()).toMatchObject({ rows, refusedCount: 0, spikes: 0, gaps: 0 });
  });
});

describe('a number of a recorder', () => {
  it.each([
    ['1.5', '.', 1.5],
    [' -0.25 ', '.', -0.25],
    ['1,5', ',', 1.5],
    ['1.2e3', '.', 1200],
    ['.5', '.', 0.5],
    ['+3', '.', 3],
    ['1,5', '.', Number.NaN],
    ['1.234,5', ',', Number.NaN],
    ['', '.', Number.NaN],
    ['0x10', '.', Number.NaN],
    ['Infinity', '.', Number.NaN],
    ['1 000', '.', Number.NaN],
  ] as const)('%j with %s is %s', (cell, decimal, value) => expect(seriesNumber(cell, decimal)).toBe(value));
  it.each([
    ['00:01:02.5', 62.5],
    ['23:59:59', 86_399],
    ['1970-01-02 00:00:01', 86_401],
    ['1970-01-01T01:00:00,250', 3600.25],
    ['24:00:00', Number.NaN],
    ['10:60:00', Number.NaN],
    ['ten', Number.NaN],
  ])('of a clock, %j is %s s', (cell, value) => expect(clockSeconds(cell)).toBe(value));
});

const PLAIN: SeriesColumns = { time: 0, timeS: 1, tension: 1, tensionN: 1000, decimal: '.', headLines: 1 };
function run(rows: readonly (readonly [string | number, string | number])[], { leavesOutSpikes = false, columns = PLAIN } = {}) {
  const seen: [number, number][] = [];
  const reader = seriesRows({ columns, leavesOutSpikes, seen: (timeS, tensionN) => seen.push([timeS, tensionN]) });
  for (const [index, cells] of rows.entries()) reader.push(cells.map(String), index + 2);
  return { seen, summary: reader.end() };
}

describe('the rows of a recorder’s file', () => {
  it('are readings from the first time on, with the largest and the smallest', () => {
    const { seen, summary } = run([
      [10, 1],
      [10.5, 4],
      [11, -0.2],
      [12, 3],
    ]);
    expect(seen).toEqual([
      [0, 1000],
      [0.5, 4000],
      [1, -200],
      [2, 3000],
    ]);
    expect(summary).toMatchObject({ rows: 4, durationS: 2, peakN: 4000, peakS: 0.5, lowestN: -200, refusedCount: 0, gaps: 0 });
  });
  it('that are none are refused by their line, and the others taken', () => {
    const { seen, summary } = run([
      [0, 1],
      ['x', 2],
      [1, 'much'],
      [2, 2001],
      [2, 2000],
      [1, 3],
      [3, 4],
    ]);
    expect(seen.map(([timeS]) => timeS)).toEqual([0, 2, 3]);
    expect(summary.refused).toEqual([
      { line: 3, why: '“x” is not a time' },
      { line: 4, why: '“much” is not a tension' },
      { line: 5, why: '2001 kN is beyond the 2,000 kN that can be read' },
      { line: 7, why: 'its time, 1 s after the first, runs behind the row before it, 2 s' },
    ]);
    expect(summary.refusedCount).toBe(4);
  });
  it('are not taken beyond any recording: times without end, thirty days, ten kilometres', () => {
    const days = 30 * 86_400;
    const { seen, summary } = run([
      [5, 1],
      [days + 5, 2],
      [days + 5.1, 3],
      ['1e400', 4],
      ['-1e400', 4],
    ]);
    expect(seen.map(([timeS]) => timeS)).toEqual([0, days]);
    expect(summary.refused).toEqual([
      { line: 4, why: `its time, ${days + 0.1} s after the first, is beyond the 30 days that can be read` },
      { line: 5, why: '“1e400” is not a time' },
      { line: 6, why: '“-1e400” is not a time' },
    ]);
    const far: string[] = [];
    const reader = seriesRows({
      columns: { ...PLAIN, travel: 2 },
      leavesOutSpikes: false,
      seen: (_s, _n, travelM) => far.push(String(travelM)),
    });
    for (const [index, metres] of ['10000', '10001', '-10000', '1e400'].entries()) reader.push([String(index), '1', metres], index + 2);
    expect(reader.end().refused.map(({ line }) => line)).toEqual([3, 5]);
    expect(far).toEqual(['10000', '-10000']);
  });
  it('name the first fifty that are refused, and count the rest', () => {
    const { summary } = run(Array.from({ length: 60 }, (_, row) => [row, 'x']));
    expect([summary.refused.length, summary.refusedCount, summary.rows, summary.peakN]).toEqual([50, 60, 0, 0]);
  });
  it('of one time count in their order', () => {
    const { seen, summary } = run([
      [0, 1],
      [0, 5],
      [0, 2],
      [1, 1],
    ]);
    expect(seen).toHaveLength(4);
    expect(summary).toMatchObject({ repeated: 2, peakN: 5000 });
  });
  it('may have a gap: ten steps and more than two seconds', () => {
    const steady = Array.from({ length: 21 }, (_, row) => [row * 0.2, 1] as const);
    expect(run([...steady, [6, 1]]).summary).toMatchObject({ gaps: 0 });
    expect(run([...steady, [6.01, 1]]).summary.gaps).toBe(1);
    expect(run([...steady, [6.01, 1], [7, 1]]).summary.longestGapS).toBeCloseTo(2.01, 9);
    const slow = Array.from({ length: 21 }, (_, row) => [row, 1] as const);
    expect(run([...slow, [30, 1]]).summary.gaps).toBe(0);
    expect(run([...slow, [31.5, 1]]).summary.gaps).toBe(1);
  });
  it('may have a spike: a lone reading 5 kN beyond both neighbours and more than the larger of them', () => {
    const between = (n: number, neighbour: number) =>
      run([
        [0, neighbour],
        [1, n],
        [2, neighbour],
        [3, neighbour],
      ]).summary.spikes;
    expect([between(6, 1), between(6.01, 1)]).toEqual([0, 1]);
    expect([between(16, 8), between(16.01, 8)]).toEqual([0, 1]);
    // A snatch has its flanks: two high readings are none.
    expect(
      run([
        [0, 1],
        [1, 30],
        [2, 29],
        [3, 1],
      ]).summary.spikes,
    ).toBe(0);
    // A reading that drops to nothing between two is one.
    expect(
      run([
        [0, 20],
        [1, 0],
        [2, 20],
      ]).summary.spikes,
    ).toBe(1);
  });
  it('count a spike, unless a person says that it is none', () => {
    const rows = [
      [0, 1],
      [1, 40],
      [2, 1],
      [3, 2],
    ] as const;
    expect(run(rows).summary).toMatchObject({ rows: 4, peakN: 40_000, spikes: 1, spikeLines: [3] });
    expect(run(rows, { leavesOutSpikes: true }).summary).toMatchObject({ rows: 3, peakN: 2000, spikes: 1, spikeLines: [3] });
  });
  it('have their metre where it is recorded', () => {
    const metres: (number | undefined)[] = [];
    const columns = { ...PLAIN, travel: 2, travelM: 0.01 };
    const reader = seriesRows({ columns, leavesOutSpikes: false, seen: (_s, _n, m) => metres.push(m) });
    reader.push(['0', '1', '250'], 2);
    reader.push(['1', '1', 'far'], 3);
    expect(reader.end().refused).toEqual([{ line: 3, why: '“far” is not a distance' }]);
    expect(metres).toEqual([2.5]);
  });
});

describe('what a drawing needs of a series', () => {
  it('loses no peak, however long the series, in a bounded number of stretches', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ step: fc.double({ min: 0, max: 50, noNaN: true }), n: fc.integer({ min: -10, max: 90_000 }) }), {
          minLength: 1,
          maxLength: 300,
        }),
        (samples) => {
          const envelope = seriesEnvelope();
          let s = 0;
          for (const { step, n } of samples) {
            s += step;
            envelope.push(s, n);
          }
          const { lowN, highN, stepS } = envelope.end();
          const numbers = (values: readonly number[]) => values.filter((value) => !Number.isNaN(value));
          expect(Math.max(...numbers(highN))).toBe(Math.max(...samples.map(({ n }) => n)));
          expect(Math.min(...numbers(lowN))).toBe(Math.min(...samples.map(({ n }) => n)));
          expect(highN.length).toBeLessThanOrEqual(2000);
          expect(highN.length * stepS).toBeGreaterThan(s - 1e-9);
        },
      ),
      { seed: 11 },
    );
  });
  it('has each reading in its own stretch of time', () => {
    const envelope = seriesEnvelope();
    for (const [s, n] of [
      [0, 5],
      [0.0005, 7],
      [0.003, 2],
    ] as const)
      envelope.push(s, n);
    expect(envelope.end()).toEqual({ stepS: 0.001, lowN: [5, Number.NaN, Number.NaN, 2], highN: [7, Number.NaN, Number.NaN, 2] });
  });
});

describe('the series of each piece', () => {
  const pull = [0, 10_000, 4000, 20_000, 0];
  const counted = (mbsN: number, values: readonly number[]) => {
    const count = binnedCount(mbsN);
    for (const value of values) count.push(value);
    return count.end();
  };
  it('is the line’s, times what the piece carries of it', () => {
    const count = seriesOfPieces({
      travelM: [0],
      pieces: [
        { gearId: 'block', mbsN: 100_000, shares: [1.8] },
        { gearId: 'rope', shares: [1] },
      ],
    });
    for (const tensionN of pull) count.push(tensionN, undefined);
    const [block, rope] = count.end();
    expect(block?.peakN).toBeCloseTo(36_000, 9);
    expect(block?.cycles).toEqual(
      counted(
        100_000,
        pull.map((n) => n * 1.8),
      ),
    );
    // Without a breaking strength there are no bins to count into.
    expect(rope).toEqual({ gearId: 'rope', peakN: 20_000, cycles: [] });
  });
  it('goes by the metre at which the load was, linear between two', () => {
    const pieces = [{ gearId: 'block', mbsN: 100_000, shares: [2, 1] }];
    const run = (...readings: readonly (readonly [number, number | undefined])[]) => {
      const count = seriesOfPieces({ travelM: [0, 4], pieces });
      for (const [n, m] of readings) count.push(n, m);
      return count.end()[0];
    };
    expect(run([10_000, 0])?.peakN).toBeCloseTo(20_000, 9);
    expect(run([10_000, 1])?.peakN).toBeCloseTo(17_500, 9);
    expect(run([10_000, 4])?.peakN).toBeCloseTo(10_000, 9);
    expect(run([10_000, 9])?.peakN).toBeCloseTo(10_000, 9);
    expect(run([10_000, undefined])?.peakN).toBeCloseTo(20_000, 9);
    expect(run([0, 0], [10_000, 1], [0, 4])?.cycles).toEqual(counted(100_000, [0, 17_500, 0]));
  });
  it('of a gauge that reads below nothing has no peak', () => {
    const count = seriesOfPieces({ travelM: [0], pieces: [{ gearId: 'rope', shares: [1] }] });
    count.push(-50, undefined);
    expect(count.end()[0]?.peakN).toBe(0);
  });
});
