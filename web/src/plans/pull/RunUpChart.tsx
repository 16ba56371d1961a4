import type { Case, RunUpReport, ToldReport } from '@wainrope/core';
import { useCallback, useMemo } from 'react';
import { Chart } from '../../charts/Chart.tsx';
import type { ChartLook } from '../../charts/chart-look.ts';
import { Loading } from '../../shell/Loading.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { named, solver } from '../solver/solver.ts';
import { useAsked } from '../solver/use-asked.ts';
import { runUpFigure, runUpTable } from './run-up-figure.ts';

interface RunUpChartProps {
  readonly subject: Case;
  readonly plan: RunUpReport;
  readonly places: ToldReport['places'];
}

/** Tension over time of every attempt, with the limits that it may meet. */
export function RunUpChart({ subject, plan, places }: RunUpChartProps) {
  const { units } = useFigures();
  const { value: curves } = useAsked(useCallback(async () => solver().runUpCurves(named(subject)), [subject]));
  const input = useMemo(() => curves && { curves, plan, places, units }, [curves, plan, places, units]);
  const draw = useCallback((look: ChartLook) => (input ? runUpFigure(input, look) : { data: [], layout: {} }), [input]);
  if (!input) return <Loading what="the chart" className="py-3" />;
  return (
    <Chart
      label={`Tension over time, ${plan.attempts.length} attempts and one step beyond`}
      name={`${subject.name} run-up`}
      figure={draw}
      table={runUpTable(input)}
      height={250}
    />
  );
}
