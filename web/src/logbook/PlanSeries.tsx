import type { SeriesListed } from '@wainrope/contract';
import { force } from '@wainrope/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useListSeriesQuery } from '../api/wainrope-api.ts';
import { day } from '../shell/days.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { FurtherBack } from './FurtherBack.tsx';
import { MOST_LISTED } from './use-book.ts';

const FIRST = 6;

/** What gauges recorded of a plan's pulls, the newest first; nothing where there is none. */
export function PlanSeries({ planId }: { readonly planId: string }) {
  const [limit, setLimit] = useState<number>(FIRST);
  const { data, error, refetch } = useListSeriesQuery({ planId, limit });
  if (!error && (!data || data.items.length === 0)) return null;
  return (
    <section aria-label="Recorded pulls">
      <h3 className="stitched mt-4 pb-1 font-head text-lg font-semibold">Recorded pulls</h3>
      <ProblemNote error={error} retry={refetch} />
      <ul>
        {data?.items.map((series) => (
          <Recorded key={series.seriesId} series={series} />
        ))}
      </ul>
      <FurtherBack hasMore={data?.next !== undefined} limit={limit} most={MOST_LISTED} read={setLimit} />
    </section>
  );
}

function Recorded({ series: { seriesId, on, fileName, found, by } }: { readonly series: SeriesListed }) {
  const { figure } = useFigures();
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
      <span>{day(on)}</span>
      <Link className="break-all underline" to={`/series/${seriesId}`}>
        {fileName}
      </Link>
      <span className="font-mono">peak {figure(force(found.peakN))}</span>
      <span className="ml-auto text-quiet">{by}</span>
    </li>
  );
}
