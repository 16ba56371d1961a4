import { type Kysely, sql } from 'kysely';
import { ownTeam } from './table-rights.ts';

/** Outside teams, by name: calendar_link. */
const TABLES = `
alter table kit add column terrain text, add column vehicle_id uuid, add column note text, add column row_version integer not null default 1,
  add foreign key (team_id, vehicle_id) references vehicle;
create table kit_wanted (
  team_id uuid not null, kit_id uuid not null, line_no integer not null, kind text not null, count integer not null check (count > 0),
  least_wll_n double precision check (least_wll_n > 0), primary key (team_id, kit_id, line_no), foreign key (team_id, kit_id) references kit);
create table outing (
  team_id uuid not null references team, outing_id uuid not null, name text not null,
  holder_kind text not null check (holder_kind in ('person', 'vehicle', 'outside')), holder_person uuid, holder_vehicle uuid, holder_name text,
  out_at timestamptz not null default now(), out_by uuid not null, due_back_on date, closed_at timestamptz, closed_by uuid, missing_note text,
  check ((holder_kind = 'person') = (holder_person is not null)), check ((holder_kind = 'vehicle') = (holder_vehicle is not null)),
  check ((holder_kind = 'outside') = (holder_name is not null)), check ((closed_at is null) = (closed_by is null)),
  primary key (team_id, outing_id), foreign key (team_id, holder_person) references person, foreign key (team_id, holder_vehicle) references vehicle,
  foreign key (team_id, out_by) references person, foreign key (team_id, closed_by) references person);
create table outing_piece (
  team_id uuid not null, outing_id uuid not null, gear_id uuid not null, out_at timestamptz not null default now(), out_by uuid not null,
  back_at timestamptz, back_by uuid, settled boolean not null default false, check ((back_at is null) = (back_by is null)),
  primary key (team_id, outing_id, gear_id), foreign key (team_id, outing_id) references outing, foreign key (team_id, gear_id) references gear,
  foreign key (team_id, out_by) references person, foreign key (team_id, back_by) references person);
create unique index out_once on outing_piece (team_id, gear_id) where back_at is null and not settled;
create table calendar_link (
  token_hash text primary key, team_id uuid not null, person_id uuid not null, made_at timestamptz not null default now(), revoked_at timestamptz,
  foreign key (team_id, person_id) references person);
`;

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(TABLES).execute(db);
  const statements = [
    ...['kit_wanted', 'outing', 'outing_piece'].flatMap(ownTeam),
    'grant delete on kit_wanted to wainrope_app',
    'grant update on outing, outing_piece to wainrope_app',
    'grant select, insert, update on calendar_link to wainrope_app',
  ];
  for (const statement of statements) await sql.raw(statement).execute(db);
}
