import { Injectable } from '@nestjs/common';
import { sql } from 'kysely';
import type { TeamTransaction } from '../database/team-database.ts';
import type { BundleTable } from './bundle-tables.ts';

type Row = Record<string, unknown>;

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

  async team(trx: TeamTransaction): Promise<Row> {
    const { rows } = await sql<{ row: Row }>`select to_jsonb(t) as row from team t`.execute(trx);
    return withoutNothing(rows[0]?.row ?? {});
  }

  async rows(trx: TeamTransaction, { name, order, bytes = [] }: BundleTable): Promise<readonly Row[]> {
    const { rows } = await sql<{ row: Row }>`
      select to_jsonb(t) - 'team_id' as row from ${sql.table(name)} t order by ${sql.join(order.map((column) => sql.ref(`t.${column}`)))}`.execute(
      trx,
    );
    return rows.map(({ row }) => inBase64(withoutNothing(row), bytes));
  }

  async addTeam(trx: TeamTransaction, team: object): Promise<void> {
    await sql`insert into team select * from jsonb_populate_record(null::team, ${JSON.stringify(team)}::jsonb)`.execute(trx);
  }

  async addRows(trx: TeamTransaction, teamId: string, { name, bytes = [], numbered }: BundleTable, rows: readonly object[]): Promise<void> {
    const table = sql.table(name);
    const whole = JSON.stringify(rows.map((row) => ({ ...inHex(row as Row, bytes), team_id: teamId })));
    await sql`insert into ${table} overriding system value select * from jsonb_populate_recordset(null::${table}, ${whole}::jsonb)`.execute(
      trx,
    );
    if (numbered === undefined || rows.length === 0) return;
    // Numbers are one sequence for all teams: it goes on after the greatest, here or elsewhere.
    await sql`
      select setval(pg_get_serial_sequence(${name}, ${numbered}),
        greatest(nextval(pg_get_serial_sequence(${name}, ${numbered})), (select max(${sql.ref(numbered)}) from ${table})))`.execute(trx);
  }
}

/** A column without a value is left out. */
function withoutNothing(row: Row): Row {
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null));
}

function inBase64(row: Row, columns: readonly string[]): Row {
  return {
    ...row,
    ...Object.fromEntries(columns.map((column) => [column, Buffer.from(String(row[column]).slice(2), 'hex').toString('base64')])),
  };
}

function inHex(row: Row, columns: readonly string[]): Row {
  return {
    ...row,
    ...Object.fromEntries(columns.map((column) => [column, `\\x${Buffer.from(String(row[column]), 'base64').toString('hex')}`])),
  };
}
