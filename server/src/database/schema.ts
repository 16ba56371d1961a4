import type { PlanState } from '@wainrope/contract';
import type { Verdict } from '@wainrope/core';
import type { ColumnType, GeneratedAlways } from 'kysely';
import type {
  AccountTable,
  CalendarLinkTable,
  InvitationTable,
  MembershipTable,
  SignInAttemptTable,
  SignInSessionTable,
} from './access-schema.ts';

type Json = ColumnType<unknown, string, string>;
/** Calendar days travel as text, so that no time zone can shift them. */
type Day = string | null;

export interface TeamTable {
  team_id: string;
  name: string;
  decimal_mark: '.' | ',';
  demo: string | null;
  first_steps_away: ColumnType<boolean | null, boolean | undefined, boolean>;
  call_if_hurt: ColumnType<string | null, string | undefined, string | null>;
  created_at: GeneratedAlways<Date>;
}

export interface PersonTable {
  team_id: string;
  person_id: string;
  name: string;
  role: 'coordinator' | 'gear-keeper' | 'member' | 'reader';
  left_on: Day;
  first_aider: ColumnType<boolean | null, boolean | undefined, boolean | undefined>;
}

export interface PracticeTable {
  team_id: string;
  practice_id: string;
  person_id: string;
  layout: string;
  practised_on: string;
  seen_by: string;
  note: string | null;
  recorded_by: string;
  recorded_at: GeneratedAlways<Date>;
}

export interface AuditEntryTable {
  team_id: string;
  entry_no: GeneratedAlways<string>;
  at: GeneratedAlways<Date>;
  person_id: string;
  action: string;
  subject_kind: string;
  subject_id: string;
  subject_name: string;
  changes: Json;
  note: string | null;
  corrects: string | null;
}

/** Up to which entry of the trail a person has seen what changed. */
export interface PersonVisitTable {
  team_id: string;
  person_id: string;
  seen_entry_no: string;
  seen_at: Date;
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
  terrain: ColumnType<string | null, string | null | undefined, string | null>;
  vehicle_id: ColumnType<string | null, string | null | undefined, string | null>;
  note: ColumnType<string | null, string | null | undefined, string | null>;
  row_version: ColumnType<number, number | undefined, number>;
}

export interface KitWantedTable {
  team_id: string;
  kit_id: string;
  line_no: number;
  kind: string;
  count: number;
  least_wll_n: number | null;
}

export interface OutingTable {
  team_id: string;
  outing_id: string;
  name: string;
  holder_kind: string;
  holder_person: string | null;
  holder_vehicle: string | null;
  holder_name: string | null;
  out_at: GeneratedAlways<Date>;
  out_by: string;
  due_back_on: Day;
  closed_at: Date | null;
  closed_by: string | null;
  missing_note: string | null;
}

export interface OutingPieceTable {
  team_id: string;
  outing_id: string;
  gear_id: string;
  out_at: GeneratedAlways<Date>;
  out_by: string;
  back_at: Date | null;
  back_by: string | null;
  /** Did not come back; the outing was closed with a word about it. */
  settled: boolean;
}

export interface VehicleTable {
  team_id: string;
  vehicle_id: string;
  name: string;
  model: string;
  mass_kg: number;
  length_m: number;
  width_m: number;
  row_version: ColumnType<number, number | undefined, number>;
}

export interface HookUpTable {
  team_id: string;
  entry_id: string;
  model: string;
  kind: string;
  place: string;
  forward_m: number | null;
  left_m: number | null;
  height_m: number | null;
  load_n: number | null;
  radius_m: number | null;
  note: string | null;
  corrects: string | null;
  noted_by: string;
  noted_on: string;
  noted_at: GeneratedAlways<Date>;
}

export interface GearTable {
  team_id: string;
  gear_id: string;
  tag: string;
  /** The tag in lower case, made by the database. */
  tag_key: GeneratedAlways<string>;
  /** The last inspection that counts, written by the database. */
  last_inspection_id: ColumnType<string | null, never, never>;
  last_inspected_on: ColumnType<Day, never, never>;
  last_due_on: ColumnType<Day, never, never>;
  /** What is forecast to end its use first. */
  wear_meets_on: ColumnType<Day, never, never>;
  wear_measure: ColumnType<string | null, never, never>;
  kind: string;
  name: string;
  state: string;
  maker: string | null;
  model: string | null;
  batch: string | null;
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
  /** Nothing for a check before or after use that passed. */
  grade: string | null;
  next_due_on: Day;
  inspector: string | null;
  kind: string;
  /** Gives the piece its grade and due day; a passed check before or after use does not. */
  counts: boolean;
  sheet_version: number | null;
  sheet: ColumnType<unknown, string | null, never>;
  answers: ColumnType<unknown, string | null, never>;
  proposed_grade: string | null;
  note: string | null;
  corrects: string | null;
  recorded_by: string;
  recorded_at: GeneratedAlways<Date>;
  recorded_no: GeneratedAlways<string>;
  /** The device that confirmed it by itself, as which of its entries, and what its clock said. */
  device_id: string | null;
  device_sequence: number | null;
  device_clock: ColumnType<Date | null, Date | null, never>;
  /** When it was made, by the server's clock; left out, when it was recorded. */
  done_at: ColumnType<Date, Date | undefined, never>;
}

