import { cleanup, screen, within } from '@testing-library/react';
import type { WearSeries } from '@wainrope/contract';
import { addDays, teamStandard } from '@wainrope/core';
import { afterEach, describe, expect, it } from 'vitest';
import { fakeServer } from '../testing/fake-server.ts';
import { sampleLook as look } from '../testing/sample-look.ts';
import { asRole } from '../testing/sample-team.ts';
import { show } from '../testing/show.tsx';
import { readingWords } from './reading-words.ts';
import { WearSection } from './WearSection.tsx';
import { measureOf, trendWords, wearFigure, wearTable } from './wear-series.ts';

const server = fakeServer();
afterEach(cleanup);

const FIRST = '2026-01-01';
const series = (
  values: readonly (readonly [day: number, valueM: number, pulls?: number])[],
  change: Partial<WearSeries> = {},
): WearSeries => ({
  measureId: 'bow',
  label: 'Bow diameter',
  quantity: 'small-length',
  limitKind: 'loss',
  limitValue: 0.1,
  source: 'a test',
  isAsked: true,
  whenNew: 0.02,
  limit: 0.018,
  readings: values.map(([day, value, pulls]) => ({
    inspectionId: `i-${day}`,
    on: addDays(FIRST, day),
    by: 'Isla Wrenfell',
    value,
    ...(pulls !== undefined && { pulls }),
  })),
  ...change,
});
/** 0.01 mm a day. */
const straight = series(
  [
    [0, 0.02, 0],
    [50, 0.0195, 10],
    [80, 0.0192, 16],
  ],
  { forecastOn: addDays(FIRST, 200), expectedOn: addDays(FIRST, 200) },
);

describe('what the readings of a measure say', () => {
  it.each([
    ['nothing measured', series([]), 'Not measured yet.'],
    ['one', series([[0, 0.02]]), 'One reading so far; a trend wants three.'],
    [
      'two',
      series([
        [0, 0.02],
        [9, 0.0199],
      ]),
      'Two readings so far; a trend wants three.',
    ],
    [
      'one day',
      series([
        [0, 0.02],
        [0, 0.0199],
        [0, 0.0198],
      ]),
      'All readings are of one day; a trend wants days between them.',
    ],
    [
      'none of wear',
      series([
        [0, 0.02],
        [5, 0.02],
        [9, 0.02],
      ]),
      'It does not wear towards its limit.',
    ],
    ['a day', straight, 'Forecast to meet its limit on Jul 20, 2026.'],
    [
      'two days',
      { ...straight, expectedOn: '2026-09-01' },
      'Forecast to meet its limit on Jul 20, 2026 at the earliest; by the trend on Sep 1, 2026.',
    ],
  ])('of %s', (_what, each, words) => expect(trendWords(each)).toBe(words));
  it('of a value when new that is unknown says what is missing', () => {
    const { limit: _l, whenNew: _n, ...unknown } = straight;
    expect(trendWords(unknown)).toContain('value when new is not known');
  });
});

