import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

/** A piece that was bought and pulled until it broke speaks for its batch; a piece says of which batch it is. */
const STATEMENTS = [
  'alter table gear add column batch text',
  `create table break_test (
    team_id uuid not null,
    test_id uuid not null,
    tested_on date not null,
    kind text not null,
    maker text not null,
    model text,
    batch text not null,
    load_n double precision not null,
    failed_first text not null,
    note text,
    recorded_by uuid not null,
    recorded_at timestamptz not null default wainrope_now(),
    primary key (team_id, test_id),
    foreign key (team_id, recorded_by) references person
  )`,
  ...ownTeam('break_test'),
  ...appendOnly('break_test'),
  'create index break_test_of_class on break_test (team_id, kind, tested_on desc)',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('drop table break_test').execute(db);
  await sql.raw('alter table gear drop column batch').execute(db);
}
