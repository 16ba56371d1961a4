import { type Edit, holdGrounds, type Report, type Rig, type VehicleBody } from '@wainrope/core';
import { useFigures } from '../shell/use-figures.ts';
import { Choice, Group } from './fields.tsx';
import { NumberField } from './NumberField.tsx';
import { brakeWords, holdGroundWords } from './situation-words.ts';

interface StandingFieldsProps {
  readonly rig: Rig;
  readonly report: Report;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

const BRAKES = ['all', 'parking-rear', 'parking-front', 'park-only', 'none'] as const;

/** What every vehicle that pulls stands on and what holds it there. */
export function StandingFields({ rig, report, apply }: StandingFieldsProps) {
  const pulled = report.holds.filter(({ isLoad }) => !isLoad).map(({ bodyId }) => bodyId);
  const vehicles = rig.bodies.filter((body): body is VehicleBody => body.kind === 'vehicle' && pulled.includes(body.id));
  return vehicles.map((body) => <Standing key={body.id} body={body} report={report} apply={apply} />);
}

function Standing({ body, report, apply }: { readonly body: VehicleBody } & Omit<StandingFieldsProps, 'rig'>) {
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
        words={(ground) => (ground === '' ? 'as the site' : holdGroundWords[ground])}
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
