import { type Depth, depths, type Rig, type SelfRecoveryLayout, type Surface, surfaces, type TreeBody } from '@wainrope/core';
import { type FormEvent, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCreatePlanMutation } from '../api/wainrope-api.ts';
import { useRegister } from '../gear/use-register.ts';
import { ProblemNote } from '../shell/ProblemNote.tsx';
import { layPlan, vehicleBody, winchOf } from './lay-plan.ts';
import { NumberField } from './NumberField.tsx';
import { depthWords, surfaceWords } from './situation-words.ts';

const DEGREE = Math.PI / 180;

/** The few questions a plan begins with; everything can be changed on the plan itself. */
export function NewPlanPage() {
  const { pieces, team, error, refetch } = useRegister();
  const navigate = useNavigate();
  const [create, creating] = useCreatePlanMutation();
  const planId = useMemo(() => crypto.randomUUID(), []);
  const [name, setName] = useState('');
  const [vehicleId, setVehicleId] = useState('');
  const [depth, setDepth] = useState<Depth>('hubs');
  const [surface, setSurface] = useState<Surface>('shallow-mud');
  const [layout, setLayout] = useState<SelfRecoveryLayout>('doubled-back');
  const [distanceM, setDistance] = useState(14);
  const [trunkM, setTrunk] = useState(0.4);
  if (error)
    return (
      <div className="p-5">
        <ProblemNote error={error} retry={refetch} />
      </div>
    );
  if (!pieces || !team) return <p className="p-5">Loading…</p>;
  const withWinch = team.vehicles.filter((vehicle) => winchOf(pieces, vehicle.vehicleId));
  const vehicle = withWinch.find((entry) => entry.vehicleId === vehicleId) ?? withWinch[0];
  if (!vehicle)
    return (
      <p className="p-6 text-lg">
        No vehicle of this team has a winch in the register. Add the winch to the register first, with its vehicle and rated pull:{' '}
        <Link className="underline" to="/gear/new">
          add a piece
        </Link>
        .
      </p>
    );
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const winch = winchOf(pieces, vehicle.vehicleId);
    if (!winch) return;
    const body = vehicleBody(vehicle, 80 * DEGREE);
    const tree: TreeBody = {
      id: 'tree',
      kind: 'tree',
      label: 'Tree',
      xM: distanceM * Math.sin(76 * DEGREE),
      yM: distanceM * Math.cos(76 * DEGREE),
      trunkDiameterM: trunkM,
      wood: 'softwood',
      footing: 'moist',
      state: 'live',
      leanRad: 0,
    };
    const base: Omit<Rig, 'points' | 'chains' | 'lines'> = {
      ground: { slopeRad: 0, uphillRad: 0 },
      bodies: [body, tree],
      load: { bodyId: body.id, travel: 'ahead', travelM: 5 },
      situation: {
        surface,
        depth,
        soil: surface === 'bog' ? 'clay-or-bog' : 'loam',
        wet: true,
        lockedShare: 0,
        drivelineLocked: false,
        wheelsTurned: false,
      },
      dampers: [],
      answers: {},
    };
    const laid = layPlan({ base, pieces, today: team.today, layout, vehicle: body, tree, winch, strapHeightM: 0.3, chosen: {} });
    const answer = await create({
      planCreate: { planId, name: name.trim() || `${vehicle.name}, ${depthWords[depth]}`, rig: { ...base, ...laid } as never },
    });
    if (answer.data) navigate(`/plans/${answer.data.planId}`);
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
        <label className="block sm:col-span-2">
          Name of the plan
          <input
            value={name}
            maxLength={120}
            placeholder={`${vehicle.name}, ${depthWords[depth]}`}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label className="block">
          Vehicle and its winch
          <select value={vehicle.vehicleId} onChange={(event) => setVehicleId(event.target.value)}>
            {withWinch.map(({ vehicleId: id, name: label, massKg }) => (
              <option key={id} value={id}>{`${label}, ${massKg} kg, ${winchOf(pieces, id)?.tag}`}</option>
            ))}
          </select>
        </label>
        <label className="block">
          How badly is it stuck?
          <select value={depth} onChange={(event) => setDepth(event.target.value as Depth)}>
            {depths.map((entry) => (
              <option key={entry} value={entry}>
                {depthWords[entry]}
              </option>
            ))}
          </select>
        </label>
        <label className="block">
          What does it stand on?
          <select value={surface} onChange={(event) => setSurface(event.target.value as Surface)}>
            {surfaces.map((entry) => (
              <option key={entry} value={entry}>
                {surfaceWords[entry]}
              </option>
            ))}
          </select>
        </label>
        <label className="block">
          Line
          <select value={layout} onChange={(event) => setLayout(event.target.value as SelfRecoveryLayout)}>
            <option value="doubled-back">double: over a pulley at the tree and back to the vehicle</option>
            <option value="straight">single: straight to the tree</option>
          </select>
        </label>
        <NumberField
          label="Tree, from the vehicle’s middle"
          unit="m"
          value={distanceM}
          min={1}
          max={200}
          step={0.5}
          onChange={setDistance}
        />
        <NumberField label="Trunk diameter" unit="m" value={trunkM} min={0.05} max={3} step={0.01} onChange={setTrunk} />
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