export interface BenchRoundTable {
  team_id: string;
  round_id: string;
  title: string;
  kind: string;
  corrects: string | null;
  gear_ids: string[];
  confirmed: string[];
  drafts: Json;
  begun_at: Date;
  person_id: string;
  device_id: string;
  heard_at: ColumnType<Date, Date | undefined, Date>;
}

export interface LoadRecordTable {
  team_id: string;
  record_id: string;
  gear_id: string;
  pulled_on: string;
  /** The pull that put loads on several pieces at once. */
  pull_id: string | null;
  plan_id: string | null;
  plan_version: number | null;
  place: string | null;
  planned_n: number;
  greatest_n: number | null;
  peak_n: number | null;
  stalled: boolean;
  /** The load that counts as having happened. */
  happened_n: number;
  /** The working limit as it was, and what the marks alone say; nothing where the piece had none. */
  wll_n: number | null;
  nominal_wll_n: number | null;
  nominal_mbs_n: number | null;
  overload: string;
  cycles: Json;
  pulls: number;
  known: string;
  note: string | null;
  corrects: string | null;
  /** What a gauge recorded, where one did. */
  series_id: string | null;
  recorded_by: string;
  recorded_at: GeneratedAlways<Date>;
  recorded_no: GeneratedAlways<string>;
}

export interface LoadSeriesTable {
  team_id: string;
  series_id: string;
  plan_id: string;
  plan_version: number;
  line_id: string;
  strand: number;
  pulled_on: string;
  file_name: string;
  bytes: number;
  sha256: string;
  read_as: Json;
  summary: Json;
  envelope: Json;
  note: string | null;
  recorded_by: string;
  recorded_at: GeneratedAlways<Date>;
}

export interface LoadSeriesPartTable {
  team_id: string;
  series_id: string;
  part_no: number;
  content: Buffer;
}

export interface MeasuredPullTable {
  team_id: string;
  pull_id: string;
  plan_id: string;
  plan_version: number;
  pulled_on: string;
  surface: string;
  depth: string;
  machine: string;
  line_peak_n: number;
  /** On the load: the line's largest tension times the rig's real advantage. */
  force_n: number;
  weight_n: number;
  planned_n: number;
  recorded_by: string;
  recorded_at: GeneratedAlways<Date>;
}

export interface DiaryEntryTable {
  team_id: string;
  entry_id: string;
  gear_id: string;
  done_on: string;
  kind: string;
  spool_state: string | null;
  tension_n: number | null;
  metres: number | null;
  cut_at: string | null;
  end_termination: string | null;
  eye_lock: string | null;
  note: string | null;
  recorded_by: string;
  recorded_at: GeneratedAlways<Date>;
  recorded_no: GeneratedAlways<string>;
}

export interface BreakTestTable {
  team_id: string;
  test_id: string;
  tested_on: string;
  kind: string;
  maker: string;
  model: string | null;
  batch: string;
  load_n: number;
  failed_first: string;
  note: string | null;
  recorded_by: string;
  recorded_at: GeneratedAlways<Date>;
}

export interface IncidentTable {
  team_id: string;
  incident_id: string;
  happened_on: string;
  kind: string;
  words: string;
  place: string | null;
  told: string | null;
  plan_id: string | null;
  corrects: string | null;
  recorded_by: string;
  recorded_at: GeneratedAlways<Date>;
}

export interface IncidentPieceTable {
  team_id: string;
  incident_id: string;
  gear_id: string;
  /** Somebody said that it goes out of use. */
  taken_out: boolean;
}

export interface IncidentFollowUpTable {
  team_id: string;
  follow_up_id: string;
  incident_id: string;
  words: string;
  written_by: string;
  written_at: GeneratedAlways<Date>;
}

export interface SheetVersionTable {
  team_id: string;
  kind: string;
  version_no: number;
  sheet: Json;
  reason: string;
  saved_by: string;
  saved_at: GeneratedAlways<Date>;
}

export interface StateChangeTable {
  team_id: string;
  change_no: GeneratedAlways<string>;
  gear_id: string;
  from_state: string;
  to_state: string;
  reason: string;
  destroyed: string | null;
  inspection_id: string | null;
  changed_by: string;
  at: GeneratedAlways<Date>;
}

