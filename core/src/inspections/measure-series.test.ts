import { describe, expect, it } from 'vitest';
import { addDays } from '../quantity/calendar.ts';
import type { InspectionSheet, SheetMeasure } from './inspection-sheet.ts';
import { type Measured, measureSeries, trendOfSeries, wearForecast } from './measure-series.ts';

const FIRST = '2026-01-01';
const measure = (id: string, limit: SheetMeasure['limit'], newFrom?: string): SheetMeasure => ({
  id,
  label: `The ${id}`,
  quantity: 'small-length',
  limit,
  source: 'a test',
  ...(newFrom !== undefined && { newFrom }),
});
const sheet = (...measures: readonly SheetMeasure[]): InspectionSheet => ({ everyMonths: 12, points: [], measures });
const bow = measure('bow', { kind: 'loss', value: 0.1 }, 'bowDiameterM');
const pin = measure('pin', { kind: 'loss', value: 0.1 }, 'pinDiameterM');
const inspected = (day: number, values: { readonly [id: string]: number }, by: InspectionSheet, pulls?: number): Measured => ({
  on: addDays(FIRST, day),
  sheet: by,
  measures: Object.fromEntries(Object.entries(values).map(([id, value]) => [id, { value }])),
  ...(pulls !== undefined && { pulls }),
});

describe('a measure over all inspections', () => {
  const both = sheet(bow, pin);
  it('has its readings in order, its value when new from the register, and its limit', () => {
    const [series] = measureSeries(both, { bowDiameterM: 0.02 }, [
      inspected(0, { bow: 0.0198, pin: 0.022 }, both, 3),
      inspected(40, { pin: 0.0219 }, both),
      inspected(90, { bow: 0.0195 }, both, 8),
    ]);
    expect(series).toEqual({
      measure: bow,
      isAsked: true,
      whenNew: 0.02,
      limit: expect.closeTo(0.018, 12),
      readings: [
        { on: FIRST, value: 0.0198, pulls: 3 },
        { on: addDays(FIRST, 90), value: 0.0195, pulls: 8 },
      ],
    });
  });
  it('takes what an inspector said last of the value when new, where the register has none', () => {
    const taken = (whenNew: number, day: number): Measured => ({
      ...inspected(day, {}, both),
      measures: { bow: { value: 0.019, whenNew } },
    });
    const [series] = measureSeries(both, {}, [taken(0.02, 0), taken(0.022, 5), inspected(9, { bow: 0.019 }, both)]);
    expect(series?.whenNew).toBe(0.022);
    const [unknown] = measureSeries(both, { bowDiameterM: 'thick' }, [inspected(9, { bow: 0.019 }, both)]);
    expect(unknown).not.toHaveProperty('limit');
    expect(unknown && trendOfSeries(unknown)).toBeUndefined();
  });
  it('that the sheet asks for no more is told by the sheet that last had it, after the others', () => {
    const stricter = { ...bow, limit: { kind: 'loss', value: 0.05 } } as const;
    const series = measureSeries(sheet(pin), { bowDiameterM: 0.02 }, [
      inspected(0, { bow: 0.02 }, sheet(bow)),
      inspected(9, { bow: 0.02 }, sheet(stricter)),
      inspected(20, { pin: 0.02 }, sheet(pin)),
    ]);
    expect(series.map(({ measure: { id }, isAsked, limit }) => [id, isAsked, limit])).toEqual([
      ['pin', true, undefined],
      ['bow', false, expect.closeTo(0.019, 12)],
    ]);
  });
});

describe('what is forecast to end a piece’s use first', () => {
  const both = sheet(bow, pin);
  const worn = [0, 50, 80].map((day) => inspected(day, { bow: 0.02 - day * 2e-5, pin: 0.02 - day * 4e-5 }, both));
  it('is the earliest day of its measures, and says which', () => {
    // The bow loses 2 mm in 100 days, the pin in 50, at which it was before it was last looked at: then that day.
    expect(wearForecast(measureSeries(both, { bowDiameterM: 0.02 }, worn))).toEqual({ on: addDays(FIRST, 100), measure: 'The bow' });
    expect(wearForecast(measureSeries(both, { bowDiameterM: 0.02, pinDiameterM: 0.02 }, worn))).toEqual({
      on: addDays(FIRST, 80),
      measure: 'The pin',
    });
  });
  it('is nothing from fewer than three readings, nor of a measure that is asked for no more', () => {
    expect(wearForecast(measureSeries(both, { bowDiameterM: 0.02 }, worn.slice(0, 2)))).toBeUndefined();
    expect(wearForecast(measureSeries(sheet(pin), { bowDiameterM: 0.02 }, worn))).toBeUndefined();
  });
});