describe('the chart of a measure', () => {
  const named = (figure: ReturnType<typeof wearFigure>, name: string) => figure.data.find((trace) => trace.name === name);
  it('draws readings in millimetres by day, new and limit, the trend as far as it was seen and dashed beyond', () => {
    const figure = wearFigure(straight, { against: 'days', look });
    expect(named(figure, 'Readings')).toMatchObject({ x: [FIRST, addDays(FIRST, 50), addDays(FIRST, 80)], y: [20, 19.5, 19.2] });
    expect(named(figure, 'Discard limit')).toMatchObject({ y: [18, 18], line: { color: look.rust, dash: 'solid' } });
    expect(named(figure, 'New')).toMatchObject({ y: [20, 20], line: { dash: 'dot' } });
    const trend = named(figure, 'Trend') as { x: string[]; y: number[] };
    expect(trend.x).toEqual([FIRST, addDays(FIRST, 80)]);
    expect(trend.y[1]).toBeCloseTo(19.2, 9);
    expect(named(figure, 'Forecast')).toMatchObject({ line: { dash: 'dash' } });
    expect(figure.layout.yaxis?.title).toMatchObject({ text: 'mm' });
    expect(figure.layout.annotations?.map(({ text }) => text)).toEqual(['new 20 mm', 'limit 18 mm']);
  });
  it('stands by pulls where they are counted', () => {
    const figure = wearFigure(straight, { against: 'pulls', look });
    expect(named(figure, 'Readings')).toMatchObject({ x: [0, 10, 16] });
    expect(figure.layout.xaxis?.title).toMatchObject({ text: 'pulls' });
  });
  it('has no trend from two readings, and says the same as a table', () => {
    const two = series([
      [0, 0.02],
      [9, 0.0199],
    ]);
    expect(named(wearFigure(two, { against: 'days', look }), 'Trend')).toBeUndefined();
    expect(wearTable(two)).toEqual({
      columns: ['Day', 'What', 'Value, mm', 'Pulls by then', 'By'],
      rows: [
        ['', 'new', 20, '', ''],
        [FIRST, 'measured', 20, '', 'Isla Wrenfell'],
        [addDays(FIRST, 9), 'measured', 19.9, '', 'Isla Wrenfell'],
        ['', 'discard limit', 18, '', ''],
      ],
    });
  });
});

describe('a reading that is typed at the bench', () => {
  const ask = (value: number, of: WearSeries | undefined) =>
    readingWords({ measure: measureOf(straight), series: of, value, on: addDays(FIRST, 100), policy: teamStandard });
  it('is asked about where it is better than last time by more than readings differ', () => {
    // Two per cent of 20 mm: 0.4 mm; two readings have no trend.
    const two = series([
      [0, 0.02],
      [80, 0.0192],
    ]);
    expect(ask(0.0196, two)).toBeUndefined();
    expect(ask(0.0197, two)).toContain('Better than last time, when it was 19.2 mm');
  });
  it('is asked about where it is farther from its trend than its readings lie apart', () => {
    // 19 mm is to be expected, and so is what two readings differ by.
    expect(ask(0.0187, straight)).toBeUndefined();
    expect(ask(0.0185, straight)).toContain('about 19 mm was expected');
    // Readings that scatter by more than that leave a range.
    const uneven = series([
      [0, 0.02],
      [20, 0.0197],
      [40, 0.0197],
      [60, 0.0193],
      [80, 0.0193],
    ]);
    expect(ask(0.015, uneven)).toMatch(/between 18\.\d+ mm and 19\.\d mm was expected/);
  });
  it('is asked nothing where earlier readings are not known here', () => {
    expect(ask(0.0185, undefined)).toBeUndefined();
    expect(ask(0.0185, series([]))).toBeUndefined();
  });
});

describe('the wear of a piece', () => {
  it('shows the measure that ends first, each with its last reading, and what was never measured', async () => {
    const slower = { ...straight, measureId: 'pin', label: 'Pin diameter', forecastOn: '2030-01-01' };
    const never = series([], { measureId: 'spread', label: 'Spread' });
    server.answers({ ...asRole('member'), 'GET /api/v1/gear/*/wear': { gearId: 'g', series: [slower, straight, never] } });
    const user = show(<WearSection gearId="g" tag="SH-01" />);
    expect((await screen.findByRole('button', { name: /Bow diameter/, expanded: true })).textContent).toContain('19.2 mm of 18 mm');
    screen.getByText('Never measured: spread.');
    await user.click(screen.getByRole('button', { name: /Pin diameter/ }));
    await user.click(screen.getByRole('button', { name: 'As a table' }));
    const rows = within(screen.getByRole('table')).getAllByRole('row');
    expect(rows.map((row) => row.textContent)).toContain('2026-02-20measured19.510Isla Wrenfell');
  });
  it('of a class without measures has no section; one without readings says so', async () => {
    server.answers({ ...asRole('member'), 'GET /api/v1/gear/*/wear': { gearId: 'g', series: [series([])] } });
    show(<WearSection gearId="g" tag="SH-01" />);
    await screen.findByText(/Nothing was measured yet/);
  });
});
