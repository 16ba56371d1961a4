import { type Kysely, sql } from 'kysely';

/**
 * What keeps every page as quick with a hundred teams and ten years of records as with one team and one: each question of a page has an
 * index that begins with the team and ends in the order in which it is asked. A tag in lower case is a column of its own, since a
 * condition on a function of a column is asked only after the rows' team has been, row by row.
 */
const STATEMENTS = [
  'drop index gear_tag',
  'alter table gear add column tag_key text collate "C" generated always as (lower(tag)) stored',
  'create unique index gear_tag on gear (team_id, tag_key)',
  'create index mark_confirmed on gear_mark (team_id, gear_id) where confirmed_unit is not null',
  'drop index inspection_latest',
  'create index inspection_latest on inspection (team_id, gear_id, inspected_on desc, recorded_no desc) where counts',
  'create index inspection_of on inspection (team_id, gear_id, inspected_on desc, recorded_no desc)',
  'create index inspection_correction on inspection (team_id, corrects) where corrects is not null',
  // Which inspection of a piece counts, and its days: written in the act that adds one, so that a list looks it up and seeks nothing.
  'alter table gear add column last_inspection_id uuid, add column last_inspected_on date, add column last_due_on date',
  `create function last_inspection_of(team uuid, piece uuid, out id uuid, out inspected date, out due date) language sql stable as $body$
     select l.inspection_id, l.inspected_on, l.next_due_on from inspection l
     where l.team_id = team and l.gear_id = piece and l.counts
       and not exists (select 1 from inspection c where c.team_id = team and c.corrects = l.inspection_id)
     order by l.inspected_on desc, l.recorded_no desc limit 1 $body$`,
  `create function inspected_again() returns trigger language plpgsql as $body$
   begin
     update gear set (last_inspection_id, last_inspected_on, last_due_on) = (select * from last_inspection_of(new.team_id, new.gear_id))
     where team_id = new.team_id and gear_id = new.gear_id
       and last_inspection_id is distinct from (select id from last_inspection_of(new.team_id, new.gear_id));
     return null;
   end $body$`,
  'create trigger last_of_piece after insert on inspection for each row execute function inspected_again()',
  'create index inspection_newest on inspection (team_id, inspected_on desc, recorded_no desc)',
  'create index inspection_by on inspection (team_id, recorded_by, inspected_on desc, recorded_no desc)',
  'create index defect_found_by on defect (team_id, inspection_id)',
  "create index photo_beside on photo (team_id, subject_kind) where subject_kind <> 'inspection'",
  'create index audit_of_kind on audit_entry (team_id, subject_kind, entry_no desc)',
  'create index audit_by on audit_entry (team_id, person_id, entry_no desc)',
  'create index policy_newest on policy_version (team_id, created_at desc, policy_version_id)',
  'create index hook_up_correction on hook_up (team_id, corrects) where corrects is not null',
  'create index outing_open on outing (team_id, due_back_on) where closed_at is null',
  'create index outing_closed on outing (team_id, closed_at desc) where closed_at is not null',
  'create index outing_held_by on outing (team_id, holder_person) where holder_person is not null',
  'create index plan_by_name on plan (team_id, lower(name), (plan_id::text))',
  // The owner, too, is held to one team; for the rows that are there already it is let go for these statements.
  ...['gear', 'inspection', 'plan_standing'].map((table) => `alter table ${table} no force row level security`),
  'update gear set (last_inspection_id, last_inspected_on, last_due_on) = (select * from last_inspection_of(team_id, gear_id))',
  // A verdict that is clear by somebody's judgement was kept with a note as its reason; it is made out again without.
  "delete from plan_standing where verdict = 'clear-judged'",
  ...['gear', 'inspection', 'plan_standing'].map((table) => `alter table ${table} force row level security`),
  // Which figures of the settings a version was judged by: where others change, it need not be judged again to know what follows.
  'alter table plan_version add column policy_read text[]',
  "create index sign_in_session_of on sign_in_session ((sess->'signedIn'->>'accountId'))",
  'create index sign_in_attempt_on on sign_in_attempt (login, at)',
  'create index sign_in_attempt_from on sign_in_attempt (address, at)',
];

/** Takes the indexes and columns away again, as they were before. */
export async function down(db: Kysely<unknown>): Promise<void> {
  const made = STATEMENTS.flatMap((statement) => /^create (?:unique )?index (\w+)/.exec(statement)?.[1] ?? []);
  for (const name of made) await sql.raw(`drop index ${name}`).execute(db);
  for (const statement of [
    'drop trigger last_of_piece on inspection',
    'drop function inspected_again()',
    'drop function last_inspection_of(uuid, uuid)',
    'alter table gear drop column last_inspection_id, drop column last_inspected_on, drop column last_due_on',
    'alter table gear drop column tag_key',
    'alter table plan_version drop column policy_read',
    'create unique index gear_tag on gear (team_id, lower(tag) collate "C")',
    'create index inspection_latest on inspection (team_id, gear_id, inspected_on desc, recorded_no desc)',
  ])
    await sql.raw(statement).execute(db);
}

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
