import { type Kysely, sql } from 'kysely';

/** What is forecast to end a piece's use first: written in the act that measures it, so that a list looks it up. */
const STATEMENTS = [
  'alter table gear add column wear_meets_on date, add column wear_measure text, add check ((wear_meets_on is null) = (wear_measure is null))',
  'create index gear_wearing on gear (team_id, wear_meets_on) where wear_meets_on is not null',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('alter table gear drop column wear_meets_on, drop column wear_measure').execute(db);
}
