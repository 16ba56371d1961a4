import { type Kysely, sql } from 'kysely';
import { appendOnly, ownTeam } from './table-rights.ts';

/** What a gauge showed of the pull on a vehicle: what estimates are held against. */
const STATEMENTS = [
  `create table measured_pull (
    team_id uuid not null,
    pull_id uuid not null,
    plan_id uuid not null,
    plan_version integer not null,
    pulled_on date not null,
    surface text not null,
    depth text not null,
    machine text not null,
    line_peak_n double precision not null,
    force_n double precision not null,
    weight_n double precision not null,
    planned_n double precision not null,
    recorded_by uuid not null,
    recorded_at timestamptz not null default wainrope_now(),
    primary key (team_id, pull_id),
    foreign key (team_id, plan_id) references plan,
    foreign key (team_id, recorded_by) references person
  )`,
  ...ownTeam('measured_pull'),
  ...appendOnly('measured_pull'),
  'create index measured_pull_by_ground on measured_pull (team_id, surface, depth, machine, pulled_on desc)',
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

export async function down(db: Kysely<unknown>): Promise<void> {
  await sql.raw('drop table measured_pull').execute(db);
}
