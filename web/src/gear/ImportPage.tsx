import { type ImportPreview, type ImportResult, type ImportRowView, registerColumns } from '@wainrope/contract';
import { FileUp } from 'lucide-react';
import { type DragEvent, useState } from 'react';
import { Link } from 'react-router';
import { useImportGearMutation, usePreviewImportMutation } from '../api/wainrope-api.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { TaskNote } from '../tasks/TaskNote.tsx';

/** Largest file, bytes; the server takes as much. */
const MOST_BYTES = 6_000_000;

interface Chosen {
  readonly name: string;
  readonly contentBase64: string;
}

async function base64Of(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let binary = '';
  for (let start = 0; start < bytes.length; start += 32_768) binary += String.fromCharCode(...bytes.subarray(start, start + 32_768));
  return btoa(binary);
}

export function ImportPage() {
  const [file, setFile] = useState<Chosen>();
  const [tooLarge, setTooLarge] = useState<string>();
  const [preview, { data, error, isLoading, reset, originalArgs }] = usePreviewImportMutation();
  const [commit, committing] = useImportGearMutation();
  const take = async (picked: File | undefined) => {
    if (!picked) return;
    committing.reset();
    reset();
    if (picked.size > MOST_BYTES)
      return setTooLarge(`${picked.name} has ${(picked.size / 1e6).toFixed(1)} MB; at most 6 MB are taken. Split it.`);
    setTooLarge(undefined);
    const chosen = { name: picked.name, contentBase64: await base64Of(picked) };
    setFile(chosen);
    await preview({ task: crypto.randomUUID(), importRequest: { fileName: chosen.name, contentBase64: chosen.contentBase64 } });
  };
  const correct = (columns: ImportPreview['columns']) =>
    file && preview({ task: crypto.randomUUID(), importRequest: { fileName: file.name, contentBase64: file.contentBase64, columns } });
  const bringIn = (rows: number[]) =>
    file &&
    data &&
    commit({
      task: crypto.randomUUID(),
      importCommit: { fileName: file.name, contentBase64: file.contentBase64, columns: data.columns, rows },
    });
  return (
    <div className="mx-auto w-full max-w-[1180px] px-3 py-4 sm:px-5">
      <p>
        <Link className="underline" to="/gear">
          Gear
        </Link>
      </p>
      <h1 className="mt-2 border-b-2 border-ink pb-3 text-[28px]">Import a register</h1>
      {committing.data ? (
        <Done
          result={committing.data}
          again={() => {
            committing.reset();
            reset();
            setFile(undefined);
          }}
        />
      ) : (
        <>
          <DropZone take={take} name={file?.name} />
          {tooLarge && (
            <p role="alert" className="mt-3 border-l-4 border-rust bg-rust-wash px-4 py-2">
              {tooLarge}
            </p>
          )}
          <div className="mt-3">
            <TaskNote task={originalArgs?.task} isRunning={isLoading} what={`Reading ${file?.name}`} />
            <TaskNote task={committing.originalArgs?.task} isRunning={committing.isLoading} what={`Bringing in ${file?.name}`} />
          </div>
          <div className="mt-3">
            <ProblemNote error={error ?? committing.error} />
          </div>
          {data && !isLoading && (
            <Preview key={JSON.stringify(data.columns)} data={data} correct={correct} bringIn={bringIn} busy={committing.isLoading} />
          )}
        </>
      )}
    </div>
  );
}

