import { Injectable } from '@nestjs/common';
import { type RawBuilder, sql } from 'kysely';
import type { TeamTransaction } from '../database/team-database.ts';
import { type BundleTable, columnsOf } from './bundle-tables.ts';

type Row = Record<string, unknown>;

/** Rows that are in memory at once, on the way out and on the way in. */
const BATCH = 200;

/** Reads and writes whole tables of a team, as the bundle's declarations name them. */
@Injectable()
export class BundleRepository {
  /** A whole team may take longer than any one page does. */
  async takesItsTime(trx: TeamTransaction): Promise<void> {
    await sql`set local statement_timeout = 0`.execute(trx);
  }

  /** Moments come out in universal time. */
  async inUniversalTime(trx: TeamTransaction): Promise<void> {
    await sql`set local time zone 'UTC'`.execute(trx);
  }

  /** The team's own row, as JSON text. */
  async team(trx: TeamTransaction): Promise<string> {
    const { rows } = await sql<{ text: string }>`select ${withoutNothing(sql`to_jsonb(t)`)} as text from team t`.execute(trx);
    return rows[0]?.text ?? '{}';
  }

  /** The rows of a table in their order, each as JSON text, made by the database and read a batch at a time. */
  async *texts(trx: TeamTransaction, { name, order, bytes = [], row }: BundleTable): AsyncGenerator<readonly string[]> {
    const inOrder = sql.join(order.map((column) => sql.ref(`t.${column}`)));
    const inBase64 = bytes.map((column) => sql`${sql.lit(column)}, translate(encode(${sql.ref(`t.${column}`)}, 'base64'), e'\n', '')`);
    const whole = bytes.length > 0 ? sql`to_jsonb(t) || jsonb_build_object(${sql.join(inBase64)})` : sql`to_jsonb(t)`;
    const named = sql`key in (${sql.join(columnsOf(row).map((column) => sql.lit(column)))})`;
    await sql`declare team_file no scroll cursor for select ${withoutNothing(whole, named)} as text from ${sql.table(name)} t order by ${inOrder}`.execute(
      trx,
    );
    for (;;) {
      const { rows } = await sql<{ text: string }>`fetch forward ${sql.lit(BATCH)} from team_file`.execute(trx);
      if (rows.length > 0) yield rows.map(({ text }) => text);
      if (rows.length < BATCH) break;
    }
    await sql`close team_file`.execute(trx);
  }

  async addTeam(trx: TeamTransaction, team: object): Promise<void> {
    await sql`insert into team select * from jsonb_populate_record(null::team, ${JSON.stringify(team)}::jsonb)`.execute(trx);
  }

  async addRows(
    trx: TeamTransaction,
    teamId: string,
    { name, bytes = [], numbered, row }: BundleTable,
    rows: readonly object[],
  ): Promise<void> {
    const table = sql.table(name);
    const columns = sql.join(['team_id', ...columnsOf(row)].map((column) => sql.ref(column)));
    for (let at = 0; at < rows.length; at += BATCH) {
      const some = JSON.stringify(rows.slice(at, at + BATCH).map((entry) => ({ ...inHex(entry as Row, bytes), team_id: teamId })));
      await sql`insert into ${table} (${columns}) overriding system value
        select ${columns} from jsonb_populate_recordset(null::${table}, ${some}::jsonb)`.execute(trx);
    }
    if (numbered === undefined || rows.length === 0) return;
    // Numbers are one sequence for all teams: it goes on after the greatest, here or elsewhere.
    await sql`
      select setval(pg_get_serial_sequence(${name}, ${numbered}),
        greatest(nextval(pg_get_serial_sequence(${name}, ${numbered})), (select max(${sql.ref(numbered)}) from ${table})))`.execute(trx);
  }
}

/** A column without a value is left out. */
const withoutNothing = (row: RawBuilder<unknown>, kept: RawBuilder<unknown> = sql`true`) =>
  sql`(select coalesce(jsonb_object_agg(key, value), '{}')::text from jsonb_each(${row}) where value <> 'null' and ${kept})`;

function inHex(row: Row, columns: readonly string[]): Row {
  return {
    ...row,
    ...Object.fromEntries(columns.map((column) => [column, `\\x${Buffer.from(String(row[column]), 'base64').toString('hex')}`])),
  };
}