export interface ExposureTable {
  team_id: string;
  exposure_id: string;
  gear_id: string;
  kind: string;
  met_on: string;
  note: string | null;
  noted_by: string;
  noted_at: GeneratedAlways<Date>;
}

export interface DefectTable {
  team_id: string;
  defect_id: string;
  gear_id: string;
  inspection_id: string;
  point: string;
  words: string;
  failed: boolean;
  opened_on: string;
  opened_by: string;
}

export interface DefectClosingTable {
  team_id: string;
  defect_id: string;
  closed_on: string;
  closed_by: string;
  how: string;
  inspection_id: string | null;
}

export interface PhotoTable {
  team_id: string;
  photo_id: string;
  subject_kind: string;
  subject_id: string;
  media_type: string;
  content: Buffer;
  thumbnail: Buffer;
  taken_by: string;
  taken_at: GeneratedAlways<Date>;
}

export interface PlanTable {
  team_id: string;
  plan_id: string;
  name: string;
  version_no: number;
  state: ColumnType<PlanState, PlanState | undefined, PlanState>;
  state_by: ColumnType<string | null, string | null | undefined, string | null>;
  state_at: ColumnType<Date | null, never, Date | null>;
  variant_of: ColumnType<string | null, string | undefined, never>;
}

export interface PlanCommentTable {
  team_id: string;
  comment_id: string;
  plan_id: string;
  version_no: number;
  words: string;
  said_by: string;
  said_at: GeneratedAlways<Date>;
}

/** A fix that somebody answers for leaving as it is, in one version. */
export interface PlanOverrideTable {
  team_id: string;
  override_id: string;
  plan_id: string;
  version_no: number;
  finding_id: string;
  /** Answers from before findings had ids of their own go by rule and subject. */
  covers: 'finding' | 'rule-and-subject';
  finding_words: string;
  reason: string;
  stated_by: string;
  stated_at: GeneratedAlways<Date>;
}

export interface TeamLayoutTable {
  team_id: string;
  layout_id: string;
  name: string;
  rig: Json;
  saved_by: string;
  saved_at: GeneratedAlways<Date>;
  put_away: ColumnType<boolean, boolean | undefined, boolean>;
}

export interface PlanVersionTable {
  team_id: string;
  plan_id: string;
  version_no: number;
  name: string;
  judged_case: Json;
  report: Json;
  policy_read: string[] | null;
  policy_hash: string;
  core_version: string;
  as_of: string;
  saved_by: string;
  saved_at: GeneratedAlways<Date>;
}

/** What is known of a plan's newest verdict; missing where it has to be made out again. */
export interface PlanStandingTable {
  team_id: string;
  plan_id: string;
  version_no: number;
  /** The pieces it was judged with: whatever changes one of them takes this row away. */
  gear_ids: string[];
  verdict: Verdict;
  weakest: string | null;
  reason: ColumnType<unknown, string | null, string | null>;
  good_until: Day;
  pieces_changed: Json;
}

export interface FileWordTable {
  team_id: string;
  about: string;
  word: string;
  meaning: string;
  said_by: string;
  said_at: ColumnType<Date, never, Date>;
}

export interface Database {
  team: TeamTable;
  person: PersonTable;
  account: AccountTable;
  membership: MembershipTable;
  sign_in_session: SignInSessionTable;
  invitation: InvitationTable;
  sign_in_attempt: SignInAttemptTable;
  practice: PracticeTable;
  audit_entry: AuditEntryTable;
  person_visit: PersonVisitTable;
  policy_version: PolicyVersionTable;
  kit: KitTable;
  kit_wanted: KitWantedTable;
  outing: OutingTable;
  outing_piece: OutingPieceTable;
  calendar_link: CalendarLinkTable;
  vehicle: VehicleTable;
  hook_up: HookUpTable;
  gear: GearTable;
  gear_mark: GearMarkTable;
  inspection: InspectionTable;
  bench_round: BenchRoundTable;
  load_record: LoadRecordTable;
  measured_pull: MeasuredPullTable;
  diary_entry: DiaryEntryTable;
  break_test: BreakTestTable;
  file_word: FileWordTable;
  incident: IncidentTable;
  incident_piece: IncidentPieceTable;
  incident_follow_up: IncidentFollowUpTable;
  load_series: LoadSeriesTable;
  load_series_part: LoadSeriesPartTable;
  sheet_version: SheetVersionTable;
  state_change: StateChangeTable;
  exposure: ExposureTable;
  defect: DefectTable;
  defect_closing: DefectClosingTable;
  photo: PhotoTable;
  plan: PlanTable;
  plan_version: PlanVersionTable;
  plan_standing: PlanStandingTable;
  plan_comment: PlanCommentTable;
  plan_override: PlanOverrideTable;
  team_layout: TeamLayoutTable;
}
