import { type Kysely, sql } from 'kysely';

const COLUMNS = ['made_on', 'bought_on', 'first_used_on'];

/** When a piece was made, bought and first used is kept as far as it is known: a day, a month or a year. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const column of COLUMNS)
    await sql
      .raw(
        `alter table gear alter column ${column} type text using to_char(${column}, 'YYYY-MM-DD'),
         add constraint ${column}_is_a_date check (${column} ~ '^\\d{4}(-\\d{2}(-\\d{2})?)?$')`,
      )
      .execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  for (const column of COLUMNS)
    await sql
      .raw(
        `alter table gear drop constraint ${column}_is_a_date,
         alter column ${column} type date using left(${column} || '-01-01', 10)::date`,
      )
      .execute(db);
}
