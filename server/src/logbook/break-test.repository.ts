import { Injectable } from '@nestjs/common';
import type { BreakTestList, BreakTestView, GearView } from '@wainrope/contract';
import type { GearClass } from '@wainrope/core';
import { type Insertable, sql } from 'kysely';
import { given, pageOf } from '../database/rows.ts';
import type { BreakTestTable } from '../database/schema.ts';
import type { TeamTransaction } from '../database/team-database.ts';

/** Class, maker and batch, whatever the case of their letters. */
export type Batch = Pick<GearView, 'kind'> & { readonly maker: string; readonly batch: string };

/** Tests to breaking, by class, maker and batch. */
@Injectable()
export class BreakTestRepository {
  private rows(trx: TeamTransaction) {
    return trx
      .selectFrom('break_test as b')
      .innerJoin('person as p', 'p.person_id', 'b.recorded_by')
      .selectAll('b')
      .select('p.name as by_name');
  }

  /** Newest first, before a day and a test of that day. */
  async ofBatch(
    trx: TeamTransaction,
    { kind, maker, batch }: Batch,
    limit: number,
    before?: readonly [string, string],
  ): Promise<Pick<BreakTestList, 'items' | 'next'>> {
    let query = this.rows(trx)
      .where('b.kind', '=', kind)
      .where(sql<string>`lower(b.maker)`, '=', maker.toLowerCase())
      .where(sql<string>`lower(b.batch)`, '=', batch.toLowerCase())
      .orderBy('b.tested_on', 'desc')
      .orderBy('b.test_id', 'desc');
    if (before) query = query.where(({ eb, refTuple, tuple }) => eb(refTuple('b.tested_on', 'b.test_id'), '<', tuple(...before)));
    const { shown, next } = pageOf(await query.limit(limit + 1).execute(), limit, ({ tested_on, test_id }) => `${tested_on} ${test_id}`);
    return { items: shown.map(testView), ...given('next', next) };
  }

  async byId(trx: TeamTransaction, testId: string): Promise<BreakTestView | undefined> {
    const row = await this.rows(trx).where('b.test_id', '=', testId).executeTakeFirst();
    return row && testView(row);
  }

  async piecesOf(trx: TeamTransaction, { kind, maker, batch }: Batch): Promise<number> {
    const row = await trx
      .selectFrom('gear')
      .select(({ fn }) => fn.countAll<string>().as('pieces'))
      .where('kind', '=', kind)
      .where(sql<string>`lower(maker)`, '=', maker.toLowerCase())
      .where(sql<string>`lower(batch)`, '=', batch.toLowerCase())
      .executeTakeFirstOrThrow();
    return Number(row.pieces);
  }

  async add(trx: TeamTransaction, row: Insertable<BreakTestTable>): Promise<void> {
    await trx.insertInto('break_test').values(row).execute();
  }
}

function testView(row: Omit<BreakTestTable, 'recorded_at'> & { readonly recorded_at: Date; readonly by_name: string }): BreakTestView {
  return {
    testId: row.test_id,
    on: row.tested_on,
    kind: row.kind as GearClass,
    maker: row.maker,
    batch: row.batch,
    loadN: row.load_n,
    failedFirst: row.failed_first,
    ...given('model', row.model),
    ...given('note', row.note),
    by: row.by_name,
    at: row.recorded_at.toISOString(),
  };
}
