import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

/** What pulls put on pieces, with the limits as they were then. A correction is a row that names the one it takes the place of. */
const STATEMENTS = [
  `create table load_record (
    team_id uuid not null,
    record_id uuid not null,
    gear_id uuid not null,
    pulled_on date not null,
    pull_id uuid,
    plan_id uuid,
    plan_version integer,
    place text,
    planned_n double precision not null,
    greatest_n double precision,
    peak_n double precision,
    stalled boolean not null,
    happened_n double precision not null,
    wll_n double precision,
    nominal_wll_n double precision,
    nominal_mbs_n double precision,
    overload text not null,
    cycles jsonb not null,
    pulls integer not null,
    known text not null,
    note text,
    corrects uuid,
    recorded_by uuid not null,
    recorded_at timestamptz not null default wainrope_now(),
    recorded_no bigint generated always as identity,
    primary key (team_id, record_id),
    foreign key (team_id, gear_id) references gear,
    foreign key (team_id, plan_id) references plan,
    foreign key (team_id, corrects) references load_record,
    foreign key (team_id, recorded_by) references person
  )`,
  ...ownTeam('load_record'),
  ...appendOnly('load_record'),
  "do $body$ begin execute format('grant select, update on sequence %s to wainrope_app', pg_get_serial_sequence('load_record', 'recorded_no')); end $body$",
  'create index load_of_piece on load_record (team_id, gear_id, pulled_on desc, recorded_no desc)',
  'create unique index load_correction on load_record (team_id, corrects) where corrects is not null',
  'create index load_of_pull on load_record (team_id, pull_id) where pull_id is not null',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('drop table load_record').execute(db);
}
