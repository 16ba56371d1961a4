import type { DefectView } from '@wainrope/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useCloseDefectMutation, useListDefectsQuery } from '../api/wainrope-api.ts';
import { day } from '../shell/days.ts';
import { EmptyPage } from '../shell/EmptyPage.tsx';
import { Loading } from '../shell/Loading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { InspectTabs } from './InspectTabs.tsx';

/** What was found and is not yet put right. */
export function DefectsPage() {
  const { data, error, refetch } = useListDefectsQuery();
  const items = data?.items ?? [];
  return (
    <div className="page py-4">
      <InspectTabs title="Open defects" />
      <ProblemNote error={error} retry={refetch} />
      {!data && !error && <Loading what="the defects" />}
      {data && items.length === 0 && (
        <EmptyPage of="pieces" words="No defect is open.">
          What an inspection finds stands here, with its piece, until somebody says how it was put right.
        </EmptyPage>
      )}
      <ul>
        {items.map((defect) => (
          <DefectRow key={defect.defectId} defect={defect} />
        ))}
      </ul>
    </div>
  );
}

function DefectRow({ defect }: { readonly defect: DefectView }) {
  const may = useMay();
  const [close, closing] = useCloseDefectMutation();
  const [how, setHow] = useState<string>();
  return (
    <li className="border-b border-rule py-2">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <Link to={`/gear/${defect.gearId}`}>
          <Tag code={defect.tag} />
        </Link>
        <span>{defect.name}</span>
        <strong className={defect.failed ? 'text-rust' : 'text-amber-ink'}>{defect.words}</strong>
        <span className="ml-auto text-[15px] text-quiet">
          <Link className="underline" to={`/inspections/${defect.inspectionId}`}>
            {day(defect.openedOn)}, {defect.openedBy}
          </Link>
        </span>
        {may('inspection.full') && how === undefined && (
          <button type="button" className="action" onClick={() => setHow('')}>
            Close
          </button>
        )}
      </div>
      {how !== undefined && (
        <form
          className="flex flex-wrap items-end gap-2 pt-2"
          onSubmit={(event) => {
            event.preventDefault();
            close({ defectId: defect.defectId, defectClose: { how } });
          }}
        >
          <label className="min-w-60 flex-1">
            How was it put right?
            <input value={how} onChange={(event) => setHow(event.target.value)} />
          </label>
          <button type="submit" className="action-main" disabled={closing.isLoading}>
            Close it
          </button>
          <button type="button" className="action" onClick={() => setHow(undefined)}>
            Leave it open
          </button>
        </form>
      )}
      <ProblemNote error={closing.error} />
    </li>
  );
}
