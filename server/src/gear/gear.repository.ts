import { Injectable } from '@nestjs/common';
import type { DueFacts, GearView, PieceAway } from '@wainrope/contract';
import {
  addDays,
  canonicalJson,
  type Exposure,
  type GearClass,
  gearClasses,
  gearClassNames,
  type Mark,
  pullsUsedUpOn,
  type TonUnit,
} from '@wainrope/core';
import { type Insertable, sql } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import { Clock } from '../clock/clock.ts';
import { chunks, gathered, given } from '../database/rows.ts';
import type { GearTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { pullsOf } from './counters.ts';
import { type DueDay, dueDay } from './due-days.ts';
import { type GearRow, gearView, type InspectionRow, markRows } from './gear.mapper.ts';

/** Every column that what a person enters goes into. */
export type GearColumns = Required<Omit<Insertable<GearTable>, 'team_id' | 'gear_id' | 'row_version' | 'facts_revision' | 'changed_by'>>;

/** What tells when a piece wants inspecting. */
export type PieceDues = DueFacts & Pick<GearView, 'tag' | 'name' | 'kitId'>;

type Inspected = Pick<GearRow, 'gear_id' | 'last_inspected_on' | 'last_due_on' | 'wear_meets_on' | 'wear_measure'>;
type CountedRow = Pick<GearRow, 'gear_id' | 'kind' | 'attributes' | 'first_used_on'>;

const COUNTING_PULLS = gearClassNames.filter((kind) => gearClasses[kind].carriesOn === 'pulls');

/** The pace of a rope is that of so many days. */
const YEAR = 365;

@Injectable()
export class GearRepository {
  constructor(
    private readonly teams: TeamRepository,
    private readonly clock: Clock,
  ) {}

  /** One page in tag order, after a tag and up to another. */
  async page(trx: TeamTransaction, { after, upTo, limit }: Part): Promise<readonly GearView[]> {
    let query = trx.selectFrom('gear').selectAll();
    if (after !== undefined) query = query.where('tag_key', '>', after.toLowerCase());
    if (upTo !== undefined) query = query.where('tag_key', '<=', upTo.toLowerCase());
    return this.withDetails(trx, await query.orderBy('tag_key').limit(limit).execute());
  }

  /** After which tags pages of so many begin, behind a tag, that one first. */
  async pageStarts(trx: TeamTransaction, { after, limit }: { readonly after: string; readonly limit: number }): Promise<string[]> {
    const { rows } = await sql<{ tag_key: string }>`
      select tag_key from (
        select tag_key, row_number() over (order by tag_key) as n, count(*) over () as total from gear where tag_key > ${after.toLowerCase()}) r
      where n % ${limit} = 0 and n < total order by n`.execute(trx);
    return [after, ...rows.map(({ tag_key }) => tag_key)];
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
    const latest = await this.latest(trx, rows);
    const marksOf = groupByGear(marks);
    const inspectionOf = new Map(latest.map((row) => [row.gear_id, row]));
    const dueOf = await this.brought(trx, rows);
    const usedUpOf = await this.pullsUsedUp(trx, rows);
    const awayOf = await this.away(trx, ids);
    return rows.map((row) =>
      gearView(row, marksOf.get(row.gear_id) ?? [], {
        latest: inspectionOf.get(row.gear_id),
        due: dueOf.get(row.gear_id),
        pullsUsedUpOn: usedUpOf.get(row.gear_id),
        away: awayOf.get(row.gear_id),
      }),
    );
  }

  /** The last inspection of each piece that counts and that none corrects. */
  private async latest(trx: TeamTransaction, pieces: readonly Pick<GearRow, 'last_inspection_id'>[]): Promise<readonly InspectionRow[]> {
    const ids = pieces.flatMap(({ last_inspection_id }) => last_inspection_id ?? []);
    if (ids.length === 0) return [];
    const { rows } = await sql<InspectionRow>`
      select i.gear_id, i.inspected_on, i.grade, i.next_due_on,
        case when i.kind = 'on-record' then i.inspector else (select p.name from person p where p.person_id = i.recorded_by) end as inspector
      from inspection i where i.inspection_id = any(${ids}::uuid[])`.execute(trx);
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

  /** When each piece that is not retired wants inspecting, and no more of it; with a day, only those of which that may be asked by then. */
  async dues(trx: TeamTransaction, by?: string): Promise<readonly PieceDues[]> {
    let query = trx
      .selectFrom('gear')
      .select(['gear_id', 'tag', 'name', 'kit_id', 'kind', 'attributes', 'first_used_on', 'overloads_since_inspection'])
      .select(['last_inspected_on', 'last_due_on', 'wear_meets_on', 'wear_measure'])
      .where('state', '<>', 'retired');
    if (by !== undefined)
      query = query.where((eb) =>
        eb.or([
          eb('overloads_since_inspection', '>', 0),
          eb('last_inspected_on', 'is', null),
          eb('last_due_on', '<', by),
          eb('wear_meets_on', 'is not', null),
          eb('kind', 'in', COUNTING_PULLS),
          sql<boolean>`exists (select 1 from exposure e where e.gear_id = gear.gear_id and e.met_on >= gear.last_inspected_on offset 0)`,
        ]),
      );
    const rows = await query.orderBy('tag_key').execute();
    const dueOf = await this.brought(trx, rows);
    const usedUpOf = await this.pullsUsedUp(trx, rows);
    return rows.map(({ gear_id, tag, name, kit_id, overloads_since_inspection, last_inspected_on, last_due_on }) => ({
      tag,
      name,
      overloadsSinceInspection: overloads_since_inspection,
      ...(kit_id !== null && { kitId: kit_id }),
      ...given('pullsUsedUpOn', usedUpOf.get(gear_id)),
      ...(last_inspected_on !== null && { inspection: dueOf.get(gear_id) ?? given('nextDue', last_due_on) }),
    }));
  }

  /** When pieces that were inspected fall due, where anything but the inspector's own day has a say in it. */
  private async brought(trx: TeamTransaction, pieces: readonly Inspected[]): Promise<ReadonlyMap<string, DueDay>> {
    const dated = pieces.flatMap(({ last_inspected_on, ...piece }) =>
      last_inspected_on === null ? [] : [{ ...piece, last_inspected_on }],
    );
    if (dated.length === 0) return new Map();
    const { rows: met } = await sql<MetRow>`
      select since.gear_id, e.kind, e.met_on
      from unnest(${dated.map(({ gear_id }) => gear_id)}::uuid[], ${dated.map(({ last_inspected_on }) => last_inspected_on)}::date[])
        as since (gear_id, day)
      cross join lateral (
        select x.kind, x.met_on from exposure x where x.gear_id = since.gear_id and x.met_on >= since.day offset 0) e`.execute(trx);
    const exposures = groupByGear(met);
    const moved = dated.filter(({ gear_id, wear_meets_on }) => wear_meets_on !== null || exposures.has(gear_id));
    if (moved.length === 0) return new Map();
    const { policy } = await this.teams.policyInForce(trx);
    return new Map(
      moved.map((piece) => {
        const list = (exposures.get(piece.gear_id) ?? []).map(({ kind, met_on }) => ({ kind: kind as Exposure['kind'], on: met_on }));
        return [piece.gear_id, dueDay(piece, list, policy)] as const;
      }),
    );
  }

  /** The day on which the pulls of each rope that counts them will be used up, at the pace of its last year. */
  private async pullsUsedUp(trx: TeamTransaction, pieces: readonly CountedRow[]): Promise<ReadonlyMap<string, string>> {
    const ropes = pieces.flatMap(({ attributes, ...row }) => {
      const kind = row.kind as GearClass;
      const used = pullsOf({ kind, attributes: attributes as object });
      return used === undefined ? [] : [{ ...row, used, allowed: (attributes as { readonly pullsAllowed?: number }).pullsAllowed }];
    });
    if (ropes.length === 0) return new Map();
    const today = this.clock.today();
    const { rows } = await sql<{ gear_id: string; lately: number; first_on: string }>`
      select l.gear_id, coalesce(sum(l.pulls) filter (where l.pulled_on > ${addDays(today, -YEAR)}::date), 0)::int as lately,
        min(l.pulled_on) as first_on
      from load_record l
      where l.gear_id = any(${ropes.map(({ gear_id }) => gear_id)}::uuid[])
        and not exists (select 1 from load_record c where c.corrects = l.record_id)
      group by l.gear_id`.execute(trx);
    const logged = new Map(rows.map((row) => [row.gear_id, row]));
    const { policy } = await this.teams.policyInForce(trx);
    return new Map(
      ropes.flatMap(({ gear_id, first_used_on, used, allowed = policy.stretch.pullsAllowed.value }) => {
        const { lately = 0, first_on } = logged.get(gear_id) ?? {};
        const on = pullsUsedUpOn({ used, allowed, lately, firstUsedOn: first_used_on ?? first_on ?? today }, today);
        return on === undefined ? [] : [[gear_id, on] as const];
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
}

const some = (trx: TeamTransaction, gearIds: readonly string[]) =>
  trx.selectFrom('gear').where('gear_id', '=', sql<string>`any(${gearIds}::uuid[])`);

interface Part {
  readonly after?: string;
  readonly upTo?: string;
  readonly limit: number;
}

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
