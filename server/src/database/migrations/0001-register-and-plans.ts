import { type Kysely, sql } from 'kysely';

/** Tables that belong to a team and are kept apart by forced row-level security. */
const TEAM_TABLES = ['team', 'person', 'policy_version', 'kit', 'vehicle', 'gear', 'gear_mark', 'inspection', 'plan', 'plan_version'];
/** Tables in which rows are added and never changed: a correction is a new row. */
const APPEND_ONLY = ['policy_version', 'inspection', 'plan_version'];

const TABLES = `
create table team (
  team_id uuid primary key, name text not null, decimal_mark text not null check (decimal_mark in ('.', ',')), demo text,
  created_at timestamptz not null default now());
create table person (
  team_id uuid not null references team, person_id uuid not null, name text not null,
  role text not null check (role in ('coordinator', 'gear-keeper', 'member', 'reader')),
  primary key (team_id, person_id), unique (team_id, name));
create table local_actor (
  only_row boolean primary key default true check (only_row), team_id uuid not null, person_id uuid not null,
  foreign key (team_id, person_id) references person);
create table policy_version (
  team_id uuid not null references team, policy_version_id uuid not null, content jsonb not null, content_hash text not null, reason text not null,
  created_by uuid not null, created_at timestamptz not null default now(),
  primary key (team_id, policy_version_id), foreign key (team_id, created_by) references person);
create table kit (
  team_id uuid not null references team, kit_id uuid not null, name text not null, primary key (team_id, kit_id));
create unique index kit_name on kit (team_id, lower(name));
create table vehicle (
  team_id uuid not null references team, vehicle_id uuid not null, name text not null, model text not null,
  mass_kg double precision not null check (mass_kg > 0), length_m double precision not null check (length_m > 0), width_m double precision not null check (width_m > 0),
  primary key (team_id, vehicle_id));
create unique index vehicle_name on vehicle (team_id, lower(name));
create table gear (
  team_id uuid not null references team, gear_id uuid not null, tag text not null, kind text not null, name text not null,
  state text not null check (state in ('in-use', 'quarantined', 'retired')), maker text, model text, owner text, kit_id uuid, vehicle_id uuid,
  made_on date, bought_on date, first_used_on date, renewed_until date, note text,
  overloads_since_inspection integer not null default 0 check (overloads_since_inspection >= 0),
  attributes jsonb not null, row_version integer not null, facts_revision integer not null, changed_by uuid not null,
  primary key (team_id, gear_id), foreign key (team_id, kit_id) references kit, foreign key (team_id, vehicle_id) references vehicle,
  foreign key (team_id, changed_by) references person);
create unique index gear_tag on gear (team_id, lower(tag) collate "C");
create table gear_mark (
  team_id uuid not null, gear_id uuid not null, mark_no integer not null, as_written text not null, basis text not null, source text not null,
  setting_decided boolean not null,
  confirmed_unit text check (confirmed_unit in ('short ton', 'tonne', 'long ton')), readings jsonb not null,
  primary key (team_id, gear_id, mark_no), foreign key (team_id, gear_id) references gear);
create table inspection (
  team_id uuid not null, inspection_id uuid not null, gear_id uuid not null, inspected_on date not null,
  grade text not null check (grade in ('A', 'B', 'C', 'D')), next_due_on date, inspector text, recorded_by uuid not null,
  recorded_at timestamptz not null default now(), recorded_no bigint not null generated always as identity,
  primary key (team_id, inspection_id), foreign key (team_id, gear_id) references gear, foreign key (team_id, recorded_by) references person);
create index inspection_latest on inspection (team_id, gear_id, inspected_on desc, recorded_no desc);
create table plan (
  team_id uuid not null references team, plan_id uuid not null, name text not null, version_no integer not null, primary key (team_id, plan_id));
create table plan_version (
  team_id uuid not null, plan_id uuid not null, version_no integer not null, name text not null, judged_case jsonb not null, report jsonb not null,
  policy_hash text not null, core_version text not null, as_of date not null, saved_by uuid not null, saved_at timestamptz not null default now(),
  primary key (team_id, plan_id, version_no), foreign key (team_id, plan_id) references plan, foreign key (team_id, saved_by) references person);
create function refuse_change() returns trigger language plpgsql as $body$
begin raise exception 'rows of % are added, never changed', tg_table_name using errcode = 'restrict_violation'; end $body$;
`;

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(TABLES).execute(db);
  const statements = [
    'grant usage on schema public to wainrope_app',
    'grant select, insert on local_actor to wainrope_app',
    ...TEAM_TABLES.flatMap((table) => [
      `alter table ${table} enable row level security`,
      `alter table ${table} force row level security`,
      `create policy own_team on ${table} using (team_id = nullif(current_setting('wainrope.team_id', true), '')::uuid) with check (team_id = nullif(current_setting('wainrope.team_id', true), '')::uuid)`,
      `grant select, insert on ${table} to wainrope_app`,
    ]),
    ...['team', 'person', 'kit', 'vehicle', 'gear', 'plan'].map((table) => `grant update on ${table} to wainrope_app`),
    'grant update, delete on gear_mark to wainrope_app',
    ...APPEND_ONLY.map(
      (table) => `create trigger never_changed before update or delete on ${table} for each row execute function refuse_change()`,
    ),
    ...APPEND_ONLY.map((table) => `create trigger never_emptied before truncate on ${table} execute function refuse_change()`),
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
