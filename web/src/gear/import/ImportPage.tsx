import type { ImportResult } from '@wainrope/contract';
import { Link } from 'react-router';
import { PageHeading } from '../../shell/PageHeading.tsx';
import { ProblemNote } from '../../shell/ProblemNote.tsx';
import { TaskNote } from '../../tasks/TaskNote.tsx';
import { DropZone } from './DropZone.tsx';
import { Preview } from './Preview.tsx';
import { useImport } from './use-import.ts';

export function ImportPage() {
  const whole = useImport();
  const { file, tooLarge, preview, asking, committing, take, again } = whole;
  return (
    <div className="page py-4">
      <p>
        <Link className="underline" to="/gear">
          Gear
        </Link>
      </p>
      <PageHeading title="Import a gear list" className="mt-2 border-b-2 border-ink pb-3 text-[28px]" />
      {committing.data ? (
        <Done result={committing.data} again={again} />
      ) : (
        <>
          <DropZone take={take} name={file?.name} />
          {tooLarge && (
            <p role="alert" className="mt-3 border-l-4 border-rust bg-rust-wash px-4 py-2">
              {tooLarge}
            </p>
          )}
          <div className="mt-3">
            <TaskNote task={asking.originalArgs?.task} isRunning={asking.isLoading} what={`Reading ${file?.name}`} />
            <TaskNote task={committing.originalArgs?.task} isRunning={committing.isLoading} what={`Bringing in ${file?.name}`} />
          </div>
          <div className="mt-3">
            <ProblemNote error={asking.error ?? committing.error} />
          </div>
          {preview && <Preview preview={preview} whole={whole} />}
        </>
      )}
    </div>
  );
}

function Done({ result, again }: { readonly result: ImportResult; readonly again: () => void }) {
  const nothing = result.created + result.changed === 0;
  return (
    <div role="status" className="py-6">
      <p className="font-head text-3xl">
        {nothing
          ? 'Nothing changed: the register already says the same.'
          : `${result.created} new, ${result.changed} changed, ${result.unchanged} as they were.`}
      </p>
      {result.inspections > 0 && <p className="pt-1">{result.inspections} inspections were added to the record.</p>}
      <div className="mt-4 flex gap-2">
        <Link className="action-main" to="/gear">
          See the register
        </Link>
        <button type="button" className="action" onClick={again}>
          Import another file
        </button>
      </div>
    </div>
  );
}
