import { Injectable } from '@nestjs/common';
import type {
  DefectView,
  DeviceStamp,
  ExposureView,
  InspectionKind,
  InspectionListed,
  InspectionQuery,
  InspectionView,
  PhotoSubject,
  StateChangeView,
} from '@wainrope/contract';
import { type GearClass, type Grade, inspectionAnswersCodec, inspectionSheetCodec, read } from '@wainrope/core';
import { type Insertable, sql } from 'kysely';
import { readStored } from '../database/read-stored.ts';
import { given } from '../database/rows.ts';
import type { DefectClosingTable, DefectTable, ExposureTable, InspectionTable, PhotoTable, StateChangeTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

const LISTED = 100;

/** Of which day an inspection is, and when it was made. */
export interface Made {
  readonly on: string;
  readonly doneAt: Date;
}

@Injectable()
export class InspectionRepository {
  private listed(trx: TeamTransaction) {
    return trx
      .selectFrom('inspection as i')
      .innerJoin('gear as g', 'g.gear_id', 'i.gear_id')
      .innerJoin('person as p', 'p.person_id', 'i.recorded_by')
      .select(['i.inspection_id', 'i.gear_id', 'g.tag', 'g.name', 'i.kind', 'i.inspected_on', 'i.grade', 'i.next_due_on', 'i.corrects'])
      .select([
        sql<string>`coalesce(i.inspector, p.name)`.as('by_name'),
        sql<number>`(select count(*) from defect d where d.inspection_id = i.inspection_id)::int`.as('faults'),
        sql<number>`(select count(*) from photo f where f.subject_id = i.inspection_id)::int`.as('photos'),
      ]);
  }

  /** Newest first. */
  async list(trx: TeamTransaction, { gearId, person, limit = LISTED }: InspectionQuery): Promise<InspectionListed[]> {
    let query = this.listed(trx);
    if (gearId !== undefined) query = query.where('i.gear_id', '=', gearId);
    if (person !== undefined) query = query.where('i.recorded_by', '=', person);
    const rows = await query
      .orderBy('i.inspected_on', 'desc')
      .orderBy('i.done_at', 'desc')
      .orderBy('i.recorded_no', 'desc')
      .limit(limit)
      .execute();
    return rows.map(listedView);
  }

  async byId(trx: TeamTransaction, inspectionId: string): Promise<InspectionView | undefined> {
    const row = await this.listed(trx)
      .select([
        'g.kind as gear_kind',
        'i.sheet_version',
        'i.sheet',
        'i.answers',
        'i.proposed_grade',
        'i.note',
        'i.done_at',
        'i.recorded_at',
      ])
      .where('i.inspection_id', '=', inspectionId)
      .executeTakeFirst();
    if (!row) return undefined;
    const photos = await trx.selectFrom('photo').select('photo_id').where('subject_id', '=', inspectionId).orderBy('taken_at').execute();
    return {
      ...listedView(row),
      gearKind: row.gear_kind as GearClass,
      sheetVersion: row.sheet_version ?? 0,
      ...given('sheet', row.sheet && readStored('A stored sheet', read(inspectionSheetCodec, row.sheet))),
      ...given('answers', row.answers && readStored('Stored answers', read(inspectionAnswersCodec, row.answers))),
      ...given('proposedGrade', row.proposed_grade as Grade | null),
      ...given('note', row.note),
      doneAt: row.done_at.toISOString(),
      recordedAt: row.recorded_at.toISOString(),
      photoIds: photos.map(({ photo_id }) => photo_id),
    };
  }

  async add(trx: TeamTransaction, row: Insertable<InspectionTable>): Promise<void> {
    await trx.insertInto('inspection').values(row).execute();
  }

  /** When a device's entry before one was made, by this server's clock. */
  async deviceBefore(trx: TeamTransaction, { deviceId, sequence }: DeviceStamp): Promise<Date | undefined> {
    const row = await trx
      .selectFrom('inspection')
      .select('done_at')
      .where('device_id', '=', deviceId)
      .where('device_sequence', '<', sequence)
      .orderBy('device_sequence', 'desc')
      .limit(1)
      .executeTakeFirst();
    return row?.done_at;
  }

  /** Inspections of a piece that were made after one of this day and moment. */
  async madeAfter(trx: TeamTransaction, gearId: string, { on, doneAt }: Made): Promise<readonly string[]> {
    const rows = await trx
      .selectFrom('inspection')
      .select('inspection_id')
      .where('gear_id', '=', gearId)
      .where(({ or, and, eb }) => or([eb('inspected_on', '>', on), and([eb('inspected_on', '=', on), eb('done_at', '>', doneAt)])]))
      .execute();
    return rows.map(({ inspection_id }) => inspection_id);
  }

  /** Whether a piece was taken out of use after a moment. */
  async takenOutAfter(trx: TeamTransaction, gearId: string, moment: Date): Promise<boolean> {
    const row = await trx
      .selectFrom('state_change')
      .select('change_no')
      .where('gear_id', '=', gearId)
      .where('to_state', '=', 'quarantined')
      .where('at', '>', moment)
      .limit(1)
      .executeTakeFirst();
    return row !== undefined;
  }

  async addStateChange(trx: TeamTransaction, row: Insertable<StateChangeTable>): Promise<void> {
    await trx.insertInto('state_change').values(row).execute();
  }

  async states(trx: TeamTransaction, gearId: string): Promise<StateChangeView[]> {
    const rows = await trx
      .selectFrom('state_change as s')
      .innerJoin('person as p', 'p.person_id', 's.changed_by')
      .select(['s.at', 'p.name', 's.from_state', 's.to_state', 's.reason', 's.destroyed', 's.inspection_id'])
      .where('s.gear_id', '=', gearId)
      .orderBy('s.change_no', 'desc')
      .execute();
    return rows.map(({ at, name, from_state, to_state, reason, destroyed, inspection_id }) => ({
      at: at.toISOString(),
      by: name,
      from: from_state,
      to: to_state,
      reason,
      ...given('destroyed', destroyed),
      ...given('inspectionId', inspection_id),
    }));
  }

  /** Who put the piece into the quarantine in which it is. */
  async quarantinedBy(trx: TeamTransaction, gearId: string): Promise<string | undefined> {
    const row = await trx
      .selectFrom('state_change')
      .select(['changed_by', 'to_state'])
      .where('gear_id', '=', gearId)
      .orderBy('change_no', 'desc')
      .limit(1)
      .executeTakeFirst();
    return row?.to_state === 'quarantined' ? row.changed_by : undefined;
  }

  async hasExposure(trx: TeamTransaction, exposureId: string): Promise<boolean> {
    return (await trx.selectFrom('exposure').select('exposure_id').where('exposure_id', '=', exposureId).executeTakeFirst()) !== undefined;
  }

  async addExposure(trx: TeamTransaction, row: Insertable<ExposureTable>): Promise<void> {
    await trx.insertInto('exposure').values(row).execute();
  }

  async exposures(trx: TeamTransaction, gearId: string): Promise<ExposureView[]> {
    const rows = await trx
      .selectFrom('exposure as e')
      .innerJoin('person as p', 'p.person_id', 'e.noted_by')
      .select(['e.exposure_id', 'e.kind', 'e.met_on', 'e.note', 'p.name'])
      .where('e.gear_id', '=', gearId)
      .orderBy('e.met_on', 'desc')
      .orderBy('e.noted_at', 'desc')
      .execute();
    return rows.map(({ exposure_id, kind, met_on, note, name }) => ({
      exposureId: exposure_id,
      kind: kind as ExposureView['kind'],
      on: met_on,
      by: name,
      ...given('note', note),
    }));
  }

  async addDefects(trx: TeamTransaction, rows: readonly Insertable<DefectTable>[]): Promise<void> {
    if (rows.length > 0)
      await trx
        .insertInto('defect')
        .values([...rows])
        .execute();
  }

  async closeDefects(trx: TeamTransaction, rows: readonly Insertable<DefectClosingTable>[]): Promise<void> {
    if (rows.length > 0)
      await trx
        .insertInto('defect_closing')
        .values([...rows])
        .execute();
  }

  /** Oldest first; only those still open where asked. */
  async defects(
    trx: TeamTransaction,
    filter: { readonly gearId?: string; readonly defectId?: string; readonly open?: boolean },
  ): Promise<DefectView[]> {
    let query = trx
      .selectFrom('defect as d')
      .innerJoin('gear as g', 'g.gear_id', 'd.gear_id')
      .innerJoin('person as p', 'p.person_id', 'd.opened_by')
      .leftJoin('defect_closing as c', 'c.defect_id', 'd.defect_id')
      .leftJoin('person as q', 'q.person_id', 'c.closed_by')
      .select([
        'd.defect_id',
        'd.gear_id',
        'g.tag',
        'g.name',
        'd.inspection_id',
        'd.point',
        'd.words',
        'd.failed',
        'd.opened_on',
        'p.name as opened_name',
      ])
      .select(['c.closed_on', 'q.name as closed_name', 'c.how']);
    if (filter.gearId !== undefined) query = query.where('d.gear_id', '=', filter.gearId);
    if (filter.defectId !== undefined) query = query.where('d.defect_id', '=', filter.defectId);
    if (filter.open) query = query.where('c.defect_id', 'is', null);
    const rows = await query.orderBy('d.opened_on').orderBy('g.tag').execute();
    return rows.map((row) => ({
      defectId: row.defect_id,
      gearId: row.gear_id,
      tag: row.tag,
      name: row.name,
      inspectionId: row.inspection_id,
      point: row.point,
      words: row.words,
      failed: row.failed,
      openedOn: row.opened_on,
      openedBy: row.opened_name,
      ...given('closedOn', row.closed_on),
      ...given('closedBy', row.closed_name),
      ...given('how', row.how),
    }));
  }

  /** The name of what a photo is of; nothing where the team has no such thing. */
  async photoSubject(trx: TeamTransaction, kind: PhotoSubject, id: string): Promise<string | undefined> {
    if (kind === 'vehicle') return (await trx.selectFrom('vehicle').select('name').where('vehicle_id', '=', id).executeTakeFirst())?.name;
    if (kind === 'hook-up') return (await trx.selectFrom('hook_up').select('model').where('entry_id', '=', id).executeTakeFirst())?.model;
    if (kind === 'incident') {
      const row = await trx.selectFrom('incident').select(['kind', 'happened_on']).where('incident_id', '=', id).executeTakeFirst();
      return row && `${row.kind} on ${row.happened_on}`;
    }
    const inspected = await this.listed(trx).where('i.inspection_id', '=', id).executeTakeFirst();
    return inspected && `${inspected.tag} ${inspected.name}`;
  }

  async hasPhoto(trx: TeamTransaction, photoId: string): Promise<boolean> {
    return (await trx.selectFrom('photo').select('photo_id').where('photo_id', '=', photoId).executeTakeFirst()) !== undefined;
  }

  async addPhoto(trx: TeamTransaction, row: Insertable<PhotoTable>): Promise<void> {
    await trx.insertInto('photo').values(row).execute();
  }

  async photo(trx: TeamTransaction, photoId: string, column: 'content' | 'thumbnail'): Promise<Buffer | undefined> {
    const row = await trx.selectFrom('photo').select(`${column} as bytes`).where('photo_id', '=', photoId).executeTakeFirst();
    return row?.bytes;
  }
}

interface ListedRow {
  readonly inspection_id: string;
  readonly gear_id: string;
  readonly tag: string;
  readonly name: string;
  readonly kind: string;
  readonly inspected_on: string;
  readonly grade: string | null;
  readonly next_due_on: string | null;
  readonly corrects: string | null;
  readonly by_name: string;
  readonly faults: number;
  readonly photos: number;
}

function listedView(row: ListedRow): InspectionListed {
  return {
    inspectionId: row.inspection_id,
    gearId: row.gear_id,
    tag: row.tag,
    name: row.name,
    kind: row.kind as InspectionKind,
    on: row.inspected_on,
    by: row.by_name,
    faults: row.faults,
    photos: row.photos,
    ...given('grade', row.grade as Grade | null),
    ...given('nextDue', row.next_due_on),
    ...given('corrects', row.corrects),
  };
}
