import type { WearSeries } from '@wainrope/contract';
import { useCallback, useState } from 'react';
import { useGetWearQuery } from '../api/wainrope-api.ts';
import { Chart } from '../charts/Chart.tsx';
import type { ChartLook } from '../charts/chart-look.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { valueWords } from './measure-words.ts';
import { type Against, trendWords, wearFigure, wearTable } from './wear-series.ts';

interface WearSectionProps {
  readonly gearId: string;
  readonly tag: string;
}

/** How a piece wears: each measure over all its inspections, and when it is forecast to be finished. */
export function WearSection({ gearId, tag }: WearSectionProps) {
  const { data, error, refetch } = useGetWearQuery({ gearId });
  const [opened, setOpened] = useState<string>();
  const series = data?.series ?? [];
  const measured = series.filter(({ readings }) => readings.length > 0);
  const shown = measured.find(({ measureId }) => measureId === opened) ?? soonest(measured);
  const missing = series.filter(({ readings, isAsked }) => isAsked && readings.length === 0);
  if (data && series.length === 0) return null;
  return (
    <section className="pt-6" aria-label="Wear">
      <h2 className="stitched pb-1.5 text-xl">Wear</h2>
      <ProblemNote error={error} retry={refetch} />
      {data && measured.length === 0 && (
        <p className="pt-2 text-quiet">Nothing was measured yet. What an inspection measures is followed here from the first reading on.</p>
      )}
      {measured.length > 0 && (
        <ul className="pt-1">
          {measured.map((each) => (
            <li key={each.measureId} className="border-b border-rule">
              <button
                type="button"
                className="grid w-full items-baseline gap-x-4 py-1.5 text-left sm:grid-cols-[minmax(14rem,1fr)_13rem_1.6fr]"
                aria-expanded={each === shown}
                onClick={() => setOpened(each.measureId)}
              >
                <span className={each === shown ? 'font-semibold underline decoration-rope decoration-4 underline-offset-4' : ''}>
                  {each.label}
                </span>
                <LastReading series={each} />
                <span className={each.forecastOn ? 'text-amber-ink' : 'text-quiet'}>
                  {each.isAsked ? trendWords(each) : 'The sheet asks for it no more.'}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {shown && <OneMeasure key={shown.measureId} series={shown} tag={tag} />}
      {measured.length > 0 && missing.length > 0 && (
        <p className="pt-2 text-[15px] text-quiet">Never measured: {missing.map(({ label }) => label.toLowerCase()).join(', ')}.</p>
      )}
    </section>
  );
}

/** The measure that ends first, else the one with most readings. */
function soonest(series: readonly WearSeries[]): WearSeries | undefined {
  const order = (a: WearSeries, b: WearSeries) =>
    (a.forecastOn ?? '9999').localeCompare(b.forecastOn ?? '9999') || b.readings.length - a.readings.length;
  return [...series].sort(order)[0];
}

function LastReading({ series: { quantity, readings, limit } }: { readonly series: WearSeries }) {
  const last = readings.at(-1);
  if (!last) return null;
  return (
    <span className="font-mono">
      {valueWords(quantity, last.value)}
      {limit !== undefined && <span className="text-quiet"> of {valueWords(quantity, limit)}</span>}
    </span>
  );
}

function OneMeasure({ series, tag }: { readonly series: WearSeries; readonly tag: string }) {
  const [against, setAgainst] = useState<Against>('days');
  const counted = series.readings.filter(({ pulls }) => pulls !== undefined).length >= 2;
  const figure = useCallback((look: ChartLook) => wearFigure(series, { against, look }), [series, against]);
  return (
    <div className="pt-2">
      {counted && (
        <fieldset className="no-print flex gap-2" aria-label="Drawn against">
          {(['days', 'pulls'] as const).map((each) => (
            <button key={each} type="button" className="action" aria-pressed={against === each} onClick={() => setAgainst(each)}>
              By {each}
            </button>
          ))}
        </fieldset>
      )}
      <Chart
        label={`${series.label} of ${tag}. ${trendWords(series)}`}
        name={`${tag} ${series.label}`}
        figure={figure}
        table={wearTable(series)}
      />
      <p className="pt-1 text-[15px] text-quiet">
        The band is what the slopes between every two readings say, without the outer tenth at each end. A forecast is an estimate: what an
        inspection finds always wins.
      </p>
    </div>
  );
}
