import type { DiaryCreate, DiaryKind, GearView } from '@wainrope/contract';
import { type DecimalMark, eyeLocks, gearClasses, keyWords, seenTerminations, spoolStates } from '@wainrope/core';
import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { problemOf, useAddDiaryEntryMutation, useListDiaryQuery } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { FormButtons } from '../shell/FormButtons.tsx';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { DiaryRows, RunSince } from './DiaryRows.tsx';
import { diaryWords } from './diary-words.ts';
import { FurtherBack } from './FurtherBack.tsx';
import { readForce } from './read-force.ts';
import { readMetres } from './read-metres.ts';
import { FIRST_PAGE, hasDiary, MOST_LISTED } from './use-book.ts';

interface DiarySectionProps {
  readonly gear: GearView;
  readonly today: string;
  readonly decimal: DecimalMark;
}

const OF_DRUMS: readonly DiaryKind[] = ['spooled', 'ran', 'covered', 'uncovered'];
const OF_LINES: readonly DiaryKind[] = ['stretched'];
const OF_KEEPERS: readonly DiaryKind[] = ['cut-back', 'spliced'];
const SHOWN = 8;

/** What was done to a drum or a line: spooled, run, cut back, spliced. Other pieces have none. */
export function DiarySection({ gear, today, decimal }: DiarySectionProps) {
  const may = useMay();
  const isDrum = gearClasses[gear.kind].carriesOn === 'spool';
  const [limit, setLimit] = useState<number>(FIRST_PAGE.diary);
  const { data, error, refetch } = useListDiaryQuery({ gearId: gear.gearId, limit }, { skip: !hasDiary(gear) });
  const [kind, setKind] = useState<DiaryKind>();
  const [all, setAll] = useState(false);
  if (!hasDiary(gear)) return null;
  const items = data?.items ?? [];
  const hasMore = data?.next !== undefined;
  const kinds = isDrum ? OF_DRUMS : [...OF_LINES, ...(may('gear.write') ? OF_KEEPERS : [])];
  return (
    <section className="pt-6" aria-label="Diary">
      <h2 className="stitched pb-1.5 text-xl">{isDrum ? 'Diary of the drum' : 'Diary of the line'}</h2>
      <ProblemNote error={error} retry={refetch} />
      {data?.ranSinceM !== undefined && data.spooledOn && <RunSince ranM={data.ranSinceM} on={data.spooledOn} />}
      {may('diary.write') && gear.state !== 'retired' && kind === undefined && (
        <p className="no-print flex flex-wrap gap-2 pt-3">
          {isDrum && (
            <Link className="action-main" to={`/gear/${gear.gearId}/respool`}>
              Re-spool it, step by step
            </Link>
          )}
          {kinds.map((each) => (
            <button key={each} type="button" className="action" onClick={() => setKind(each)}>
              {diaryWords[each]}
            </button>
          ))}
        </p>
      )}
      {kind !== undefined && (
        <EntryForm key={kind} gear={gear} today={today} decimal={decimal} kind={kind} done={() => setKind(undefined)} />
      )}
      {data && items.length === 0 && <p className="pt-2 text-quiet">Nothing written down yet.</p>}
      <DiaryRows entries={all ? items : items.slice(0, SHOWN)} />
      {!all && items.length > SHOWN && (
        <button type="button" className="action no-print mt-2" onClick={() => setAll(true)}>
          All {hasMore ? `the newest ${items.length}` : items.length}
        </button>
      )}
      <FurtherBack hasMore={all && hasMore} limit={limit} most={MOST_LISTED} read={setLimit} />
    </section>
  );
}

interface EntryFormProps extends DiarySectionProps {
  readonly kind: DiaryKind;
  readonly done: () => void;
}

interface TypedEntry {
  readonly on: string;
  readonly spoolState: string;
  readonly cutAt: string;
  readonly end: string;
  readonly lock: string;
  readonly note: string;
}

/** What was chosen for an entry of a kind; figures are read apart. */
function saidOf(kind: DiaryKind, { on, spoolState, cutAt, end, lock, note }: TypedEntry): Omit<DiaryCreate, 'entryId'> {
  const chosen: { readonly [K in DiaryKind]?: Partial<DiaryCreate> } = {
    spooled: { spoolState: spoolState as NonNullable<DiaryCreate['spoolState']> },
    'cut-back': { cutAt: cutAt as 'hook' | 'drum' },
    spliced: {
      endTermination: end as NonNullable<DiaryCreate['endTermination']>,
      ...(lock && { eyeLock: lock as NonNullable<DiaryCreate['eyeLock']> }),
    },
  };
  return { on, kind, ...chosen[kind], ...(note.trim() && { note: note.trim() }) };
}

