import { depths, type Edit, type Rig, type Situation } from '@wainrope/core';
import { Choice } from '../../fields/Choice.tsx';
import { Check, Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { depthWords } from '../../fields/situation-words.ts';

interface ObstacleFieldsProps {
  readonly rig: Rig;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

/** A trailer on the back, a ledge before the wheels, a measured contact area. */
export function ObstacleFields({ rig: { situation }, apply }: ObstacleFieldsProps) {
  const { trailer, ledge, contactAreaM2 } = situation;
  const change = (part: Partial<Situation>, merge?: string) =>
    apply([{ kind: 'change-situation', situation: { ...situation, ...part } }], merge);
  const drop = (key: 'trailer' | 'ledge' | 'contactAreaM2') => {
    const { [key]: _dropped, ...rest } = situation;
    apply([{ kind: 'change-situation', situation: rest }]);
  };
  return (
    <Group title="What holds it besides">
      <Check
        label="Trailer on the back"
        checked={trailer !== undefined}
        onChange={(on) => (on ? change({ trailer: { massKg: 750, depth: 'none', contactAreaM2: 0.3 } }) : drop('trailer'))}
      />
      <Check
        label="Ledge before the wheels"
        checked={ledge !== undefined}
        onChange={(on) => (on ? change({ ledge: { heightM: 0.1, wheelRadiusM: 0.38, axleShare: 0.5 } }) : drop('ledge'))}
      />
      {trailer && (
        <>
          <NumberField
            label="Trailer’s mass"
            unit="kg"
            value={trailer.massKg}
            min={10}
            max={40_000}
            step={50}
            onChange={(massKg) => change({ trailer: { ...trailer, massKg } }, 'trailer-mass')}
          />
          <Choice
            label="Trailer stuck"
            value={trailer.depth}
            options={depths}
            words={depthWords}
            onChange={(depth) => change({ trailer: { ...trailer, depth } })}
          />
        </>
      )}
      {ledge && (
        <>
          <NumberField
            label="Ledge’s height"
            unit="m"
            value={ledge.heightM}
            min={0.01}
            max={2}
            step={0.01}
            onChange={(heightM) => change({ ledge: { ...ledge, heightM } }, 'ledge')}
          />
          <NumberField
            label="Wheel’s radius"
            unit="m"
            value={ledge.wheelRadiusM}
            min={0.1}
            max={1.5}
            step={0.01}
            onChange={(wheelRadiusM) => change({ ledge: { ...ledge, wheelRadiusM } }, 'wheel')}
          />
          <NumberField
            label="Mass on that axle"
            unit="%"
            value={ledge.axleShare * 100}
            min={5}
            max={100}
            step={5}
            onChange={(share) => change({ ledge: { ...ledge, axleShare: share / 100 } }, 'axle')}
          />
        </>
      )}
      <Check
        label="Contact area measured"
        checked={contactAreaM2 !== undefined}
        onChange={(on) => (on ? change({ contactAreaM2: 1 }) : drop('contactAreaM2'))}
      />
      {contactAreaM2 !== undefined && (
        <NumberField
          label="Area held by the ground"
          unit="m²"
          value={contactAreaM2}
          min={0.01}
          max={50}
          step={0.1}
          onChange={(area) => change({ contactAreaM2: area }, 'area')}
        />
      )}
    </Group>
  );
}
