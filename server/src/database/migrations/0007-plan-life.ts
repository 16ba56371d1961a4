import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

const TABLES = `
alter table plan add column state text not null default 'draft' check (state in ('draft', 'ready', 'used', 'archived')),
  add column state_by uuid, add column state_at timestamptz, add foreign key (team_id, state_by) references person;
create table plan_comment (
  team_id uuid not null, comment_id uuid not null, plan_id uuid not null, version_no integer not null, words text not null,
  said_by uuid not null, said_at timestamptz not null default wainrope_now(),
  primary key (team_id, comment_id), foreign key (team_id, plan_id) references plan, foreign key (team_id, said_by) references person);
create index plan_comment_of on plan_comment (team_id, plan_id, said_at);
create table plan_override (
  team_id uuid not null, override_id uuid not null, plan_id uuid not null, version_no integer not null, finding_id text not null,
  finding_words text not null, reason text not null, stated_by uuid not null, stated_at timestamptz not null default wainrope_now(),
  primary key (team_id, override_id), foreign key (team_id, plan_id) references plan, foreign key (team_id, stated_by) references person);
create index plan_override_of on plan_override (team_id, plan_id, version_no);
create table team_layout (
  team_id uuid not null references team, layout_id uuid not null, name text not null, rig jsonb not null,
  saved_by uuid not null, saved_at timestamptz not null default wainrope_now(), put_away boolean not null default false,
  primary key (team_id, layout_id), foreign key (team_id, saved_by) references person);
create unique index team_layout_name on team_layout (team_id, lower(name)) where not put_away;
`;

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(TABLES).execute(db);
  const added = ['plan_comment', 'plan_override', 'team_layout'];
  const statements = [
    ...added.flatMap(ownTeam),
    ...['plan_comment', 'plan_override'].flatMap(appendOnly),
    'grant update on team_layout to wainrope_app',
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
