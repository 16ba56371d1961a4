import {
  type Figure as CoreFigure,
  FOOT_M,
  force,
  formatFigure,
  percent,
  type ReaderUnits,
  readerForces,
  type Timeline,
  type TimelinePoint,
  temperature,
  withoutUnit,
} from '@wainrope/core';
import type { ChartTable, Figure } from '../../charts/Chart.tsx';
import { type ChartLook, chartLayout, directLabel } from '../../charts/chart-look.ts';
import type { PlayEvent } from './play-events.ts';
import { clockWords, instantAt, type PlayedBy } from './timeline-at.ts';

interface PlayFigureInput {
  readonly timeline: Timeline;
  readonly events: readonly PlayEvent[];
  readonly by: PlayedBy;
  /** Where it stands; undefined while it runs. */
  readonly at: number | undefined;
  readonly units: ReaderUnits;
}

/** Parts of the height that the three charts have, from the lowest. */
const HEAT: [number, number] = [0, 0.2];
const SHARE: [number, number] = [0.29, 0.55];
const FORCE: [number, number] = [0.64, 1];

interface Series {
  readonly name: string;
  readonly y: (point: TimelinePoint) => number | undefined;
  readonly axis: 'y' | 'y2' | 'y3';
  readonly color: string;
  readonly dash: 'solid' | 'dash' | 'dot';
  /** Which way its name stands from its end, where another's is near. */
  readonly named?: 'above' | 'below';
  readonly said: (point: TimelinePoint) => CoreFigure | undefined;
}

/**
 * Three charts over one way: forces on the line; the two checks, each against the line that it must not pass (the highest share of a
 * working limit, and how much of the margin to breaking the greatest pull takes); motor and battery.
 */
export function playFigure({ timeline, events, by, at, units }: PlayFigureInput, look: ChartLook): Figure {
  const { points, hottestC } = timeline;
  const { newtons, word } = readerForces[units];
  const metres = lengthIn(units);
  const degrees = degreesIn(units);
  const x = (point: TimelinePoint) => (by === 'metre' ? point.atM / metres.by : (point.timeS ?? 0) / 60);
  const hasMotor = points.some(({ heatC }) => heatC !== undefined);
  const shown = seriesOf(look, newtons, degrees).filter(
    ({ axis, y }) => (axis !== 'y3' || hasMotor) && points.some((point) => y(point) !== undefined),
  );
  const last = points.at(-1);
  const end = last === undefined ? 0 : x(last);
  const base = chartLayout(look, { x: { title: by === 'metre' ? metres.word : 'min' }, y: { title: word } });
  const cursor = at === undefined ? [] : [x(instantAt(points, by, at))];
  const upright = (where: number, color: string, dash: 'solid' | 'dot') =>
    ({
      type: 'line',
      xref: 'x',
      yref: 'paper',
      x0: where,
      x1: where,
      y0: 0,
      y1: 1,
      line: { color, width: dash === 'solid' ? 2 : 1, dash },
    }) as const;
  const across = (yref: 'y2' | 'y3', y: number) =>
    ({ type: 'line', xref: 'x', yref, x0: 0, x1: end, y0: y, y1: y, line: { color: look.rust, width: 1.5 } }) as const;
  const axis = base.yaxis;
  const titled = (text: string) => ({ ...axis?.title, text });
  return {
    data: shown.map(({ name, y, axis: yaxis, color, dash, said }) => ({
      type: 'scatter' as const,
      mode: 'lines' as const,
      name,
      x: points.map(x),
      y: points.map((point) => y(point) ?? Number.NaN),
      yaxis,
      line: { color, dash, width: 2 },
      text: points.map((point) => {
        const figure = said(point);
        return `${name} ${figure === undefined ? '' : formatFigure(figure, units)}`;
      }),
      hovertemplate: '%{text}<extra></extra>',
    })),
    layout: {
      ...base,
      hovermode: 'x unified',
      margin: { l: 62, r: 112, t: 8, b: 40 },
      xaxis: { ...base.xaxis, anchor: 'y3', domain: [0, 1], range: [0, end] },
      yaxis: { ...axis, domain: FORCE, rangemode: 'tozero' },
      yaxis2: { ...axis, title: titled('% used'), domain: SHARE, rangemode: 'tozero' },
      yaxis3: { ...axis, title: titled(`${degrees.word}, %`), domain: HEAT, rangemode: 'tozero' },
      shapes: [
        across('y2', 100),
        ...(hasMotor ? [across('y3', degrees.of(hottestC))] : []),
        ...events.map((event) =>
          upright(x(instantAt(points, 'metre', event.atM)), event.severity === 'stop' ? look.rust : look.quiet, 'dot'),
        ),
        ...cursor.map((where) => upright(where, look.ink, 'solid')),
      ],
      annotations: last === undefined ? [] : shown.flatMap((series) => labelOf(series, points, end)),
    },
  };
}

