import type { PlanView, SeriesCreate, SeriesView } from '@wainrope/contract';
import { type Report } from '@wainrope/core';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { problemOf, useBringSeriesMutation } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { named } from '../fields/named.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { TaskNote } from '../tasks/TaskNote.tsx';
import { DayAndPulls, FormEnd } from './PullFields.tsx';
import { seriesWords } from './series-words.ts';

interface BringSeriesProps {
  readonly plan: Pick<PlanView, 'planId' | 'version' | 'state'>;
  readonly report: Pick<Report, 'strands'>;
  readonly today: string;
  readonly dirty: boolean;
}

/** What only a person can say of a file, asked for where its headings leave it open. */
type Open = 'tension' | 'forceUnit' | 'timeUnit';
const openWords: { readonly [O in Open]: string } = {
  tension: 'Which column is the tension?',
  forceUnit: 'Which unit are its figures in?',
  timeUnit: 'Which unit are its times in?',
};

/** Where a gauge can be: each strand of each line, in the order of the rig. */
function placesOf({ strands }: Pick<Report, 'strands'>): readonly { readonly value: string; readonly words: string }[] {
  const lines = [...new Set(strands.map(({ lineId }) => lineId))];
  return strands.map(({ lineId, index }) => {
    const of = strands.filter((strand) => strand.lineId === lineId).length;
    const line = lines.length > 1 ? `line ${lines.indexOf(lineId) + 1}, ` : '';
    const at = index === 0 ? 'at the drive' : index === of - 1 ? 'at the far end' : `strand ${index + 1} of ${of}`;
    return { value: `${index} ${lineId}`, words: `${line}${of === 1 ? 'on the line' : at}` };
  });
}

/** What the server asks for of a file, with what can be chosen. */
function askedOf(error: unknown): readonly { readonly open: Open; readonly choices: readonly string[] }[] {
  if (!error) return [];
  return (problemOf(error).faults ?? []).flatMap(({ path, message }) => {
    const choices = /Choose one of: (.*)\.$/.exec(message)?.[1]?.split(', ');
    return choices && path in openWords ? [{ open: path as Open, choices }] : [];
  });
}

/** Brings in what a recorder's gauge on a line wrote: every piece of the rig gets its own load from it. */
export function BringSeries({ plan, report, today, dirty }: BringSeriesProps) {
  const may = useMay();
  const [isOpen, setOpen] = useState(false);
  const [typed, setTyped] = useState({ on: today, pulls: '1', at: '', note: '', leavesOut: false });
  const [stated, setStated] = useState<Partial<Record<Open, string>>>({});
  const [file, setFile] = useState<File>();
  const [fault, setFault] = useState<string>();
  const [ids, setIds] = useState(newIds);
  const [bring, { data, error, isLoading, reset }] = useBringSeriesMutation();
  if (!may('load.write') || plan.state === 'archived' || report.strands.length === 0) return null;
  const places = placesOf(report);
  const set = (change: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...change }));
  const asked = askedOf(error);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (!file) return setFault('Choose the recorder’s file.');
    const pulls = Number(typed.pulls);
    if (!Number.isInteger(pulls) || pulls < 1) return setFault(`“${typed.pulls}” is not a whole number of pulls.`);
    setFault(undefined);
    const [strand = '0', ...line] = (typed.at || (places[0]?.value ?? '')).split(' ');
    const series: SeriesCreate = {
      ...ids,
      version: plan.version,
      lineId: line.join(' '),
      strand: Number(strand),
      on: typed.on,
      fileName: file.name.slice(0, 200),
      pulls,
      ...(stated as Pick<SeriesCreate, Open>),
      ...(typed.leavesOut && { spikes: 'leave-out' as const }),
      ...(typed.note.trim() && { note: typed.note.trim() }),
    };
    const answer = await bring({ planId: plan.planId, series, file });
    // Sent again after a question or a stop it is another attempt, followed under a name of its own.
    setIds(answer.data ? newIds() : { ...ids, task: crypto.randomUUID() });
    if (!answer.data) return;
    setOpen(false);
    setStated({});
    setFile(undefined);
  };
  return (
    <section aria-label="A recorder’s file">
      {data && !isOpen && <Brought series={data} />}
      {!isOpen && (
        <button
          type="button"
          className="action mt-1"
          disabled={dirty}
          onClick={() => {
            reset();
            setOpen(true);
          }}
        >
          Bring in a recorder’s file
        </button>
      )}
      {isOpen && (
        <form className="space-y-3 pt-1" onSubmit={submit}>
          <Labelled label="The file: CSV, a column for the time, one for the tension; at most 64 MB">
            <input type="file" accept=".csv,.txt,.tsv,text/csv" onChange={(event) => setFile(event.target.files?.[0])} />
          </Labelled>
          {places.length > 1 && (
            <Choice
              label="Where the gauge was"
              value={typed.at}
              {...named(
                places.slice(1).map(({ value, words }) => [value, words] as const),
                places[0]?.words ?? '',
              )}
              onChange={(at) => set({ at })}
            />
          )}
          {asked.map(({ open, choices }) => (
            <Choice
              key={open}
              label={openWords[open]}
              value={stated[open] ?? ''}
              options={choices}
              words={(choice) => choice}
              onChange={(choice) => setStated({ ...stated, [open]: choice })}
            />
          ))}
          <div className="grid grid-cols-2 gap-3">
            <DayAndPulls typed={{ ...typed, stalled: false }} set={set} today={today} />
          </div>
          <label className="flex items-center gap-3">
            <input type="checkbox" checked={typed.leavesOut} onChange={(event) => set({ leavesOut: event.target.checked })} />
            Lone spikes are the recorder’s own faults: leave them out
          </label>
          <Labelled label="Remark">
            <input maxLength={500} value={typed.note} onChange={(event) => set({ note: event.target.value })} />
          </Labelled>
          <TaskNote task={ids.task} isRunning={isLoading} what={`Reading ${file?.name ?? 'the file'}`} />
          <FormEnd
            fault={fault}
            error={asked.length > 0 ? undefined : error}
            busy={isLoading}
            words="Bring it in"
            cancel={() => setOpen(false)}
          />
        </form>
      )}
    </section>
  );
}

const newIds = () => ({ seriesId: crypto.randomUUID(), task: crypto.randomUUID() });

function Brought({ series }: { readonly series: SeriesView }) {
  const over = series.loads.filter(({ overload }) => overload === 'inspect' || overload === 'quarantine');
  return (
    <div role="status" className="border-l-4 border-moss bg-sheet px-3 py-2">
      <p>
        {seriesWords(series.found)}, for {series.loads.length === 1 ? 'one piece' : `${series.loads.length} pieces`}.{' '}
        <Link className="underline" to={`/series/${series.seriesId}`}>
          See it
        </Link>
      </p>
      {over.length > 0 && (
        <p className="text-rust">
          {over.length === 1 ? 'One piece was' : `${over.length} pieces were`} over the limit:{' '}
          {over.map(({ place }) => place?.split(';')[0]).join('; ')}.
        </p>
      )}
    </div>
  );
}
