import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

/** Outside teams, by name: account, membership, sign_in_session, invitation, sign_in_attempt. */
const TABLES = `
alter table person add column left_on date;
create table account (
  account_id uuid primary key, login text not null, password_hash text not null, created_at timestamptz not null default now(),
  password_set_at timestamptz not null default now());
create unique index account_login on account (lower(login));
create table membership (
  account_id uuid not null references account, team_id uuid not null, person_id uuid not null,
  primary key (account_id, team_id), unique (team_id, person_id), foreign key (team_id, person_id) references person);
create table sign_in_session (sid varchar primary key, sess json not null, expire timestamptz(6) not null);
create index sign_in_session_expire on sign_in_session (expire);
create table invitation (
  token_hash text primary key, team_id uuid, person_id uuid, made_by uuid, made_at timestamptz not null default now(),
  expires_at timestamptz not null, used_at timestamptz, check ((team_id is null) = (person_id is null)));
create table sign_in_attempt (
  attempt_no bigint primary key generated always as identity, login text not null, address text not null, succeeded boolean not null,
  at timestamptz not null default now());
create index sign_in_attempt_recent on sign_in_attempt (at);
create table practice (
  team_id uuid not null, practice_id uuid not null, person_id uuid not null, layout text not null, practised_on date not null, seen_by uuid not null,
  note text, recorded_by uuid not null, recorded_at timestamptz not null default now(), check (seen_by <> person_id),
  primary key (team_id, practice_id), foreign key (team_id, person_id) references person, foreign key (team_id, seen_by) references person,
  foreign key (team_id, recorded_by) references person);
create index practice_of on practice (team_id, person_id);
create table audit_entry (
  team_id uuid not null references team, entry_no bigint not null generated always as identity, at timestamptz not null default now(),
  person_id uuid not null, action text not null, subject_kind text not null, subject_id uuid not null, subject_name text not null,
  changes jsonb not null, note text, corrects bigint,
  primary key (team_id, entry_no), foreign key (team_id, person_id) references person, foreign key (team_id, corrects) references audit_entry);
create index audit_subject on audit_entry (team_id, subject_id, entry_no desc);
create table person_visit (
  team_id uuid not null, person_id uuid not null, seen_entry_no bigint not null, seen_at timestamptz not null,
  primary key (team_id, person_id), foreign key (team_id, person_id) references person);
`;

/** Whoever was there before people signed in gets an account that no password opens; an invitation sets one. */
const EARLIER_PEOPLE = `
select set_config('wainrope.team_id', (select team_id::text from local_actor), true);
insert into account (account_id, login, password_hash)
  select person_id, regexp_replace(lower(name), '[^a-z0-9]+', '.', 'g'), 'none' from person;
insert into membership (account_id, team_id, person_id) select person_id, team_id, person_id from person;
select set_config('wainrope.team_id', '', true);
drop table local_actor;
`;

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(TABLES).execute(db);
  await sql.raw(EARLIER_PEOPLE).execute(db);
  const statements = [
    'grant select, insert, update on account, invitation to wainrope_app',
    'grant select, insert, delete on membership to wainrope_app',
    'grant select, insert, update, delete on sign_in_session to wainrope_app',
    'grant select, insert, delete on sign_in_attempt to wainrope_app',
    ...['practice', 'audit_entry', 'person_visit'].flatMap(ownTeam),
    'grant update on person_visit to wainrope_app',
    ...['practice', 'audit_entry'].flatMap(appendOnly),
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
