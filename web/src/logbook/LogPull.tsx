import type { PlanView } from '@wainrope/contract';
import { type DecimalMark, force, type Report } from '@wainrope/core';
import { type FormEvent, useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { useLogPullMutation } from '../api/wainrope-api.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { DayAndPulls, FormEnd, StallAndRemark } from './PullFields.tsx';
import { readForce } from './read-force.ts';

interface LogPullProps {
  readonly plan: Pick<PlanView, 'planId' | 'version' | 'state'>;
  readonly report: Pick<Report, 'drives'>;
  readonly today: string;
  readonly decimal: DecimalMark;
  /** What is on the sheet is not what was saved. */
  readonly dirty: boolean;
}

/** After the pull: what it put on every piece of the rig, written into each piece's book at once. */
export function LogPull({ plan, report, today, decimal, dirty }: LogPullProps) {
  const may = useMay();
  const { units, figure } = useFigures();
  const [isOpen, setOpen] = useState(false);
  const [typed, setTyped] = useState({ on: today, pulls: '1', peak: '', stalled: false, note: '' });
  const [fault, setFault] = useState<string>();
  const [pullId, setPullId] = useState(() => crypto.randomUUID());
  const [log, { data, error, isLoading, reset }] = useLogPullMutation();
  const here = useRef<HTMLElement>(null);
  useEffect(() => {
    // The form closes; what came of it must not be out of sight.
    if (data) here.current?.scrollIntoView?.({ block: 'nearest' });
  }, [data]);
  if (!may('load.write') || plan.state === 'archived') return null;
  const set = (change: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...change }));
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const peak = readForce(typed.peak, decimal, units);
    if (peak.kind === 'fault') return setFault(peak.message);
    const pulls = Number(typed.pulls);
    if (!Number.isInteger(pulls) || pulls < 1) return setFault(`“${typed.pulls}” is not a whole number of pulls.`);
    setFault(undefined);
    const pullCreate = {
      pullId,
      version: plan.version,
      on: typed.on,
      pulls,
      ...(typed.stalled && { stalled: true }),
      ...(peak.kind === 'force' && { linePeakN: peak.newtons }),
      ...(typed.note.trim() && { note: typed.note.trim() }),
    };
    const answer = await log({ planId: plan.planId, pullCreate });
    if (!answer.data) return;
    setOpen(false);
    setPullId(crypto.randomUUID());
  };
  const over = data?.loads.filter(({ overload }) => overload === 'inspect' || overload === 'quarantine') ?? [];
  return (
    <section aria-label="The pull" ref={here}>
      <h2 className="font-head text-lg font-semibold">The pull</h2>
      {data && !isOpen && (
        <div role="status" className="border-l-4 border-moss bg-sheet px-3 py-2">
          <p>Logged for {data.loads.length} pieces.</p>
          {over.map(({ recordId, gearId, place, happenedN, overload }) => (
            <p key={recordId} className="text-rust">
              <Link className="underline" to={`/gear/${gearId}`}>
                {place}
              </Link>
              : {figure(force(happenedN))},{' '}
              {overload === 'quarantine' ? 'out of use until a full inspection' : 'over its limit, inspect it now'}.
            </p>
          ))}
          {data.without.length > 0 && <p className="text-quiet">Without a load: {data.without.join(', ')}.</p>}
        </div>
      )}
      {dirty && <p className="py-1 text-amber-ink">Save first: a pull is logged by the saved version.</p>}
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
          {data ? 'Log another pull' : 'Log a pull'}
        </button>
      )}
      {isOpen && (
        <form className="space-y-3 pt-1" onSubmit={submit}>
          <div className="grid grid-cols-2 gap-3">
            <DayAndPulls typed={typed} set={set} today={today} />
          </div>
          {report.drives.length <= 1 && (
            <Labelled label="Largest line tension, off a gauge">
              <input value={typed.peak} placeholder="where there is one" onChange={(event) => set({ peak: event.target.value })} />
            </Labelled>
          )}
          <StallAndRemark typed={typed} set={set} words={{ stalled: 'The winch stalled', remark: 'Remark' }} />
          <FormEnd fault={fault} error={error} busy={isLoading} words="Log it for every piece" cancel={() => setOpen(false)} />
        </form>
      )}
    </section>
  );
}
