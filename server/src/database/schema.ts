import type { ColumnType, Generated, GeneratedAlways } from 'kysely';

type Json = ColumnType<unknown, string, string>;
/** Calendar days travel as text, so that no time zone can shift them. */
type Day = string | null;

export interface TeamTable {
  team_id: string;
  name: string;
  decimal_mark: '.' | ',';
  demo: string | null;
  created_at: GeneratedAlways<Date>;
}

export interface PersonTable {
  team_id: string;
  person_id: string;
  name: string;
  role: 'coordinator' | 'gear-keeper' | 'member' | 'reader';
}

/** Outside row-level security, by name: whom the server acts for until people sign in. */
export interface LocalActorTable {
  only_row: Generated<boolean>;
  team_id: string;
  person_id: string;
}

export interface PolicyVersionTable {
  team_id: string;
  policy_version_id: string;
  content: Json;
  content_hash: string;
  reason: string;
  created_by: string;
  created_at: GeneratedAlways<Date>;
}

export interface KitTable {
  team_id: string;
  kit_id: string;
  name: string;
}

export interface VehicleTable {
  team_id: string;
  vehicle_id: string;
  name: string;
  model: string;
  mass_kg: number;
  length_m: number;
  width_m: number;
}

export interface GearTable {
  team_id: string;
  gear_id: string;
  tag: string;
  kind: string;
  name: string;
  state: string;
  maker: string | null;
  model: string | null;
  owner: string | null;
  kit_id: string | null;
  vehicle_id: string | null;
  made_on: Day;
  bought_on: Day;
  first_used_on: Day;
  renewed_until: Day;
  note: string | null;
  overloads_since_inspection: number;
  attributes: Json;
  row_version: number;
  facts_revision: number;
  changed_by: string;
}

export interface GearMarkTable {
  team_id: string;
  gear_id: string;
  mark_no: number;
  as_written: string;
  basis: string;
  source: string;
  setting_decided: boolean;
  confirmed_unit: string | null;
  readings: Json;
}

export interface InspectionTable {
  team_id: string;
  inspection_id: string;
  gear_id: string;
  inspected_on: string;
  grade: string;
  next_due_on: Day;
  inspector: string | null;
  recorded_by: string;
  recorded_at: GeneratedAlways<Date>;
  recorded_no: GeneratedAlways<string>;
}

export interface PlanTable {
  team_id: string;
  plan_id: string;
  name: string;
  version_no: number;
}

export interface PlanVersionTable {
  team_id: string;
  plan_id: string;
  version_no: number;
  name: string;
  judged_case: Json;
  report: Json;
  policy_hash: string;
  core_version: string;
  as_of: string;
  saved_by: string;
  saved_at: GeneratedAlways<Date>;
}

export interface Database {
  team: TeamTable;
  person: PersonTable;
  local_actor: LocalActorTable;
  policy_version: PolicyVersionTable;
  kit: KitTable;
  vehicle: VehicleTable;
  gear: GearTable;
  gear_mark: GearMarkTable;
  inspection: InspectionTable;
  plan: PlanTable;
  plan_version: PlanVersionTable;
}
