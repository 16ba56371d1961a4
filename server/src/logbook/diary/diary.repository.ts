import { Injectable } from '@nestjs/common';
import type { DiaryEntry, DiaryKind, DiaryView } from '@wainrope/contract';
import { type Insertable, sql } from 'kysely';
import { given, pageOf } from '../../database/rows.ts';
import type { DiaryEntryTable } from '../../database/schema.ts';
import type { TeamTransaction } from '../../database/team-database.ts';

/** What was done to drums and lines. */
@Injectable()
export class DiaryRepository {
  async has(trx: TeamTransaction, entryId: string): Promise<boolean> {
    return (await trx.selectFrom('diary_entry').select('entry_id').where('entry_id', '=', entryId).executeTakeFirst()) !== undefined;
  }

  async add(trx: TeamTransaction, row: Insertable<DiaryEntryTable>): Promise<void> {
    await trx.insertInto('diary_entry').values(row).execute();
  }

  /** Newest first, before a day and a number of that day. */
  async page(
    trx: TeamTransaction,
    gearId: string,
    limit: number,
    before?: readonly [string, string],
  ): Promise<Pick<DiaryView, 'items' | 'next'>> {
    let query = trx
      .selectFrom('diary_entry as d')
      .innerJoin('person as p', 'p.person_id', 'd.recorded_by')
      .selectAll('d')
      .select('p.name as by_name')
      .where('d.gear_id', '=', gearId);
    if (before) query = query.where(({ eb, refTuple, tuple }) => eb(refTuple('d.done_on', 'd.recorded_no'), '<', tuple(...before)));
    const rows = await query
      .orderBy('d.done_on', 'desc')
      .orderBy('d.recorded_no', 'desc')
      .limit(limit + 1)
      .execute();
    const { shown, next } = pageOf(rows, limit, ({ done_on, recorded_no }) => `${done_on} ${recorded_no}`);
    return { items: shown.map(entryView), ...given('next', next) };
  }

  /** Metres that the line has run since its drum was last spooled under tension; nothing where it never was on record. */
  async ranSince(trx: TeamTransaction, gearId: string): Promise<Pick<DiaryView, 'ranSinceM' | 'spooledOn'>> {
    const { rows } = await sql<{ spooled_on: string; ran: number }>`
      select s.done_on as spooled_on, coalesce((select sum(r.metres) from diary_entry r where r.gear_id = ${gearId} and r.kind = 'ran'
        and (r.done_on, r.recorded_no) > (s.done_on, s.recorded_no)), 0) as ran
      from diary_entry s where s.gear_id = ${gearId} and s.kind = 'spooled' and s.spool_state = 'under-tension'
      order by s.done_on desc, s.recorded_no desc limit 1`.execute(trx);
    const [last] = rows;
    return last ? { ranSinceM: last.ran, spooledOn: last.spooled_on } : {};
  }
}

function entryView(
  row: Omit<DiaryEntryTable, 'recorded_at' | 'recorded_no'> & { readonly recorded_at: Date; readonly by_name: string },
): DiaryEntry {
  return {
    entryId: row.entry_id,
    on: row.done_on,
    kind: row.kind as DiaryKind,
    ...given('spoolState', row.spool_state as DiaryEntry['spoolState'] | null),
    ...given('tensionN', row.tension_n),
    ...given('metres', row.metres),
    ...given('cutAt', row.cut_at as DiaryEntry['cutAt'] | null),
    ...given('endTermination', row.end_termination as DiaryEntry['endTermination'] | null),
    ...given('eyeLock', row.eye_lock as DiaryEntry['eyeLock'] | null),
    ...given('note', row.note),
    by: row.by_name,
    at: row.recorded_at.toISOString(),
  };
}
