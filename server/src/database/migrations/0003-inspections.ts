import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

const TABLES = `
create table sheet_version (
  team_id uuid not null references team, kind text not null, version_no integer not null check (version_no > 0), sheet jsonb not null,
  reason text not null, saved_by uuid not null, saved_at timestamptz not null default now(),
  primary key (team_id, kind, version_no), foreign key (team_id, saved_by) references person);
alter table inspection add column kind text not null default 'on-record'
  check (kind in ('before-use', 'after-use', 'calendar', 'after-overload', 'on-receipt', 'after-repair', 'on-record'));
alter table inspection alter column grade drop not null;
alter table inspection add column counts boolean not null default true;
alter table inspection add constraint grade_where_it_counts check (grade is not null or not counts);
alter table inspection add column sheet_version integer, add column sheet jsonb, add column answers jsonb, add column proposed_grade text, add column note text,
  add column corrects uuid, add foreign key (team_id, corrects) references inspection;
create index inspection_recent on inspection (team_id, recorded_no desc);
create table state_change (
  team_id uuid not null, change_no bigint not null generated always as identity, gear_id uuid not null, from_state text not null, to_state text not null,
  reason text not null, destroyed text, inspection_id uuid, changed_by uuid not null, at timestamptz not null default now(),
  check (to_state <> 'retired' or destroyed is not null),
  primary key (team_id, change_no), foreign key (team_id, gear_id) references gear, foreign key (team_id, changed_by) references person,
  foreign key (team_id, inspection_id) references inspection);
create index state_change_of on state_change (team_id, gear_id, change_no desc);
create table exposure (
  team_id uuid not null, exposure_id uuid not null, gear_id uuid not null, kind text not null check (kind in ('mud', 'sand', 'salt', 'wet', 'sun', 'washed')),
  met_on date not null, note text, noted_by uuid not null, noted_at timestamptz not null default now(),
  primary key (team_id, exposure_id), foreign key (team_id, gear_id) references gear, foreign key (team_id, noted_by) references person);
create index exposure_of on exposure (team_id, gear_id, met_on desc);
create table defect (
  team_id uuid not null, defect_id uuid not null, gear_id uuid not null, inspection_id uuid not null, point text not null, words text not null,
  failed boolean not null, opened_on date not null, opened_by uuid not null,
  primary key (team_id, defect_id), foreign key (team_id, gear_id) references gear, foreign key (team_id, inspection_id) references inspection,
  foreign key (team_id, opened_by) references person);
create index defect_of on defect (team_id, gear_id);
create table defect_closing (
  team_id uuid not null, defect_id uuid not null, closed_on date not null, closed_by uuid not null, how text not null, inspection_id uuid,
  primary key (team_id, defect_id), foreign key (team_id, defect_id) references defect, foreign key (team_id, closed_by) references person,
  foreign key (team_id, inspection_id) references inspection);
create table photo (
  team_id uuid not null references team, photo_id uuid not null, subject_kind text not null, subject_id uuid not null, media_type text not null,
  content bytea not null check (octet_length(content) <= 2000000), thumbnail bytea not null check (octet_length(thumbnail) <= 60000),
  taken_by uuid not null, taken_at timestamptz not null default now(),
  primary key (team_id, photo_id), foreign key (team_id, taken_by) references person);
create index photo_of on photo (team_id, subject_id);
`;

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(TABLES).execute(db);
  const added = ['sheet_version', 'state_change', 'exposure', 'defect', 'defect_closing', 'photo'];
  for (const statement of [...added.flatMap(ownTeam), ...added.flatMap(appendOnly)]) await sql.raw(statement).execute(db);
}
