import { bearingDegrees, DEGREE, type Edit, loadBody, type Rig } from '@wainrope/core';
import { Trash2 } from 'lucide-react';
import { Choice } from '../../fields/Choice.tsx';
import { Check, Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { StanceChoices } from './StandingFields.tsx';
import { type Corner, cornersOf, pathOf } from './way-corners.ts';

interface WayFieldsProps {
  readonly rig: Rig;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

/** How far the load has to go and which way, how it is held there, and whether its driver helps. */
export function WayFields({ rig, apply }: WayFieldsProps) {
  const body = loadBody(rig);
  return (
    <>
      <Group title={`The way of ${body.label}`}>
        <Choice
          label="What the rig is for"
          value={rig.purpose ?? 'recover'}
          options={PURPOSES}
          words={(purpose) => purposeWords[purpose]}
          onChange={(purpose) => apply([{ kind: 'set-purpose', purpose: purpose === 'recover' ? undefined : purpose }])}
        />
        <TravelField rig={rig} apply={apply} />
        {body.kind === 'vehicle' && <StanceChoices body={body} apply={apply} />}
        <DrivesAlong rig={rig} apply={apply} />
        <RollingField rig={rig} apply={apply} />
      </Group>
      {!rig.load.task && <PathFields rig={rig} apply={apply} />}
    </>
  );
}

const PURPOSES = ['recover', 'lower', 'hold', 'respool'] as const;
const purposeWords: { readonly [P in (typeof PURPOSES)[number]]: string } = {
  recover: 'pull it out',
  lower: 'lower it down the slope',
  hold: 'hold it where it is',
  respool: 'spool the line under tension',
};

/** How far it has to go; empty while nobody has said. */
export function TravelField({ rig, apply }: WayFieldsProps) {
  const { travelM: _said, ...unsaid } = rig.load;
  return (
    <NumberField
      label="To travel until free"
      unit="m"
      value={rig.load.travelM}
      empty="not said"
      min={0}
      max={500}
      step={0.5}
      onChange={(travelM) => apply([{ kind: 'change-load', load: { ...rig.load, travelM } }], 'travel')}
      onClear={() => apply([{ kind: 'change-load', load: unsaid }], 'travel')}
    />
  );
}

export function DrivesAlong({ rig, apply }: WayFieldsProps) {
  if (loadBody(rig).kind !== 'vehicle') return null;
  return (
    <Check
      label="Its driver drives along, gently"
      checked={rig.load.drivesAlong === true}
      onChange={(drivesAlong) => apply([{ kind: 'change-load', load: { ...rig.load, drivesAlong } }])}
    />
  );
}

/** What a chosen pull falls to once the load rolls, where the one who chose it says so. */
export function RollingField({ rig, apply }: WayFieldsProps) {
  const { chosenPull } = rig;
  if (!chosenPull) return null;
  const { rollingN, ...stays } = chosenPull;
  return (
    <NumberField
      label="Chosen pull, once it rolls"
      unit="kN"
      value={rollingN === undefined ? undefined : rollingN / 1000}
      empty="stays the same"
      min={0}
      max={chosenPull.pullN / 1000}
      step={1}
      onChange={(kilonewtons) => apply([{ kind: 'choose-pull', chosenPull: { ...chosenPull, rollingN: kilonewtons * 1000 } }], 'rolling')}
      onClear={() => apply([{ kind: 'choose-pull', chosenPull: stays }], 'rolling')}
    />
  );
}

/** The path of the load, leg by leg: how far, and which way. */
function PathFields({ rig, apply }: WayFieldsProps) {
  const corners = cornersOf(rig);
  const { path: _path, ...straight } = rig.load;
  const set = (next: readonly Corner[], merge?: string) =>
    apply([{ kind: 'change-load', load: next.length === 0 ? straight : { ...straight, path: pathOf(rig, next) } }], merge);
  const change = (index: number, part: Partial<Corner>) =>
    set(
      corners.map((corner, at) => (at === index ? { ...corner, ...part } : corner)),
      `path-${index}`,
    );
  return (
    <Group title="Its path">
      <p className="col-span-2 text-[15px] text-quiet">
        {corners.length === 0
          ? 'Straight on along its heading. Where it has to turn, say how: the rig is judged along the path, and at each corner both ways.'
          : 'Leg by leg from where it stands; after the last it goes straight on.'}
      </p>
      {corners.map(({ lengthM, bearingDeg }, index) => (
        // A leg has no name of its own: it is the third because two come before it.
        <div key={index} className="col-span-2 grid grid-cols-[1fr_1fr_auto] items-end gap-3">
          <NumberField
            label={`Leg ${index + 1}`}
            unit="m"
            value={lengthM}
            min={0.1}
            max={200}
            step={0.5}
            onChange={(metres) => change(index, { lengthM: metres })}
          />
          <NumberField
            label="Towards"
            unit="°"
            value={bearingDeg}
            min={0}
            max={360}
            step={1}
            onChange={(degrees) => change(index, { bearingDeg: degrees })}
          />
          <button
            type="button"
            className="grid size-11 place-items-center"
            aria-label={`Take leg ${index + 1} away`}
            onClick={() => set(corners.filter((_, at) => at !== index))}
          >
            <Trash2 size={18} />
          </button>
        </div>
      ))}
      <button
        type="button"
        className="action col-span-2 justify-self-start"
        onClick={() => set([...corners, { lengthM: 3, bearingDeg: corners.at(-1)?.bearingDeg ?? headingDeg(rig) }])}
      >
        Add a leg
      </button>
    </Group>
  );
}

function headingDeg(rig: Rig): number {
  const turn = rig.load.travel === 'astern' ? 180 : 0;
  return bearingDegrees(loadBody(rig).headingRad + turn * DEGREE);
}
