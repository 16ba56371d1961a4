import type { Edit, Rig } from '@wainrope/core';
import { DEGREE } from '@wainrope/core';
import { Check, Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';

interface OriginFieldsProps {
  readonly rig: Rig;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

const NOWHERE = { latitudeDeg: 0, longitudeDeg: 0, bearingRad: 0 };

/** Where on the earth the map’s origin lies and which way its north points: positions go out and come in by it. */
export function OriginFields({ rig: { origin }, apply }: OriginFieldsProps) {
  const put = (part: Partial<typeof NOWHERE>, merge: string) =>
    apply([{ kind: 'set-origin', origin: { ...NOWHERE, ...origin, ...part } }], `origin-${merge}`);
  return (
    <Group title="Where on the earth">
      <Check
        label="The map’s origin is known"
        checked={origin !== undefined}
        onChange={(known) => apply([{ kind: 'set-origin', origin: known ? NOWHERE : undefined }])}
      />
      {origin && (
        <>
          <NumberField
            label="Map’s north lies at"
            unit="°"
            value={(((origin.bearingRad / DEGREE) % 360) + 360) % 360}
            min={0}
            max={360}
            step={1}
            onChange={(degrees) => put({ bearingRad: degrees * DEGREE }, 'bearing')}
          />
          <NumberField
            label="Latitude, north positive"
            unit="°"
            decimals={6}
            value={origin.latitudeDeg}
            min={-89}
            max={89}
            step={0.0001}
            onChange={(latitudeDeg) => put({ latitudeDeg }, 'latitude')}
          />
          <NumberField
            label="Longitude, east positive"
            unit="°"
            decimals={6}
            value={origin.longitudeDeg}
            min={-180}
            max={180}
            step={0.0001}
            onChange={(longitudeDeg) => put({ longitudeDeg }, 'longitude')}
          />
        </>
      )}
    </Group>
  );
}
