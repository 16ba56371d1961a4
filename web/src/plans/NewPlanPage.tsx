import {
  type Depth,
  depths,
  type Figure,
  firstRig,
  keyWords,
  layouts,
  mass,
  type PlanVehicle,
  type Rig,
  type Surface,
  sketchOf,
  surfaces,
  winchOf,
} from '@wainrope/core';
import { type FormEvent, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCreatePlanMutation } from '../api/wainrope-api.ts';
import { Choice } from '../fields/Choice.tsx';
import { NumberField } from '../fields/NumberField.tsx';
import { depthWords } from '../fields/situation-words.ts';
import { type RegisterPiece, useRegister } from '../register/use-register.ts';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { useFigures } from '../shell/use-figures.ts';
import { TaskNote } from '../tasks/TaskNote.tsx';
import { LayoutGallery, type OfferedLayout } from './layouts/LayoutGallery.tsx';
import { RigSketch } from './layouts/RigSketch.tsx';
import { emptySite, isStranger, rigOfLayout, strangerOf, type VehiclePlace, vehiclePlaces } from './layouts/rig-of-layout.ts';
import { useOwnLayouts } from './layouts/use-own-layouts.ts';

/** The few questions a plan begins with; everything can be changed on the plan itself. */
export function NewPlanPage() {
  const { pieces, team, error, refetch } = useRegister();
  if (error)
    return (
      <div className="p-5">
        <ProblemNote error={error} retry={refetch} />
      </div>
    );
  if (!pieces || !team) return <Loading what="the register" className="p-5" />;
  const first = team.vehicles.find((vehicle) => winchOf(pieces, vehicle.vehicleId)) ?? team.vehicles[0] ?? strangerOf(USUAL_MASS_KG);
  return <NewPlanForm pieces={pieces} vehicles={team.vehicles} first={first} today={team.today} />;
}

/** Mass of a vehicle nobody knows yet, kg. */
const USUAL_MASS_KG = 2200;

interface NewPlanFormProps {
  readonly pieces: readonly RegisterPiece[];
  readonly vehicles: readonly PlanVehicle[];
  readonly first: PlanVehicle;
  readonly today: string;
}

interface Answers {
  readonly depth: Depth;
  readonly surface: Surface;
  readonly distanceM: number;
  readonly trunkM: number;
  /** Mass with load of a vehicle that is not the team's. */
  readonly massKg: number;
  /** How far it has to go until it is free; missing while nobody knows. */
  readonly travelM?: number | undefined;
}

/** The two layouts that ask how far the tree is: one tree, the vehicle's own winch. */
const ASKS_DISTANCE: { readonly [id: string]: 'straight' | 'doubled-back' | undefined } = {
  'single-line-to-an-anchor': 'straight',
  'double-line-self-recovery': 'doubled-back',
};
const FIRST_LAYOUT = 'double-line-self-recovery';

/** The first vehicle that suits a place and is not taken yet. */
function suggested(places: readonly VehiclePlace[], chosen: Chosen, { vehicles, pieces, first }: NewPlanFormProps): Chosen {
  const taken = new Set<string>();
  return Object.fromEntries(
    places.map(({ bodyId, winches }) => {
      const may = (vehicle: PlanVehicle) =>
        isStranger(vehicle) ? !winches : !taken.has(vehicle.vehicleId) && (!winches || winchOf(pieces, vehicle.vehicleId) !== undefined);
      const own = chosen[bodyId];
      const vehicle = (own && may(own) ? own : undefined) ?? [first, ...vehicles].find(may) ?? first;
      taken.add(vehicle.vehicleId);
      return [bodyId, vehicle];
    }),
  );
}

type Chosen = { readonly [bodyId: string]: PlanVehicle | undefined };

