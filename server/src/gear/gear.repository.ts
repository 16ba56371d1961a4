import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { filled, type GearView, type PieceAway } from '@wainrope/contract';
import { canonicalJson, type Exposure, type InspectionDue, inspectionDue, type Mark, type TonUnit } from '@wainrope/core';
import { type Insertable, sql } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { gathered } from '../database/rows.ts';
import type { GearTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { type GearRow, gearView, type InspectionRow, lastInspection, markRows } from './gear.mapper.ts';

/** Every column that what a person enters goes into. */
export type GearColumns = Required<Omit<Insertable<GearTable>, 'team_id' | 'gear_id' | 'row_version' | 'facts_revision' | 'changed_by'>>;

export interface NewInspection {
  readonly gearId: string;
  readonly on: string;
  readonly grade: string;
  readonly nextDue?: string;
  readonly by?: string;
}

/** What tells when a piece wants inspecting. */
export type PieceDues = Pick<GearView, 'tag' | 'name' | 'kitId' | 'overloadsSinceInspection' | 'inspection'>;

/** Rows a statement; PostgreSQL takes at most 65,535 parameters. */
const CHUNK = 500;

function chunks<T>(entries: readonly T[]): readonly (readonly T[])[] {
  return Array.from({ length: Math.ceil(entries.length / CHUNK) }, (_, index) => entries.slice(index * CHUNK, (index + 1) * CHUNK));
}

@Injectable()
export class GearRepository {
  constructor(private readonly teams: TeamRepository) {}

  /** One page in tag order, after a tag. */
  async page(trx: TeamTransaction, { after, limit }: { readonly after?: string; readonly limit: number }): Promise<readonly GearView[]> {
    let query = trx.selectFrom('gear').selectAll();
    if (after !== undefined) query = query.where('tag_key', '>', after.toLowerCase());
    return this.withDetails(trx, await query.orderBy('tag_key').limit(limit).execute());
  }

  async byIds(trx: TeamTransaction, ids: readonly string[]): Promise<readonly GearView[]> {
    if (ids.length === 0) return [];
    return this.withDetails(
      trx,
      await trx
        .selectFrom('gear')
        .selectAll()
        .where('gear_id', 'in', [...ids])
        .execute(),
    );
  }

  /** Pieces by their tags in lower case. */
  async byTags(trx: TeamTransaction, tags: readonly string[]): Promise<readonly GearView[]> {
    const rows = await trx.selectFrom('gear').selectAll().where('tag_key', '=', sql<string>`any(${tags}::text[])`).execute();
    return this.withDetails(trx, rows);
  }

  async all(trx: TeamTransaction): Promise<readonly GearView[]> {
    return this.withDetails(trx, await trx.selectFrom('gear').selectAll().orderBy('tag_key').execute());
  }

  async byId(trx: TeamTransaction, gearId: string): Promise<GearView | undefined> {
    return (await this.byIds(trx, [gearId]))[0];
  }

  /** The same, and nobody else may change the piece until this transaction ends. */
  async byIdLocked(trx: TeamTransaction, gearId: string): Promise<GearView | undefined> {
    const rows = await trx.selectFrom('gear').selectAll().where('gear_id', '=', gearId).forUpdate().execute();
    return (await this.withDetails(trx, rows))[0];
  }

  /** Which ton each maker means, as confirmed on any of its pieces; makers with two answers are left out. */
  async tonOfMaker(trx: TeamTransaction): Promise<ReadonlyMap<string, TonUnit>> {
    const rows = await trx
      .selectFrom('gear_mark')
      .innerJoin('gear', 'gear.gear_id', 'gear_mark.gear_id')
      .select([sql<string>`lower(gear.maker)`.as('maker'), sql<TonUnit>`min(confirmed_unit)`.as('unit')])
      .where('confirmed_unit', 'is not', null)
      .where('gear.maker', 'is not', null)
      .groupBy(sql`lower(gear.maker)`)
      .having(sql<boolean>`min(confirmed_unit) = max(confirmed_unit)`)
      .execute();
    return new Map(rows.map(({ maker, unit }) => [maker, unit]));
  }

  async idOfTag(trx: TeamTransaction, tag: string): Promise<string | undefined> {
    const row = await trx.selectFrom('gear').select('gear_id').where('tag_key', '=', tag.toLowerCase()).executeTakeFirst();
    return row?.gear_id;
  }

  private async withDetails(trx: TeamTransaction, rows: readonly GearRow[]): Promise<readonly GearView[]> {
    if (rows.length === 0) return [];
    const ids = rows.map(({ gear_id }) => gear_id);
    const marks = await trx
      .selectFrom('gear_mark')
      .selectAll()
      .where('gear_id', '=', sql<string>`any(${ids}::uuid[])`)
      .orderBy('mark_no')
      .execute();
    const latest = await this.latest(trx, ids);
    const marksOf = groupByGear(marks);
    const inspectionOf = new Map(latest.map((row) => [row.gear_id, row]));
    const dueOf = await this.brought(trx, latest);
    const awayOf = await this.away(trx, ids);
    return rows.map((row) =>
      gearView(row, marksOf.get(row.gear_id) ?? [], {
        latest: inspectionOf.get(row.gear_id),
        due: dueOf.get(row.gear_id),
        away: awayOf.get(row.gear_id),
      }),
    );
  }

  /** The last inspection of each piece that counts and that none corrects: one step into an index a piece, however many there are. */
  private async latest(trx: TeamTransaction, ids: readonly string[]): Promise<readonly InspectionRow[]> {
    const { rows } = await sql<InspectionRow>`
      select i.gear_id, i.inspected_on, i.grade, i.next_due_on, case when i.kind = 'on-record' then i.inspector else p.name end as inspector
      from unnest(${ids}::uuid[]) as asked (gear_id)
      cross join lateral (
        select * from inspection l
        where l.gear_id = asked.gear_id and l.counts and not exists (select 1 from inspection c where c.corrects = l.inspection_id)
        order by l.inspected_on desc, l.recorded_no desc limit 1) i
      join person p on p.person_id = i.recorded_by`.execute(trx);
    return rows;
  }

  /** Who has what is checked out. */
  private async away(trx: TeamTransaction, ids: readonly string[]): Promise<ReadonlyMap<string, PieceAway>> {
    const rows = await trx
      .selectFrom('outing_piece as e')
      .innerJoin('outing as o', 'o.outing_id', 'e.outing_id')
      .leftJoin('person as p', 'p.person_id', 'o.holder_person')
      .leftJoin('vehicle as v', 'v.vehicle_id', 'o.holder_vehicle')
      .select(['e.gear_id', 'o.outing_id', 'e.out_at', 'o.due_back_on', sql<string>`coalesce(p.name, v.name, o.holder_name)`.as('holder')])
      .where('e.gear_id', '=', sql<string>`any(${ids}::uuid[])`)
      .where('e.back_at', 'is', null)
      .where('e.settled', '=', false)
      .execute();
    return new Map(
      rows.map(({ gear_id, outing_id, out_at, due_back_on, holder }) => [
        gear_id,
        { outingId: outing_id, holder, since: out_at.toISOString(), ...(due_back_on !== null && { dueBackOn: due_back_on }) },
      ]),
    );
  }

  /** Puts pieces into a kit, or out of any; nothing that is judged changes. */
  async move(trx: TeamTransaction, actor: Actor, gearIds: readonly string[], kitId: string | null): Promise<void> {
    await trx
      .updateTable('gear')
      .set((eb) => ({ kit_id: kitId, row_version: eb('row_version', '+', 1), changed_by: actor.personId }))
      .where('gear_id', '=', sql<string>`any(${gearIds}::uuid[])`)
      .execute();
  }

  /** When each piece that is not retired wants inspecting, and no more of it: a whole register in a few statements. */
  async dues(trx: TeamTransaction): Promise<readonly PieceDues[]> {
    const rows = await trx
      .selectFrom('gear')
      .select(['gear_id', 'tag', 'name', 'kit_id', 'overloads_since_inspection'])
      .where('state', '<>', 'retired')
      .orderBy('tag_key')
      .execute();
    const latest = await this.latest(
      trx,
      rows.map(({ gear_id }) => gear_id),
    );
    const inspectionOf = new Map(latest.map((row) => [row.gear_id, row]));
    const dueOf = await this.brought(trx, latest);
    return rows.map(({ gear_id, tag, name, kit_id, overloads_since_inspection }) => ({
      tag,
      name,
      overloadsSinceInspection: overloads_since_inspection,
      ...filled({ kitId: kit_id ?? undefined, inspection: lastInspection(inspectionOf.get(gear_id), dueOf.get(gear_id)) }),
    }));
  }

  /** Due days that exposure since the last inspection has brought forward. */
  private async brought(trx: TeamTransaction, latest: readonly InspectionRow[]): Promise<ReadonlyMap<string, InspectionDue>> {
    const dated = latest.filter(({ next_due_on }) => next_due_on !== null);
    const { rows: met } = await sql<MetRow>`
      select e.gear_id, e.kind, e.met_on
      from unnest(${dated.map(({ gear_id }) => gear_id)}::uuid[], ${dated.map(({ inspected_on }) => inspected_on)}::date[]) as since (gear_id, day)
      join exposure e on e.gear_id = since.gear_id and e.met_on >= since.day`.execute(trx);
    if (met.length === 0) return new Map();
    const { policy } = await this.teams.policyInForce(trx);
    const exposures = groupByGear(met);
    return new Map(
      latest.flatMap(({ gear_id, inspected_on, next_due_on }) => {
        const list = (exposures.get(gear_id) ?? []).map(({ kind, met_on }) => ({ kind: kind as Exposure['kind'], on: met_on }));
        if (next_due_on === null || list.length === 0) return [];
        const due = inspectionDue({ on: inspected_on, nextDue: next_due_on }, list, policy);
        return due ? [[gear_id, due] as const] : [];
      }),
    );
  }

  async insert(
    trx: TeamTransaction,
    actor: Actor,
    pieces: readonly { readonly gearId: string; readonly columns: GearColumns; readonly marks: readonly Mark[] }[],
  ): Promise<void> {
    const { teamId: team_id, personId: changed_by } = actor;
    for (const part of chunks(pieces)) {
      await trx
        .insertInto('gear')
        .values(
          part.map(({ gearId, columns }) => ({ ...columns, team_id, gear_id: gearId, row_version: 1, facts_revision: 1, changed_by })),
        )
        .execute();
      const marks = part.flatMap(({ gearId, marks: all }) => markRows({ team_id, gear_id: gearId }, all));
      if (marks.length > 0) await trx.insertInto('gear_mark').values(marks).execute();
    }
  }

  /** Replaces a piece's columns and marks, and counts its versions on. */
  async replace(
    trx: TeamTransaction,
    actor: Actor,
    piece: { readonly gearId: string; readonly columns: GearColumns; readonly marks: readonly Mark[]; readonly factsChanged: boolean },
  ): Promise<void> {
    const { gearId, columns, marks, factsChanged } = piece;
    await trx
      .updateTable('gear')
      .set((eb) => ({
        ...columns,
        row_version: eb('row_version', '+', 1),
        facts_revision: eb('facts_revision', '+', factsChanged ? 1 : 0),
        changed_by: actor.personId,
      }))
      .where('gear_id', '=', gearId)
      .execute();
    await trx.deleteFrom('gear_mark').where('gear_id', '=', gearId).execute();
    const rows = markRows({ team_id: actor.teamId, gear_id: gearId }, marks);
    if (rows.length > 0) await trx.insertInto('gear_mark').values(rows).execute();
  }

  /** Pieces held against other changes until this transaction ends, always in one order, so that two never wait for each other. */
  async lock(trx: TeamTransaction, gearIds: readonly string[]): Promise<void> {
    await some(trx, gearIds).select('gear_id').orderBy('gear_id').forUpdate().execute();
  }

  /** Pieces that nobody may change until this transaction ends; others may read them and hold them likewise. */
  async hold(trx: TeamTransaction, gearIds: readonly string[]): Promise<void> {
    await some(trx, gearIds).select('gear_id').orderBy('gear_id').forShare().execute();
  }

  /** Tags by id. */
  async tags(trx: TeamTransaction, gearIds: readonly string[]): Promise<ReadonlyMap<string, string>> {
    const rows = await some(trx, gearIds).select(['gear_id', 'tag']).execute();
    return new Map(rows.map(({ gear_id, tag }) => [gear_id, tag]));
  }

  /** A new state and what an inspection settles. The row's version rises only where the row itself differs, the facts' where the judged does. */
  async settle(
    trx: TeamTransaction,
    actor: Actor,
    before: GearView,
    after: Pick<GearView, 'state' | 'overloadsSinceInspection' | 'attributes'> & { readonly factsChanged: boolean },
  ): Promise<void> {
    const { state, overloadsSinceInspection, attributes, factsChanged } = after;
    const was = { state: before.state, overloadsSinceInspection: before.overloadsSinceInspection, attributes: before.attributes };
    const rowChanged = canonicalJson(was) !== canonicalJson({ state, overloadsSinceInspection, attributes });
    if (!rowChanged && !factsChanged) return;
    await trx
      .updateTable('gear')
      .set((eb) => ({
        state,
        overloads_since_inspection: overloadsSinceInspection,
        attributes: JSON.stringify(attributes),
        row_version: eb('row_version', '+', rowChanged ? 1 : 0),
        facts_revision: eb('facts_revision', '+', rowChanged || factsChanged ? 1 : 0),
        changed_by: actor.personId,
      }))
      .where('gear_id', '=', before.gearId)
      .execute();
  }

  async addInspections(trx: TeamTransaction, actor: Actor, inspections: readonly NewInspection[]): Promise<void> {
    for (const part of chunks(inspections)) {
      await trx
        .insertInto('inspection')
        .values(
          part.map(({ gearId, on, grade, nextDue, by }) => ({
            team_id: actor.teamId,
            inspection_id: randomUUID(),
            gear_id: gearId,
            inspected_on: on,
            grade,
            next_due_on: nextDue ?? null,
            inspector: by ?? null,
            kind: 'on-record',
            counts: true,
            sheet_version: null,
            sheet: null,
            answers: null,
            proposed_grade: null,
            note: null,
            corrects: null,
            recorded_by: actor.personId,
          })),
        )
        .execute();
    }
  }
}

const some = (trx: TeamTransaction, gearIds: readonly string[]) =>
  trx.selectFrom('gear').where('gear_id', '=', sql<string>`any(${gearIds}::uuid[])`);

interface MetRow {
  readonly gear_id: string;
  readonly kind: string;
  readonly met_on: string;
}

const groupByGear = <T extends { readonly gear_id: string }>(rows: readonly T[]) =>
  gathered(
    rows,
    ({ gear_id }) => gear_id,
    (row) => row,
  );
