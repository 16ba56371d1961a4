import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

const TABLES = `
alter table vehicle add column row_version integer not null default 1;
create table hook_up (
  team_id uuid not null references team, entry_id uuid not null, model text not null, kind text not null check (kind in ('used', 'last-resort', 'refused')),
  place text not null, forward_m double precision, left_m double precision, height_m double precision, load_n double precision, note text,
  corrects uuid, noted_by uuid not null, noted_on date not null, noted_at timestamptz not null default now(),
  primary key (team_id, entry_id), foreign key (team_id, noted_by) references person, foreign key (team_id, corrects) references hook_up);
create index hook_up_model on hook_up (team_id, lower(model));
`;

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(TABLES).execute(db);
  for (const statement of [...ownTeam('hook_up'), ...appendOnly('hook_up')]) await sql.raw(statement).execute(db);
}
