import { Injectable } from '@nestjs/common';
import type { KitDetail, WantedView } from '@wainrope/contract';
import type { GearClass, Terrain } from '@wainrope/core';
import type { TeamTransaction } from '../database/team-database.ts';

interface KitColumns {
  readonly name: string;
  readonly terrain: string | null;
  readonly vehicle_id: string | null;
  readonly note: string | null;
}

@Injectable()
export class KitRepository {
  async all(trx: TeamTransaction): Promise<KitDetail[]> {
    const kits = await trx.selectFrom('kit').selectAll().orderBy('name').execute();
    const wanted = await trx.selectFrom('kit_wanted').selectAll().orderBy('line_no').execute();
    return kits.map(({ kit_id, name, terrain, vehicle_id, note, row_version }) => ({
      kitId: kit_id,
      name,
      rowVersion: row_version,
      wanted: wanted
        .filter((line) => line.kit_id === kit_id)
        .map(
          ({ kind, count, least_wll_n }): WantedView => ({
            kind: kind as GearClass,
            count,
            ...(least_wll_n !== null && { leastWllN: least_wll_n }),
          }),
        ),
      ...(terrain !== null && { terrain: terrain as Terrain }),
      ...(vehicle_id !== null && { vehicleId: vehicle_id }),
      ...(note !== null && { note }),
    }));
  }

  /** The kit, held against other changes until this transaction ends. */
  async locked(trx: TeamTransaction, kitId: string): Promise<KitDetail | undefined> {
    await trx.selectFrom('kit').select('kit_id').where('kit_id', '=', kitId).forUpdate().execute();
    return (await this.all(trx)).find((kit) => kit.kitId === kitId);
  }

  async add(trx: TeamTransaction, teamId: string, kitId: string, columns: KitColumns): Promise<void> {
    await trx
      .insertInto('kit')
      .values({ ...columns, team_id: teamId, kit_id: kitId })
      .execute();
  }

  async change(trx: TeamTransaction, kitId: string, columns: KitColumns): Promise<void> {
    await trx
      .updateTable('kit')
      .set((eb) => ({ ...columns, row_version: eb('row_version', '+', 1) }))
      .where('kit_id', '=', kitId)
      .execute();
  }

  async setWanted(trx: TeamTransaction, teamId: string, kitId: string, wanted: readonly WantedView[]): Promise<void> {
    await trx.deleteFrom('kit_wanted').where('kit_id', '=', kitId).execute();
    if (wanted.length === 0) return;
    await trx
      .insertInto('kit_wanted')
      .values(
        wanted.map(({ kind, count, leastWllN }, index) => ({
          team_id: teamId,
          kit_id: kitId,
          line_no: index + 1,
          kind,
          count,
          least_wll_n: leastWllN ?? null,
        })),
      )
      .execute();
  }
}
