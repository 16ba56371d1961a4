import type { GearView, LoadView } from '@wainrope/contract';
import { type DecimalMark, force } from '@wainrope/core';
import { type FormEvent, useState } from 'react';
import { useAddLoadMutation } from '../api/wainrope-api.ts';
import { day } from '../shell/days.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { DayAndPulls, FormEnd, StallAndRemark } from './PullFields.tsx';
import { readForce, type TypedForce } from './read-force.ts';

interface LoadFormProps {
  readonly gear: Pick<GearView, 'gearId' | 'tag'>;
  readonly today: string;
  readonly decimal: DecimalMark;
  /** The record that this one takes the place of. */
  readonly corrects?: LoadView | undefined;
  readonly done: () => void;
}

const EXAMPLES = { kN: '25 kN', t: '2.5 t', lbf: '5 600 lbf' } as const;

/** One pull's load on one piece, typed in a few touches. */
export function LoadForm({ gear, today, decimal, corrects, done }: LoadFormProps) {
  const { units, figure } = useFigures();
  const shown = (newtons: number | undefined) => (newtons === undefined ? '' : figure(force(newtons)));
  const [typed, setTyped] = useState({
    on: corrects?.on ?? today,
    planned: shown(corrects?.plannedN),
    greatest: shown(corrects?.greatestN),
    peak: shown(corrects?.peakN),
    stalled: corrects?.stalled ?? false,
    pulls: String(corrects?.pulls ?? 1),
    place: corrects?.place ?? '',
    note: '',
  });
  const [fault, setFault] = useState<string>();
  const [recordId] = useState(() => crypto.randomUUID());
  const [add, { error, isLoading }] = useAddLoadMutation();
  const set = (change: Partial<typeof typed>) => setTyped((before) => ({ ...before, ...change }));
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    // A figure that nobody touched stays as it was, not as it was shown.
    const read = (text: string, before: number | undefined): TypedForce =>
      before !== undefined && text === shown(before) ? { kind: 'force', newtons: before } : readForce(text, decimal, units);
    const planned = read(typed.planned, corrects?.plannedN);
    const greatest = read(typed.greatest, corrects?.greatestN);
    const peak = read(typed.peak, corrects?.peakN);
    const bad = [planned, greatest, peak].find((entry) => entry.kind === 'fault');
    if (bad?.kind === 'fault') return setFault(bad.message);
    const pulls = Number(typed.pulls);
    if (!Number.isInteger(pulls) || pulls < 1) return setFault(`“${typed.pulls}” is not a whole number of pulls.`);
    setFault(undefined);
    const loadCreate = {
      recordId,
      gearId: gear.gearId,
      on: typed.on,
      plannedN: planned.kind === 'force' ? planned.newtons : 0,
      ...(greatest.kind === 'force' && { greatestN: greatest.newtons }),
      ...(peak.kind === 'force' && { peakN: peak.newtons }),
      ...(typed.stalled && { stalled: true }),
      pulls,
      ...(typed.place.trim() && { place: typed.place.trim() }),
      ...(typed.note.trim() && { note: typed.note.trim() }),
      ...(corrects && { corrects: corrects.recordId }),
    };
    if ((await add({ loadCreate })).data) done();
  };
  const example = EXAMPLES[units];
  return (
    <form className="max-w-2xl space-y-3 pt-3" onSubmit={submit}>
      {corrects && <p>The record of {day(corrects.on)} stays, and this one takes its place.</p>}
      <div className="grid gap-3 sm:grid-cols-3">
        <Labelled label="Planned load">
          <input value={typed.planned} placeholder={example} onChange={(event) => set({ planned: event.target.value })} />
        </Labelled>
        <Labelled label="Peak, off a gauge">
          <input value={typed.peak} placeholder="where there is one" onChange={(event) => set({ peak: event.target.value })} />
        </Labelled>
        <Labelled label="Greatest possible">
          <input value={typed.greatest} placeholder="winch at its greatest" onChange={(event) => set({ greatest: event.target.value })} />
        </Labelled>
        <DayAndPulls typed={typed} set={set} today={today} />
        <Labelled label="Where in which rig">
          <input maxLength={200} value={typed.place} onChange={(event) => set({ place: event.target.value })} />
        </Labelled>
      </div>
      <StallAndRemark
        typed={typed}
        set={set}
        words={{ stalled: 'The winch stalled: the greatest load did happen', remark: corrects ? 'Why it is corrected' : 'Remark' }}
      />
      <FormEnd fault={fault} error={error} busy={isLoading} words={corrects ? 'Keep the correction' : 'Log it'} cancel={done} />
    </form>
  );
}
