import type { IncidentView } from '@wainrope/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../../access/use-session.ts';
import { useListIncidentsQuery } from '../../api/wainrope-api.ts';
import { day } from '../../shell/days.ts';
import { EmptyPage } from '../../shell/EmptyPage.tsx';
import { Loading } from '../../shell/Loading.tsx';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { Tag } from '../../shell/Tag.tsx';
import { incidentWords } from './incident-words.ts';
import { LogTabs } from './LogTabs.tsx';

/** Incidents and near misses, newest first, a page at a time. */
export function IncidentsPage() {
  const [before, setBefore] = useState<string>();
  const { data, error, refetch } = useListIncidentsQuery({ ...(before !== undefined && { before }) });
  const may = useMay();
  return (
    <div className="page py-4">
      <LogTabs title="Incidents and near misses">
        {may('incident.write') && (
          <Link className="action-main" to="/log/incidents/new">
            Record one
          </Link>
        )}
      </LogTabs>
      <ProblemNote error={error} retry={refetch} />
      {!data && !error && <Loading what="the log" />}
      {data?.items.length === 0 && (
        <EmptyPage of="days" words="Nothing on record.">
          A near miss that is written down is one that the next crew can learn from; it takes a minute.
        </EmptyPage>
      )}
      <ul>
        {data?.items.map((incident) => (
          <IncidentRow key={incident.incidentId} incident={incident} />
        ))}
      </ul>
      {(before !== undefined || data?.next !== undefined) && (
        <p className="no-print flex gap-2 pt-3">
          {before !== undefined && (
            <button type="button" className="action" onClick={() => setBefore(undefined)}>
              Newest
            </button>
          )}
          {data?.next !== undefined && (
            <button type="button" className="action" onClick={() => setBefore(data.next)}>
              Earlier
            </button>
          )}
        </p>
      )}
    </div>
  );
}

/** One incident in a list: what and when, its words, its pieces. */
export function IncidentRow({ incident }: { readonly incident: IncidentView }) {
  const { incidentId, on, kind, words, place, pieces, followUps, correctedBy } = incident;
  return (
    <li className={`border-b border-rule py-2.5 ${correctedBy ? 'text-quiet line-through' : ''}`}>
      <p className="flex flex-wrap items-baseline gap-x-4">
        <Link className="font-head text-lg font-semibold underline underline-offset-2" to={`/log/incidents/${incidentId}`}>
          {incidentWords[kind]}
        </Link>
        <span>{day(on)}</span>
        {place && <span className="text-quiet">{place}</span>}
      </p>
      <p className="max-w-[75ch]">{words}</p>
      {pieces.length > 0 && (
        <p className="flex flex-wrap items-center gap-2 pt-1">
          {pieces.map(({ gearId, tag, name }) => (
            <Link key={gearId} to={`/gear/${gearId}`} aria-label={`${tag} ${name}`}>
              <Tag code={tag} />
            </Link>
          ))}
        </p>
      )}
      {followUps.map(({ followUpId, words: changed }) => (
        <p key={followUpId} className="border-l-4 border-moss pl-3">
          {changed}
        </p>
      ))}
    </li>
  );
}
