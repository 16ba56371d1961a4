import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

/** What is done to drums and lines. */
const STATEMENTS = [
  `create table diary_entry (
    team_id uuid not null,
    entry_id uuid not null,
    gear_id uuid not null,
    done_on date not null,
    kind text not null,
    spool_state text,
    tension_n double precision,
    metres double precision,
    cut_at text,
    end_termination text,
    eye_lock text,
    note text,
    recorded_by uuid not null,
    recorded_at timestamptz not null default wainrope_now(),
    recorded_no bigint generated always as identity,
    primary key (team_id, entry_id),
    foreign key (team_id, gear_id) references gear,
    foreign key (team_id, recorded_by) references person
  )`,
  ...ownTeam('diary_entry'),
  ...appendOnly('diary_entry'),
  "do $body$ begin execute format('grant select, update on sequence %s to wainrope_app', pg_get_serial_sequence('diary_entry', 'recorded_no')); end $body$",
  'create index diary_of_piece on diary_entry (team_id, gear_id, done_on desc, recorded_no desc)',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('drop table diary_entry').execute(db);
}
