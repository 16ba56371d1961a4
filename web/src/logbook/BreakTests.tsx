import type { BreakTestView, GearView } from '@wainrope/contract';
import { type DecimalMark, force } from '@wainrope/core';
import { type FormEvent, useState } from 'react';
import { useMay } from '../access/use-session.ts';
import { problemOf, useAddBreakTestMutation, useListBreakTestsQuery } from '../api/wainrope-api.ts';
import { day } from '../shell/days.ts';
import { FormButtons } from '../shell/FormButtons.tsx';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { FurtherBack } from './FurtherBack.tsx';
import { readForce } from './read-force.ts';
import { FIRST_PAGE, isOfKnownBatch, MOST_LISTED } from './use-book.ts';

interface BreakTestsProps {
  readonly gear: GearView;
  readonly today: string;
  readonly decimal: DecimalMark;
}

/** What pieces of the same batch broke at, where any was pulled until it did: beside this piece's marks, and none of them. */
export function BreakTests({ gear, today, decimal }: BreakTestsProps) {
  const may = useMay();
  const { maker, batch } = gear;
  const isKnown = isOfKnownBatch(gear);
  const [limit, setLimit] = useState<number>(FIRST_PAGE.tests);
  const { data, error, refetch } = useListBreakTestsQuery({ gearId: gear.gearId, limit }, { skip: !isKnown });
  const [isOpen, setOpen] = useState(false);
  if (!isKnown) return null;
  const items = data?.items ?? [];
  if (items.length === 0 && !may('break-test.write')) return null;
  return (
    <section className="pt-6" aria-label="Break tests of its batch">
      <h2 className="stitched pb-1.5 text-xl">Break tests of its batch</h2>
      <ProblemNote error={error} retry={refetch} />
      {items.length > 0 && (
        <p className="pt-2 text-[15px] text-quiet">
          Bought pieces of batch {batch} by {maker} that were pulled until they broke; {data?.pieces} of that batch{' '}
          {data?.pieces === 1 ? 'is' : 'are'} in the register. One that held says little about another: no limit is worked out from these.
        </p>
      )}
      <ul>
        {items.map((test) => (
          <Test key={test.testId} test={test} />
        ))}
      </ul>
      <FurtherBack hasMore={data?.next !== undefined} limit={limit} most={MOST_LISTED} read={setLimit} />
      {may('break-test.write') &&
        (isOpen ? (
          <TestForm gear={gear} today={today} decimal={decimal} done={() => setOpen(false)} />
        ) : (
          <button type="button" className="action no-print mt-3" onClick={() => setOpen(true)}>
            Record a break test of batch {batch}
          </button>
        ))}
    </section>
  );
}

function Test({ test: { on, loadN, failedFirst, note, by } }: { readonly test: BreakTestView }) {
  const { figure } = useFigures();
  return (
    <li className="grid gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[7rem_9rem_1fr_9rem]">
      <span>{day(on)}</span>
      <strong className="font-mono">{figure(force(loadN))}</strong>
      <span>
        First to fail: {failedFirst}
        {note && <span className="block text-[15px] text-quiet">{note}</span>}
      </span>
      <span className="text-quiet sm:text-right">{by}</span>
    </li>
  );
}

function TestForm({ gear, today, decimal, done }: BreakTestsProps & { readonly done: () => void }) {
  const { units } = useFigures();
  const [typed, setTyped] = useState({ on: today, load: '', failedFirst: '', note: '' });
  const [testId] = useState(() => crypto.randomUUID());
  const [fault, setFault] = useState<string>();
  const [add, { error, isLoading }] = useAddBreakTestMutation();
  const faults = faultsByPath(error && problemOf(error));
  const set = (change: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...change }));
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const load = readForce(typed.load, decimal, units);
    if (load.kind !== 'force') return setFault(load.kind === 'fault' ? load.message : 'Give the load at which it failed.');
    setFault(undefined);
    const { kind, maker = '', model, batch = '' } = gear;
    const answer = await add({
      breakTestCreate: {
        testId,
        on: typed.on,
        kind,
        maker,
        batch,
        ...(model && { model }),
        loadN: load.newtons,
        failedFirst: typed.failedFirst.trim(),
        ...(typed.note.trim() && { note: typed.note.trim() }),
      },
    });
    if (answer.data) done();
  };
  return (
    <form className="no-print space-y-3 pt-3" onSubmit={submit}>
      <div className="grid gap-3 sm:grid-cols-[10rem_10rem_1fr]">
        <Labelled label="Day" fault={faults.on}>
          <input type="date" max={today} value={typed.on} onChange={(event) => set({ on: event.target.value })} />
        </Labelled>
        <Labelled label="Failed at" fault={fault ?? faults.loadN}>
          <input value={typed.load} onChange={(event) => set({ load: event.target.value })} />
        </Labelled>
        <Labelled label="What failed first" fault={faults.failedFirst}>
          <input maxLength={200} value={typed.failedFirst} onChange={(event) => set({ failedFirst: event.target.value })} />
        </Labelled>
      </div>
      <Labelled label="Remark" fault={faults.note}>
        <input maxLength={1000} value={typed.note} onChange={(event) => set({ note: event.target.value })} />
      </Labelled>
      <FormProblem error={error} shown={['on', 'loadN', 'failedFirst', 'note']} />
      <FormButtons words="Keep it" busy={isLoading} cancel={done} />
    </form>
  );
}
