import type { GearView, TeamView } from '@wainrope/contract';
import {
  DEGREE,
  type Drum,
  gearClasses,
  keyWords,
  length,
  mass,
  type Policy,
  type RespoolAdvice,
  reserveM,
  respoolAdvice,
  type Surface,
  spoolLayers,
  surfaces,
} from '@wainrope/core';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useAddDiaryEntryMutation, useListVehiclesQuery } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { named } from '../fields/named.ts';
import { useRegister } from '../register/use-register.ts';
import { Labelled } from '../shell/Labelled.tsx';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Tag } from '../shell/Tag.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { adviceWords, drumOf } from './respool-words.ts';

/** Spooling a line anew under tension, step by step, beside the vehicle. */
export function RespoolPage() {
  const { gearId = '' } = useParams();
  const { pieces, team, policy, error, refetch } = useRegister();
  const winch = pieces?.find(({ gear }) => gear.gearId === gearId)?.gear;
  return (
    <div className="page max-w-[800px] pt-4 pb-28 text-lg">
      <ProblemNote error={error} retry={refetch} />
      {pieces && !winch && <p className="py-6">No such winch in the register.</p>}
      {!pieces && !error && <Loading what="the lines" />}
      {winch && team && policy && pieces && (
        <Coach winch={winch} team={team} policy={policy} lines={pieces.map(({ gear }) => gear).filter((gear) => isLineOf(gear, winch))} />
      )}
    </div>
  );
}

/** Lines that may be on a winch: of the same vehicle where the register knows it, else every line in use. */
const isLineOf = (gear: GearView, winch: GearView): boolean =>
  gearClasses[gear.kind].line !== 'none' &&
  gear.state === 'in-use' &&
  (winch.vehicleId === undefined || gear.vehicleId === winch.vehicleId);

interface CoachProps {
  readonly winch: GearView;
  readonly team: TeamView;
  readonly policy: Policy;
  readonly lines: readonly GearView[];
}

function Coach({ winch, team, policy, lines }: CoachProps) {
  const [lineId, setLineId] = useState<string>();
  const [helper, setHelper] = useState<HelperValues>({ massKg: ANOTHER_KG, slopeDeg: 0, surface: 'grass', brakePercent: 0 });
  const [done, setDone] = useState(0);
  const line = lines.find(({ gearId }) => gearId === lineId) ?? lines[0];
  const drum = line && drumOf(winch, line);
  const advice = respoolAdvice(
    { massKg: helper.massKg, slopeRad: helper.slopeDeg * DEGREE, surface: helper.surface, brakeShare: helper.brakePercent / 100 },
    policy,
  );
  const steps = drum ? spoolLayers(drum).length + 2 : 2;
  return (
    <>
      <Link className="underline" to={`/gear/${winch.gearId}`}>
        The winch
      </Link>
      <div className="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2">
        <Tag code={winch.tag} large />
        <PageHeading title="Re-spool under tension" about={winch.tag} className="text-[26px]" />
      </div>
      <p className="mt-3 border-l-4 border-rust bg-rust-wash px-4 py-2">
        The line is live: nobody stands in it or beside it, a damper hangs on it, gloves are on, and no hand comes within a metre of the
        fairlead. The maker’s instructions win.
      </p>
      <Choice
        label="The line"
        value={line?.gearId ?? ''}
        {...named(lines.map(({ gearId, tag, name }) => [gearId, `${tag} ${name}`]))}
        onChange={setLineId}
        {...(lines.length === 0 && { placeholder: 'none in the register' })}
      />
      <Helper typed={helper} set={(change) => setHelper({ ...helper, ...change })} advice={advice} />
      <Layers drum={drum} wraps={wrapsOf(winch, line, policy)} done={done} setDone={setDone} />
      <Finish winch={winch} line={line} today={team.today} advice={advice} isDone={done >= steps} />
    </>
  );
}

function wrapsOf(winch: GearView, line: GearView | undefined, policy: Policy): number {
  const { reserveWraps } = winch.attributes as { readonly reserveWraps?: number };
  const isWire = line !== undefined && gearClasses[line.kind].line === 'wire';
  return reserveWraps ?? (isWire ? policy.winch.reserveWrapsSteel : policy.winch.reserveWrapsSynthetic).value;
}

interface HelperValues {
  readonly massKg: number;
  readonly slopeDeg: number;
  readonly surface: Surface;
  readonly brakePercent: number;
}

interface HelperProps {
  readonly typed: HelperValues;
  readonly set: (change: Partial<HelperValues>) => void;
  readonly advice: RespoolAdvice;
}

/** A helper that is none of the team’s weighs so much until somebody says. */
const ANOTHER_KG = 2500;

