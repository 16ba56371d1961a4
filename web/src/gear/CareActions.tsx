import { type CounterCorrection, counters, type ExposureView, exposureChoices, type GearView } from '@wainrope/contract';
import { gearClasses } from '@wainrope/core';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import {
  problemOf,
  useAddExposureMutation,
  useCorrectCounterMutation,
  useQuarantineMutation,
  useRetireMutation,
} from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { exposureWords } from '../register/care-words.ts';
import { FormButtons } from '../shell/FormButtons.tsx';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';

type Doing = 'exposure' | 'quarantine' | 'retire' | 'counter' | undefined;

/** What may be done about a piece, each act by a form of its own. */
export function CareActions({ gear, today }: { readonly gear: GearView; readonly today: string }) {
  const may = useMay();
  const [doing, setDoing] = useState<Doing>();
  const done = () => setDoing(undefined);
  if (gear.state === 'retired' || !may('inspection.use-check')) return null;
  return (
    <div className="no-print pt-3">
      <div className="flex flex-wrap gap-2">
        <Link className="action-main" to={`/inspect?of=piece:${gear.gearId}${gear.state === 'quarantined' ? '&kind=after-repair' : ''}`}>
          {gear.state === 'quarantined' && may('inspection.full') ? 'Inspect and return' : 'Inspect'}
        </Link>
        <button type="button" className="action" onClick={() => setDoing('exposure')}>
          Note exposure or washing
        </button>
        {gear.state === 'in-use' && (
          <button type="button" className="action" onClick={() => setDoing('quarantine')}>
            Quarantine
          </button>
        )}
        {may('gear.counters') && (
          <button type="button" className="action" onClick={() => setDoing('counter')}>
            Correct a counter
          </button>
        )}
        {may('gear.state') && (
          <button type="button" className="action" onClick={() => setDoing('retire')}>
            Retire
          </button>
        )}
      </div>
      {doing === 'counter' && <CounterForm gear={gear} done={done} />}
      {doing === 'exposure' && <ExposureForm gear={gear} today={today} done={done} />}
      {doing === 'quarantine' && <QuarantineForm gear={gear} done={done} />}
      {doing === 'retire' && <RetireForm gear={gear} done={done} />}
    </div>
  );
}

interface FormProps {
  readonly gear: GearView;
  readonly done: () => void;
}

interface ActFormProps {
  readonly words: string;
  readonly busy: boolean;
  readonly error: unknown;
  /** Paths whose faults the fields show themselves. */
  readonly shown: readonly string[];
  readonly act: () => Promise<{ readonly data?: unknown }>;
  readonly done: () => void;
  readonly children: ReactNode;
}

/** A form for one act on the piece: it closes once the act is done, and says why where it is not. */
function ActForm({ words, busy, error, shown, act, done, children }: ActFormProps) {
  return (
    <form
      className="max-w-xl space-y-3 pt-3"
      onSubmit={async (event) => {
        event.preventDefault();
        if ((await act()).data) done();
      }}
    >
      {children}
      <FormProblem error={error} shown={shown} />
      <FormButtons words={words} busy={busy} cancel={done} />
    </form>
  );
}

interface TextLineProps {
  readonly label: string;
  readonly fault: string | undefined;
  readonly value: string;
  readonly set: (value: string) => void;
  readonly placeholder?: string;
  readonly autoFocus?: boolean;
}

function TextLine({ label, fault, value, set, placeholder, autoFocus = false }: TextLineProps) {
  return (
    <Labelled label={label} fault={fault}>
      <input value={value} onChange={(event) => set(event.target.value)} placeholder={placeholder} autoFocus={autoFocus} />
    </Labelled>
  );
}

function ExposureForm({ gear, today, done }: FormProps & { readonly today: string }) {
  const [add, { error, isLoading }] = useAddExposureMutation();
  const [kind, setKind] = useState<ExposureView['kind']>('mud');
  const [on, setOn] = useState(today);
  const faults = faultsByPath(error && problemOf(error));
  return (
    <ActForm
      words="Note it"
      busy={isLoading}
      error={error}
      shown={['kind', 'on']}
      done={done}
      act={() => add({ gearId: gear.gearId, exposureCreate: { exposureId: crypto.randomUUID(), kind, on } })}
    >
      <Choice
        label="What it met"
        value={kind}
        options={exposureChoices}
        words={(entry) => exposureWords[entry]}
        onChange={setKind}
        fault={faults.kind}
      />
      <Labelled label="On" fault={faults.on}>
        <input type="date" max={today} value={on} onChange={(event) => setOn(event.target.value)} />
      </Labelled>
    </ActForm>
  );
}