/** The few questions, what is suggested to each, and the rig that the answers make. */
function useFirstQuestions(props: NewPlanFormProps) {
  const { pieces, vehicles, first, today } = props;
  const [layout, setLayout] = useState<OfferedLayout | 'empty'>(() => layouts.find(({ id }) => id === FIRST_LAYOUT) as OfferedLayout);
  const [picked, setPicked] = useState<Chosen>({});
  const [answers, setAnswers] = useState<Answers>({
    depth: 'hubs',
    surface: 'shallow-mud',
    distanceM: 14,
    trunkM: 0.4,
    massKg: USUAL_MASS_KG,
  });
  const change = (part: Partial<Answers>) => setAnswers({ ...answers, ...part });
  const places = useMemo(
    (): readonly VehiclePlace[] =>
      layout === 'empty' ? [{ bodyId: 'vehicle', label: 'Vehicle to be moved', winches: false }] : vehiclePlaces(layout),
    [layout],
  );
  const chosen = suggested(places, picked, props);
  const anyWinch = vehicles.some(({ vehicleId }) => winchOf(pieces, vehicleId) !== undefined);
  const strange = places.some(({ bodyId }) => chosen[bodyId] && isStranger(chosen[bodyId]));
  const weighed = (vehicle: PlanVehicle | undefined) => (vehicle && isStranger(vehicle) ? strangerOf(answers.massKg) : vehicle);
  const simple = layout === 'empty' ? undefined : ASKS_DISTANCE[layout.id];
  const lead = weighed(chosen[places[0]?.bodyId ?? '']) ?? first;
  const usual = `${lead.name}, ${layout === 'empty' ? 'place only' : depthWords(answers.depth)}`;
  const lay = (): Rig | undefined => {
    if (layout === 'empty') return emptySite(layouts[0] as OfferedLayout, lead, answers);
    const vehiclesOf = Object.fromEntries(places.map(({ bodyId }) => [bodyId, weighed(chosen[bodyId])]));
    const asked = simple && firstRig({ ...answers, vehicle: lead, layout: simple, pieces, today });
    return asked || rigOfLayout(layout, { ...answers, vehicles: vehiclesOf }, { pieces, today });
  };
  const pick = (bodyId: string, vehicle: PlanVehicle) => setPicked({ ...picked, [bodyId]: vehicle });
  return { layout, setLayout, answers, change, places, chosen, pick, anyWinch, strange, simple, usual, lay };
}

function NewPlanForm(props: NewPlanFormProps) {
  const navigate = useNavigate();
  const [create, creating] = useCreatePlanMutation();
  const planId = useMemo(() => crypto.randomUUID(), []);
  const own = useOwnLayouts();
  const [name, setName] = useState('');
  const asked = useFirstQuestions(props);
  const { layout, setLayout, answers, lay, usual } = asked;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const laid = lay();
    const rig = laid && { ...laid, load: going(laid.load, answers.travelM) };
    const answer = rig && (await create({ task: crypto.randomUUID(), planCreate: { planId, name: name.trim() || usual, rig } }));
    if (answer?.data) navigate(`/plans/${answer.data.planId}${layout === 'empty' ? '?show=outline' : ''}`);
  };
  return (
    <form onSubmit={submit} className="page py-4">
      <p>
        <Link className="underline" to="/plans">
          Plans
        </Link>
      </p>
      <PageHeading title="New plan" className="mt-2 border-b-2 border-ink pb-3 text-[28px]" />
      <div className="grid gap-x-6 gap-y-5 pt-4 lg:grid-cols-[minmax(0,1fr)_25rem]">
        <section aria-label="How is it to be pulled?">
          <h2 className="stitched pb-1 text-xl">How is it to be pulled?</h2>
          <button type="button" className="action my-3" aria-pressed={layout === 'empty'} onClick={() => setLayout('empty')}>
            Only the place: I draw it and run the line myself
          </button>
          <div className="max-h-[45dvh] overflow-y-auto border-b border-rule lg:max-h-[max(20rem,calc(100dvh-18rem))] print:max-h-none">
            <LayoutGallery chosen={layout === 'empty' ? undefined : layout.id} own={own} choose={setLayout} />
          </div>
        </section>
        <section aria-label="What is laid">
          <ChosenLayout layout={layout} />
          <div className="grid grid-cols-2 gap-3 pt-3">
            <label className="col-span-2 block text-[15px]">
              Name of the plan
              <input value={name} maxLength={120} placeholder={usual} onChange={(event) => setName(event.target.value)} />
            </label>
            <Questions {...props} asked={asked} />
          </div>
          {!asked.anyWinch && (
            <p className="mt-3 border-l-4 border-signal bg-amber-wash px-3 py-1.5">
              No vehicle of this team has a winch in the register yet, so a layout that winches begins without one.{' '}
              <Link className="underline" to="/gear/new">
                Add the winch
              </Link>{' '}
              with its vehicle and its rated pull.
            </p>
          )}
          <TaskNote task={creating.originalArgs?.task} isRunning={creating.isLoading} what="Judging the plan" />
          <ProblemNote error={creating.error} />
          <div className="my-3 flex gap-2">
            <button type="submit" className="action-main" disabled={creating.isLoading}>
              Lay it out
            </button>
            <Link className="action" to="/plans">
              Cancel
            </Link>
          </div>
          <p className="text-[15px] text-quiet">
            Every place of the rig gets the strongest usable piece of the register; move and change everything on the plan. Try the cheap
            things first: dig, boards, straight wheels, less tyre pressure.
          </p>
        </section>
      </div>
    </form>
  );
}

