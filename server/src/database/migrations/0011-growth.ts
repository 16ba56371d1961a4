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
  // Which figures of the settings a version was judged by: where others change, it need not be judged again to know what follows.
  'alter table plan_version add column policy_read text[]',
  "create index sign_in_session_of on sign_in_session ((sess->'signedIn'->>'accountId'))",
  'create index sign_in_attempt_on on sign_in_attempt (login, at)',
  'create index sign_in_attempt_from on sign_in_attempt (address, at)',
  // A verdict that is clear by somebody's judgement was kept with a note as its reason; it is made out again without.
  "delete from plan_standing where verdict = 'clear-judged'",
];

/** Takes the indexes and columns away again, as they were before. */
export async function down(db: Kysely<unknown>): Promise<void> {
  const made = STATEMENTS.flatMap((statement) => /^create (?:unique )?index (\w+)/.exec(statement)?.[1] ?? []);
  for (const name of made) await sql.raw(`drop index ${name}`).execute(db);
  for (const statement of [
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
