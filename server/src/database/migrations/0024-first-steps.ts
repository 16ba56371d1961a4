import { type Kysely, sql } from 'kysely';

/** Whether a team has put the list of its first steps away; nothing where nobody has said. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw('alter table team add column first_steps_away boolean').execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('alter table team drop column first_steps_away').execute(db);
}
