import { limitValue, type Reading, type WearTrend, wearTrend } from '../wear/wear-trend.ts';
import type { InspectionAnswers } from './inspection-answers.ts';
import type { InspectionSheet, SheetMeasure } from './inspection-sheet.ts';

/** What one inspection measured, by the sheet it was made with. */
export interface Measured {
  readonly on: string;
  readonly sheet: InspectionSheet;
  readonly measures: InspectionAnswers['measures'];
  /** Pulls that the piece had made by then, where they are counted. */
  readonly pulls?: number;
}

/** One measure of a piece over all its inspections. */
export interface MeasureSeries {
  readonly measure: SheetMeasure;
  /** Whether the sheet in force still asks for it: only then its forecast makes a piece due. */
  readonly isAsked: boolean;
  /** Value when new: the register's, else what an inspector gave last. */
  readonly whenNew?: number;
  /** The value that ends the piece's use; missing where the value when new is needed and unknown. */
  readonly limit?: number;
  /** Oldest first. */
  readonly readings: readonly Reading[];
}

/**
 * Every measure that a piece's class is measured by, or that any of its inspections took, with its readings in the order of their days.
 * A measure is what the sheet in force says it is, else what the latest sheet that had it said. `inspections` oldest first.
 */
export function measureSeries(
  sheet: InspectionSheet,
  attributes: { readonly [key: string]: unknown },
  inspections: readonly Measured[],
): readonly MeasureSeries[] {
  const asked = new Set(sheet.measures.map(({ id }) => id));
  const known = new Map<string, SheetMeasure>(sheet.measures.map((measure) => [measure.id, measure]));
  for (const inspection of inspections)
    for (const measure of inspection.sheet.measures)
      if (!asked.has(measure.id) && inspection.measures[measure.id]) known.set(measure.id, measure);
  return [...known.values()].map((measure) => {
    const taken = inspections.flatMap(({ on, measures, pulls }) => {
      const value = measures[measure.id];
      return value ? [{ ...value, on, pulls }] : [];
    });
    const registered = measure.newFrom === undefined ? undefined : attributes[measure.newFrom];
    const given = taken.flatMap(({ whenNew }) => whenNew ?? []).at(-1);
    const whenNew = typeof registered === 'number' && registered > 0 ? registered : given;
    const limit = limitValue(measure, whenNew);
    return {
      measure,
      isAsked: asked.has(measure.id),
      ...(whenNew !== undefined && { whenNew }),
      ...(limit !== undefined && { limit }),
      readings: taken.map(({ on, value, pulls }) => ({ on, value, ...(pulls !== undefined && { pulls }) })),
    };
  });
}

/** The trend of a measure; nothing where no limit is known that it could meet. */
export function trendOfSeries({ measure, limit, readings }: MeasureSeries): WearTrend | undefined {
  return limit === undefined ? undefined : wearTrend(measure, limit, readings);
}

/** What is forecast to end a piece's use first. */
export interface WearForecast {
  readonly on: string;
  readonly measure: string;
}

/** The earliest day on which a measure that is asked for is forecast to meet its limit, with its name; of one day the first on the sheet. */
export function wearForecast(series: readonly MeasureSeries[]): WearForecast | undefined {
  return series.reduce<WearForecast | undefined>((first, each) => {
    const trend = each.isAsked ? trendOfSeries(each) : undefined;
    if (trend?.kind !== 'trend' || trend.forecastOn === undefined || (first && first.on <= trend.forecastOn)) return first;
    return { on: trend.forecastOn, measure: each.measure.label };
  }, undefined);
}