/** What the button below lays: its picture and its name, also while its card is scrolled away. */
function ChosenLayout({ layout }: { readonly layout: OfferedLayout | 'empty' }) {
  const sketch = useMemo(() => (layout === 'empty' ? undefined : sketchOf(layout.build().rig)), [layout]);
  return (
    <div className="flex items-center gap-3 border-[1.5px] border-moss bg-sheet shadow-[inset_0_-5px_var(--rope)]" data-chosen-layout>
      {sketch && (
        <div className="w-40 shrink-0 pb-[5px]">
          <RigSketch sketch={sketch} />
        </div>
      )}
      <h2 className="px-3 py-2 text-lg leading-tight first-letter:uppercase">
        {layout === 'empty' ? 'Only the place: no line is laid yet' : layout.label}
      </h2>
    </div>
  );
}

interface QuestionsProps extends NewPlanFormProps {
  readonly asked: ReturnType<typeof useFirstQuestions>;
}

/** Who stands where, what it stands on, and how far it has to go. */
function Questions({ pieces, vehicles, asked }: QuestionsProps) {
  const { figure } = useFigures();
  const { places, chosen, pick, anyWinch, strange, simple, answers, change } = asked;
  return (
    <>
      {places.map((place) => (
        <div key={place.bodyId} className="col-span-2">
          <Choice
            label={place.label}
            value={chosen[place.bodyId]?.vehicleId ?? ''}
            options={['', ...vehicles.map(({ vehicleId }) => vehicleId)]}
            words={(id) => vehicleWords({ vehicles, pieces, figure }, id)}
            isOff={(id) => place.winches && anyWinch && winchOf(pieces, id) === undefined}
            onChange={(id) => {
              const vehicle = vehicles.find(({ vehicleId }) => vehicleId === id) ?? strangerOf(answers.massKg);
              pick(place.bodyId, vehicle);
            }}
          />
        </div>
      ))}
      {strange && (
        <NumberField
          label="Its mass with load"
          unit="kg"
          value={answers.massKg}
          min={100}
          max={40_000}
          step={50}
          onChange={(massKg) => change({ massKg })}
        />
      )}
      <Choice
        label="How badly is it stuck?"
        value={answers.depth}
        options={depths}
        words={depthWords}
        onChange={(depth) => change({ depth })}
      />
      <Choice
        label="What does it stand on?"
        value={answers.surface}
        options={surfaces}
        words={keyWords}
        onChange={(surface) => change({ surface })}
      />
      <NumberField
        label="To travel until free"
        unit="m"
        value={answers.travelM}
        empty="not known yet"
        min={0}
        max={200}
        step={0.5}
        onChange={(travelM) => change({ travelM })}
        onClear={() => change({ travelM: undefined })}
      />
      {simple && (
        <>
          <NumberField
            label="Tree, from the vehicle’s middle"
            unit="m"
            value={answers.distanceM}
            min={1}
            max={200}
            step={0.5}
            onChange={(distanceM) => change({ distanceM })}
          />
          <NumberField
            label="Trunk diameter"
            unit="m"
            value={answers.trunkM}
            min={0.05}
            max={3}
            step={0.01}
            onChange={(trunkM) => change({ trunkM })}
          />
        </>
      )}
    </>
  );
}

/** How far a load has to go, as somebody says; unsaid it is asked for on the plan. */
function going({ travelM: _ofLayout, ...load }: Rig['load'], travelM: number | undefined): Rig['load'] {
  return travelM === undefined ? load : { ...load, travelM };
}

interface Told {
  readonly vehicles: readonly PlanVehicle[];
  readonly pieces: readonly RegisterPiece[];
  readonly figure: (figure: Figure) => string;
}

function vehicleWords({ vehicles, pieces, figure }: Told, id: string): string {
  const vehicle = vehicles.find(({ vehicleId }) => vehicleId === id);
  if (!vehicle) return 'not one of the team’s';
  return [vehicle.name, figure(mass(vehicle.massKg)), winchOf(pieces, id)?.tag ?? 'no winch'].join(', ');
}