function EntryForm({ gear, today, decimal, kind, done }: EntryFormProps) {
  const { units } = useFigures();
  const [typed, setTyped] = useState({
    on: today,
    spoolState: 'under-tension',
    tension: '',
    metres: '',
    cutAt: 'hook',
    end: 'long-tapered-bury',
    lock: '',
    note: '',
  });
  const [entryId] = useState(() => crypto.randomUUID());
  const [wrong, setWrong] = useState<{ readonly [field: string]: string }>({});
  const [add, { error, isLoading }] = useAddDiaryEntryMutation();
  const faults = { ...faultsByPath(error && problemOf(error)), ...wrong };
  const set = (change: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...change }));
  const asks = { tension: kind === 'spooled' || kind === 'stretched', metres: kind === 'ran' || kind === 'cut-back' };
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const tension = readForce(asks.tension ? typed.tension : '', decimal, units);
    const metres = readMetres(asks.metres ? typed.metres : '', decimal);
    const found = {
      ...(tension.kind === 'fault' && { tensionN: tension.message }),
      ...(metres.kind === 'fault' && { metres: metres.message }),
    };
    setWrong(found);
    if (Object.keys(found).length > 0) return;
    const diaryCreate: DiaryCreate = {
      entryId,
      ...saidOf(kind, typed),
      ...(tension.kind === 'force' && { tensionN: tension.newtons }),
      ...(metres.kind === 'metres' && { metres: metres.metres }),
    };
    const answer = await add({ gearId: gear.gearId, diaryCreate });
    if (answer.data) done();
  };
  return (
    <form className="no-print space-y-3 pt-3" onSubmit={submit}>
      <h3 className="text-lg">{diaryWords[kind]}</h3>
      <div className="grid gap-3 sm:grid-cols-3">
        <Labelled label="Day" fault={faults.on}>
          <input type="date" max={today} value={typed.on} onChange={(event) => set({ on: event.target.value })} />
        </Labelled>
        {kind === 'spooled' && (
          <Choice
            label="How it lies"
            value={typed.spoolState}
            options={spoolStates}
            words={keyWords}
            onChange={(spoolState) => set({ spoolState })}
            fault={faults.spoolState}
          />
        )}
        {asks.tension && (
          <Labelled label="Tension, where it is known" fault={faults.tensionN}>
            <input value={typed.tension} onChange={(event) => set({ tension: event.target.value })} />
          </Labelled>
        )}
        {asks.metres && (
          <Labelled label={kind === 'ran' ? 'Metres run' : 'Metres cut off'} fault={faults.metres}>
            <input inputMode="decimal" value={typed.metres} onChange={(event) => set({ metres: event.target.value })} />
          </Labelled>
        )}
        {kind === 'cut-back' && (
          <Choice
            label="At which end"
            value={typed.cutAt}
            options={['hook', 'drum']}
            words={(end) => (end === 'hook' ? 'at the hook: its marks come nearer' : 'at the drum: its marks stay')}
            onChange={(cutAt) => set({ cutAt })}
            fault={faults.cutAt}
          />
        )}
        {kind === 'spliced' && (
          <>
            <Choice
              label="How the end is made up"
              value={typed.end}
              options={seenTerminations}
              words={keyWords}
              onChange={(end) => set({ end })}
              fault={faults.endTermination}
            />
            <Choice
              label="How its eye is locked"
              value={typed.lock}
              options={['', ...eyeLocks]}
              words={(lock) => (lock === '' ? 'not known' : keyWords(lock))}
              onChange={(lock) => set({ lock })}
              fault={faults.eyeLock}
            />
          </>
        )}
      </div>
      <Labelled label="Remark" fault={faults.note}>
        <input maxLength={500} value={typed.note} onChange={(event) => set({ note: event.target.value })} />
      </Labelled>
      <FormProblem error={error} shown={['on', 'spoolState', 'tensionN', 'metres', 'cutAt', 'endTermination', 'eyeLock', 'note']} />
      <FormButtons words="Write it down" busy={isLoading} cancel={done} />
    </form>
  );
}
