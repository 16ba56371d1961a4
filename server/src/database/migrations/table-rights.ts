const TEAM = `nullif(current_setting('wainrope.team_id', true), '')::uuid`;

/** A table whose rows belong to teams: forced row-level security, and reading and adding for the serving role. */
export function ownTeam(table: string): readonly string[] {
  return [
    `alter table ${table} enable row level security`,
    `alter table ${table} force row level security`,
    `create policy own_team on ${table} using (team_id = ${TEAM}) with check (team_id = ${TEAM})`,
    `grant select, insert on ${table} to wainrope_app`,
  ];
}

/** A table in which rows are added and never changed. */
export function appendOnly(table: string): readonly string[] {
  return [
    `create trigger never_changed before update or delete on ${table} for each row execute function refuse_change()`,
    `create trigger never_emptied before truncate on ${table} execute function refuse_change()`,
  ];
}
