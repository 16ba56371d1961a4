import {
  type DefectView,
  type ExposureView,
  exposureChoices,
  type GearView,
  type InspectionListed,
  type StateChangeView,
} from '@wainrope/contract';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../access/use-session.ts';
import { problemOf, useAddExposureMutation, useGetCareQuery, useQuarantineMutation, useRetireMutation } from '../api/wainrope-api.ts';
import { moment } from '../shell/days.ts';
import { FormProblem } from '../shell/FormProblem.tsx';
import { faultsByPath } from '../shell/faults-by-path.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { exposureWords, kindWords } from './care-words.ts';
import { stateWords } from './gear-words.ts';

/** How a piece is cared for: inspections, defects, exposure, states, and what may be done about them. */
export function CareSection({ gear, today }: { readonly gear: GearView; readonly today: string }) {
  const { data: care, error, refetch } = useGetCareQuery({ gearId: gear.gearId });
  return (
    <section className="pt-6" aria-label="Care">
      <h2 className="stitched pb-1.5 text-xl">Care</h2>
      <ProblemNote error={error} retry={refetch} />
      <CareActions gear={gear} today={today} />
      {care && (
        <div className="grid gap-x-12 gap-y-4 pt-3 lg:grid-cols-2">
          <Column title="Inspections and checks" empty="None on record.">
            {care.inspections.map((entry) => (
              <InspectionLine key={entry.inspectionId} entry={entry} />
            ))}
          </Column>
          <div className="space-y-4">
            {care.defects.length > 0 && (
              <Column title="Defects">
                {care.defects.map((entry) => (
                  <DefectLine key={entry.defectId} entry={entry} />
                ))}
              </Column>
            )}
            {care.exposures.length > 0 && (
              <Column title="What it met">
                {care.exposures.map((entry) => (
                  <ExposureLine key={entry.exposureId} entry={entry} />
                ))}
              </Column>
            )}
            {care.states.length > 0 && (
              <Column title="States">
                {care.states.map((entry) => (
                  <StateLine key={entry.at} entry={entry} />
                ))}
              </Column>
            )}
          </div>
        </div>
      )}
    </section>
  );
}

function Column({ title, empty, children }: { readonly title: string; readonly empty?: string; readonly children: readonly ReactNode[] }) {
  return (
    <div>
      <h3 className="text-lg">{title}</h3>
      {children.length === 0 && <p className="text-quiet">{empty}</p>}
      <ul>{children}</ul>
    </div>
  );
}

function InspectionLine({ entry }: { readonly entry: InspectionListed }) {
  return (
    <li className="flex flex-wrap gap-x-3 border-b border-rule py-1">
      <Link className="underline" to={`/inspections/${entry.inspectionId}`}>
        {entry.on}
      </Link>
      <span>{kindWords[entry.kind]}</span>
      <strong className={entry.grade === 'D' ? 'text-rust' : ''}>{entry.grade ? `grade ${entry.grade}` : 'fit'}</strong>
      {entry.corrects && <span className="text-amber-ink">correction</span>}
      <span className="ml-auto text-quiet">{entry.by}</span>
    </li>
  );
}

function DefectLine({ entry }: { readonly entry: DefectView }) {
  return (
    <li className={`border-b border-rule py-1 ${entry.closedOn ? 'text-quiet' : ''}`}>
      <strong className={entry.closedOn ? 'font-normal' : entry.failed ? 'text-rust' : 'text-amber-ink'}>{entry.words}</strong>{' '}
      {entry.closedOn ? `from ${entry.openedOn}, closed ${entry.closedOn}: ${entry.how}` : `open since ${entry.openedOn}`}
    </li>
  );
}

function ExposureLine({ entry }: { readonly entry: ExposureView }) {
  return (
    <li className="border-b border-rule py-1">
      {exposureWords[entry.kind]} on {entry.on} <span className="text-quiet">{[entry.by, entry.note].filter(Boolean).join(': ')}</span>
    </li>
  );
}

function StateLine({ entry }: { readonly entry: StateChangeView }) {
  return (
    <li className="border-b border-rule py-1">
      {stateWords[entry.to as keyof typeof stateWords]}: {entry.reason}
      {entry.destroyed && ` Destroyed: ${entry.destroyed}`}
      <span className="block text-[15px] text-quiet">
        {moment(entry.at)}, {entry.by}
      </span>
    </li>
  );
}

type Doing = 'exposure' | 'quarantine' | 'retire' | undefined;

function CareActions({ gear, today }: { readonly gear: GearView; readonly today: string }) {
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
        {may('gear.state') && (
          <button type="button" className="action" onClick={() => setDoing('retire')}>
            Retire
          </button>
        )}
      </div>
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
      <div className="flex gap-2">
        <button type="submit" className="action-main" disabled={busy}>
          {words}
        </button>
        <button type="button" className="action" onClick={done}>
          Cancel
        </button>
      </div>
    </form>
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
      <Labelled label="What it met" fault={faults.kind}>
        <select value={kind} onChange={(event) => setKind(event.target.value as ExposureView['kind'])}>
          {exposureChoices.map((entry) => (
            <option key={entry} value={entry}>
              {exposureWords[entry]}
            </option>
          ))}
        </select>
      </Labelled>
      <Labelled label="On" fault={faults.on}>
        <input type="date" max={today} value={on} onChange={(event) => setOn(event.target.value)} />
      </Labelled>
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
      <Labelled label="Why does it go into quarantine?" fault={faults.reason}>
        <input value={reason} onChange={(event) => setReason(event.target.value)} autoFocus />
      </Labelled>
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
      <Labelled label="Why is it retired?" fault={faults.reason}>
        <input value={reason} onChange={(event) => setReason(event.target.value)} autoFocus />
      </Labelled>
      <Labelled label="How was it destroyed?" fault={faults.destroyed}>
        <input value={destroyed} onChange={(event) => setDestroyed(event.target.value)} placeholder="cut into short lengths" />
      </Labelled>
    </ActForm>
  );
}
