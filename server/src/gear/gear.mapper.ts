import { filled, type GearView, type MarkView, type OptionalOf, type PieceAway } from '@wainrope/contract';
import {
  type GearClass,
  type GearState,
  type Grade,
  type Mark,
  type MarkBasis,
  type MarkSource,
  markCodec,
  read,
  type TonUnit,
} from '@wainrope/core';
import type { Selectable } from 'kysely';
import { given } from '../database/rows.ts';
import type { GearMarkTable, GearTable, InspectionTable } from '../database/schema.ts';
import type { DueDay } from './due-days.ts';

export type GearRow = Selectable<GearTable>;
export type MarkRow = Selectable<GearMarkTable>;
export type InspectionRow = Pick<Selectable<InspectionTable>, 'gear_id' | 'inspected_on' | 'grade' | 'next_due_on' | 'inspector'>;

/** The last inspection that counts, the day that exposure has brought forward, and who has the piece. */
interface Around {
  readonly latest: InspectionRow | undefined;
  readonly due: DueDay | undefined;
  readonly pullsUsedUpOn: string | undefined;
  readonly away: PieceAway | undefined;
}

/** A piece's rows as the API shows them. The database's own checks and the services keep the words within their lists. */
export function gearView(row: GearRow, marks: readonly MarkRow[], { latest: inspection, due, pullsUsedUpOn, away }: Around): GearView {
  const optional: OptionalOf<GearView> = {
    maker: row.maker ?? undefined,
    model: row.model ?? undefined,
    batch: row.batch ?? undefined,
    owner: row.owner ?? undefined,
    kitId: row.kit_id ?? undefined,
    vehicleId: row.vehicle_id ?? undefined,
    madeOn: row.made_on ?? undefined,
    boughtOn: row.bought_on ?? undefined,
    firstUsedOn: row.first_used_on ?? undefined,
    renewedUntil: row.renewed_until ?? undefined,
    note: row.note ?? undefined,
    inspection: inspection && {
      on: inspection.inspected_on,
      grade: inspection.grade as Grade,
      ...(due ?? given('nextDue', inspection.next_due_on)),
      ...given('by', inspection.inspector),
    },
    pullsUsedUpOn,
    away,
  };
  return {
    gearId: row.gear_id,
    tag: row.tag,
    kind: row.kind as GearClass,
    name: row.name,
    state: row.state as GearState,
    marks: marks.map(markView),
    attributes: row.attributes as object,
    overloadsSinceInspection: row.overloads_since_inspection,
    ...filled(optional),
    rowVersion: row.row_version,
    factsRevision: row.facts_revision,
  };
}

function markView({ as_written, basis, source, setting_decided, confirmed_unit, readings }: MarkRow): MarkView {
  return {
    asWritten: as_written,
    basis: basis as MarkBasis,
    source: source as MarkSource,
    settingDecided: setting_decided,
    ...given('confirmedUnit', confirmed_unit as TonUnit | null),
    readings: readings as MarkView['readings'],
  };
}

export function markRows(key: { readonly team_id: string; readonly gear_id: string }, marks: readonly Mark[]) {
  return marks.map((mark, index) => {
    const checked = read(markCodec, mark);
    if (!checked.ok) throw new Error(`Broken invariant: mark ${mark.asWritten}: ${checked.faults[0]?.message}`);
    return {
      ...key,
      mark_no: index + 1,
      as_written: mark.asWritten,
      basis: mark.basis,
      source: mark.source,
      setting_decided: mark.settingDecided,
      confirmed_unit: mark.confirmedUnit ?? null,
      readings: JSON.stringify(mark.readings),
    };
  });
}
