import { type Kysely, sql } from 'kysely';

/** Whom a team calls when somebody is hurt, and who is trained in first aid; nothing where nobody has said. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw('alter table team add column call_if_hurt text').execute(db);
  await sql.raw('alter table person add column first_aider boolean').execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('alter table person drop column first_aider').execute(db);
  await sql.raw('alter table team drop column call_if_hurt').execute(db);
}
