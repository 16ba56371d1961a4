import { type Kysely, sql } from 'kysely';

/** Which plan a plan is a variant of; a plan and its variants may come in either order within one transaction. */
export async function up(db: Kysely<unknown>): Promise<void> {
  const statements = [
    'alter table plan add column variant_of uuid, add check (variant_of <> plan_id)',
    'alter table plan add foreign key (team_id, variant_of) references plan deferrable initially deferred',
    'create index plan_variants on plan (team_id, variant_of) where variant_of is not null',
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('alter table plan drop column variant_of').execute(db);
}
