import type { GearClass } from '@wainrope/core';
import { filled } from '../every-field.ts';
import { partsOfRow } from './columns.ts';
import type { CellFault, Cells, ReadRowSettings, RegisterRow, RowReader } from './register-row.ts';

export type ReadRow = { readonly row?: RegisterRow; readonly faults: readonly CellFault[] };

/** Reads one row of a register file. Every fault of the row is listed; a row with faults is never stored in part. */
export function readRegisterRow(cells: Cells, settings: ReadRowSettings): ReadRow {
  const faults: CellFault[] = [];
  let named: GearClass | undefined;
  const reader: RowReader = {
    cell: (column) => cells[column]?.trim() || undefined,
    refuse: (column, message) => {
      faults.push({ column, message });
      return undefined;
    },
    settings,
    kind: () => named,
  };
  const kind = partsOfRow.kind.read(reader);
  named = kind;
  const [tag, name, state] = [partsOfRow.tag.read(reader), partsOfRow.name.read(reader), partsOfRow.state.read(reader)];
  const [marks, attributes] = [partsOfRow.marks.read(reader), partsOfRow.attributes.read(reader)];
  const overloadsSinceInspection = partsOfRow.overloadsSinceInspection.read(reader);
  const rest: RestOfRow = {
    maker: partsOfRow.maker.read(reader),
    model: partsOfRow.model.read(reader),
    batch: partsOfRow.batch.read(reader),
    owner: partsOfRow.owner.read(reader),
    kit: partsOfRow.kit.read(reader),
    vehicle: partsOfRow.vehicle.read(reader),
    madeOn: partsOfRow.madeOn.read(reader),
    boughtOn: partsOfRow.boughtOn.read(reader),
    firstUsedOn: partsOfRow.firstUsedOn.read(reader),
    inspection: partsOfRow.inspection.read(reader),
    renewedUntil: partsOfRow.renewedUntil.read(reader),
    note: partsOfRow.note.read(reader),
  };
  if (faults.length > 0 || !tag || !kind || !name || !state || !marks || !attributes || overloadsSinceInspection === undefined)
    return { faults };
  return { faults, row: { tag, kind, name, state, marks, attributes, overloadsSinceInspection, ...filled(rest) } };
}

type Needed = 'tag' | 'kind' | 'name' | 'state' | 'marks' | 'attributes' | 'overloadsSinceInspection';
type RestOfRow = { readonly [P in Exclude<keyof RegisterRow, Needed>]-?: RegisterRow[P] | undefined };
