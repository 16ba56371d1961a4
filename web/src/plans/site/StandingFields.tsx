import { type Edit, holdGrounds, keyWords, type Report, type Rig, type VehicleBody } from '@wainrope/core';
import { Choice } from '../../fields/Choice.tsx';
import { Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { brakeWords } from '../../fields/situation-words.ts';
import { day } from '../../shell/days.ts';
import { useFigures } from '../../shell/use-figures.ts';

interface StandingFieldsProps {
  readonly rig: Rig;
  readonly report: Report;
  /** Who states it, and on which day. */
  readonly said: { readonly person: string; readonly on: string };
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

const BRAKES = ['all', 'parking-rear', 'parking-front', 'park-only', 'none'] as const;

/** What every vehicle that pulls stands on and what holds it there. */
export function StandingFields({ rig, report, said, apply }: StandingFieldsProps) {
  const pulled = report.holds.filter(({ isLoad }) => !isLoad).map(({ bodyId }) => bodyId);
  const vehicles = rig.bodies.filter((body): body is VehicleBody => body.kind === 'vehicle' && pulled.includes(body.id));
  const winches = rig.lines.some(({ drive }) => drive.kind === 'winch');
  return (
    <>
      {vehicles.map((body) => (
        <Standing key={body.id} body={body} report={report} apply={apply} />
      ))}
      {winches && <EngineChoice engine={rig.engine} said={said} apply={apply} />}
    </>
  );
}

/** Whether the engine of the winching vehicle runs, and who says so. */
function EngineChoice({ engine, said, apply }: Pick<StandingFieldsProps, 'said' | 'apply'> & { readonly engine: Rig['engine'] }) {
  return (
    <Group title="Engine of the winching vehicle">
      <Choice
        label="It"
        value={engine === undefined ? '' : engine.running ? 'runs' : 'is off'}
        options={['', 'runs', 'is off'] as const}
        words={(state) => (state === '' ? 'not said yet' : state)}
        onChange={(state) => apply([{ kind: 'state-engine', engine: state === '' ? undefined : { running: state === 'runs', ...said } }])}
      />
      {engine?.person !== undefined && (
        <p className="self-end pb-2 text-[15px] text-quiet">
          Said by {engine.person}
          {engine.on !== undefined && ` on ${day(engine.on)}`}
        </p>
      )}
    </Group>
  );
}

function Standing({ body, report, apply }: { readonly body: VehicleBody } & Omit<StandingFieldsProps, 'rig' | 'said'>) {
  const { figure } = useFigures();
  const hold = report.holds.find(({ bodyId }) => bodyId === body.id);
  return (
    <Group title={`${body.label}, winching`}>
      <StanceChoices body={body} apply={apply} />
      <NumberField
        label="Track"
        unit="m"
        value={body.trackM ?? body.widthM * 0.8}
        min={0.5}
        max={3.5}
        step={0.05}
        onChange={(trackM) => apply([{ kind: 'change-body', body: { ...body, trackM } }], `track-${body.id}`)}
      />
      <p className="self-end pb-2 text-[15px] text-quiet">
        {hold?.plannedHoldN === undefined || hold.plannedDemandN === undefined
          ? 'Say what it stands on, and it is worked out whether it slides.'
          : `Pulled with ${figure({ si: hold.plannedDemandN, as: 'force' })}, held with ${figure({ si: hold.plannedHoldN, as: 'force' })}.`}
      </p>
    </Group>
  );
}

/** What a vehicle stands on and what holds it there. */
export function StanceChoices({ body, apply }: { readonly body: VehicleBody; readonly apply: (edits: readonly Edit[]) => void }) {
  const { stance } = body;
  const change = (part: Partial<NonNullable<VehicleBody['stance']>>) =>
    apply([{ kind: 'change-body', body: { ...body, stance: { ...stance, ...part } } }]);
  return (
    <>
      <Choice
        label="Stands on"
        value={stance?.ground ?? ''}
        options={['', ...holdGrounds]}
        words={(ground) => (ground === '' ? 'as the site' : keyWords(ground))}
        onChange={(ground) => change({ ground: ground === '' ? undefined : ground })}
      />
      <Choice
        label="Held by"
        value={stance?.brakes ?? ''}
        options={['', ...BRAKES]}
        words={(brakes) => (brakes === '' ? 'not said yet' : brakeWords[brakes])}
        onChange={(brakes) => change({ brakes: brakes === '' ? undefined : brakes })}
      />
    </>
  );
}
