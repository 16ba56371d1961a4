import {
  type Cells,
  filled,
  type GearInput,
  type GearView,
  type OptionalOf,
  type RegisterRow,
  registerColumns,
  saidIn,
  writeRegisterRow,
} from '@wainrope/contract';
import type { Mark } from '@wainrope/core';
import { given } from '../../database/rows.ts';
import type { Whereabouts } from '../../team/team.repository.ts';

/** A piece of the register as a row of the file. */
export function registerRowOf(gear: GearView, { kitNames, vehicleNames }: Whereabouts): RegisterRow {
  const { tag, kind, name, state, marks, overloadsSinceInspection } = gear;
  const optional: OptionalOf<RegisterRow> = {
    maker: gear.maker,
    model: gear.model,
    batch: gear.batch,
    owner: gear.owner,
    kit: gear.kitId && kitNames.get(gear.kitId),
    vehicle: gear.vehicleId && vehicleNames.get(gear.vehicleId),
    madeOn: gear.madeOn,
    boughtOn: gear.boughtOn,
    firstUsedOn: gear.firstUsedOn,
    inspection: gear.inspection,
    renewedUntil: gear.renewedUntil,
    note: gear.note,
  };
  const attributes = gear.attributes as RegisterRow['attributes'];
  return { tag, kind, name, state, marks, attributes, overloadsSinceInspection, ...filled(optional) };
}

/** A row laid over the piece that has its tag: an empty cell leaves what the register knows, and an older inspection does not replace a newer one. */
export function mergeRegisterRow(before: RegisterRow, row: RegisterRow, cells: Cells): RegisterRow {
  const said = (column: string) => saidIn(cells[column]) !== undefined;
  const sameKind = before.kind === row.kind;
  const newer = row.inspection !== undefined && (before.inspection === undefined || row.inspection.on >= before.inspection.on);
  const inspection = newer ? row.inspection : before.inspection;
  return {
    ...before,
    ...row,
    tag: before.tag.toLowerCase() === row.tag.toLowerCase() ? row.tag : before.tag,
    name: said('name') ? row.name : before.name,
    state: said('state') ? row.state : before.state,
    marks: row.marks.length > 0 ? row.marks : before.marks,
    attributes: sameKind ? { ...before.attributes, ...row.attributes } : row.attributes,
    overloadsSinceInspection: said('overloads_since_inspection') ? row.overloadsSinceInspection : before.overloadsSinceInspection,
    ...(inspection && { inspection }),
    ...noteOf(before.note, row.note, said('note')),
  };
}

/** A note that stands in the file takes the place of the register's; what was only kept there goes behind it, once. */
function noteOf(before: string | undefined, kept: string | undefined, isSaid: boolean): { readonly note?: string } {
  if (kept === undefined || before === undefined) return given('note', kept ?? before);
  if (isSaid) return { note: kept };
  return { note: before.includes(kept) ? before : `${before}; ${kept}` };
}

/** What differs between two rows, in words. */
export function rowChanges(before: RegisterRow, after: RegisterRow): readonly string[] {
  const [old, fresh] = [writeRegisterRow(before), writeRegisterRow(after)];
  return registerColumns
    .filter(({ key }) => (old[key] ?? '') !== (fresh[key] ?? ''))
    .map(({ key, label }) => `${label}: ${old[key] ?? 'nothing'} → ${fresh[key] ?? 'nothing'}`);
}

/** The row as a piece to store. */
export function gearInputOf(
  row: RegisterRow,
  kitId: string | undefined,
  vehicleId: string | undefined,
): Omit<GearInput, 'marks'> & { readonly marks: readonly Mark[] } {
  const { inspection: _inspection, kit: _kit, vehicle: _vehicle, ...rest } = row;
  return { ...rest, ...(kitId && { kitId }), ...(vehicleId && { vehicleId }) };
}
