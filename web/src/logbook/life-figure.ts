import type { LifeEvent } from '@wainrope/contract';
import { type ReaderUnits, write } from '@wainrope/core';
import type { ChartTable, Figure } from '../charts/Chart.tsx';
import { type ChartLook, chartLayout, plainLine } from '../charts/chart-look.ts';
import { day } from '../shell/days.ts';
import { eventTitle, lifeKindWords } from './life-words.ts';

interface LifeParts {
  readonly events: readonly LifeEvent[];
  readonly units: ReaderUnits;
  readonly look: ChartLook;
  readonly today: string;
}

/** Rows below the loads, in per cent of the limit, from the top. */
const ROWS = { inspection: -14, met: -28, out: -42 } as const;
const LOWEST = -52;
const FULL = 100;

type Trace = Figure['data'][number];

/**
 * A piece's life over time: each load as a stem against its limit as it was then, which is one line at 100 %; below it inspections by
 * their grade, what it met, who had it; incidents and going out of use as marks above. Shapes tell them apart, not colours alone.
 */
export function lifeFigure({ events, units, look, today }: LifeParts): Figure {
  const counted = events.filter(({ isCorrected }) => !isCorrected);
  const of = (kind: LifeEvent['kind']) => counted.filter((event) => event.kind === kind);
  const told = (event: LifeEvent) => `${day(event.on)}: ${write(eventTitle(event), units)}`;
  const loads = of('load').filter(({ wllN }) => wllN !== undefined && wllN > 0);
  const share = ({ happenedN = 0, wllN = 1 }: LifeEvent) => (FULL * happenedN) / wllN;
  const most = Math.max(FULL * 1.15, ...loads.map(share));
  const marks = (name: string, list: readonly LifeEvent[], y: (event: LifeEvent) => number, marker: object): Trace => ({
    type: 'scatter',
    mode: 'markers',
    name,
    x: list.map(({ on }) => on),
    y: list.map(y),
    marker,
    text: list.map(told),
    hovertemplate: '%{text}<extra></extra>',
  });
  const letters = (name: string, list: readonly LifeEvent[], y: number, letter: (event: LifeEvent) => string): Trace => ({
    type: 'scatter',
    mode: 'text',
    name,
    x: list.map(({ on }) => on),
    y: list.map(() => y),
    text: list.map(letter),
    textfont: { size: 14, color: look.ink },
    hovertext: list.map(told),
    hovertemplate: '%{hovertext}<extra></extra>',
  });
  const days = counted.map(({ on }) => on).sort();
  const [first = today, last = today] = [days[0], today];
  const stems: Trace = {
    ...plainLine({
      name: 'Loads, stems',
      x: loads.flatMap(({ on }) => [on, on, on]),
      y: loads.flatMap((event) => [0, share(event), Number.NaN]),
      color: look.slate,
      width: 2,
    }),
    connectgaps: false,
  };
  const had = of('out').map(
    (event): Trace => ({
      ...plainLine({ name: 'Who had it', x: [event.on, event.until ?? today], y: [ROWS.out, ROWS.out], color: look.rope, width: 8 }),
      text: [told(event), told(event)],
      hoverinfo: 'text',
    }),
  );
  const over = loads.filter(({ overload }) => overload === 'inspect' || overload === 'quarantine');
  return {
    data: [
      plainLine({ name: 'Limit as it was then', x: [first, last], y: [FULL, FULL], color: look.rust }),
      stems,
      marks('Loads', loads, share, { color: look.slate, size: 8 }),
      marks('Over the limit', over, share, { symbol: 'diamond-open', size: 13, color: look.rust, line: { width: 2 } }),
      letters('Inspections', of('inspection'), ROWS.inspection, ({ grade }) => grade ?? '✓'),
      letters('Drum and line', of('done'), ROWS.met, ({ what }) => (what === 'cut-back' ? '✂' : what === 'spooled' ? '◎' : '·')),
      letters('What it met', of('met'), ROWS.met, ({ what }) => (what === 'washed' ? '○' : what.charAt(0).toUpperCase())),
      ...had,
      marks(
        'Out of use',
        of('state').filter(({ what }) => what !== 'in-use'),
        () => most,
        { symbol: 'square', size: 11, color: look.rust },
      ),
      marks('Incidents', of('incident'), () => most, { symbol: 'x', size: 12, color: look.amber }),
    ],
    layout: {
      ...chartLayout(look, { x: { title: '', type: 'date' }, y: { title: '% of the limit then' } }),
      yaxis: {
        ...chartLayout(look, { x: { title: '' }, y: { title: '% of the limit then' } }).yaxis,
        range: [LOWEST, most * 1.08],
        tickvals: [ROWS.out, ROWS.met, ROWS.inspection, 0, 50, FULL, ...(most > 180 ? [200] : [])],
        ticktext: ['had', 'met', 'inspected', '0', '50', '100', '200'],
      },
    },
  };
}

/** The same as a table, oldest first. */
export function lifeTable(events: readonly LifeEvent[], units: ReaderUnits): ChartTable {
  return {
    columns: ['Day', 'What', 'In words', 'Remark', 'By'],
    rows: [...events]
      .reverse()
      .map((event) => [
        event.on,
        lifeKindWords[event.kind],
        `${write(eventTitle(event), units)}${event.isCorrected ? ' (corrected since)' : ''}`,
        event.words ?? '',
        event.by ?? '',
      ]),
  };
}
