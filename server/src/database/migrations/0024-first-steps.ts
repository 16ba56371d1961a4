import { type Kysely, sql } from 'kysely';

/** Whether a team has put the list of its first steps away. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw('alter table team add column first_steps_away boolean not null default false').execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('alter table team drop column first_steps_away').execute(db);
}
