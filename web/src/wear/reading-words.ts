import type { WearSeries } from '@wainrope/contract';
import { type Policy, readingQuestion, type SheetMeasure } from '@wainrope/core';
import { valueWords } from './measure-words.ts';
import { readingsOf } from './wear-series.ts';

interface Typed {
  readonly measure: SheetMeasure;
  /** The measure over all earlier inspections; nothing where that was not read on this device. */
  readonly series: WearSeries | undefined;
  readonly value: number;
  readonly on: string;
  readonly policy: Policy;
}

/** What is asked about a reading while it is typed: farther from its trend, or better than before, than readings differ. */
export function readingWords({ measure, series, value, on, policy }: Typed): string | undefined {
  if (!series || series.readings.length === 0) return undefined;
  const { quantity } = measure;
  const of = series.whenNew ?? series.limit ?? 0;
  const asked = readingQuestion({
    measure,
    limit: series.limit ?? 0,
    earlier: readingsOf(series),
    typed: { on, value },
    tolerance: of * policy.wear.toleranceShare.value,
  });
  if (!asked) return undefined;
  const shown = (si: number) => valueWords(quantity, si);
  if (asked.kind === 'better-than-before')
    return `Better than last time, when it was ${shown(asked.before)}. Nothing grows back: was it measured at the same spot?`;
  const [lowest, highest] = [shown(asked.lowest), shown(asked.highest)];
  const expected = lowest === highest ? `about ${lowest}` : `between ${lowest} and ${highest}`;
  return `Farther off its trend than its readings usually scatter: ${expected} was expected. Measure it again.`;
}
