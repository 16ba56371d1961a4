import { type Kysely, sql } from 'kysely';

/** The hook-up book also knows which parts a line touches that is led under a vehicle, and how round they are. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    'alter table hook_up drop constraint hook_up_kind_check',
    "alter table hook_up add constraint hook_up_kind_check check (kind in ('used', 'last-resort', 'refused', 'touched'))",
    'alter table hook_up add column radius_m double precision check (radius_m > 0)',
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
