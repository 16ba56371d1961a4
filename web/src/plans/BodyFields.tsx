import {
  anchorSoils,
  type Body,
  duties,
  type Edit,
  footings,
  groundHeightM,
  holdGrounds,
  picketPatterns,
  picketSoils,
  type Rig,
  woods,
} from '@wainrope/core';
import { useGetTeamQuery } from '../api/wainrope-api.ts';
import { asVehicle } from './body-edits.ts';
import { Choice, Group } from './fields.tsx';
import { NumberField } from './NumberField.tsx';

interface BodyFieldsProps {
  readonly rig: Rig;
  readonly body: Body;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

const DEGREE = Math.PI / 180;
const bearingOf = (rad: number) => (((rad / DEGREE) % 360) + 360) % 360;

type Change = (part: object, merge?: string) => void;

/** Where a body stands and what it is, in numbers. */
export function BodyFields({ rig, body, apply }: BodyFieldsProps) {
  const change: Change = (part, merge) =>
    apply([{ kind: 'change-body', body: { ...body, ...part } as Body }], merge && `${merge}-${body.id}`);
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  const away = load && load.id !== body.id ? Math.hypot(body.xM - load.xM, body.yM - load.yM) : undefined;
  const height = groundHeightM(rig.ground, body.xM, body.yM);
  return (
    <Group title={body.label}>
      <label className="col-span-2 block text-[15px]">
        Name
        <input
          value={body.label}
          maxLength={80}
          onChange={(event) => event.target.value.trim() !== '' && change({ label: event.target.value }, 'name')}
        />
      </label>
      <NumberField
        label="East of the origin"
        unit="m"
        value={body.xM}
        min={-1000}
        max={1000}
        step={0.1}
        onChange={(xM) => change({ xM }, 'x')}
      />
      <NumberField
        label="North of the origin"
        unit="m"
        value={body.yM}
        min={-1000}
        max={1000}
        step={0.1}
        onChange={(yM) => change({ yM }, 'y')}
      />
      {'headingRad' in body && (
        <NumberField
          label="Heading"
          unit="°"
          value={bearingOf(body.headingRad)}
          min={0}
          max={360}
          step={1}
          onChange={(degrees) => change({ headingRad: degrees * DEGREE }, 'heading')}
        />
      )}
      <KindFields body={body} change={change} rig={rig} />
      <p className="col-span-2 text-[15px] text-quiet">
        {away !== undefined && `${away.toFixed(1)} m from ${load?.label}. `}
        {rig.ground.slopeRad > 0.004 && `Ground ${Math.abs(height).toFixed(1)} m ${height >= 0 ? 'above' : 'below'} the origin.`}
      </p>
    </Group>
  );
}

function KindFields({ body, change, rig }: { readonly body: Body; readonly change: Change; readonly rig: Rig }) {
  switch (body.kind) {
    case 'vehicle':
      return <VehicleNumbers body={body} change={change} />;
    case 'load':
      return <SizeFields body={body} change={change} />;
    case 'tree':
      return <TreeNumbers body={body} change={change} />;
    case 'rock':
    case 'structure':
      return (
        <NumberField
          label="Round which a strap goes, diameter"
          unit="m"
          value={body.diameterM ?? 1}
          min={0.05}
          max={20}
          step={0.1}
          onChange={(diameterM) => change({ diameterM }, 'd')}
        />
      );
    case 'ground-anchor':
      return <Choice label="Soil" value={body.soil} options={anchorSoils} words={plain} onChange={(soil) => change({ soil })} />;
    case 'pickets':
      return (
        <>
          <Choice
            label="Pattern"
            value={body.pattern}
            options={picketPatterns}
            words={(pattern) => pattern}
            onChange={(pattern) => change({ pattern })}
          />
          <Choice label="Soil" value={body.soil} options={picketSoils} words={plain} onChange={(soil) => change({ soil })} />
        </>
      );
    case 'deadman':
      return (
        <>
          <NumberField
            label="Length of the log"
            unit="m"
            value={body.lengthM}
            min={0.3}
            max={20}
            step={0.1}
            onChange={(lengthM) => change({ lengthM }, 'l')}
          />
          <NumberField
            label="Height of its face"
            unit="m"
            value={body.faceHeightM}
            min={0.05}
            max={3}
            step={0.05}
            onChange={(faceHeightM) => change({ faceHeightM }, 'f')}
          />
          <NumberField
            label="Depth of its middle"
            unit="m"
            value={body.depthM}
            min={0.2}
            max={10}
            step={0.1}
            onChange={(depthM) => change({ depthM }, 'p')}
          />
        </>
      );
    case 'person':
      return <PersonChoices body={body} change={change} rig={rig} />;
    case 'crew':
      return (
        <NumberField
          label="People hauling"
          unit=""
          value={body.people}
          min={1}
          max={100}
          step={1}
          onChange={(people) => change({ people: Math.round(people) }, 'n')}
        />
      );
    case 'animal':
      return null;
    default: {
      const never: never = body;
      return never;
    }
  }
}

const plain = (word: string) => word.replaceAll('-', ' ');

type Of<K extends Body['kind']> = { readonly body: Extract<Body, { readonly kind: K }>; readonly change: Change };

function SizeFields({ body, change }: Of<'load'> | Of<'vehicle'>) {
  return (
    <>
      <NumberField
        label="Mass with load"
        unit="kg"
        value={body.massKg}
        min={1}
        max={200_000}
        step={50}
        onChange={(massKg) => change({ massKg }, 'mass')}
      />
      <NumberField
        label="Length"
        unit="m"
        value={body.lengthM}
        min={0.2}
        max={30}
        step={0.1}
        onChange={(lengthM) => change({ lengthM }, 'length')}
      />
      <NumberField
        label="Width"
        unit="m"
        value={body.widthM}
        min={0.1}
        max={body.kind === 'load' ? 10 : 5}
        step={0.05}
        onChange={(widthM) => change({ widthM }, 'width')}
      />
    </>
  );
}

const BRAKES = ['all', 'parking-rear', 'parking-front', 'park-only', 'none'] as const;
const brakeWords: { readonly [B in (typeof BRAKES)[number]]: string } = {
  all: 'all wheels',
  'parking-rear': 'parking brake, rear',
  'parking-front': 'parking brake, front',
  'park-only': 'selector in park alone',
  none: 'none',
};

function VehicleNumbers({ body, change }: Of<'vehicle'>) {
  const { data: team } = useGetTeamQuery();
  const vehicles = team?.vehicles ?? [];
  const stance = body.stance ?? { ground: 'grass' as const, brakes: 'all' as const };
  return (
    <>
      <Choice
        label="Which vehicle"
        value={body.vehicleId ?? ''}
        options={['', ...vehicles.map(({ vehicleId }) => vehicleId)]}
        words={(id) => vehicles.find(({ vehicleId }) => vehicleId === id)?.name ?? 'not one of the team’s'}
        onChange={(id) => {
          const own = vehicles.find(({ vehicleId }) => vehicleId === id);
          change(own ? asVehicle(body, own) : { vehicleId: undefined });
        }}
      />
      <SizeFields body={body} change={change} />
      <Choice
        label="Stands on"
        value={body.stance?.ground ?? ''}
        options={['', ...holdGrounds]}
        words={(ground) => (ground === '' ? 'not said' : plain(ground))}
        onChange={(ground) => change({ stance: ground === '' ? undefined : { ...stance, ground } })}
      />
      {body.stance && (
        <Choice
          label="Brakes"
          value={body.stance.brakes}
          options={BRAKES}
          words={(brakes) => brakeWords[brakes]}
          onChange={(brakes) => change({ stance: { ...stance, brakes } })}
        />
      )}
    </>
  );
}

function TreeNumbers({ body, change }: Of<'tree'>) {
  return (
    <>
      <NumberField
        label="Trunk diameter"
        unit="m"
        value={body.trunkDiameterM}
        min={0.05}
        max={3}
        step={0.01}
        onChange={(trunkDiameterM) => change({ trunkDiameterM }, 'trunk')}
      />
      <Choice label="Wood" value={body.wood} options={woods} words={plain} onChange={(wood) => change({ wood })} />
      <Choice
        label="Ground at its roots"
        value={body.footing}
        options={footings}
        words={plain}
        onChange={(footing) => change({ footing })}
      />
      <Choice
        label="State"
        value={body.state}
        options={['live', 'dead', 'rotten'] as const}
        words={plain}
        onChange={(state) => change({ state })}
      />
      <NumberField
        label="Lean"
        unit="°"
        value={body.leanRad / DEGREE}
        min={0}
        max={90}
        step={1}
        onChange={(degrees) => change({ leanRad: degrees * DEGREE }, 'lean')}
      />
    </>
  );
}

function PersonChoices({ body, change, rig }: Of<'person'> & { readonly rig: Rig }) {
  const vehicles = rig.bodies.filter(({ kind }) => kind === 'vehicle');
  return (
    <>
      <Choice label="Duty" value={body.duty} options={duties} words={plain} onChange={(duty) => change({ duty })} />
      <Choice
        label="In the cab of"
        value={body.inVehicleId ?? ''}
        options={['', ...vehicles.map(({ id }) => id)]}
        words={(id) => vehicles.find((vehicle) => vehicle.id === id)?.label ?? 'nobody’s: outside'}
        onChange={(id) => change({ inVehicleId: id === '' ? undefined : id })}
      />
      <label className="block text-[15px]">
        Shelter
        <input
          value={body.shelter ?? ''}
          maxLength={80}
          placeholder="a thick tree, a wall"
          onChange={(event) => change({ shelter: event.target.value.trim() === '' ? undefined : event.target.value }, 'shelter')}
        />
      </label>
    </>
  );
}
