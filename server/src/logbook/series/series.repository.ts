import { Injectable } from '@nestjs/common';
import type { SeriesList, SeriesListed, SeriesOutline } from '@wainrope/contract';
import type { SeriesColumns, SeriesSummary } from '@wainrope/core';
import type { Insertable, Selectable } from 'kysely';
import { given, pageOf } from '../../database/rows.ts';
import type { LoadSeriesTable } from '../../database/schema.ts';
import type { TeamTransaction } from '../../database/team-database.ts';

/** How a file was read. */
export interface ReadAs {
  readonly columns: SeriesColumns;
  readonly leavesOutSpikes: boolean;
}

export interface SeriesRow {
  readonly listed: SeriesListed;
  readonly outline: SeriesOutline;
}

/** What gauges recorded, by plan. */
@Injectable()
export class SeriesRepository {
  private rows(trx: TeamTransaction) {
    return trx
      .selectFrom('load_series as s')
      .innerJoin('person as p', 'p.person_id', 's.recorded_by')
      .selectAll('s')
      .select('p.name as by_name');
  }

  /** Newest first, behind the series that the page before ended with. */
  async ofPlan(trx: TeamTransaction, planId: string, limit: number, before?: string): Promise<SeriesList> {
    let query = this.rows(trx).where('s.plan_id', '=', planId).orderBy('s.recorded_at', 'desc').orderBy('s.series_id', 'desc');
    if (before !== undefined)
      query = query.where(({ eb, refTuple, selectFrom }) =>
        eb(
          refTuple('s.recorded_at', 's.series_id'),
          '<',
          selectFrom('load_series as l')
            .select(['l.recorded_at', 'l.series_id'])
            .where('l.series_id', '=', before)
            .$asTuple('recorded_at', 'series_id'),
        ),
      );
    const { shown, next } = pageOf(await query.limit(limit + 1).execute(), limit, ({ series_id }) => series_id);
    return { items: shown.map(listed), ...given('next', next) };
  }

  async byId(trx: TeamTransaction, seriesId: string): Promise<SeriesRow | undefined> {
    const row = await this.rows(trx).where('s.series_id', '=', seriesId).executeTakeFirst();
    return row && { listed: listed(row), outline: row.envelope as SeriesOutline };
  }

  async add(trx: TeamTransaction, row: Insertable<LoadSeriesTable>): Promise<void> {
    await trx.insertInto('load_series').values(row).execute();
  }

  async addPart(trx: TeamTransaction, key: { readonly team_id: string; readonly series_id: string }, partNo: number, content: Buffer) {
    await trx
      .insertInto('load_series_part')
      .values({ ...key, part_no: partNo, content })
      .execute();
  }

  /** One part of the packed file; nothing behind the last. */
  async part(trx: TeamTransaction, seriesId: string, partNo: number): Promise<Buffer | undefined> {
    const row = await trx
      .selectFrom('load_series_part')
      .select('content')
      .where('series_id', '=', seriesId)
      .where('part_no', '=', partNo)
      .executeTakeFirst();
    return row?.content;
  }
}

type Row = Selectable<LoadSeriesTable> & { readonly by_name: string };

function listed(row: Row): SeriesListed {
  const { leavesOutSpikes } = row.read_as as ReadAs;
  const found = row.summary as SeriesSummary;
  return {
    seriesId: row.series_id,
    planId: row.plan_id,
    version: row.plan_version,
    lineId: row.line_id,
    strand: row.strand,
    on: row.pulled_on,
    fileName: row.file_name,
    bytes: row.bytes,
    leftOutSpikes: leavesOutSpikes,
    found: { ...found, refused: [...found.refused], spikeLines: [...found.spikeLines] },
    ...given('note', row.note),
    by: row.by_name,
    at: row.recorded_at.toISOString(),
  };
}
