import {
  type AttemptReport,
  type Case,
  drivingSpeed,
  type Edit,
  force,
  length,
  loadBody,
  percent,
  type Rig,
  type RunUpReport,
  ratio,
  slackForSpeedM,
  type ToldReport,
} from '@wainrope/core';
import { lazy, Suspense } from 'react';
import { Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { Loading } from '../../shell/Loading.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { VerdictShape, verdictWords } from '../../shell/VerdictMark.tsx';
import { StanceChoices } from '../site/StandingFields.tsx';
import { DrivesAlong, RollingField } from '../site/WayFields.tsx';
import { RopesLeft } from './RopesLeft.tsx';

/** Fetched with the first chart. */
const RunUpChart = lazy(async () => ({ default: (await import('./RunUpChart.tsx')).RunUpChart }));

interface RunUpProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: ToldReport;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

type TowLine = Rig['lines'][number] & { readonly drive: Extract<Rig['lines'][number]['drive'], { kind: 'tow' }> };

const towOf = (rig: Rig): TowLine | undefined =>
  rig.lines.find((line): line is TowLine => line.drive.kind === 'tow' && line.drive.manner === 'run-up');

const KMH = 3.6;

/** A pull with a run-up: how fast, with how much slack, in how many attempts, and what each comes to. */
export function RunUp({ rig, subject, report, apply }: RunUpProps) {
  const line = towOf(rig);
  const body = loadBody(rig);
  if (!line) return null;
  const { runUp: plan } = report;
  return (
    <>
      {plan ? (
        <>
          <Attempts plan={plan} report={report} />
          <Suspense fallback={<Loading what="the chart" className="py-3" />}>
            <RunUpChart subject={subject} plan={plan} places={report.places} />
          </Suspense>
        </>
      ) : (
        <p className="text-[15px]">What each attempt comes to cannot be worked out yet; the findings say what is missing.</p>
      )}
      <Group title="The run-up">
        <RunUpFields line={line} plan={plan} apply={apply} />
      </Group>
      <RopesLeft ropes={line.ropes.flatMap(({ gearId }) => gearId ?? [])} />
      <Group title={`${body.label}, stuck`}>
        {body.kind === 'vehicle' && <StanceChoices body={body} apply={apply} />}
        <DrivesAlong rig={rig} apply={apply} />
        <RollingField rig={rig} apply={apply} />
      </Group>
    </>
  );
}

interface FieldsProps {
  readonly line: TowLine;
  readonly plan: RunUpReport | undefined;
  readonly apply: RunUpProps['apply'];
}

function RunUpFields({ line, plan, apply }: FieldsProps) {
  const { runUp } = line.drive;
  const last = plan?.attempts.at(-1);
  const put = (drive: TowLine['drive'], merge?: string) => apply([{ kind: 'put', list: 'lines', entry: { ...line, drive } }], merge);
  const proposed = { speedMPerS: last?.speedMPerS ?? 2, slackM: plan?.neededSlackM ?? 2 };
  const choose = (part: Partial<NonNullable<TowLine['drive']['runUp']>>) =>
    put({ ...line.drive, runUp: { ...proposed, ...runUp, ...part } }, 'run-up');
  const { runUp: _chosen, ...asProposed } = line.drive;
  const speedMPerS = runUp?.speedMPerS ?? last?.speedMPerS;
  return (
    <>
      {plan && speedMPerS !== undefined && <SpeedSlider speedMPerS={speedMPerS} plan={plan} choose={choose} />}
      <NumberField
        label="Fastest attempt"
        unit="km/h"
        value={runUp && runUp.speedMPerS * KMH}
        empty={last ? `proposed: ${(last.speedMPerS * KMH).toFixed(1)}` : 'as proposed'}
        min={1}
        max={40}
        step={0.5}
        decimals={1}
        onChange={(kmh) => choose({ speedMPerS: kmh / KMH })}
        onClear={() => put(asProposed, 'run-up')}
      />
      <NumberField
        label="Slack laid back for it"
        unit="m"
        value={runUp?.slackM}
        empty={plan ? `proposed: ${plan.neededSlackM.toFixed(1)}` : 'as proposed'}
        min={0}
        max={100}
        step={0.5}
        decimals={1}
        onChange={(slackM) => choose({ slackM })}
        onClear={() => put(asProposed, 'run-up')}
      />
      <NumberField
        label="Attempts, rising"
        unit=""
        value={line.drive.attempts ?? 3}
        min={1}
        max={5}
        step={1}
        decimals={0}
        onChange={(attempts) => put({ ...line.drive, attempts: Math.round(attempts) }, 'attempts')}
      />
      {runUp && (
        <button type="button" className="action self-end justify-self-start" onClick={() => put(asProposed)}>
          Take the proposal
        </button>
      )}
    </>
  );
}

interface SpeedSliderProps {
  readonly speedMPerS: number;
  readonly plan: RunUpReport;
  readonly choose: (runUp: { readonly speedMPerS: number; readonly slackM: number }) => void;
}

/** The fastest attempt by the thumb, its slack with it: as much as its speed needs, as far as there is rope. */
function SpeedSlider({ speedMPerS, plan, choose }: SpeedSliderProps) {
  const { figure } = useFigures();
  const take = (kmh: number) => {
    const speed = kmh / KMH;
    choose({ speedMPerS: speed, slackM: Math.min(plan.mostSlackM, slackForSpeedM(speed, plan.accelerationMPerS2)) });
  };
  return (
    <label className="col-span-2 block text-[15px]">
      Speed as the rope comes tight: <strong>{figure(drivingSpeed(speedMPerS))}</strong>
      <span className="relative block h-9">
        <span aria-hidden="true" className="rope-bar absolute inset-x-0 top-[15px] h-[7px]" />
        <input
          type="range"
          className="play-line absolute inset-x-0 top-1 h-8"
          min={1}
          max={40}
          step={0.5}
          value={speedMPerS * KMH}
          aria-valuetext={figure(drivingSpeed(speedMPerS))}
          onChange={({ target }) => take(Number(target.value))}
        />
      </span>
    </label>
  );
}

const BOUND: { readonly [K in RunUpReport['boundBy']]: string } = {
  limit: 'its peak just keeps every piece within its working limit',
  breaking: 'in the greatest check every piece just keeps its margin to breaking',
  slack: 'there is no more rope to lay back',
  'no-speed': 'even a walking pace is too fast',
  static: 'nothing in the line is made to stretch; shown is what a metre of slack comes to',
};

function Attempts({ plan, report }: { readonly plan: RunUpReport; readonly report: ToldReport }) {
  const { figure } = useFigures();
  const nameOf = (placeId: string | undefined) => {
    const place = report.places.find(({ id }) => id === placeId);
    return place ? (place.tag ?? place.name) : '';
  };
  return (
    <section aria-label="Attempts">
      <h3 className="font-head text-lg font-semibold">What each attempt comes to</h3>
      <ol data-attempts>
        {plan.attempts.map((attempt, index) => (
          <AttemptItem key={attempt.share} attempt={attempt} title={`Attempt ${index + 1}`} nameOf={nameOf} />
        ))}
        <AttemptItem attempt={plan.beyond} title="One step beyond: not this" nameOf={nameOf} beyond />
      </ol>
      <p className="pt-2 text-[15px]">
        {plan.proposedMPerS === undefined
          ? `No speed is proposed: ${BOUND[plan.boundBy]}.`
          : `At most ${figure(drivingSpeed(plan.proposedMPerS))}: ${BOUND[plan.boundBy]}.`}{' '}
        Between two pulls the rope rests {plan.restMin} minutes. Stop after each attempt, and stop for good if nothing moves.
      </p>
    </section>
  );
}

interface AttemptProps {
  readonly attempt: AttemptReport;
  readonly title: string;
  readonly nameOf: (placeId: string | undefined) => string;
  readonly beyond?: boolean;
}

function AttemptItem({ attempt, title, nameOf, beyond = false }: AttemptProps) {
  const { figure } = useFigures();
  const { speedMPerS, slackM, peakN, greatestN, utilisation, highestPlaceId, breakingRatio, breaksPlaceId, freed, movedM, verdict } =
    attempt;
  return (
    <li className={`stitched flex gap-3 py-2 ${beyond ? 'text-quiet' : ''}`} data-attempt={verdict}>
      <VerdictShape verdict={verdict} size={20} />
      <div className="min-w-0 flex-1 text-[15px]">
        <p className={`font-semibold ${beyond ? '' : 'text-ink'}`}>
          {title} · {figure(drivingSpeed(speedMPerS))} · {figure(length(slackM))} of slack and run-up
          <span className="sr-only">: {verdictWords[verdict]}</span>
        </p>
        <p>
          Peak {figure(force(peakN))}
          {utilisation !== undefined && `, ${figure(percent(utilisation))} of ${nameOf(highestPlaceId)}’s limit`}
          {breakingRatio !== undefined &&
            `; in the greatest check ${figure(force(greatestN))}, breaks at ${figure(ratio(breakingRatio))} ×`}
          .{' '}
          {breaksPlaceId !== undefined
            ? `${nameOf(breaksPlaceId)} would break.`
            : freed
              ? `It comes free and moves ${figure(length(movedM))}.`
              : 'It does not come free.'}
        </p>
      </div>
    </li>
  );
}
