import { readRigFile, withWords } from '@wainrope/core';
import { judgedCase, reportOf, runUpCurves } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import hollowFile from '../../../../demo/plans/sand-hollow-stretch-pull.json' with { type: 'json' };
import type { ChartLook } from '../../charts/chart-look.ts';
import { runUpFigure, runUpTable } from './run-up-figure.ts';

const file = readRigFile(hollowFile);
if (!file.ok) throw new Error(JSON.stringify(file.faults));
const judged = judgedCase(file.value.case);
const report = withWords(reportOf(judged));
const [curves, plan] = [runUpCurves(judged), report.runUp];
if (!curves || !plan) throw new Error('the demo has a run-up');
const look = new Proxy({}, { get: (_, name) => `#${String(name)}` }) as ChartLook;
const input = { curves, plan, places: report.places, units: 'lbf' } as const;

describe('the chart of a run-up', () => {
  const { data, layout } = runUpFigure(input, look);
  const series = data as { name: string; x: number[]; y: number[]; line?: { dash: string } }[];
  it('has a line for every attempt, one dashed for the step beyond, and the peaks that are reckoned with', () => {
    expect(series.map(({ name }) => name)).toEqual([
      ...plan.attempts.map((_, index) => `attempt ${index + 1}`),
      'one step beyond',
      'peak used for the verdict',
    ]);
    expect(series.slice(0, -1).map(({ line }) => line?.dash)).toEqual([...plan.attempts.map(() => 'solid'), 'dash']);
    const peaks = series.at(-1);
    expect(peaks?.y[0]).toBeCloseTo((plan.attempts[0]?.peakN ?? 0) / 4.4482216152605, 6);
    expect(peaks?.y.at(-1)).toBeCloseTo(plan.beyond.peakN / 4.4482216152605, 6);
  });
  it('draws the lowest limit of each piece across it, named, the lowest first, and nothing above its own room', () => {
    const heights = (layout.shapes ?? []).map(({ y0 }) => Number(y0));
    expect(heights.length).toBeGreaterThan(0);
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
    expect(heights[0]).toBeCloseTo(Math.min(...curves.limits.map(({ limitN }) => limitN)) / 4.4482216152605, 6);
    const top = Number(layout.yaxis?.range?.[1]);
    for (const height of heights) expect(height).toBeLessThan(top);
    expect((layout.annotations ?? []).map(({ text }) => text)[0]).toMatch(/^ \S+ limit$/);
  });
  it('is the same as a table, limits among it', () => {
    const { columns, rows } = runUpTable(input);
    expect(columns[2]).toContain('lbf');
    expect(rows[plan.attempts.length]?.[0]).toBe('one step beyond');
    expect(rows.filter(([what]) => String(what).startsWith('limit of')).length).toBe(
      new Set(curves.limits.map(({ placeId }) => report.places.find(({ id }) => id === placeId)?.tag ?? placeId)).size,
    );
  });
});
