import { Injectable } from '@nestjs/common';
import type { HookUpCreate, HookUpKind, HookUpView, VehicleDetail } from '@wainrope/contract';
import { sql } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { gathered, given } from '../database/rows.ts';
import type { TeamTransaction } from '../database/team-database.ts';

type Columns = Omit<VehicleDetail, 'vehicleId' | 'rowVersion' | 'photoIds'>;

const columnsOf = ({ name, model, massKg, lengthM, widthM }: Columns) => ({
  name,
  model,
  mass_kg: massKg,
  length_m: lengthM,
  width_m: widthM,
});

@Injectable()
export class VehicleRepository {
  async all(trx: TeamTransaction): Promise<VehicleDetail[]> {
    const rows = await trx.selectFrom('vehicle').selectAll().orderBy(sql`lower(name)`).execute();
    const photos = await this.photos(trx, 'vehicle');
    return rows.map((row) => ({
      vehicleId: row.vehicle_id,
      name: row.name,
      model: row.model,
      massKg: row.mass_kg,
      lengthM: row.length_m,
      widthM: row.width_m,
      rowVersion: row.row_version,
      photoIds: photos.get(row.vehicle_id) ?? [],
    }));
  }

  /** The vehicle, held against other changes until this transaction ends. */
  async locked(trx: TeamTransaction, vehicleId: string): Promise<VehicleDetail | undefined> {
    await trx.selectFrom('vehicle').select('vehicle_id').where('vehicle_id', '=', vehicleId).forUpdate().execute();
    return (await this.all(trx)).find((vehicle) => vehicle.vehicleId === vehicleId);
  }

  async add(trx: TeamTransaction, teamId: string, vehicleId: string, content: Columns): Promise<void> {
    await trx
      .insertInto('vehicle')
      .values({ ...columnsOf(content), team_id: teamId, vehicle_id: vehicleId })
      .execute();
  }

  async change(trx: TeamTransaction, vehicleId: string, content: Columns): Promise<void> {
    await trx
      .updateTable('vehicle')
      .set((eb) => ({ ...columnsOf(content), row_version: eb('row_version', '+', 1) }))
      .where('vehicle_id', '=', vehicleId)
      .execute();
  }

  /** Entries that stand: what a later entry corrects is left out. Forbidden places first. */
  async book(trx: TeamTransaction): Promise<HookUpView[]> {
    const rows = await trx
      .selectFrom('hook_up as h')
      .innerJoin('person as p', 'p.person_id', 'h.noted_by')
      .selectAll('h')
      .select('p.name as by_name')
      .where(sql<boolean>`not exists (select 1 from hook_up c where c.corrects = h.entry_id)`)
      .orderBy(sql`lower(h.model)`)
      .orderBy(sql`array_position(array['refused', 'last-resort', 'used', 'touched'], h.kind)`)
      .orderBy('h.noted_at', 'desc')
      .execute();
    const photos = await this.photos(trx, 'hook-up');
    return rows.map((row) => ({
      entryId: row.entry_id,
      model: row.model,
      kind: row.kind as HookUpKind,
      place: row.place,
      by: row.by_name,
      on: row.noted_on,
      photoIds: photos.get(row.entry_id) ?? [],
      ...given('forwardM', row.forward_m),
      ...given('leftM', row.left_m),
      ...given('heightM', row.height_m),
      ...given('loadN', row.load_n),
      ...given('radiusM', row.radius_m),
      ...given('note', row.note),
      ...given('corrects', row.corrects),
    }));
  }

  async hasEntry(trx: TeamTransaction, entryId: string): Promise<boolean> {
    return (await trx.selectFrom('hook_up').select('entry_id').where('entry_id', '=', entryId).executeTakeFirst()) !== undefined;
  }

  async addEntry(trx: TeamTransaction, actor: Actor, entry: HookUpCreate, today: string): Promise<void> {
    await trx
      .insertInto('hook_up')
      .values({
        team_id: actor.teamId,
        entry_id: entry.entryId,
        model: entry.model,
        kind: entry.kind,
        place: entry.place,
        forward_m: entry.forwardM ?? null,
        left_m: entry.leftM ?? null,
        height_m: entry.heightM ?? null,
        load_n: entry.loadN ?? null,
        radius_m: entry.radiusM ?? null,
        note: entry.note ?? null,
        corrects: entry.corrects ?? null,
        noted_by: actor.personId,
        noted_on: today,
      })
      .execute();
  }

  private async photos(trx: TeamTransaction, kind: 'vehicle' | 'hook-up'): Promise<ReadonlyMap<string, string[]>> {
    const rows = await trx
      .selectFrom('photo')
      .select(['photo_id', 'subject_id'])
      .where('subject_kind', '=', kind)
      .orderBy('taken_at')
      .execute();
    return gathered(
      rows,
      ({ subject_id }) => subject_id,
      ({ photo_id }) => photo_id,
    );
  }
}
