import type { IncidentView } from '@wainrope/contract';
import { type FormEvent, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useMay } from '../../access/use-session.ts';
import { useAddFollowUpMutation, useGetIncidentQuery } from '../../api/wainrope-api.ts';
import { SubjectPhotos } from '../../photos/SubjectPhotos.tsx';
import { day, moment } from '../../shell/days.ts';
import { Labelled } from '../../shell/Labelled.tsx';
import { Loading } from '../../shell/Loading.tsx';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { Tag } from '../../shell/Tag.tsx';
import { incidentWords } from './incident-words.ts';
import { LogTabs } from './LogTabs.tsx';

export function IncidentPage() {
  const { incidentId = '' } = useParams();
  const { data, error, refetch } = useGetIncidentQuery({ incidentId });
  return (
    <div className="page py-4">
      <LogTabs title={data ? incidentWords[data.kind] : 'Incident'} />
      <ProblemNote error={error} retry={refetch} />
      {data ? <Incident incident={data} /> : !error && <Loading what="what happened" />}
    </div>
  );
}

function Incident({ incident }: { readonly incident: IncidentView }) {
  const { incidentId, on, place, words, told, planId, planName, pieces, photoIds, by, at, correctedBy, kind } = incident;
  return (
    <>
      {correctedBy && (
        <p className="mt-3 border-l-4 border-signal bg-amber-wash px-3 py-1 text-amber-ink">
          Put right by{' '}
          <Link className="underline" to={`/log/incidents/${correctedBy}`}>
            a later record
          </Link>
          ; this one no longer counts.
        </p>
      )}
      <p className="pt-3 text-quiet">
        {day(on)}
        {place && `, ${place}`}; written by {by}, {moment(at)}
        {planId && (
          <>
            ; with the plan{' '}
            <Link className="underline" to={`/plans/${planId}`}>
              {planName}
            </Link>
          </>
        )}
      </p>
      <p className="max-w-[75ch] pt-2 text-lg whitespace-pre-wrap">{words}</p>
      {told && <p className="pt-2">Told: {told}.</p>}
      <h2 className="stitched mt-5 pb-1.5 text-xl">Pieces that were in it</h2>
      {pieces.length === 0 && <p className="pt-2 text-quiet">None was named.</p>}
      <ul>
        {pieces.map(({ gearId, tag, name, takenOut }) => (
          <li key={gearId} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
            <Link to={`/gear/${gearId}`} aria-label={`${tag} ${name}`}>
              <Tag code={tag} />
            </Link>
            <span>{name}</span>
            <span className={`ml-auto ${takenOut ? 'text-rust' : 'text-quiet'}`}>{takenOut ? 'taken out of use' : 'stayed in use'}</span>
          </li>
        ))}
      </ul>
      <h2 className="stitched mt-5 pb-1.5 text-xl">Pictures</h2>
      <SubjectPhotos subjectId={incidentId} subjectKind="incident" photoIds={photoIds} name={incidentWords[kind]} />
      <FollowUps incident={incident} />
    </>
  );
}

/** What was changed because of it, and saying more. */
function FollowUps({ incident: { incidentId, followUps } }: { readonly incident: IncidentView }) {
  const may = useMay();
  const [words, setWords] = useState('');
  const [followUpId, setId] = useState(() => crypto.randomUUID());
  const [add, { error, isLoading }] = useAddFollowUpMutation();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await add({ incidentId, followUpCreate: { followUpId, words: words.trim() } });
    if (!answer.data) return;
    setWords('');
    setId(crypto.randomUUID());
  };
  return (
    <section aria-label="What is changed because of it">
      <h2 className="stitched mt-5 pb-1.5 text-xl">What is changed because of it</h2>
      {followUps.length === 0 && (
        <p className="pt-2 text-amber-ink">Nothing yet. Something that nearly went wrong once goes wrong again.</p>
      )}
      <ul>
        {followUps.map(({ followUpId: id, words: changed, by, at }) => (
          <li key={id} className="border-b border-rule py-1.5">
            <p className="whitespace-pre-wrap">{changed}</p>
            <p className="text-[15px] text-quiet">
              {by}, {moment(at)}
            </p>
          </li>
        ))}
      </ul>
      {may('incident.write') && (
        <form className="no-print space-y-2 pt-3" onSubmit={submit}>
          <Labelled label="What else is changed">
            <textarea rows={2} value={words} onChange={(event) => setWords(event.target.value)} />
          </Labelled>
          <ProblemNote error={error} />
          <button type="submit" className="action" disabled={isLoading || words.trim().length < 3}>
            Add it
          </button>
        </form>
      )}
    </section>
  );
}
