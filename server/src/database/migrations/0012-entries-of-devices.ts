import { type Kysely, sql } from 'kysely';

/**
 * A device without a signal sends what it confirmed later, and its clock may be wrong. An inspection says which device confirmed it, as
 * which of its entries and at what its clock said, and when that was by this server's clock: of two inspections of one day the one that
 * was made later counts, not the one that was sent later.
 */
const STATEMENTS = [
  'alter table inspection add column device_id uuid, add column device_sequence integer, add column device_clock timestamptz',
  'alter table inspection add column done_at timestamptz',
  'alter table inspection disable trigger never_changed',
  'alter table inspection no force row level security',
  'update inspection set done_at = recorded_at',
  'alter table inspection force row level security',
  'alter table inspection enable trigger never_changed',
  'alter table inspection alter column done_at set not null',
  `create function done_when_recorded() returns trigger language plpgsql as $body$
   begin new.done_at := coalesce(new.done_at, new.recorded_at); return new; end $body$`,
  'create trigger done_at before insert on inspection for each row execute function done_when_recorded()',
  'create index inspection_of_device on inspection (team_id, device_id, device_sequence) where device_id is not null',
  ...[
    ['inspection_latest', '(team_id, gear_id, inspected_on desc, done_at desc, recorded_no desc) where counts'],
    ['inspection_of', '(team_id, gear_id, inspected_on desc, done_at desc, recorded_no desc)'],
    ['inspection_newest', '(team_id, inspected_on desc, done_at desc, recorded_no desc)'],
    ['inspection_by', '(team_id, recorded_by, inspected_on desc, done_at desc, recorded_no desc)'],
  ].flatMap(([name, columns]) => [`drop index ${name}`, `create index ${name} on inspection ${columns}`]),
  `create or replace function last_inspection_of(team uuid, piece uuid, out id uuid, out inspected date, out due date) language sql stable
   as $body$
     select l.inspection_id, l.inspected_on, l.next_due_on from inspection l
     where l.team_id = team and l.gear_id = piece and l.counts
       and not exists (select 1 from inspection c where c.team_id = team and c.corrects = l.inspection_id)
     order by l.inspected_on desc, l.done_at desc, l.recorded_no desc limit 1 $body$`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

/** Takes the columns away again, and orders as before. */
export async function down(db: Kysely<unknown>): Promise<void> {
  for (const statement of [
    'drop trigger done_at on inspection',
    'drop function done_when_recorded()',
    'alter table inspection drop column device_id, drop column device_sequence, drop column device_clock, drop column done_at',
    'create index inspection_latest on inspection (team_id, gear_id, inspected_on desc, recorded_no desc) where counts',
    'create index inspection_of on inspection (team_id, gear_id, inspected_on desc, recorded_no desc)',
    'create index inspection_newest on inspection (team_id, inspected_on desc, recorded_no desc)',
    'create index inspection_by on inspection (team_id, recorded_by, inspected_on desc, recorded_no desc)',
    `create or replace function last_inspection_of(team uuid, piece uuid, out id uuid, out inspected date, out due date) language sql stable
     as $body$
       select l.inspection_id, l.inspected_on, l.next_due_on from inspection l
       where l.team_id = team and l.gear_id = piece and l.counts
         and not exists (select 1 from inspection c where c.team_id = team and c.corrects = l.inspection_id)
       order by l.inspected_on desc, l.recorded_no desc limit 1 $body$`,
  ])
    await sql.raw(statement).execute(db);
}
