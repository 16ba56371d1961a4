import type { VehicleView } from '@wainrope/contract';
import {
  bearingDegrees,
  type Case,
  DEGREE,
  type DecimalMark,
  depths,
  type Edit,
  isSelfRecovery,
  keyWords,
  layoutOf,
  loadBody,
  type Policy,
  type Report,
  type Rig,
  relayEdits,
  type SelfRecoveryLayout,
  slopeAlong,
  soils,
  surfaces,
  type TreeBody,
  travelDirection,
  winchOf,
} from '@wainrope/core';
import { Choice } from '../../fields/Choice.tsx';
import { Check, Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { depthWords } from '../../fields/situation-words.ts';
import type { RegisterPiece } from '../../register/use-register.ts';
import { useFigures } from '../../shell/use-figures.ts';
import { HookUpNotes } from './HookUpNotes.tsx';
import { ObstacleFields } from './ObstacleFields.tsx';
import { OriginFields } from './OriginFields.tsx';
import { PullBand } from './PullBand.tsx';
import { StandingFields } from './StandingFields.tsx';
import { StandPlaces } from './StandPlaces.tsx';
import { StatedFigures } from './StatedFigures.tsx';
import { TreeChoices } from './TreeChoices.tsx';
import { TravelField } from './WayFields.tsx';

interface SitePanelProps {
  readonly rig: Rig;
  readonly subject: Case;
  readonly report: Report;
  readonly policy: Policy;
  readonly pieces: readonly RegisterPiece[];
  readonly vehicles: readonly VehicleView[];
  readonly today: string;
  readonly decimal: DecimalMark;
  readonly actor: string;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

export function SitePanel(props: SitePanelProps) {
  return (
    <div className="space-y-4 py-2">
      <VehicleFields {...props} />
      <HookUpNotes rig={props.rig} vehicles={props.vehicles} />
      <StandingFields rig={props.rig} report={props.report} said={{ person: props.actor, on: props.today }} apply={props.apply} />
      <StandPlaces rig={props.rig} subject={props.subject} apply={props.apply} />
      <TreeFields {...props} />
      <GroundFields {...props} />
      <ObstacleFields rig={props.rig} apply={props.apply} />
      <PullBand rig={props.rig} subject={props.subject} report={props.report} policy={props.policy} apply={props.apply} />
      <OriginFields rig={props.rig} apply={props.apply} />
      <StatedFigures rig={props.rig} today={props.today} decimal={props.decimal} actor={props.actor} apply={props.apply} />
    </div>
  );
}

const LAYOUTS: { readonly [L in SelfRecoveryLayout]: string } = {
  straight: 'single, to the tree',
  'doubled-back': 'double, back to the vehicle',
};

function VehicleFields({ rig, pieces, vehicles, today, apply }: SitePanelProps) {
  const body = loadBody(rig);
  const { situation } = rig;
  const change = (part: Partial<typeof situation>) => apply([{ kind: 'change-situation', situation: { ...situation, ...part } }]);
  const relay = (edits: readonly Edit[] | undefined) => edits && apply(edits);
  const byId = (id: string) => vehicles.find(({ vehicleId }) => vehicleId === id);
  return (
    <Group title="Vehicle and line">
      {isSelfRecovery(rig) ? (
        <>
          <Choice
            label="Vehicle"
            value={(body.kind === 'vehicle' ? body.vehicleId : undefined) ?? ''}
            options={vehicles.map(({ vehicleId }) => vehicleId)}
            words={(id) => `${byId(id)?.name}${winchOf(pieces, id) ? '' : ' (no winch)'}`}
            isOff={(id) => winchOf(pieces, id) === undefined}
            onChange={(id) => {
              const vehicle = byId(id);
              if (vehicle) relay(relayEdits({ rig, pieces, today, vehicle }));
            }}
          />
          <Choice
            label="Line"
            value={layoutOf(rig)}
            options={['straight', 'doubled-back'] as const}
            words={(layout) => LAYOUTS[layout]}
            onChange={(layout) => relay(relayEdits({ rig, pieces, today, layout }))}
          />
        </>
      ) : (
        <p className="col-span-2 text-[15px] text-quiet">
          {body.label} is the one to be moved. Its lines were laid piece by piece and stay as they are.
        </p>
      )}
      <NumberField
        label="Mass with load"
        unit="kg"
        value={body.massKg}
        min={100}
        max={40_000}
        step={50}
        onChange={(massKg) => apply([{ kind: 'change-body', body: { ...body, massKg } }], 'mass')}
      />
      <TravelField rig={rig} apply={apply} />
      <Choice label="Stuck" value={situation.depth} options={depths} words={depthWords} onChange={(depth) => change({ depth })} />
      <Choice label="Surface" value={situation.surface} options={surfaces} words={keyWords} onChange={(surface) => change({ surface })} />
      <Choice label="Soil" value={situation.soil} options={soils} words={keyWords} onChange={(soil) => change({ soil })} />
      <Choice
        label="Way out"
        value={rig.load.travel}
        options={['ahead', 'astern'] as const}
        words={(travel) => travel}
        onChange={(travel) => apply([{ kind: 'change-load', load: { ...rig.load, travel } }])}
      />
      <Check label="Wet" checked={situation.wet} onChange={(wet) => change({ wet })} />
      <Check label="Front wheels turned" checked={situation.wheelsTurned} onChange={(wheelsTurned) => change({ wheelsTurned })} />
      <Check label="Driveline locked" checked={situation.drivelineLocked} onChange={(drivelineLocked) => change({ drivelineLocked })} />
      <NumberField
        label="Wheels that do not turn, share of mass"
        unit="%"
        value={situation.lockedShare * 100}
        min={0}
        max={100}
        step={25}
        onChange={(share) => change({ lockedShare: share / 100 })}
      />
    </Group>
  );
}

function TreeFields({ rig, apply }: SitePanelProps) {
  const body = loadBody(rig);
  const tree = rig.bodies.find((entry): entry is TreeBody => entry.kind === 'tree');
  const strap = rig.points.find(({ place }) => place.kind === 'on-trunk');
  if (!tree) return null;
  const [dx, dy] = [tree.xM - body.xM, tree.yM - body.yM];
  const distanceM = Math.hypot(dx, dy);
  const bearing = bearingDegrees(Math.atan2(dx, dy));
  const place = (metres: number, degrees: number) =>
    apply(
      [
        {
          kind: 'move-body',
          bodyId: tree.id,
          xM: body.xM + metres * Math.sin(degrees * DEGREE),
          yM: body.yM + metres * Math.cos(degrees * DEGREE),
        },
      ],
      'place-tree',
    );
  const change = (part: Partial<TreeBody>, merge?: string) => apply([{ kind: 'change-body', body: { ...tree, ...part } }], merge);
  return (
    <Group title="Tree">
      <NumberField
        label="From the vehicle’s middle"
        unit="m"
        value={distanceM}
        min={1}
        max={200}
        step={0.5}
        onChange={(metres) => place(metres, bearing)}
      />
      <NumberField
        label="Bearing from the vehicle"
        unit="°"
        value={bearing}
        min={0}
        max={360}
        step={1}
        onChange={(degrees) => place(distanceM, degrees)}
      />
      {strap && (
        <NumberField
          label="Strap above ground"
          unit="m"
          value={strap.place.heightM}
          min={0}
          max={6}
          step={0.05}
          onChange={(heightM) =>
            apply([{ kind: 'change-point', point: { ...strap, place: { kind: 'on-trunk', heightM } } }], 'strap-height')
          }
        />
      )}
      <TreeChoices tree={tree} change={change} />
      <label className="col-span-2 block text-[15px]">
        Name on the plan
        <input
          value={tree.label}
          maxLength={80}
          onChange={(event) => event.target.value.trim() !== '' && change({ label: event.target.value }, 'tree-name')}
        />
      </label>
    </Group>
  );
}

function GroundFields({ rig, apply }: SitePanelProps) {
  const body = loadBody(rig);
  const { figure } = useFigures();
  const { ground } = rig;
  const along = slopeAlong(ground, travelDirection(rig));
  return (
    <Group title="Ground">
      <NumberField
        label="Heading of the vehicle"
        unit="°"
        value={bearingDegrees(body.headingRad)}
        min={0}
        max={360}
        step={1}
        onChange={(degrees) => apply([{ kind: 'change-body', body: { ...body, headingRad: degrees * DEGREE } }], 'heading')}
      />
      <NumberField
        label="Slope"
        unit="°"
        value={ground.slopeRad / DEGREE}
        min={0}
        max={60}
        step={1}
        onChange={(degrees) => apply([{ kind: 'change-ground', ground: { ...ground, slopeRad: degrees * DEGREE } }], 'slope')}
      />
      <NumberField
        label="Uphill is towards"
        unit="°"
        value={bearingDegrees(ground.uphillRad)}
        min={0}
        max={360}
        step={5}
        onChange={(degrees) => apply([{ kind: 'change-ground', ground: { ...ground, uphillRad: degrees * DEGREE } }], 'uphill')}
      />
      <p className="self-end pb-2 text-[15px] text-quiet">
        Along the pull: {figure({ si: Math.abs(along), as: 'angle' })} {Math.abs(along) < 0.004 ? 'level' : along > 0 ? 'up' : 'down'}
      </p>
    </Group>
  );
}
