import { Injectable } from '@nestjs/common';
import type { LoadList, LoadSummary, LoadView } from '@wainrope/contract';
import type { CycleBin } from '@wainrope/core';
import { type Insertable, sql } from 'kysely';
import { given, pageOf } from '../database/rows.ts';
import type { LoadRecordTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

@Injectable()
export class LoadRepository {
  private loads(trx: TeamTransaction) {
    return trx
      .selectFrom('load_record as l')
      .innerJoin('person as p', 'p.person_id', 'l.recorded_by')
      .leftJoin('plan as n', 'n.plan_id', 'l.plan_id')
      .leftJoin('load_record as c', 'c.corrects', 'l.record_id')
      .selectAll('l')
      .select(['p.name as by_name', 'n.name as plan_name', 'c.record_id as corrected_by']);
  }

  /** Newest first, a page at a time. */
  async list(
    trx: TeamTransaction,
    gearId: string,
    limit: number,
    before?: readonly [string, string],
  ): Promise<Pick<LoadList, 'items' | 'next'>> {
    let query = this.loads(trx).where('l.gear_id', '=', gearId);
    if (before) query = query.where(({ eb, refTuple, tuple }) => eb(refTuple('l.pulled_on', 'l.recorded_no'), '<', tuple(...before)));
    const rows = await query
      .orderBy('l.pulled_on', 'desc')
      .orderBy('l.recorded_no', 'desc')
      .limit(limit + 1)
      .execute();
    const { shown, next } = pageOf(rows, limit, ({ pulled_on, recorded_no }) => `${pulled_on} ${recorded_no}`);
    return { items: shown.map(loadView), ...given('next', next) };
  }

  /** What a piece has been through in all; records that were corrected do not count. */
  async summary(
    trx: TeamTransaction,
    gearId: string,
  ): Promise<Omit<LoadSummary, 'usageIndex' | 'cycles'> & { cycles: readonly CycleBin[] }> {
    const { rows } = await sql<TotalRow>`
      with counted as (select * from load_record l where l.gear_id = ${gearId}
        and not exists (select 1 from load_record c where c.corrects = l.record_id))
      select count(*)::int as records, coalesce(sum(pulls), 0)::int as pulls, max(happened_n / nullif(wll_n, 0)) as share, max(recorded_at) as last_at,
        (select coalesce(jsonb_agg(jsonb_build_object('bin', bin, 'cycles', cycles) order by bin), '[]') from (
          select (e ->> 'bin')::int as bin, sum((e ->> 'cycles')::float8) as cycles
          from counted cross join lateral jsonb_array_elements(cycles) e group by 1) b) as cycles
      from counted`.execute(trx);
    const [row] = rows;
    if (!row) throw new Error('Broken invariant: an aggregate gives one row');
    return {
      records: row.records,
      pulls: row.pulls,
      cycles: row.cycles,
      ...given('largestShare', row.share),
      ...given('lastAt', row.last_at?.toISOString()),
    };
  }

  async byId(trx: TeamTransaction, recordId: string): Promise<LoadView | undefined> {
    const row = await this.loads(trx).where('l.record_id', '=', recordId).executeTakeFirst();
    return row && loadView(row);
  }

  async ofPull(trx: TeamTransaction, pullId: string): Promise<LoadView[]> {
    return (await this.loads(trx).where('l.pull_id', '=', pullId).orderBy('l.recorded_no').execute()).map(loadView);
  }

  async ofSeries(trx: TeamTransaction, seriesId: string): Promise<LoadView[]> {
    return (await this.loads(trx).where('l.series_id', '=', seriesId).orderBy('l.recorded_no').execute()).map(loadView);
  }

  async add(trx: TeamTransaction, row: Insertable<LoadRecordTable>): Promise<void> {
    await trx.insertInto('load_record').values(row).execute();
  }
}

interface TotalRow {
  readonly records: number;
  readonly pulls: number;
  readonly share: number | null;
  readonly last_at: Date | null;
  readonly cycles: readonly CycleBin[];
}

interface LoadRow extends Omit<LoadRecordTable, 'cycles' | 'recorded_at' | 'recorded_no'> {
  readonly recorded_at: Date;
  readonly by_name: string;
  readonly plan_name: string | null;
  readonly corrected_by: string | null;
}

function loadView(row: LoadRow): LoadView {
  return {
    recordId: row.record_id,
    gearId: row.gear_id,
    on: row.pulled_on,
    plannedN: row.planned_n,
    stalled: row.stalled,
    pulls: row.pulls,
    happenedN: row.happened_n,
    overload: row.overload as LoadView['overload'],
    known: row.known as LoadView['known'],
    by: row.by_name,
    at: row.recorded_at.toISOString(),
    ...given('greatestN', row.greatest_n),
    ...given('peakN', row.peak_n),
    ...given('wllN', row.wll_n),
    ...given('share', row.wll_n === null ? null : row.happened_n / row.wll_n),
    ...given('place', row.place),
    ...given('planId', row.plan_id),
    ...given('planName', row.plan_name),
    ...given('note', row.note),
    ...given('seriesId', row.series_id),
    ...given('corrects', row.corrects),
    ...given('correctedBy', row.corrected_by),
  };
}
