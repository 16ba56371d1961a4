import {
  drivingSpeed,
  force,
  formatFigure,
  type ReaderUnits,
  type RunUpCurves,
  type RunUpReport,
  readerForces,
  type ToldReport,
  withoutUnit,
} from '@wainrope/core';
import type { ChartTable, Figure } from '../../charts/Chart.tsx';
import { type ChartLook, chartLayout, directLabel } from '../../charts/chart-look.ts';

interface RunUpFigureInput {
  readonly curves: RunUpCurves;
  readonly plan: RunUpReport;
  readonly places: ToldReport['places'];
  readonly units: ReaderUnits;
}

/** Room above what is highest, as a share of it. */
const ROOM_ABOVE = 1.12;

/** The instant of the highest tension. */
const highestOf = (curve: RunUpCurves['beyond'] | undefined) =>
  curve?.planned.reduce((most, at) => (at.tensionN > most.tensionN ? at : most), { timeS: 0, tensionN: 0, movedM: 0 });

/** A place by its tag or name. */
const nameOf = (places: ToldReport['places'], placeId: string): string => {
  const place = places.find(({ id }) => id === placeId);
  return place ? (place.tag ?? place.name) : placeId;
};

/** The lowest limit of each piece, from the lowest up. */
function lowestLimits({ limits }: RunUpCurves, places: ToldReport['places']) {
  const lowest = new Map<string, number>();
  for (const { placeId, limitN } of limits) {
    const name = nameOf(places, placeId);
    lowest.set(name, Math.min(limitN, lowest.get(name) ?? Number.POSITIVE_INFINITY));
  }
  return [...lowest].sort((a, b) => a[1] - b[1]);
}

/** Names nearer than this share of the chart's height would cover each other. */
const NAME_APART = 0.09;

/** Of limits that lie close together the lowest is named. */
function apartFromEachOther(limits: readonly (readonly [string, number])[], most: number) {
  let last = Number.NEGATIVE_INFINITY;
  return limits.filter(([, limitN]) => {
    const isNamed = limitN < most && limitN - last >= NAME_APART * most;
    if (isNamed) last = limitN;
    return isNamed;
  });
}

/** Tension of the line over time, every attempt and the step beyond, each piece's limit across it. */
export function runUpFigure({ curves, plan, places, units }: RunUpFigureInput, look: ChartLook): Figure {
  const { newtons, word } = readerForces[units];
  const runs = [
    ...plan.attempts.map((attempt, index) => ({ attempt, curve: curves.attempts[index], name: `attempt ${index + 1}`, isBeyond: false })),
    { attempt: plan.beyond, curve: curves.beyond, name: 'one step beyond', isBeyond: true },
  ];
  const tight = runs.flatMap(({ curve }) => (curve?.planned ?? []).filter(({ tensionN }) => tensionN > 0).map(({ timeS }) => timeS));
  const endS = Math.max(0.5, ...tight) * 1.05;
  const limits = lowestLimits(curves, places);
  const most = Math.max(...runs.map(({ attempt }) => attempt.peakN), limits[0]?.[1] ?? 0) * ROOM_ABOVE;
  const base = chartLayout(look, { x: { title: 's from first tension' }, y: { title: word } });
  return {
    data: [
      ...runs.map(({ curve, name, attempt, isBeyond }, index) => ({
        type: 'scatter' as const,
        mode: 'lines' as const,
        name,
        x: (curve?.planned ?? []).map(({ timeS }) => timeS),
        y: (curve?.planned ?? []).map(({ tensionN }) => tensionN / newtons),
        line: {
          color: isBeyond ? look.rust : look.slate,
          dash: isBeyond ? ('dash' as const) : ('solid' as const),
          width: 1.2 + 0.5 * index,
        },
        text: (curve?.planned ?? []).map(
          ({ tensionN }) => `${name}, ${formatFigure(drivingSpeed(attempt.speedMPerS), units)}: ${formatFigure(force(tensionN), units)}`,
        ),
        hovertemplate: '%{text}<extra></extra>',
      })),
      {
        type: 'scatter',
        mode: 'markers',
        name: 'peak used for the verdict',
        x: runs.map(({ curve }) => highestOf(curve)?.timeS ?? 0),
        y: runs.map(({ attempt }) => attempt.peakN / newtons),
        marker: {
          symbol: 'diamond-open',
          size: 10,
          color: runs.map(({ isBeyond }) => (isBeyond ? look.rust : look.slate)),
          line: { width: 2 },
        },
        text: runs.map(({ attempt, name }) => `${name}: peak used for the verdict ${formatFigure(force(attempt.peakN), units)}`),
        hovertemplate: '%{text}<extra></extra>',
      },
    ],
    layout: {
      ...base,
      margin: { l: 56, r: 84, t: 8, b: 42 },
      xaxis: { ...base.xaxis, range: [0, endS] },
      yaxis: { ...base.yaxis, range: [0, most / newtons] },
      shapes: limits
        .filter(([, limitN]) => limitN < most)
        .map(([, limitN]) => ({
          type: 'line',
          xref: 'paper',
          x0: 0,
          x1: 1,
          y0: limitN / newtons,
          y1: limitN / newtons,
          line: { color: look.rust, width: 1.5 },
        })),
      annotations: apartFromEachOther(limits, most).map(([name, limitN]) => ({
        ...directLabel({ x: 1, y: limitN / newtons, text: ` ${name} limit`, color: look.rust }),
        xref: 'paper' as const,
      })),
    },
  };
}

/** The same as a table: the highest of every run, and each piece's limit, in the reader's units. */
export function runUpTable({ curves, plan, places, units }: RunUpFigureInput): ChartTable {
  const { word } = readerForces[units];
  const figure = (forceN: number) => withoutUnit(formatFigure(force(forceN), units));
  const runs = [...plan.attempts, plan.beyond].map((attempt, index): readonly (string | number)[] => {
    const curve = curves.attempts[index] ?? curves.beyond;
    const highest = highestOf(curve)?.tensionN ?? 0;
    return [
      index < plan.attempts.length ? `attempt ${index + 1}` : 'one step beyond',
      formatFigure(drivingSpeed(attempt.speedMPerS), units),
      figure(highest),
      figure(attempt.peakN),
    ];
  });
  const limits = lowestLimits(curves, places).map(([name, limitN]): readonly (string | number)[] => [
    `limit of ${name}`,
    '',
    '',
    figure(limitN),
  ]);
  return { columns: ['what', 'speed', `peak of the run, ${word}`, `used for the verdict, ${word}`], rows: [...runs, ...limits] };
}
