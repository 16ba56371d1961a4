import { type Depth, depths, type SelfRecoveryLayout, type Surface, surfaces } from '@wainrope/core';
import { type FormEvent, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCreatePlanMutation } from '../api/wainrope-api.ts';
import { type RegisterPiece, useRegister } from '../gear/use-register.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { Choice } from './fields.tsx';
import { firstRig, type PlanVehicle, winchOf } from './lay-plan.ts';
import { NumberField } from './NumberField.tsx';
import { depthWords, surfaceWords } from './situation-words.ts';

/** The few questions a plan begins with; everything can be changed on the plan itself. */
export function NewPlanPage() {
  const { pieces, team, error, refetch } = useRegister();
  if (error)
    return (
      <div className="p-5">
        <ProblemNote error={error} retry={refetch} />
      </div>
    );
  if (!pieces || !team) return <p className="p-5">Loading…</p>;
  const vehicles = team.vehicles.filter((vehicle) => winchOf(pieces, vehicle.vehicleId));
  const first = vehicles[0];
  if (first) return <NewPlanForm pieces={pieces} vehicles={vehicles} first={first} today={team.today} />;
  return (
    <p className="p-6 text-lg">
      No vehicle of this team has a winch in the register. Add the winch first, with its vehicle and rated pull:{' '}
      <Link className="underline" to="/gear/new">
        add a piece
      </Link>
      .
    </p>
  );
}

interface NewPlanFormProps {
  readonly pieces: readonly RegisterPiece[];
  readonly vehicles: readonly PlanVehicle[];
  readonly first: PlanVehicle;
  readonly today: string;
}

interface Answers {
  readonly vehicle: PlanVehicle;
  readonly depth: Depth;
  readonly surface: Surface;
  readonly layout: SelfRecoveryLayout;
  readonly distanceM: number;
  readonly trunkM: number;
}

function NewPlanForm({ pieces, vehicles, first, today }: NewPlanFormProps) {
  const navigate = useNavigate();
  const [create, creating] = useCreatePlanMutation();
  const planId = useMemo(() => crypto.randomUUID(), []);
  const [name, setName] = useState('');
  const [answers, setAnswers] = useState<Answers>({
    vehicle: first,
    depth: 'hubs',
    surface: 'shallow-mud',
    layout: 'doubled-back',
    distanceM: 14,
    trunkM: 0.4,
  });
  const usual = `${answers.vehicle.name}, ${depthWords[answers.depth]}`;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const rig = firstRig({ ...answers, pieces, today });
    const answer = rig && (await create({ planCreate: { planId, name: name.trim() || usual, rig: rig as never } }));
    if (answer?.data) navigate(`/plans/${answer.data.planId}`);
  };
  return (
    <form onSubmit={submit} className="mx-auto w-full max-w-2xl px-3 py-4 sm:px-5">
      <p>
        <Link className="underline" to="/plans">
          Plans
        </Link>
      </p>
      <h1 className="mt-2 border-b-2 border-ink pb-3 text-[28px]">New plan: a winch self-recovery</h1>
      <div className="grid gap-4 pt-4 sm:grid-cols-2">
        <label className="block text-[15px] sm:col-span-2">
          Name of the plan
          <input value={name} maxLength={120} placeholder={usual} onChange={(event) => setName(event.target.value)} />
        </label>
        <Questions pieces={pieces} vehicles={vehicles} answers={answers} change={(part) => setAnswers({ ...answers, ...part })} />
      </div>
      <p className="py-3 text-quiet">
        Every place of the rig gets the strongest usable piece of the register; change them on the plan. Try the cheap things first: dig,
        boards, straight wheels, less tyre pressure.
      </p>
      <ProblemNote error={creating.error} />
      <div className="mt-2 flex gap-2">
        <button type="submit" className="action-main" disabled={creating.isLoading}>
          Lay it out
        </button>
        <Link className="action" to="/plans">
          Cancel
        </Link>
      </div>
    </form>
  );
}

const LAYOUTS: { readonly [L in SelfRecoveryLayout]: string } = {
  'doubled-back': 'double: over a pulley at the tree and back to the vehicle',
  straight: 'single: straight to the tree',
};

interface QuestionsProps {
  readonly pieces: readonly RegisterPiece[];
  readonly vehicles: readonly PlanVehicle[];
  readonly answers: Answers;
  readonly change: (part: Partial<Answers>) => void;
}

function Questions({ pieces, vehicles, answers, change }: QuestionsProps) {
  const byId = (id: string) => vehicles.find(({ vehicleId }) => vehicleId === id) ?? answers.vehicle;
  return (
    <>
      <Choice
        label="Vehicle and its winch"
        value={answers.vehicle.vehicleId}
        options={vehicles.map(({ vehicleId }) => vehicleId)}
        words={(id) => `${byId(id).name}, ${byId(id).massKg} kg, ${winchOf(pieces, id)?.tag}`}
        onChange={(id) => change({ vehicle: byId(id) })}
      />
      <Choice
        label="How badly is it stuck?"
        value={answers.depth}
        options={depths}
        words={(depth) => depthWords[depth]}
        onChange={(depth) => change({ depth })}
      />
      <Choice
        label="What does it stand on?"
        value={answers.surface}
        options={surfaces}
        words={(surface) => surfaceWords[surface]}
        onChange={(surface) => change({ surface })}
      />
      <Choice
        label="Line"
        value={answers.layout}
        options={['doubled-back', 'straight'] as const}
        words={(layout) => LAYOUTS[layout]}
        onChange={(layout) => change({ layout })}
      />
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
  );
}
