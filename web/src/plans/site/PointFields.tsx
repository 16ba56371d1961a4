import type { Edit, RigPoint } from '@wainrope/core';
import { NumberField } from '../../fields/NumberField.tsx';

interface PointFieldsProps {
  readonly point: RigPoint;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

const HEIGHT = { label: 'Height above ground', min: -20, max: 50, step: 0.05 } as const;

/** Where on its body a point sits, in numbers. */
export function PointFields({ point, apply }: PointFieldsProps) {
  const { place } = point;
  const put = (next: RigPoint['place'], what: string) =>
    apply([{ kind: 'change-point', point: { ...point, place: next } }], `${what}-${point.id}`);
  return (
    <div className="grid w-full grid-cols-2 gap-x-3">
      <NumberField {...HEIGHT} unit="m" value={place.heightM} onChange={(heightM) => put({ ...place, heightM }, 'height')} />
      {place.kind === 'on-vehicle' && (
        <>
          <NumberField
            label="Ahead of its middle"
            unit="m"
            value={place.forwardM}
            min={-20}
            max={20}
            step={0.05}
            onChange={(forwardM) => put({ ...place, forwardM }, 'forward')}
          />
          <NumberField
            label="Left of its middle"
            unit="m"
            value={place.leftM}
            min={-5}
            max={5}
            step={0.05}
            onChange={(leftM) => put({ ...place, leftM }, 'left')}
          />
        </>
      )}
    </div>
  );
}
