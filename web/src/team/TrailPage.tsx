import { subjectKinds } from '@wainrope/contract';
import { useSearchParams } from 'react-router';
import { useListAuditQuery } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { EmptyPage } from '../shell/EmptyPage.tsx';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { TeamTabs } from './TeamTabs.tsx';
import { TrailList } from './TrailList.tsx';
import { kindWords } from './trail-words.ts';

/** Everything that was done, newest first. */
export function TrailPage() {
  const [params, setParams] = useSearchParams();
  const kind = subjectKinds.find((entry) => entry === params.get('of'));
  const before = Number(params.get('before')) || undefined;
  const { data: page, error, refetch } = useListAuditQuery({ ...(kind && { kind }), ...(before && { before }) });
  return (
    <div className="page py-4">
      <TeamTabs title="What changed">
        <div className="w-72">
          <Choice
            label="Kind of change"
            labelIsHidden
            value={kind ?? ''}
            options={['', ...subjectKinds]}
            words={(entry) => (entry === '' ? 'Everything' : kindWords[entry])}
            onChange={(of) => setParams(of ? { of } : {})}
          />
        </div>
      </TeamTabs>
      <ProblemNote error={error} retry={refetch} />
      {!page && !error && <Loading what="what changed" />}
      {page && <TrailList entries={page.items} />}
      {page?.items.length === 0 && <EmptyPage of="days" words="Nothing of this kind has been done yet." />}
      {page?.next !== undefined && (
        <button type="button" className="action mt-4" onClick={() => setParams({ ...(kind && { of: kind }), before: String(page.next) })}>
          Earlier
        </button>
      )}
    </div>
  );
}
