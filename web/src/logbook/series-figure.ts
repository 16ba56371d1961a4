import type { SeriesView } from '@wainrope/contract';
import { force, formatFigure, type ReaderUnits, readerForces } from '@wainrope/core';
import type { ChartTable, Figure } from '../charts/Chart.tsx';
import { type ChartLook, chartLayout, directLabel } from '../charts/chart-look.ts';

const figure = (n: number, units: ReaderUnits): string => formatFigure(force(n), units);

/** The tension of the line over time as the band between its smallest and largest reading, the peak named. */
export function seriesFigure({ outline, found }: SeriesView, units: ReaderUnits, look: ChartLook): Figure {
  const { stepS, lowN, highN } = outline;
  const scale = readerForces[units].newtons;
  const at = highN.flatMap((high, index) => (high === null ? [] : [index]));
  const x = at.map((index) => index * stepS);
  const values = (of: readonly (number | null)[]) => at.map((index) => (of[index] ?? 0) / scale);
  const line = { type: 'scatter', mode: 'lines', line: { color: look.slate, width: 1 } } as const;
  return {
    data: [
      { ...line, name: 'Smallest', x, y: values(lowN), hoverinfo: 'skip' },
      {
        ...line,
        name: 'Largest',
        x,
        y: values(highN),
        fill: 'tonexty',
        fillcolor: `${look.slate}44`,
        text: at.map((index) => `${figure(highN[index] ?? 0, units)} at ${Math.round(index * stepS * 100) / 100} s`),
        hovertemplate: '%{text}<extra></extra>',
      },
      {
        type: 'scatter',
        mode: 'markers',
        name: 'Peak',
        x: [found.peakS],
        y: [found.peakN / scale],
        marker: { symbol: 'diamond-open', size: 11, color: look.rust, line: { width: 2 } },
        hoverinfo: 'skip',
      },
    ],
    layout: {
      ...chartLayout(look, { x: { title: 's' }, y: { title: readerForces[units].word } }),
      annotations: [directLabel({ x: found.peakS, y: found.peakN / scale, text: `peak ${figure(found.peakN, units)}`, color: look.rust })],
    },
  };
}

/** The same as a table, in newtons and seconds as they were read. */
export function seriesTable({ outline: { stepS, lowN, highN } }: SeriesView): ChartTable {
  return {
    columns: ['From, s', 'Smallest, N', 'Largest, N'],
    rows: highN.flatMap((high, index) =>
      high === null ? [] : [[Math.round(index * stepS * 1000) / 1000, Math.round(lowN[index] ?? 0), Math.round(high)]],
    ),
  };
}
