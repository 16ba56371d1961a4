import type { Edit, VehicleBody } from '@wainrope/core';
import { NumberField } from '../../fields/NumberField.tsx';

/** What a vehicle's papers say beside its size; each may stay unsaid. */
export function VehicleFigures({
  body,
  apply,
}: {
  readonly body: VehicleBody;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}) {
  const { wheelbaseM, frontShare, receiverM } = body;
  const put = (next: VehicleBody, what: string) => apply([{ kind: 'change-body', body: next }], `${what}-${body.id}`);
  const { wheelbaseM: _base, ...withoutBase } = body;
  const { frontShare: _front, ...withoutShare } = body;
  const { receiverM: _receiver, ...withoutReceiver } = body;
  return (
    <>
      <NumberField
        label="Wheelbase"
        unit="m"
        value={wheelbaseM}
        empty="by its length"
        min={0.5}
        max={20}
        step={0.05}
        onChange={(metres) => put({ ...body, wheelbaseM: metres }, 'wheelbase')}
        onClear={() => put(withoutBase, 'wheelbase')}
      />
      <NumberField
        label="Mass on its front axle"
        unit="%"
        value={frontShare === undefined ? undefined : frontShare * 100}
        empty="not said"
        min={1}
        max={100}
        step={1}
        decimals={0}
        onChange={(percent) => put({ ...body, frontShare: percent / 100 }, 'front')}
        onClear={() => put(withoutShare, 'front')}
      />
      <NumberField
        label="Hitch receiver, inside"
        unit="mm"
        value={receiverM === undefined ? undefined : receiverM * 1000}
        empty="not said"
        min={10}
        max={500}
        step={1}
        decimals={1}
        onChange={(millimetres) => put({ ...body, receiverM: millimetres / 1000 }, 'receiver')}
        onClear={() => put(withoutReceiver, 'receiver')}
      />
    </>
  );
}
