import type { LoadView, SeriesView } from '@wainrope/contract';
import { force, percent } from '@wainrope/core';
import { Download } from 'lucide-react';
import { useCallback } from 'react';
import { Link, useParams } from 'react-router';
import { useGetSeriesQuery } from '../api/wainrope-api.ts';
import { Chart } from '../charts/Chart.tsx';
import type { ChartLook } from '../charts/chart-look.ts';
import { day } from '../shell/days.ts';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { overloadWords } from './load-words.ts';
import { seriesFigure, seriesTable } from './series-figure.ts';
import { seriesNotes, seriesWords } from './series-words.ts';

/** What a gauge on a line recorded, and what each piece of the rig carried of it. */
export function SeriesPage() {
  const { seriesId = '' } = useParams();
  const { data, error, refetch } = useGetSeriesQuery({ seriesId });
  return (
    <div className="page py-4">
      <ProblemNote error={error} retry={refetch} />
      {data ? <Series series={data} /> : !error && <Loading what="the series" />}
    </div>
  );
}

function Series({ series }: { readonly series: SeriesView }) {
  const { units, figure } = useFigures();
  const { planId, fileName, on, by, note, found, loads, seriesId, strand } = series;
  const draw = useCallback((look: ChartLook) => seriesFigure(series, units, look), [series, units]);
  return (
    <>
      <p className="no-print">
        <Link className="underline" to={`/plans/${planId}`}>
          The plan
        </Link>
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2 border-b-2 border-ink pb-2">
        <PageHeading title={fileName} about="load series" className="text-[28px] break-all" />
        <a className="action no-print ml-auto" href={`/api/v1/series/${seriesId}/file`} download={fileName}>
          <Download size={16} aria-hidden="true" /> The file as it came
        </a>
      </div>
      <p className="pt-2">
        {day(on)}, brought in by {by}; on strand {strand + 1} from the drive. {seriesWords(found)}.{note && ` “${note}”`}
      </p>
      <Chart
        label={`Line tension over time, ${fileName}: peak ${figure(force(found.peakN))} after ${Math.round(found.peakS * 100) / 100} s`}
        name={fileName.replace(/\.\w+$/, '')}
        figure={draw}
        table={seriesTable(series)}
        height={320}
      />
      {seriesNotes({ found, leftOutSpikes: series.leftOutSpikes }).map((words) => (
        <p key={words} className="mt-2 border-l-4 border-signal bg-amber-wash px-3 py-1 text-amber-ink">
          {words}
        </p>
      ))}
      {found.refused.length > 0 && (
        <details className="pt-2">
          <summary className="cursor-pointer underline">Rows that were left out</summary>
          <ul className="pt-1">
            {found.refused.map(({ line, why }) => (
              <li key={line}>
                Line {line}: {why}.
              </li>
            ))}
            {found.refusedCount > found.refused.length && <li>… and {found.refusedCount - found.refused.length} more.</li>}
          </ul>
        </details>
      )}
      <h2 className="stitched mt-6 pb-1.5 text-xl">What each piece carried</h2>
      <ul>
        {[...loads]
          .sort((a, b) => (b.share ?? 0) - (a.share ?? 0))
          .map((load) => (
            <PieceLoad key={load.recordId} load={load} />
          ))}
      </ul>
      <p className="pt-3 text-[15px] text-quiet">
        Worked out from the line’s tension by the rig as it was planned, with the friction that loads each piece most. A gauge beside the
        piece itself would know better.
      </p>
    </>
  );
}

function PieceLoad({ load }: { readonly load: LoadView }) {
  const { figure } = useFigures();
  const { gearId, place = '', peakN = 0, wllN, share, overload } = load;
  const isOver = overload === 'inspect' || overload === 'quarantine';
  return (
    <li className="grid gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[1fr_8rem_11rem]" data-overload={overload}>
      <Link className="underline" to={`/gear/${gearId}`}>
        {place.split(';')[0]}
      </Link>
      <strong className="font-mono">{figure(force(peakN))}</strong>
      <span className={isOver ? 'text-rust' : 'text-quiet'}>
        {share !== undefined && wllN !== undefined && `${figure(percent(share))} of ${figure(force(wllN))}`}
      </span>
      {isOver && <strong className="text-rust sm:col-span-3">{overloadWords[overload]}</strong>}
      {overload === 'unknown' && <span className="text-amber-ink sm:col-span-3">{overloadWords.unknown}</span>}
    </li>
  );
}