function seriesOf(look: ChartLook, newtons: number, degrees: Degrees): readonly Series[] {
  const inForce = (value: number | undefined) => (value === undefined ? undefined : value / newtons);
  const inPercent = (value: number | undefined) => (value === undefined ? undefined : value * 100);
  return [
    {
      name: 'planned',
      axis: 'y',
      color: look.slate,
      dash: 'solid',
      y: ({ linePullN }) => inForce(linePullN),
      said: ({ linePullN }) => known(linePullN, force),
    },
    {
      name: 'greatest',
      named: 'above',
      axis: 'y',
      color: look.ink,
      dash: 'dash',
      y: ({ greatestPullN }) => inForce(greatestPullN),
      said: ({ greatestPullN }) => known(greatestPullN, force),
    },
    {
      name: 'rated',
      named: 'below',
      axis: 'y',
      color: look.amber,
      dash: 'dot',
      y: ({ ratedN }) => inForce(ratedN),
      said: ({ ratedN }) => known(ratedN, force),
    },
    {
      name: 'working limit',
      axis: 'y2',
      color: look.slate,
      dash: 'solid',
      named: 'below',
      y: ({ share }) => inPercent(share),
      said: ({ share }) => known(share, percent),
    },
    {
      name: 'breaking margin',
      axis: 'y2',
      color: look.ink,
      dash: 'dash',
      named: 'above',
      y: ({ breakingShare }) => inPercent(breakingShare),
      said: ({ breakingShare }) => known(breakingShare, percent),
    },
    {
      name: 'motor',
      named: 'below',
      axis: 'y3',
      color: look.rust,
      dash: 'dash',
      y: ({ heatC }) => (heatC === undefined ? undefined : degrees.of(heatC)),
      said: ({ heatC }) => known(heatC, temperature),
    },
    {
      name: 'battery',
      named: 'above',
      axis: 'y3',
      color: look.moss,
      dash: 'solid',
      y: ({ chargeShare }) => inPercent(chargeShare),
      said: ({ chargeShare }) => known(chargeShare, percent),
    },
  ];
}

const known = (value: number | undefined, as: (si: number) => CoreFigure): CoreFigure | undefined =>
  value === undefined ? undefined : as(value);

const ANCHORS = { above: 'bottom', below: 'top' } as const;

/** Named at its end, in its own colour. */
function labelOf({ name, named, y, axis, color }: Series, points: readonly TimelinePoint[], end: number) {
  const last = points.findLast((point) => y(point) !== undefined);
  const value = last && y(last);
  return value === undefined
    ? []
    : [
        {
          ...directLabel({ x: end, y: value, text: ` ${name}`, color }),
          yref: axis,
          yanchor: named === undefined ? ('middle' as const) : ANCHORS[named],
        },
      ];
}

const lengthIn = (units: ReaderUnits) => (units === 'lbf' ? { by: FOOT_M, word: 'ft' } : { by: 1, word: 'm' });

interface Degrees {
  readonly word: string;
  readonly of: (celsius: number) => number;
}

const degreesIn = (units: ReaderUnits): Degrees =>
  units === 'lbf' ? { word: '°F', of: (celsius) => celsius * 1.8 + 32 } : { word: '°C', of: (celsius) => celsius };

/** The same as a table, in the reader's units. */
export function playTable({ points }: Timeline, units: ReaderUnits): ChartTable {
  const { word } = readerForces[units];
  const figure = (value: CoreFigure | undefined) => (value === undefined ? '' : withoutUnit(formatFigure(value, units)));
  return {
    columns: [
      lengthIn(units).word,
      'clock',
      `planned, ${word}`,
      `greatest, ${word}`,
      `rated, ${word}`,
      'working limit used, %',
      'breaking margin used, %',
      `motor, ${degreesIn(units).word}`,
      'battery, %',
    ],
    rows: points.map(({ atM, timeS, linePullN, greatestPullN, ratedN, share, breakingShare, heatC, chargeShare }) => [
      metresOf(atM, units),
      timeS === undefined ? '' : clockWords(timeS),
      figure(known(linePullN, force)),
      figure(known(greatestPullN, force)),
      figure(known(ratedN, force)),
      figure(known(share, percent)),
      figure(known(breakingShare, percent)),
      figure(known(heatC, temperature)),
      figure(known(chargeShare, percent)),
    ]),
  };
}

/** A metre with two decimals: the figures beside it change within the first. */
const metresOf = (atM: number, units: ReaderUnits): string => (atM / lengthIn(units).by).toFixed(2);