const counterWords: { readonly [C in CounterCorrection['counter']]: string } = {
  pulls: 'Pulls used',
  overloads: 'Overloads since inspection',
};

const notACount = (typed: string) =>
  typed === '' ? 'Give a whole number, 0 or more.' : `“${typed}” is not a whole number from 0 to 999999.`;

/** What a counter of the piece says now. */
function countOf({ attributes, overloadsSinceInspection }: GearView, counter: CounterCorrection['counter']): number {
  if (counter === 'overloads') return overloadsSinceInspection;
  const { pullsUsed } = attributes as { readonly pullsUsed?: number };
  return pullsUsed ?? 0;
}

/** A counter that was wrong: what it should be, and why. Counters rise by themselves. */
function CounterForm({ gear, done }: FormProps) {
  const [correct, { error, isLoading }] = useCorrectCounterMutation();
  const counted = counters.filter((entry) => entry === 'overloads' || gearClasses[gear.kind].carriesOn === 'pulls');
  const [counter, setCounter] = useState<CounterCorrection['counter']>(counted[0] ?? 'overloads');
  const [value, setValue] = useState('');
  const [reason, setReason] = useState('');
  const [fault, setFault] = useState<string>();
  const faults = faultsByPath(error && problemOf(error));
  const act = async () => {
    const wrong = /^\d{1,6}$/.test(value.trim()) ? undefined : notACount(value.trim());
    setFault(wrong);
    return wrong ? {} : correct({ gearId: gear.gearId, counterCorrection: { counter, value: Number(value), reason } });
  };
  return (
    <ActForm words="Correct it" busy={isLoading} error={error} shown={['counter', 'value', 'reason']} done={done} act={act}>
      <Choice
        label="Which counter"
        value={counter}
        options={counted}
        words={(entry) => counterWords[entry]}
        onChange={setCounter}
        fault={faults.counter}
      />
      <TextLine
        label={`How many it should be (now ${countOf(gear, counter)})`}
        fault={fault ?? faults.value}
        value={value}
        set={setValue}
        autoFocus
      />
      <TextLine label="Why was it wrong?" fault={faults.reason} value={reason} set={setReason} />
    </ActForm>
  );
}

function QuarantineForm({ gear, done }: FormProps) {
  const [quarantine, { error, isLoading }] = useQuarantineMutation();
  const [reason, setReason] = useState('');
  const faults = faultsByPath(error && problemOf(error));
  return (
    <ActForm
      words="Put into quarantine"
      busy={isLoading}
      error={error}
      shown={['reason']}
      done={done}
      act={() => quarantine({ gearId: gear.gearId, quarantineRequest: { reason } })}
    >
      <TextLine label="Why does it go into quarantine?" fault={faults.reason} value={reason} set={setReason} autoFocus />
    </ActForm>
  );
}

function RetireForm({ gear, done }: FormProps) {
  const [retire, { error, isLoading }] = useRetireMutation();
  const [reason, setReason] = useState('');
  const [destroyed, setDestroyed] = useState('');
  const faults = faultsByPath(error && problemOf(error));
  return (
    <ActForm
      words="Retire it"
      busy={isLoading}
      error={error}
      shown={['reason', 'destroyed']}
      done={done}
      act={() => retire({ gearId: gear.gearId, retireRequest: { reason, destroyed } })}
    >
      <p>{gear.tag} goes out of use for good. Its record stays.</p>
      <TextLine label="Why is it retired?" fault={faults.reason} value={reason} set={setReason} autoFocus />
      <TextLine
        label="How was it destroyed?"
        fault={faults.destroyed}
        value={destroyed}
        set={setDestroyed}
        placeholder="cut into short lengths"
      />
    </ActForm>
  );
}
