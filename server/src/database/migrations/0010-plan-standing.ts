import { type Kysely, sql } from 'kysely';
import { ownTeam } from './table-rights.ts';

/**
 * What is known of a plan's newest verdict without judging it: derived from its version and its pieces, and made again where it is
 * missing. Whatever raises a piece's facts revision takes away, in its own transaction, what was known of the plans that use it.
 */
const TABLES = `
create table plan_standing (
  team_id uuid not null, plan_id uuid not null, version_no integer not null, gear_ids uuid[] not null,
  verdict text not null check (verdict in ('clear', 'clear-judged', 'watch', 'stop')), weakest text, reason jsonb, good_until date,
  pieces_changed jsonb not null,
  primary key (team_id, plan_id), foreign key (team_id, plan_id) references plan);
create index plan_standing_uses on plan_standing using gin (gear_ids);
create function pieces_have_changed() returns trigger language plpgsql as $body$
begin
  delete from plan_standing s using (
    select n.team_id, array_agg(n.gear_id) as ids from now n join was w on w.team_id = n.team_id and w.gear_id = n.gear_id
    where n.facts_revision <> w.facts_revision group by n.team_id) changed
  where s.team_id = changed.team_id and s.gear_ids && changed.ids;
  return null;
end $body$;
create trigger plans_using_it after update on gear referencing old table as was new table as now
  for each statement execute function pieces_have_changed();
`;

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(TABLES).execute(db);
  for (const statement of [...ownTeam('plan_standing'), 'grant update, delete on plan_standing to wainrope_app'])
    await sql.raw(statement).execute(db);
}
