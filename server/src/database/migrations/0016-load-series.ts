import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

/** What a gauge on a line recorded: the file as it came, packed and in parts, and what was read of it. */
const STATEMENTS = [
  `create table load_series (
    team_id uuid not null,
    series_id uuid not null,
    plan_id uuid not null,
    plan_version integer not null,
    line_id text not null,
    strand integer not null,
    pulled_on date not null,
    file_name text not null,
    bytes integer not null,
    sha256 text not null,
    read_as jsonb not null,
    summary jsonb not null,
    envelope jsonb not null,
    note text,
    recorded_by uuid not null,
    recorded_at timestamptz not null default wainrope_now(),
    primary key (team_id, series_id),
    foreign key (team_id, plan_id) references plan,
    foreign key (team_id, recorded_by) references person
  )`,
  `create table load_series_part (
    team_id uuid not null,
    series_id uuid not null,
    part_no integer not null,
    content bytea not null,
    primary key (team_id, series_id, part_no),
    foreign key (team_id, series_id) references load_series
  )`,
  ...['load_series', 'load_series_part'].flatMap((table) => [...ownTeam(table), ...appendOnly(table)]),
  'create index load_series_of_plan on load_series (team_id, plan_id, recorded_at desc)',
  'alter table load_record add column series_id uuid, add foreign key (team_id, series_id) references load_series',
  'create index load_of_series on load_record (team_id, series_id) where series_id is not null',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  for (const statement of ['alter table load_record drop column series_id', 'drop table load_series_part', 'drop table load_series'])
    await sql.raw(statement).execute(db);
}
