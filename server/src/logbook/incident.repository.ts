import { Injectable } from '@nestjs/common';
import type { FollowUpView, IncidentKind, IncidentPieceView, IncidentQuery, IncidentView } from '@wainrope/contract';
import { type Insertable, sql } from 'kysely';
import { gathered, given, pageOf } from '../database/rows.ts';
import type { IncidentFollowUpTable, IncidentPieceTable, IncidentTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

const LISTED = 50;
/** A season's report shows so many in full. */
const MOST_OF_SEASON = 200;

interface IncidentRow extends Omit<IncidentTable, 'recorded_at'> {
  readonly recorded_at: Date;
  readonly by_name: string;
  readonly plan_name: string | null;
  readonly corrected_by: string | null;
}

/** Incidents with their pieces, pictures and what was done about them. */
@Injectable()
export class IncidentRepository {
  private rows(trx: TeamTransaction) {
    return trx
      .selectFrom('incident as i')
      .innerJoin('person as p', 'p.person_id', 'i.recorded_by')
      .leftJoin('plan as n', 'n.plan_id', 'i.plan_id')
      .leftJoin('incident as c', 'c.corrects', 'i.incident_id')
      .selectAll('i')
      .select(['p.name as by_name', 'n.name as plan_name', 'c.incident_id as corrected_by'])
      .orderBy('i.happened_on', 'desc')
      .orderBy('i.incident_id', 'desc');
  }

  /** Newest first, a page at a time; of one piece where it is named. */
  async list(
    trx: TeamTransaction,
    { gearId, limit = LISTED }: IncidentQuery,
    before?: readonly [string, string],
  ): Promise<{ items: IncidentView[]; next?: string }> {
    let query = this.rows(trx);
    if (before) query = query.where(({ eb, refTuple, tuple }) => eb(refTuple('i.happened_on', 'i.incident_id'), '<', tuple(...before)));
    if (gearId !== undefined)
      query = query.where('i.incident_id', 'in', ({ selectFrom }) =>
        selectFrom('incident_piece as e').select('e.incident_id').where('e.gear_id', '=', gearId),
      );
    const rows = await query.limit(limit + 1).execute();
    const { shown, next } = pageOf(rows, limit, ({ happened_on, incident_id }) => `${happened_on} ${incident_id}`);
    return { items: await this.whole(trx, shown), ...given('next', next) };
  }

  /** Of a season, those that none puts right. */
  async between(trx: TeamTransaction, from: string, to: string): Promise<IncidentView[]> {
    const rows = await this.rows(trx)
      .where('i.happened_on', '>=', from)
      .where('i.happened_on', '<=', to)
      .where('c.incident_id', 'is', null)
      .limit(MOST_OF_SEASON)
      .execute();
    return this.whole(trx, rows);
  }

  async byId(trx: TeamTransaction, incidentId: string): Promise<IncidentView | undefined> {
    const row = await this.rows(trx).where('i.incident_id', '=', incidentId).executeTakeFirst();
    return row && (await this.whole(trx, [row]))[0];
  }

  private async whole(trx: TeamTransaction, rows: readonly IncidentRow[]): Promise<IncidentView[]> {
    if (rows.length === 0) return [];
    const ids = rows.map(({ incident_id }) => incident_id);
    const pieces = await trx
      .selectFrom('incident_piece as e')
      .innerJoin('gear as g', 'g.gear_id', 'e.gear_id')
      .select(['e.incident_id', 'e.gear_id', 'e.taken_out', 'g.tag', 'g.name'])
      .where('e.incident_id', '=', sql<string>`any(${ids}::uuid[])`)
      .orderBy('g.tag_key')
      .execute();
    const followUps = await trx
      .selectFrom('incident_follow_up as f')
      .innerJoin('person as p', 'p.person_id', 'f.written_by')
      .select(['f.incident_id', 'f.follow_up_id', 'f.words', 'f.written_at', 'p.name'])
      .where('f.incident_id', '=', sql<string>`any(${ids}::uuid[])`)
      .orderBy('f.written_at')
      .execute();
    const photos = await trx
      .selectFrom('photo')
      .select(['photo_id', 'subject_id'])
      .where('subject_kind', '=', 'incident')
      .where('subject_id', '=', sql<string>`any(${ids}::uuid[])`)
      .orderBy('taken_at')
      .execute();
    const pieceOf = (row: (typeof pieces)[number]): IncidentPieceView => ({
      gearId: row.gear_id,
      takenOut: row.taken_out,
      tag: row.tag,
      name: row.name,
    });
    const followUpOf = (row: (typeof followUps)[number]): FollowUpView => ({
      followUpId: row.follow_up_id,
      words: row.words,
      by: row.name,
      at: row.written_at.toISOString(),
    });
    const parts = {
      pieces: gathered(pieces, ({ incident_id }) => incident_id, pieceOf),
      followUps: gathered(followUps, ({ incident_id }) => incident_id, followUpOf),
      photos: gathered(
        photos,
        ({ subject_id }) => subject_id,
        ({ photo_id }) => photo_id,
      ),
    };
    return rows.map((row) => ({
      incidentId: row.incident_id,
      on: row.happened_on,
      kind: row.kind as IncidentKind,
      words: row.words,
      ...given('place', row.place),
      ...given('told', row.told),
      ...given('planId', row.plan_id),
      ...given('planName', row.plan_name),
      pieces: parts.pieces.get(row.incident_id) ?? [],
      followUps: parts.followUps.get(row.incident_id) ?? [],
      photoIds: parts.photos.get(row.incident_id) ?? [],
      by: row.by_name,
      at: row.recorded_at.toISOString(),
      ...given('corrects', row.corrects),
      ...given('correctedBy', row.corrected_by),
    }));
  }

  async add(trx: TeamTransaction, row: Insertable<IncidentTable>, pieces: readonly Insertable<IncidentPieceTable>[]): Promise<void> {
    await trx.insertInto('incident').values(row).execute();
    if (pieces.length > 0)
      await trx
        .insertInto('incident_piece')
        .values([...pieces])
        .execute();
  }

  async hasFollowUp(trx: TeamTransaction, followUpId: string): Promise<boolean> {
    const row = await trx.selectFrom('incident_follow_up').select('follow_up_id').where('follow_up_id', '=', followUpId).executeTakeFirst();
    return row !== undefined;
  }

  async addFollowUp(trx: TeamTransaction, row: Insertable<IncidentFollowUpTable>): Promise<void> {
    await trx.insertInto('incident_follow_up').values(row).execute();
  }
}
