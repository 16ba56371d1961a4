import { type Kysely, sql } from 'kysely';

/** Columns that note when a row came to be. */
const MOMENTS = {
  team: 'created_at',
  practice: 'recorded_at',
  audit_entry: 'at',
  policy_version: 'created_at',
  outing: 'out_at',
  outing_piece: 'out_at',
  inspection: 'recorded_at',
  sheet_version: 'saved_at',
  state_change: 'at',
  exposure: 'noted_at',
  photo: 'taken_at',
  hook_up: 'noted_at',
  plan_version: 'saved_at',
};
/** Numbers that the database gives; a team that is brought in keeps its own, and the next ones go on after them. */
const NUMBERED = { audit_entry: 'entry_no', inspection: 'recorded_no', state_change: 'change_no' };

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(
      `create function wainrope_now() returns timestamptz language sql stable as
       $body$ select coalesce(nullif(current_setting('wainrope.now', true), '')::timestamptz, now()) $body$`,
    )
    .execute(db);
  for (const [table, column] of Object.entries(MOMENTS))
    await sql.raw(`alter table ${table} alter column ${column} set default wainrope_now()`).execute(db);
  for (const [table, column] of Object.entries(NUMBERED))
    await sql
      .raw(
        `do $body$ begin execute format('grant select, update on sequence %s to wainrope_app', pg_get_serial_sequence('${table}', '${column}')); end $body$`,
      )
      .execute(db);
}