function DropZone({ take, name }: { readonly take: (file: File | undefined) => void; readonly name: string | undefined }) {
  const [over, setOver] = useState(false);
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    take(event.dataTransfer.files[0]);
  };
  return (
    <label
      className={`mt-4 flex min-h-24 cursor-pointer flex-wrap items-center gap-4 border-2 border-dashed px-5 py-4 ${over ? 'border-moss bg-sheet' : 'border-quiet'}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <FileUp size={28} aria-hidden="true" />
      <span>
        <strong>{name ?? 'Drop a CSV file here, or choose one'}</strong>
        <span className="block text-quiet">
          The first line names the columns, among them tag and class. Nothing is written before you have seen every row.
        </span>
      </span>
      <input
        type="file"
        accept=".csv,.txt,text/csv"
        className="ml-auto w-auto! border-0! bg-transparent!"
        onChange={(event) => take(event.target.files?.[0])}
        aria-label="Choose a CSV file"
      />
    </label>
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

type Outcome = ImportRowView['outcome'];
const OUTCOMES: { readonly [O in Outcome]: string } = {
  new: 'new',
  changed: 'changed',
  unchanged: 'as it is',
  faulty: 'faulty',
  empty: 'empty',
};
const MOST_SHOWN = 400;

interface PreviewProps {
  readonly data: ImportPreview;
  readonly correct: (columns: ImportPreview['columns']) => void;
  readonly bringIn: (rows: number[]) => void;
  readonly busy: boolean;
}

function Preview({ data, correct, bringIn, busy }: PreviewProps) {
  const rows = data.rows;
  const count = (outcome: Outcome) => rows.filter((row) => row.outcome === outcome).length;
  const [only, setOnly] = useState<Outcome | ''>(count('faulty') > 0 ? 'faulty' : '');
  const [setAside, setSetAside] = useState(false);
  const faulty = count('faulty');
  const usable = rows.filter(({ outcome }) => outcome === 'new' || outcome === 'changed' || outcome === 'unchanged').map(({ row }) => row);
  const shown = rows.filter(({ outcome }) => (only === '' ? outcome !== 'empty' : outcome === only));
  return (
    <>
      <p className="pt-3 text-quiet">
        Read as {data.encoding}, cells parted by {data.separator}.
      </p>
      <Columns columns={data.columns} correct={correct} />
      <h2 className="mt-5 text-xl">Rows</h2>
      <div className="flex flex-wrap gap-2 py-2">
        {(['', 'new', 'changed', 'unchanged', 'faulty'] as const).map((outcome) => (
          <button key={outcome} type="button" className="action" aria-pressed={only === outcome} onClick={() => setOnly(outcome)}>
            {outcome === '' ? `all ${rows.length - count('empty')}` : `${OUTCOMES[outcome]} ${count(outcome)}`}
          </button>
        ))}
      </div>
      <ul className="border-t-2 border-ink">
        {shown.slice(0, MOST_SHOWN).map((row) => (
          <RowPreview key={row.row} row={row} />
        ))}
      </ul>
      {shown.length > MOST_SHOWN && <p className="py-2 text-quiet">and {shown.length - MOST_SHOWN} more of this kind.</p>}
      {shown.length === 0 && <p className="py-3">No rows of this kind.</p>}
      <div className="sticky bottom-0 mt-3 flex flex-wrap items-center gap-4 border-t-2 border-ink bg-paper py-3">
        {faulty > 0 && (
          <label className="flex items-center gap-2 font-semibold">
            <input type="checkbox" checked={setAside} onChange={(event) => setSetAside(event.target.checked)} />
            Set {faulty} faulty {faulty === 1 ? 'row' : 'rows'} aside
          </label>
        )}
        <button
          type="button"
          className="action-main ml-auto"
          disabled={busy || usable.length === 0 || (faulty > 0 && !setAside)}
          onClick={() => bringIn(usable)}
        >
          {busy ? 'Writing…' : `Bring in ${usable.length} ${usable.length === 1 ? 'row' : 'rows'}`}
        </button>
      </div>
    </>
  );
}

function Columns({ columns, correct }: Pick<PreviewProps, 'correct'> & { readonly columns: ImportPreview['columns'] }) {
  const unknown = columns.filter(({ column }) => column === undefined).length;
  const change = (index: number, column: string) =>
    correct(
      columns.map((entry, place) =>
        place === index ? { heading: entry.heading, ...(column !== '' && { column }), ...(entry.unit && { unit: entry.unit }) } : entry,
      ),
    );
  return (
    <details className="stitched pt-2 pb-3" open={unknown > 0}>
      <summary className="cursor-pointer py-1 font-head text-xl font-semibold">
        Columns{' '}
        <span className="font-sans text-base font-normal text-quiet">
          {unknown > 0
            ? `${unknown} of ${columns.length} not recognised and left out; correct them here`
            : `all ${columns.length} recognised`}
        </span>
      </summary>
      <div className="grid grid-cols-1 gap-x-6 gap-y-1 pt-2 sm:grid-cols-2 lg:grid-cols-3">
        {columns.map(({ heading, column, unit }, index) => (
          <label key={index} className="grid grid-cols-[1fr_1.3fr] items-center gap-2">
            <span className="truncate font-mono text-[14px]" title={heading}>
              {heading || '(no heading)'}
              {unit && ` → ${unit}`}
            </span>
            <select value={column ?? ''} onChange={(event) => change(index, event.target.value)} className={column ? '' : 'border-signal!'}>
              <option value="">leave out</option>
              {registerColumns.map(({ key, label }) => (
                <option key={key} value={key}>
                  {label}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </details>
  );
}

function RowPreview({ row }: { readonly row: ImportRowView }) {
  const { outcome, tag, name, changes, faults, understood } = row;
  return (
    <li
      className={`flex flex-wrap items-baseline gap-x-3 gap-y-1 border-b border-rule px-1 py-2 ${outcome === 'faulty' ? 'border-l-4 border-l-rust pl-3' : ''}`}
    >
      <span className="w-16 shrink-0 font-mono text-[13px] text-quiet">line {row.row}</span>
      {tag && <Tag code={tag} />}
      <span className="font-semibold">{name}</span>
      <span className={outcome === 'faulty' ? 'font-semibold text-rust' : 'text-quiet'}>{OUTCOMES[outcome]}</span>
      <span className="text-quiet">{understood.join('; ')}</span>
      {changes.map((change) => (
        <span key={change} className="basis-full pl-19">
          {change}
        </span>
      ))}
      {faults.map(({ column, message }) => (
        <span key={`${column}${message}`} className="basis-full text-rust sm:pl-19">
          <strong>{registerColumns.find(({ key }) => key === column)?.label ?? column}:</strong> {message}
        </span>
      ))}
    </li>
  );
}
