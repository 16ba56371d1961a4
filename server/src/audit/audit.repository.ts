import { Injectable } from '@nestjs/common';
import type { AuditChange, AuditEntryView, AuditQuery, SubjectKind } from '@wainrope/contract';
import { sql } from 'kysely';
import type { Actor } from '../actor/actor.ts';
import type { TeamTransaction } from '../database/team-database.ts';
import { EVENT_CHANNEL } from '../events/event-channel.ts';

interface NewEntry {
  readonly action: string;
  readonly kind: SubjectKind;
  readonly id: string;
  readonly name: string;
  readonly changes: readonly AuditChange[];
  readonly note?: string | undefined;
  readonly corrects?: string | undefined;
}

interface PageQuery extends AuditQuery {
  readonly limit: number;
  readonly subjectId?: string;
  readonly after?: string;
  readonly exceptPerson?: string;
}

const CHUNK = 500;
/** So many entries at most are gone through to tell what is new. */
const LOOKED_AT = 1000;

/** An inspection stands in the trail of its piece too; who signed in is nobody’s news. */
const NO_NEWS: readonly SubjectKind[] = ['inspection', 'load', 'account'];

@Injectable()
export class AuditRepository {
  /** Adds entries, and tells every server of this database once the transaction stands. */
  async add(trx: TeamTransaction, actor: Actor, entries: readonly NewEntry[]): Promise<void> {
    for (let at = 0; at < entries.length; at += CHUNK) {
      await trx
        .insertInto('audit_entry')
        .values(
          entries.slice(at, at + CHUNK).map(({ action, kind, id, name, changes, note, corrects }) => ({
            team_id: actor.teamId,
            person_id: actor.personId,
            action,
            subject_kind: kind,
            subject_id: id,
            subject_name: name,
            changes: JSON.stringify(changes),
            note: note ?? null,
            corrects: corrects ?? null,
          })),
        )
        .execute();
    }
    for (const kind of new Set(entries.map((entry) => entry.kind))) {
      const ids = [...new Set(entries.filter((entry) => entry.kind === kind).map(({ id }) => id))];
      const event = { teamId: actor.teamId, kind, by: actor.name, ...(ids.length <= 20 && { ids }) };
      await sql`select pg_notify(${EVENT_CHANNEL}, ${JSON.stringify(event)})`.execute(trx);
    }
  }

  /** Whether somebody counted overloads of a piece after a moment. */
  async countedAfter(trx: TeamTransaction, gearId: string, moment: Date): Promise<boolean> {
    const row = await trx
      .selectFrom('audit_entry')
      .select('entry_no')
      .where('subject_id', '=', gearId)
      .where('at', '>', moment)
      .where(sql<boolean>`changes::text like '%verloads%'`)
      .limit(1)
      .executeTakeFirst();
    return row !== undefined;
  }

  /** Newest first. */
  async page(trx: TeamTransaction, query: PageQuery): Promise<AuditEntryView[]> {
    let rows = trx
      .selectFrom('audit_entry as a')
      .innerJoin('person as p', 'p.person_id', 'a.person_id')
      .select([
        'a.entry_no',
        'a.at',
        'p.name as by_name',
        'a.action',
        'a.subject_kind',
        'a.subject_id',
        'a.subject_name',
        'a.changes',
        'a.note',
        'a.corrects',
      ]);
    if (query.before !== undefined) rows = rows.where('a.entry_no', '<', String(query.before));
    if (query.kind !== undefined) rows = rows.where('a.subject_kind', '=', query.kind);
    if (query.person !== undefined) rows = rows.where('a.person_id', '=', query.person);
    if (query.after !== undefined) rows = rows.where('a.entry_no', '>', query.after);
    if (query.exceptPerson !== undefined)
      rows = rows.where('a.person_id', '<>', query.exceptPerson).where('a.subject_kind', 'not in', NO_NEWS);
    if (query.subjectId !== undefined) rows = rows.where('a.subject_id', '=', query.subjectId);
    const found = await rows.orderBy('a.entry_no', 'desc').limit(query.limit).execute();
    return found.map((row) => ({
      entryNo: Number(row.entry_no),
      at: row.at.toISOString(),
      by: row.by_name,
      action: row.action,
      subjectKind: row.subject_kind as SubjectKind,
      subjectId: row.subject_id,
      subjectName: row.subject_name,
      changes: row.changes as AuditChange[],
      ...(row.note !== null && { note: row.note }),
      ...(row.corrects !== null && { corrects: Number(row.corrects) }),
    }));
  }

  async newestEntryNo(trx: TeamTransaction): Promise<string> {
    const row = await trx.selectFrom('audit_entry').select('entry_no').orderBy('entry_no', 'desc').limit(1).executeTakeFirst();
    return row?.entry_no ?? '0';
  }

  async entryOf(trx: TeamTransaction, subjectId: string): Promise<string | undefined> {
    const row = await trx
      .selectFrom('audit_entry')
      .select('entry_no')
      .where('subject_id', '=', subjectId)
      .orderBy('entry_no')
      .limit(1)
      .executeTakeFirst();
    return row?.entry_no;
  }

  visitOf(trx: TeamTransaction, { personId }: Actor) {
    return trx.selectFrom('person_visit').select(['seen_entry_no', 'seen_at']).where('person_id', '=', personId).executeTakeFirst();
  }

  async markSeen(trx: TeamTransaction, { teamId, personId }: Actor, entryNo: number): Promise<void> {
    const seen = { seen_entry_no: String(entryNo), seen_at: new Date() };
    await trx
      .insertInto('person_visit')
      .values({ team_id: teamId, person_id: personId, ...seen })
      .onConflict((conflict) => conflict.columns(['team_id', 'person_id']).doUpdateSet(seen))
      .execute();
  }

  /** The newest of what others did after an entry, and how much it is in all; of a long absence only the newest entries are counted. */
  async byOthersSince(
    trx: TeamTransaction,
    { personId }: Actor,
    entryNo: string,
    limit: number,
  ): Promise<{ readonly entries: AuditEntryView[]; readonly count: number; readonly isMore: boolean }> {
    const beyond = await trx
      .selectFrom('audit_entry')
      .select('entry_no')
      .where('entry_no', '>', entryNo)
      .orderBy('entry_no', 'desc')
      .offset(LOOKED_AT)
      .limit(1)
      .executeTakeFirst();
    const after = beyond?.entry_no ?? entryNo;
    const { count } = await trx
      .selectFrom('audit_entry')
      .select((eb) => eb.fn.countAll<string>().as('count'))
      .where('entry_no', '>', after)
      .where('person_id', '<>', personId)
      .where('subject_kind', 'not in', NO_NEWS)
      .executeTakeFirstOrThrow();
    const entries = await this.page(trx, { limit, after, exceptPerson: personId });
    return { entries, count: Number(count), isMore: beyond !== undefined };
  }
}
