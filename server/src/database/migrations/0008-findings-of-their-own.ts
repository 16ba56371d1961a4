import { type Kysely, sql } from 'kysely';

/**
 * Findings have ids of their own, by rule, subject and place. What was answered for before went by rule and subject, and goes on
 * covering all that a rule says of a subject in that version of its plan.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(
      "alter table plan_override add column covers text not null default 'rule-and-subject' check (covers in ('finding', 'rule-and-subject'))",
    )
    .execute(db);
}
