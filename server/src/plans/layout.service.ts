import { Injectable } from '@nestjs/common';
import type { LayoutCreate, LayoutList } from '@wainrope/contract';
import { readRig, usesOf } from '@wainrope/core';
import { sql } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { invalid, notFound } from '../http/problem.ts';

/** Layouts of the team's own, beside those of the trade: rigs to begin with. */
@Injectable()
export class LayoutService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly audit: AuditTrail,
  ) {}

  async list(actor: Actor): Promise<LayoutList> {
    return this.database.inTeam(actor.teamId, (trx) => this.all(trx));
  }

  /** Sent twice with one id, it keeps one. */
  async keep(actor: Actor, { layoutId, name, rig }: LayoutCreate): Promise<LayoutList> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const known = await trx.selectFrom('team_layout').select('layout_id').where('layout_id', '=', layoutId).executeTakeFirst();
      if (known) return this.all(trx);
      const read = readRig(rig, new Set());
      if (!read.ok) throw invalid(read.faults, 'This rig is not understood as a layout: it must name no pieces.');
      if (usesOf(read.value).length === 0)
        throw invalid([{ path: 'rig', message: 'Nothing is laid yet; a layout has at least one line.' }]);
      const taken = await trx
        .selectFrom('team_layout')
        .select('layout_id')
        .where(sql<boolean>`lower(name) = lower(${name}) and not put_away`)
        .executeTakeFirst();
      if (taken) throw invalid([{ path: 'name', message: `There is a layout called ${name} already; choose another name.` }]);
      await trx
        .insertInto('team_layout')
        .values({ team_id: actor.teamId, layout_id: layoutId, name, rig: JSON.stringify(read.value), saved_by: actor.personId })
        .execute();
      await this.audit.note(trx, actor, { action: 'kept a layout', kind: 'plan', id: layoutId, name });
      return this.all(trx);
    });
  }

  /** Offered no more; plans laid by it stay. */
  async putAway(actor: Actor, layoutId: string): Promise<LayoutList> {
    return this.database.inTeam(actor.teamId, async (trx) => {
      const row = await trx.selectFrom('team_layout').select('name').where('layout_id', '=', layoutId).executeTakeFirst();
      if (!row) throw notFound('layout', layoutId);
      await trx.updateTable('team_layout').set({ put_away: true }).where('layout_id', '=', layoutId).execute();
      await this.audit.note(trx, actor, { action: 'put a layout away', kind: 'plan', id: layoutId, name: row.name });
      return this.all(trx);
    });
  }

  private async all(trx: TeamTransaction): Promise<LayoutList> {
    const rows = await trx
      .selectFrom('team_layout as l')
      .innerJoin('person as p', 'p.person_id', 'l.saved_by')
      .select(['l.layout_id', 'l.name', 'l.rig', 'p.name as by_name'])
      .where('l.put_away', '=', false)
      .orderBy(sql`lower(l.name)`)
      .execute();
    return { items: rows.map(({ layout_id, name, rig, by_name }) => ({ layoutId: layout_id, name, rig: rig as object, by: by_name })) };
  }
}
