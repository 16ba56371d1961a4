import type { WearSeries } from '@wainrope/contract';
import { addDays, daysBetween, type Reading, type SheetMeasure, type TrendLine, type WearTrend, wearTrend } from '@wainrope/core';
import { type ChartTable, type Figure } from '../charts/Chart.tsx';
import { type ChartLook, chartLayout, directLabel, plainLine } from '../charts/chart-look.ts';
import { day } from '../shell/days.ts';
import { measureUnits, valueWords } from './measure-words.ts';

/** How much larger a value is in the unit in which a measure is typed and shown. */
const SCALE: { readonly [Q in SheetMeasure['quantity']]: number } = {
  length: 1,
  'small-length': 1000,
  'angle-deg': 1,
  count: 1,
  share: 100,
};

/** A measure as core knows it. */
export const measureOf = ({ measureId, label, quantity, limitKind, limitValue, source }: WearSeries): SheetMeasure => ({
  id: measureId,
  label,
  quantity,
  limit: { kind: limitKind, value: limitValue },
  source,
});

export const readingsOf = ({ readings }: WearSeries): readonly Reading[] =>
  readings.map(({ on, value, pulls }) => ({ on, value, ...(pulls !== undefined && { pulls }) }));

/** The trend of a measure; nothing where no limit is known that it could meet. */
export const trendOf = (series: WearSeries): WearTrend | undefined =>
  series.limit === undefined ? undefined : wearTrend(measureOf(series), series.limit, readingsOf(series));

/** What the readings of a measure say of its end, in a sentence. */
export function trendWords(series: WearSeries): string {
  const { readings, limit, limitKind, forecastOn, expectedOn } = series;
  if (readings.length === 0) return 'Not measured yet.';
  if (limit === undefined)
    return `Its value when new is not known, so there is no limit to hold it against. Say it ${limitKind === 'at-most' ? '' : 'in the register or '}at the next inspection.`;
  const trend = trendOf(series);
  if (trend?.kind === 'too-few') return `${trend.have === 1 ? 'One reading' : 'Two readings'} so far; a trend wants three.`;
  if (trend?.kind === 'one-day') return 'All readings are of one day; a trend wants days between them.';
  if (forecastOn === undefined) return 'It does not wear towards its limit.';
  if (expectedOn === undefined) return `At its limit on ${day(forecastOn)} at the earliest; by most readings it does not wear.`;
  return expectedOn === forecastOn
    ? `Forecast to meet its limit on ${day(forecastOn)}.`
    : `Forecast to meet its limit on ${day(forecastOn)} at the earliest; by the trend on ${day(expectedOn)}.`;
}

export type Against = 'days' | 'pulls';

interface Drawn {
  readonly against: Against;
  readonly look: ChartLook;
}

/** So much of the way that was seen is drawn beyond it, where the limit is farther. */
const BEYOND = 1.5;

/** New, limit, readings, trend and its band: readings as rings on a rope-coloured line, the limit in rust, what is forecast dashed. */
export function wearFigure(series: WearSeries, { against, look }: Drawn): Figure {
  const { quantity, readings, whenNew, limit } = series;
  const scale = SCALE[quantity];
  const shown = against === 'pulls' ? readings.filter(({ pulls }) => pulls !== undefined) : readings;
  const first = shown[0]?.on ?? '';
  const at = (reading: (typeof readings)[number]) => (against === 'pulls' ? (reading.pulls ?? 0) : daysBetween(first, reading.on));
  const onAxis = (x: number): string | number => (against === 'pulls' ? x : addDays(first, Math.round(x)));
  const last = Math.max(0, ...shown.map(at));
  const trend = trendOf(series);
  const fit = trend?.kind === 'trend' ? (against === 'pulls' ? trend.byPulls : trend.byDays) : undefined;
  const begin = Math.min(0, ...shown.map(at));
  const end = Math.max(
    last + 1,
    Math.min(fit?.meetsAt ?? last, last * BEYOND + 30, begin + (last - begin) * 3 + 30),
    Math.min(fit?.earlyAt ?? last, last * 2 + 30),
  );
  const y = ({ slope, intercept }: TrendLine, x: number) => (intercept + slope * x) * scale;
  const line = (name: string, value: number, color: string, dash: 'solid' | 'dot') =>
    plainLine({ name, x: [onAxis(begin), onAxis(end)], y: [value * scale, value * scale], color, dash });
  const data: Figure['data'][number][] = [];
  const annotations = [];
  if (fit) {
    const ends = [begin, last, end];
    // The band is between the two outer lines, whichever is the higher at each place.
    const pair = ends.map((x) => [y(fit.low, x), y(fit.high, x)] as const);
    data.push({
      ...plainLine({
        name: 'Band of the trend',
        x: [...ends, ...[...ends].reverse()].map(onAxis),
        y: [...pair.map((p) => Math.max(...p)), ...[...pair].reverse().map((p) => Math.min(...p))],
        color: 'rgba(0,0,0,0)',
      }),
      fill: 'toself',
      fillcolor: `${look.rope}33`,
    });
    data.push(plainLine({ name: 'Trend', x: [onAxis(begin), onAxis(last)], y: [y(fit, begin), y(fit, last)], color: look.rope }));
    data.push(
      plainLine({ name: 'Forecast', x: [onAxis(last), onAxis(end)], y: [y(fit, last), y(fit, end)], color: look.rope, dash: 'dash' }),
    );
  }
  if (whenNew !== undefined) {
    data.push(line('New', whenNew, look.moss, 'dot'));
    annotations.push(directLabel({ x: onAxis(begin), y: whenNew * scale, text: `new ${valueWords(quantity, whenNew)}`, color: look.moss }));
  }
  if (limit !== undefined) {
    data.push(line('Discard limit', limit, look.rust, 'solid'));
    annotations.push(directLabel({ x: onAxis(begin), y: limit * scale, text: `limit ${valueWords(quantity, limit)}`, color: look.rust }));
  }
  data.push({
    type: 'scatter',
    mode: 'markers',
    name: 'Readings',
    x: shown.map((reading) => onAxis(at(reading))),
    y: shown.map(({ value }) => value * scale),
    marker: { color: look.paper, size: 10, line: { color: look.ink, width: 2 } },
    text: shown.map(({ value, on, by }) => `${valueWords(quantity, value)} on ${day(on)}, ${by}`),
    hovertemplate: '%{text}<extra></extra>',
  });
  const unit = measureUnits[quantity];
  const axes = {
    x: against === 'pulls' ? { title: 'pulls' } : { title: '', type: 'date' as const },
    y: { title: unit || 'count' },
  };
  return { data, layout: { ...chartLayout(look, axes), annotations } };
}

/** The same figures as a table. */
export function wearTable(series: WearSeries): ChartTable {
  const { quantity, readings, whenNew, limit } = series;
  const unit = measureUnits[quantity];
  const shown = (value: number) => Math.round(value * SCALE[quantity] * 1000) / 1000;
  const row = (on: string, what: string, value: number, pulls: number | string, by: string) => [on, what, shown(value), pulls, by];
  return {
    columns: ['Day', 'What', unit ? `Value, ${unit}` : 'Value', 'Pulls by then', 'By'],
    rows: [
      ...(whenNew === undefined ? [] : [row('', 'new', whenNew, '', '')]),
      ...readings.map(({ on, value, pulls, by }) => row(on, 'measured', value, pulls ?? '', by)),
      ...(limit === undefined ? [] : [row(series.forecastOn ?? '', 'discard limit', limit, '', '')]),
    ],
  };
}