/** Which helper vehicle, on which slope and how much braked, gives the tension that is asked for. */
function Helper({ typed, set, advice }: HelperProps) {
  const { figure } = useFigures();
  const { data } = useListVehiclesQuery();
  const [chosen, setChosen] = useState('');
  const vehicles = data?.items ?? [];
  const words = adviceWords(advice, figure);
  return (
    <section aria-label="The helper vehicle" className="pt-4">
      <h2 className="stitched pb-1.5 text-xl">1. The vehicle that holds against it</h2>
      <div className="grid gap-3 pt-2 sm:grid-cols-2">
        <Choice
          label="Vehicle"
          value={chosen}
          options={['', ...vehicles.map(({ vehicleId }) => vehicleId)]}
          words={(id) => {
            const vehicle = vehicles.find(({ vehicleId }) => vehicleId === id);
            return vehicle ? `${vehicle.name}, ${figure(mass(vehicle.massKg))}` : `another, of ${figure(mass(ANOTHER_KG))}`;
          }}
          onChange={(id) => {
            setChosen(id);
            set({ massKg: vehicles.find(({ vehicleId }) => vehicleId === id)?.massKg ?? ANOTHER_KG });
          }}
        />
        <Choice
          label="It stands on"
          value={typed.surface}
          options={surfaces}
          words={keyWords}
          onChange={(surface: Surface) => set({ surface })}
        />
        <Labelled label={`Drawn up a slope of ${typed.slopeDeg}°`}>
          <input type="range" min={0} max={30} value={typed.slopeDeg} onChange={(event) => set({ slopeDeg: Number(event.target.value) })} />
        </Labelled>
        <Labelled label={`Wheels braked: ${typed.brakePercent} % of its weight`}>
          <input
            type="range"
            min={0}
            max={100}
            step={5}
            value={typed.brakePercent}
            onChange={(event) => set({ brakePercent: Number(event.target.value) })}
          />
        </Labelled>
      </div>
      <p
        role="status"
        className={`mt-3 border-l-4 px-4 py-2 ${words.enough ? 'border-moss bg-sheet' : 'border-signal bg-amber-wash text-amber-ink'}`}
      >
        <strong className="font-head text-2xl">{words.title}</strong>
        <span className="block">{words.detail}</span>
      </p>
    </section>
  );
}

interface LayersProps {
  readonly drum: Drum | undefined;
  readonly wraps: number;
  readonly done: number;
  readonly setDone: (done: number) => void;
}

/** Layer by layer with the turns that fit, each ticked off as it lies. */
function Layers({ drum, wraps, done, setDone }: LayersProps) {
  const { figure } = useFigures();
  const layers = drum ? spoolLayers(drum) : [];
  const steps: readonly (readonly [string, string])[] = [
    [
      'Pay out all but the wraps that stay',
      drum
        ? `${wraps} wraps, ${figure(length(reserveM(drum, wraps)))}, stay tight on the drum. Lay the rest out straight, hook it to the helper, damper on.`
        : `${wraps} wraps stay on the drum. Lay the rest out straight, hook it to the helper, damper on.`,
    ],
    ...layers.map(
      ({ layer, turns, ropeM, onDrumM }) =>
        [
          `Layer ${layer}: ${Math.floor(turns + 1e-6)} turns${turns - Math.floor(turns + 1e-6) > 0.05 ? ' and a part' : ''}`,
          `${figure(length(ropeM))} side by side without a gap, ${figure(length(onDrumM))} on the drum then. Stop, let it slacken only as far as it holds, look from the side: no turn crosses another.`,
        ] as const,
    ),
    [
      'The last metre',
      'Stop with the hook a metre off. The helper is let go; the last metre goes in by short pulses, hand on the tab and never on the hook.',
    ],
  ];
  return (
    <section aria-label="Layer by layer" className="pt-4">
      <h2 className="stitched pb-1.5 text-xl">2. Layer by layer</h2>
      {!drum && (
        <p className="pt-2 text-amber-ink">
          Sizes of the drum or the line are not on record, so how many turns fit cannot be said. Lay them side by side all the same.
        </p>
      )}
      <ol>
        {steps.map(([title, detail], index) => (
          <li key={title} className="border-b border-rule">
            <button
              type="button"
              className="flex min-h-14 w-full items-center gap-4 py-2 text-left"
              aria-pressed={index < done}
              onClick={() => setDone(index < done ? index : index + 1)}
            >
              <span
                aria-hidden="true"
                className={`grid size-8 shrink-0 place-items-center border-2 border-ink ${index < done ? 'bg-moss text-paper' : ''}`}
              >
                {index < done ? '✓' : index + 1}
              </span>
              <span className={index < done ? 'text-quiet' : ''}>
                <strong className="block font-head text-xl">{title}</strong>
                {detail}
              </span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

interface FinishProps {
  readonly winch: GearView;
  readonly line: GearView | undefined;
  readonly today: string;
  readonly advice: RespoolAdvice;
  readonly isDone: boolean;
}

/** What was done goes into the drum's diary, with the tension that the helper gave. */
function Finish({ winch, line, today, advice, isDone }: FinishProps) {
  const navigate = useNavigate();
  const [entryId] = useState(() => crypto.randomUUID());
  const [add, { error, isLoading }] = useAddDiaryEntryMutation();
  const finish = async () => {
    const answer = await add({
      gearId: winch.gearId,
      diaryCreate: {
        entryId,
        on: today,
        kind: 'spooled',
        spoolState: 'under-tension',
        tensionN: Math.round(advice.tensionN),
        ...(line && { note: `${line.tag}, by the steps` }),
      },
    });
    if (answer.data) navigate(`/gear/${winch.gearId}`);
  };
  const weak = advice.tensionN < advice.wantedN * (1 - 1e-9);
  return (
    <div className="fixed inset-x-0 bottom-0 z-20 border-t-2 border-ink bg-paper max-[760px]:bottom-14">
      <div className="page max-w-[800px] flex items-center gap-4 py-2">
        <div className="min-w-0 flex-1 text-[15px]">
          <ProblemNote error={error} />
          {!isDone && 'Tick off each layer as it lies.'}
          {isDone && weak && <span className="text-amber-ink">The helper gave less than is asked for; the diary will say so.</span>}
          {isDone && !weak && 'Cover on, and it is done.'}
        </div>
        <button type="button" className="action-main min-h-12 text-lg" disabled={!isDone || isLoading} onClick={() => void finish()}>
          Spooled under tension
        </button>
      </div>
    </div>
  );
}
