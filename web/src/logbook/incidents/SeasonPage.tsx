import type { SeasonLoad, SeasonView } from '@wainrope/contract';
import { force, percent } from '@wainrope/core';
import { Printer } from 'lucide-react';
import { Link, useSearchParams } from 'react-router';
import { useGetSeasonQuery } from '../../api/wainrope-api.ts';
import { useTeam } from '../../register/use-register.ts';
import { day } from '../../shell/days.ts';
import { Labelled } from '../../shell/Labelled.tsx';
import { Loading } from '../../shell/Loading.tsx';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { Tag } from '../../shell/Tag.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { OwnFigures } from '../figures/OwnFigures.tsx';
import { IncidentRow } from './IncidentsPage.tsx';
import { LogTabs } from './LogTabs.tsx';

/** What a season came to: this year unless a link says other days. */
export function SeasonPage() {
  const { team } = useTeam();
  const [params, setParams] = useSearchParams();
  const year = team?.today.slice(0, 4) ?? '';
  const [from, to] = [params.get('from') ?? `${year}-01-01`, params.get('to') ?? team?.today ?? ''];
  const { data, error, refetch } = useGetSeasonQuery({ from, to }, { skip: team === undefined });
  const set = (name: 'from' | 'to', day: string) => {
    if (day) setParams({ from, to, [name]: day }, { replace: true });
  };
  return (
    <div className="page py-4">
      <LogTabs title={`The season of ${team?.name ?? ''}`}>
        <button type="button" className="action no-print" onClick={() => window.print()}>
          <Printer size={16} aria-hidden="true" /> Print
        </button>
      </LogTabs>
      <div className="grid max-w-md grid-cols-2 gap-3 pt-3">
        <Labelled label="From">
          <input type="date" value={from} max={to} onChange={(event) => set('from', event.target.value)} />
        </Labelled>
        <Labelled label="To">
          <input type="date" value={to} min={from} onChange={(event) => set('to', event.target.value)} />
        </Labelled>
      </div>
      <ProblemNote error={error} retry={refetch} />
      {data ? <Season season={data} /> : !error && <Loading what="the season" />}
    </div>
  );
}

function Season({ season }: { readonly season: SeasonView }) {
  const { pulls, piecesLoaded, inspections, failed, takenOut, retired, outings, overloads, hardest, incidents } = season;
  const many = (count: number, one: string, more: string) => `${count.toLocaleString('en-GB')} ${count === 1 ? one : more}`;
  return (
    <>
      <p className="max-w-[75ch] pt-3 text-lg">
        {many(pulls, 'pull', 'pulls')} on record, on {many(piecesLoaded, 'piece', 'pieces')}; {many(outings, 'outing', 'outings')};{' '}
        {many(inspections, 'inspection', 'inspections')}, of which {failed} failed. {many(takenOut, 'piece', 'pieces')} went out of use,{' '}
        {retired === 0 ? 'none' : retired} for good.
      </p>
      <Section title="Incidents and near misses" empty="None on record.">
        {incidents.map((incident) => (
          <IncidentRow key={incident.incidentId} incident={incident} />
        ))}
      </Section>
      <Section title="Over the limit" empty="No load over a limit on record.">
        {overloads.map((load) => (
          <Row key={`${load.gearId} ${load.on} ${load.happenedN}`} load={load} />
        ))}
      </Section>
      <Section title="Hardest pulls" empty="No load on record.">
        {hardest.map((load) => (
          <Row key={`${load.gearId} ${load.on} ${load.happenedN}`} load={load} />
        ))}
      </Section>
      <OwnFigures />
      <p className="pt-4 text-[15px] text-quiet">
        From what was written down. Pulls that nobody logged, and loads that nobody knew, are in no report.
      </p>
    </>
  );
}

function Section({
  title,
  empty,
  children,
}: {
  readonly title: string;
  readonly empty: string;
  readonly children: readonly React.ReactNode[];
}) {
  return (
    <section aria-label={title}>
      <h2 className="stitched mt-6 pb-1.5 text-xl">{title}</h2>
      {children.length === 0 && <p className="pt-2 text-quiet">{empty}</p>}
      <ul>{children}</ul>
    </section>
  );
}

function Row({ load: { gearId, tag, name, on, happenedN, wllN, share, overload, place } }: { readonly load: SeasonLoad }) {
  const { figure } = useFigures();
  const isOver = overload === 'inspect' || overload === 'quarantine';
  return (
    <li className="grid items-baseline gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[6rem_1fr_7rem_8rem_12rem]">
      <Link to={`/gear/${gearId}`} aria-label={`${tag} ${name}`}>
        <Tag code={tag} />
      </Link>
      <span className="min-w-0">
        {name}
        {place && <span className="block text-[15px] text-quiet">{place}</span>}
      </span>
      <span>{day(on)}</span>
      <strong className="font-mono">{figure(force(happenedN))}</strong>
      <span className={isOver ? 'text-rust' : 'text-quiet'}>
        {share !== undefined && wllN !== undefined && `${figure(percent(share))} of ${figure(force(wllN))}`}
      </span>
    </li>
  );
}
