import type { Timeline } from '@wainrope/core';
import { useCallback, useMemo } from 'react';
import { Chart } from '../../charts/Chart.tsx';
import type { ChartLook } from '../../charts/chart-look.ts';
import { useFigures } from '../../shell/use-figures.ts';
import type { PlayEvent } from './play-events.ts';
import { playFigure, playTable } from './play-figure.ts';
import type { PlayedBy } from './timeline-at.ts';

interface PlayChartProps {
  readonly timeline: Timeline;
  readonly events: readonly PlayEvent[];
  readonly by: PlayedBy;
  /** Where it stands; undefined while it runs. */
  readonly at: number | undefined;
  readonly name: string;
}

/** Low enough that the drawing is still seen above it. */
const CHART_PX = 236;

/** Line pull against what the winch can, the two checks, heat and battery, along the way. */
export function PlayChart({ timeline, events, by, at, name }: PlayChartProps) {
  const { units } = useFigures();
  const draw = useCallback((look: ChartLook) => playFigure({ timeline, events, by, at, units }, look), [timeline, events, by, at, units]);
  const table = useMemo(() => playTable(timeline, units), [timeline, units]);
  return (
    <div className="min-h-0 overflow-y-auto px-3 pb-1">
      <Chart
        label={`The pull ${by === 'metre' ? 'by distance' : 'by time'}, ${name}`}
        name={`${name} pull`}
        figure={draw}
        table={table}
        height={CHART_PX}
      />
    </div>
  );
}
