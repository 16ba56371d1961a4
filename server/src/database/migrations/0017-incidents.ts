import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

/** What went wrong, or nearly; with the pieces that were in it, and what was done about it since. */
const STATEMENTS = [
  `create table incident (
    team_id uuid not null,
    incident_id uuid not null,
    happened_on date not null,
    kind text not null,
    words text not null,
    place text,
    told text,
    plan_id uuid,
    corrects uuid,
    recorded_by uuid not null,
    recorded_at timestamptz not null default wainrope_now(),
    primary key (team_id, incident_id),
    foreign key (team_id, plan_id) references plan,
    foreign key (team_id, corrects) references incident,
    foreign key (team_id, recorded_by) references person
  )`,
  `create table incident_piece (
    team_id uuid not null,
    incident_id uuid not null,
    gear_id uuid not null,
    taken_out boolean not null,
    primary key (team_id, incident_id, gear_id),
    foreign key (team_id, incident_id) references incident,
    foreign key (team_id, gear_id) references gear
  )`,
  `create table incident_follow_up (
    team_id uuid not null,
    follow_up_id uuid not null,
    incident_id uuid not null,
    words text not null,
    written_by uuid not null,
    written_at timestamptz not null default wainrope_now(),
    primary key (team_id, follow_up_id),
    foreign key (team_id, incident_id) references incident,
    foreign key (team_id, written_by) references person
  )`,
  ...['incident', 'incident_piece', 'incident_follow_up'].flatMap((table) => [...ownTeam(table), ...appendOnly(table)]),
  'create index incident_newest on incident (team_id, happened_on desc, incident_id)',
  'create unique index incident_correction on incident (team_id, corrects) where corrects is not null',
  'create index incident_of_piece on incident_piece (team_id, gear_id)',
  'create index follow_up_of on incident_follow_up (team_id, incident_id)',
  // A season's report asks by day, over all pieces.
  'create index load_by_day on load_record (team_id, pulled_on)',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  for (const statement of ['drop index load_by_day', 'drop table incident_follow_up', 'drop table incident_piece', 'drop table incident'])
    await sql.raw(statement).execute(db);
}
