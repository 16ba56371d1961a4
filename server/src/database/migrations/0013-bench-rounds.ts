import { type Kysely, sql } from 'kysely';
import { ownTeam } from './table-rights.ts';

/** Rounds of inspections that are being worked through, so that another device can see one and take it over. They go when they are put away. */
const STATEMENTS = [
  `create table bench_round (
    team_id uuid not null,
    round_id uuid not null,
    title text not null,
    kind text not null,
    corrects uuid,
    gear_ids uuid[] not null,
    confirmed uuid[] not null,
    drafts jsonb not null,
    begun_at timestamptz not null,
    person_id uuid not null,
    device_id uuid not null,
    heard_at timestamptz not null default now(),
    primary key (team_id, round_id),
    foreign key (team_id, person_id) references person
  )`,
  ...ownTeam('bench_round'),
  'grant update, delete on bench_round to wainrope_app',
  'create index bench_round_heard on bench_round (team_id, heard_at desc)',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('drop table bench_round').execute(db);
}
