import {
  anchorSoils,
  type Body,
  bearingDegrees,
  DEGREE,
  type Edit,
  groundHeightM,
  keyWords,
  type LooseBody,
  length,
  picketPatterns,
  picketSoils,
  type Rig,
  type VehicleBody,
} from '@wainrope/core';
import { useGetTeamQuery } from '../../api/wainrope-api.ts';
import { Choice } from '../../fields/Choice.tsx';
import { Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { useFigures } from '../../shell/use-figures.ts';
import { asVehicle } from './body-edits.ts';
import { PersonFields } from './PersonFields.tsx';
import { PlaceFrom } from './PlaceFrom.tsx';
import { StanceChoices } from './StandingFields.tsx';
import { TreeChoices } from './TreeChoices.tsx';
import { VehicleFigures } from './VehicleFigures.tsx';

interface BodyFieldsProps {
  readonly rig: Rig;
  readonly body: Body;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
  /** What can be done with the body as a whole, as buttons for who has no keys. */
  readonly acts: readonly (readonly [words: string, act: () => void])[];
}

/** Where a body stands and what it is, in numbers. */
export function BodyFields({ rig, body, apply, acts }: BodyFieldsProps) {
  const { figure } = useFigures();
  const put = (next: Body, merge?: string) => apply([{ kind: 'change-body', body: next }], merge && `${merge}-${body.id}`);
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  const isLoad = load?.id === body.id;
  const away = load && !isLoad ? Math.hypot(body.xM - load.xM, body.yM - load.yM) : undefined;
  const height = groundHeightM(rig.ground, body.xM, body.yM);
  return (
    <Group title={body.label}>
      <label className="col-span-2 block text-[15px]">
        Name
        <input
          value={body.label}
          maxLength={80}
          onChange={(event) => event.target.value.trim() !== '' && put({ ...body, label: event.target.value }, 'name')}
        />
      </label>
      <PlaceFrom rig={rig} body={body} place={(at) => put({ ...body, ...at }, 'place')} />
      <NumberField
        label="East of the origin"
        unit="m"
        value={body.xM}
        min={-1000}
        max={1000}
        step={0.1}
        onChange={(xM) => put({ ...body, xM }, 'x')}
      />
      <NumberField
        label="North of the origin"
        unit="m"
        value={body.yM}
        min={-1000}
        max={1000}
        step={0.1}
        onChange={(yM) => put({ ...body, yM }, 'y')}
      />
      {'headingRad' in body && (
        <NumberField
          label="Heading"
          unit="°"
          value={bearingDegrees(body.headingRad)}
          min={0}
          max={360}
          step={1}
          onChange={(degrees) => put({ ...body, headingRad: degrees * DEGREE }, 'heading')}
        />
      )}
      <KindFields body={body} put={put} apply={apply} rig={rig} />
      <p className="col-span-2 text-[15px] text-quiet">
        {away !== undefined && `${figure(length(away))} from ${load?.label}. `}
        {rig.ground.slopeRad > 0.004 && `Ground ${figure(length(Math.abs(height)))} ${height >= 0 ? 'above' : 'below'} the origin. `}
        {isLoad && 'It is the one to be moved, so it stays on the site; to take it off, first choose another to be moved.'}
      </p>
      <div className="col-span-2 flex flex-wrap gap-2">
        {!isLoad && (body.kind === 'vehicle' || body.kind === 'load') && (
          <button type="button" className="action" onClick={() => apply([{ kind: 'change-load', load: { ...rig.load, bodyId: body.id } }])}>
            This one is to be moved
          </button>
        )}
        {acts.map(([words, act]) => (
          <button key={words} type="button" className="action" onClick={act}>
            {words}
          </button>
        ))}
      </div>
    </Group>
  );
}

interface KindProps<B extends Body> {
  readonly body: B;
  readonly put: (next: Body, merge?: string) => void;
}

function KindFields({ body, put, apply, rig }: KindProps<Body> & Pick<BodyFieldsProps, 'apply' | 'rig'>) {
  switch (body.kind) {
    case 'vehicle':
      return (
        <>
          <WhichVehicle body={body} put={put} />
          <SizeFields body={body} put={put} />
          <StanceChoices body={body} apply={apply} />
          <VehicleFigures body={body} apply={apply} />
        </>
      );
    case 'load':
      return <SizeFields body={body} put={put} />;
    case 'tree':
      return <TreeChoices tree={body} change={(part, merge) => put({ ...body, ...part }, merge)} />;
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
          onChange={(diameterM) => put({ ...body, diameterM }, 'diameter')}
        />
      );
    case 'ground-anchor':
      return <Choice label="Soil" value={body.soil} options={anchorSoils} words={keyWords} onChange={(soil) => put({ ...body, soil })} />;
    case 'pickets':
      return <PicketChoices body={body} put={put} />;
    case 'deadman':
      return <DeadmanFields body={body} put={put} />;
    case 'person':
      return <PersonFields body={body} put={put} rig={rig} />;
    case 'crew':
      return (
        <NumberField
          label="People hauling"
          unit=""
          value={body.people}
          min={1}
          max={100}
          step={1}
          onChange={(people) => put({ ...body, people: Math.round(people) }, 'people')}
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

function WhichVehicle({ body, put }: KindProps<VehicleBody>) {
  const { data: team } = useGetTeamQuery();
  const vehicles = team?.vehicles ?? [];
  const choose = (id: string) => {
    const own = vehicles.find(({ vehicleId }) => vehicleId === id);
    const { vehicleId: _before, ...other } = body;
    put(own ? asVehicle(body, own) : other);
  };
  return (
    <Choice
      label="Which vehicle"
      value={body.vehicleId ?? ''}
      options={['', ...vehicles.map(({ vehicleId }) => vehicleId)]}
      words={(id) => vehicles.find(({ vehicleId }) => vehicleId === id)?.name ?? 'not one of the team’s'}
      onChange={choose}
    />
  );
}

/** Sizes of what has a mass: label, unit, field, least and greatest. */
const SIZES = [
  ['Mass with load', 'kg', 'massKg', 1, 200_000, 50],
  ['Length', 'm', 'lengthM', 0.2, 30, 0.1],
  ['Width', 'm', 'widthM', 0.1, 5, 0.05],
] as const;

function SizeFields({ body, put }: KindProps<VehicleBody | LooseBody>) {
  return SIZES.map(([label, unit, field, min, max, step]) => (
    <NumberField
      key={field}
      label={label}
      unit={unit}
      value={body[field]}
      min={min}
      max={max}
      step={step}
      onChange={(value) => put({ ...body, [field]: value }, field)}
    />
  ));
}

function PicketChoices({ body, put }: KindProps<Extract<Body, { readonly kind: 'pickets' }>>) {
  return (
    <>
      <Choice
        label="Pattern"
        value={body.pattern}
        options={picketPatterns}
        words={(pattern) => pattern}
        onChange={(pattern) => put({ ...body, pattern })}
      />
      <Choice label="Soil" value={body.soil} options={picketSoils} words={keyWords} onChange={(soil) => put({ ...body, soil })} />
    </>
  );
}

const LOG = [
  ['Length of the log', 'lengthM', 0.3, 20, 0.1],
  ['Height of its face', 'faceHeightM', 0.05, 3, 0.05],
  ['Depth of its middle', 'depthM', 0.2, 10, 0.1],
] as const;

function DeadmanFields({ body, put }: KindProps<Extract<Body, { readonly kind: 'deadman' }>>) {
  return LOG.map(([label, field, min, max, step]) => (
    <NumberField
      key={field}
      label={label}
      unit="m"
      value={body[field]}
      min={min}
      max={max}
      step={step}
      onChange={(value) => put({ ...body, [field]: value }, field)}
    />
  ));
}
