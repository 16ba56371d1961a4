import { Injectable } from '@nestjs/common';
import type { LayoutView } from '@wainrope/contract';
import { type Rig, readRigDocument } from '@wainrope/core';
import { sql } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { readStored } from '../database/read-stored.ts';
import type { TeamTransaction } from '../database/team-database.ts';

@Injectable()
export class LayoutRepository {
  /** Those that are offered, by name. */
  async offered(trx: TeamTransaction): Promise<LayoutView[]> {
    const rows = await trx
      .selectFrom('team_layout as l')
      .innerJoin('person as p', 'p.person_id', 'l.saved_by')
      .select(['l.layout_id', 'l.name', 'l.rig', 'p.name as by_name'])
      .where('l.put_away', '=', false)
      .orderBy(sql`lower(l.name)`)
      .execute();
    return rows.map(({ layout_id, name, rig, by_name }) => ({
      layoutId: layout_id,
      name,
      rig: readStored(`Layout ${layout_id}`, readRigDocument(rig)),
      by: by_name,
    }));
  }

  /** The name of a layout, offered or put away. */
  async nameOf(trx: TeamTransaction, layoutId: string): Promise<string | undefined> {
    const row = await trx.selectFrom('team_layout').select('name').where('layout_id', '=', layoutId).executeTakeFirst();
    return row?.name;
  }

  async add(trx: TeamTransaction, actor: Actor, layout: { readonly id: string; readonly name: string; readonly rig: Rig }): Promise<void> {
    await trx
      .insertInto('team_layout')
      .values({ team_id: actor.teamId, layout_id: layout.id, name: layout.name, rig: JSON.stringify(layout.rig), saved_by: actor.personId })
      .execute();
  }

  /** Whether it was offered before. */
  async putAway(trx: TeamTransaction, layoutId: string): Promise<boolean> {
    const { numUpdatedRows } = await trx
      .updateTable('team_layout')
      .set({ put_away: true })
      .where('layout_id', '=', layoutId)
      .where('put_away', '=', false)
      .executeTakeFirstOrThrow();
    return numUpdatedRows > 0n;
  }
}
