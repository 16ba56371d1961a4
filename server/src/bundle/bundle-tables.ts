import {
  diaryKinds,
  hookUpKinds,
  incidentKinds,
  inspectionKinds,
  loadSources,
  overloadWords,
  personRoles,
  planStates,
} from '@wainrope/contract';
import {
  type Codec,
  choice,
  day,
  depths,
  exposureKinds,
  type Fault,
  flag,
  gearClassNames,
  gearStates,
  grades,
  inspectionSheetCodec,
  list,
  markBases,
  markSources,
  numeric,
  optional,
  partialDate,
  record,
  surfaces,
  text,
} from '@wainrope/core';

import type { Database } from '../database/schema.ts';

const ROWS_MAX = 1_000_000;

const pattern = (expression: string, what: string): Codec<string> => {
  const matches = new RegExp(expression);
  return {
    schema: { type: 'string', pattern: expression },
    visit: (value, path, faults) => {
      if (typeof value === 'string' && matches.test(value)) return value;
      faults.push({ path, message: `${what} is expected here` });
      return undefined;
    },
  };
};

const uuid = pattern('^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$', 'an id of 32 hexadecimal digits in five groups');
/** To the millionth of a second, so that nothing is lost on the way out and in. */
const moment = pattern('^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d{1,6})?\\+00:00$', 'a moment such as 2026-05-31T14:05:00+00:00');
const base64 = pattern('^[A-Za-z0-9+/]*={0,2}$', 'base64');
const words = text({ maxLength: 20_000 });
const maybeEmpty = text({ minLength: 0, maxLength: 20_000 });
const count = numeric({ integer: true, min: 0 });
const real = numeric();
/** Kept as it stands; read by its own reader where it has one. */
const document: Codec<unknown> = { schema: {}, visit: (value) => value };

/** A row: known columns alone; a column without a value is left out. */
function row<const F extends { readonly [column: string]: Codec<unknown> }>(fields: F): Codec<object> {
  const inner = record(fields);
  const { properties, ...schema } = inner.schema as { readonly properties: { readonly ext?: unknown } };
  const { ext: _, ...columns } = properties;
  return {
    schema: { ...schema, properties: columns },
    visit: (value, path, faults: Fault[]) => {
      if (typeof value === 'object' && value !== null && 'ext' in value)
        faults.push({ path: `${path}.ext`, message: 'rows hold no extensions' });
      return inner.visit(value, path, faults) as object | undefined;
    },
  };
}

/** Columns that the file does not have: the team, which it has once, and what follows from other columns. */
type Apart =
  | 'team_id'
  | 'tag_key'
  | 'last_inspection_id'
  | 'last_inspected_on'
  | 'last_due_on'
  | 'wear_meets_on'
  | 'wear_measure'
  | 'policy_read';
/** Every other column of a table: one that the database gets, the file gets too, or this does not compile. */
type ColumnsOf<N extends keyof Database> = { readonly [C in Exclude<keyof Database[N], Apart>]: Codec<unknown> };

const rowOf = <N extends keyof Database>(columns: ColumnsOf<N>): Codec<object> => row(columns);

/** The columns of a table that the file has. */
export const columnsOf = ({ schema }: Codec<object>): readonly string[] =>
  Object.keys((schema as { readonly properties: object }).properties);

export interface BundleTable {
  readonly name: string;
  /** Columns that order the rows, so that the same team always gives the same file. */
  readonly order: readonly string[];
  readonly row: Codec<object>;
  /** Columns of bytes, base64 in the file. */
  readonly bytes?: readonly string[];
  /** Files that were written before there was this table lack it. */
  readonly isLater?: true;
  /** The number that the database gives to each row. */
  readonly numbered?: string;
}

export const teamRow = row({
  team_id: uuid,
  name: words,
  decimal_mark: choice(['.', ',']),
  demo: optional(words),
  first_steps_away: optional(flag),
  call_if_hurt: optional(words),
  created_at: moment,
});

/** Every table of a team but accounts and what belongs to them, those first that others point at. */
export const bundleTables: readonly BundleTable[] = [
  {
    name: 'person',
    order: ['person_id'],
    row: rowOf<'person'>({ person_id: uuid, name: words, role: choice(personRoles), left_on: optional(day), first_aider: optional(flag) }),
  },
  {
    name: 'policy_version',
    order: ['created_at', 'policy_version_id'],
    row: rowOf<'policy_version'>({
      policy_version_id: uuid,
      content: document,
      content_hash: words,
      reason: maybeEmpty,
      created_by: uuid,
      created_at: moment,
    }),
  },
  {
    name: 'vehicle',
    order: ['vehicle_id'],
    row: rowOf<'vehicle'>({
      vehicle_id: uuid,
      name: words,
      model: maybeEmpty,
      mass_kg: real,
      length_m: real,
      width_m: real,
      row_version: count,
    }),
  },
  {
    name: 'hook_up',
    order: ['noted_at', 'entry_id'],
    row: rowOf<'hook_up'>({
      entry_id: uuid,
      model: words,
      kind: choice(hookUpKinds),
      place: words,
      forward_m: optional(real),
      left_m: optional(real),
      height_m: optional(real),
      load_n: optional(real),
      radius_m: optional(real),
      note: optional(maybeEmpty),
      corrects: optional(uuid),
      noted_by: uuid,
      noted_on: day,
      noted_at: moment,
    }),
  },
  {
    name: 'kit',
    order: ['kit_id'],
    row: rowOf<'kit'>({
      kit_id: uuid,
      name: words,
      terrain: optional(words),
      vehicle_id: optional(uuid),
      note: optional(maybeEmpty),
      row_version: count,
    }),
  },
  {
    name: 'kit_wanted',
    order: ['kit_id', 'line_no'],
    row: rowOf<'kit_wanted'>({ kit_id: uuid, line_no: count, kind: choice(gearClassNames), count, least_wll_n: optional(real) }),
  },
  {
    name: 'gear',
    order: ['gear_id'],
    row: rowOf<'gear'>({
      gear_id: uuid,
      tag: words,
      kind: choice(gearClassNames),
      name: words,
      state: choice(gearStates),
      maker: optional(maybeEmpty),
      model: optional(maybeEmpty),
      batch: optional(maybeEmpty),
      owner: optional(maybeEmpty),
      kit_id: optional(uuid),
      vehicle_id: optional(uuid),
      made_on: optional(partialDate),
      bought_on: optional(partialDate),
      first_used_on: optional(partialDate),
      renewed_until: optional(day),
      note: optional(maybeEmpty),
      overloads_since_inspection: count,
      attributes: document,
      row_version: count,
      facts_revision: count,
      changed_by: uuid,
    }),
  },
  {
    name: 'gear_mark',
    order: ['gear_id', 'mark_no'],
    row: rowOf<'gear_mark'>({
      gear_id: uuid,
      mark_no: count,
      as_written: words,
      basis: choice(markBases),
      source: choice(markSources),
      setting_decided: flag,
      confirmed_unit: optional(choice(['short ton', 'tonne', 'long ton'])),
      readings: document,
    }),
  },
  {
    name: 'sheet_version',
    order: ['kind', 'version_no'],
    row: rowOf<'sheet_version'>({
      kind: choice(gearClassNames),
      version_no: count,
      sheet: inspectionSheetCodec,
      reason: maybeEmpty,
      saved_by: uuid,
      saved_at: moment,
    }),
  },
  {
    name: 'inspection',
    order: ['recorded_no'],
    numbered: 'recorded_no',
    row: rowOf<'inspection'>({
      inspection_id: uuid,
      gear_id: uuid,
      inspected_on: day,
      grade: optional(choice(grades)),
      next_due_on: optional(day),
      inspector: optional(maybeEmpty),
      recorded_by: uuid,
      recorded_at: moment,
      recorded_no: count,
      kind: choice(inspectionKinds),
      counts: flag,
      sheet_version: optional(count),
      sheet: optional(inspectionSheetCodec),
      answers: optional(document),
      proposed_grade: optional(choice(grades)),
      note: optional(maybeEmpty),
      corrects: optional(uuid),
      device_id: optional(uuid),
      device_sequence: optional(count),
      device_clock: optional(moment),
      done_at: optional(moment),
    }),
  },
  {
    name: 'state_change',
    order: ['change_no'],
    numbered: 'change_no',
    row: rowOf<'state_change'>({
      change_no: count,
      gear_id: uuid,
      from_state: choice(gearStates),
      to_state: choice(gearStates),
      reason: maybeEmpty,
      destroyed: optional(maybeEmpty),
      inspection_id: optional(uuid),
      changed_by: uuid,
      at: moment,
    }),
  },
  {
    name: 'exposure',
    order: ['noted_at', 'exposure_id'],
    row: rowOf<'exposure'>({
      exposure_id: uuid,
      gear_id: uuid,
      kind: choice([...exposureKinds, 'washed']),
      met_on: day,
      note: optional(maybeEmpty),
      noted_by: uuid,
      noted_at: moment,
    }),
  },
  {
    name: 'defect',
    order: ['defect_id'],
    row: rowOf<'defect'>({
      defect_id: uuid,
      gear_id: uuid,
      inspection_id: uuid,
      point: words,
      words,
      failed: flag,
      opened_on: day,
      opened_by: uuid,
    }),
  },
  {
    name: 'defect_closing',
    order: ['defect_id'],
    row: rowOf<'defect_closing'>({ defect_id: uuid, closed_on: day, closed_by: uuid, how: maybeEmpty, inspection_id: optional(uuid) }),
  },
  {
    name: 'photo',
    order: ['photo_id'],
    bytes: ['content', 'thumbnail'],
    row: rowOf<'photo'>({
      photo_id: uuid,
      subject_kind: words,
      subject_id: uuid,
      media_type: choice(['image/jpeg']),
      content: base64,
      thumbnail: base64,
      taken_by: uuid,
      taken_at: moment,
    }),
  },
  {
    name: 'practice',
    order: ['recorded_at', 'practice_id'],
    row: rowOf<'practice'>({
      practice_id: uuid,
      person_id: uuid,
      layout: words,
      practised_on: day,
      seen_by: uuid,
      note: optional(maybeEmpty),
      recorded_by: uuid,
      recorded_at: moment,
    }),
  },
  {
    name: 'outing',
    order: ['out_at', 'outing_id'],
    row: rowOf<'outing'>({
      outing_id: uuid,
      name: words,
      holder_kind: choice(['person', 'vehicle', 'outside']),
      holder_person: optional(uuid),
      holder_vehicle: optional(uuid),
      holder_name: optional(words),
      out_at: moment,
      out_by: uuid,
      due_back_on: optional(day),
      closed_at: optional(moment),
      closed_by: optional(uuid),
      missing_note: optional(maybeEmpty),
    }),
  },
  {
    name: 'outing_piece',
    order: ['outing_id', 'gear_id'],
    row: rowOf<'outing_piece'>({
      outing_id: uuid,
      gear_id: uuid,
      out_at: moment,
      out_by: uuid,
      back_at: optional(moment),
      back_by: optional(uuid),
      settled: flag,
    }),
  },
  {
    name: 'plan',
    order: ['plan_id'],
    row: rowOf<'plan'>({
      plan_id: uuid,
      name: words,
      version_no: count,
      state: choice(planStates),
      state_by: optional(uuid),
      state_at: optional(moment),
      variant_of: optional(uuid),
    }),
  },
  {
    name: 'plan_version',
    order: ['plan_id', 'version_no'],
    row: rowOf<'plan_version'>({
      plan_id: uuid,
      version_no: count,
      name: words,
      judged_case: document,
      report: document,
      policy_hash: words,
      core_version: words,
      as_of: day,
      saved_by: uuid,
      saved_at: moment,
    }),
  },
  {
    name: 'plan_comment',
    order: ['said_at', 'comment_id'],
    row: rowOf<'plan_comment'>({ comment_id: uuid, plan_id: uuid, version_no: count, words, said_by: uuid, said_at: moment }),
  },
  {
    name: 'plan_override',
    order: ['stated_at', 'override_id'],
    row: rowOf<'plan_override'>({
      override_id: uuid,
      plan_id: uuid,
      version_no: count,
      finding_id: words,
      covers: optional(choice(['finding', 'rule-and-subject'])),
      finding_words: words,
      reason: words,
      stated_by: uuid,
      stated_at: moment,
    }),
  },
  {
    name: 'team_layout',
    order: ['layout_id'],
    row: rowOf<'team_layout'>({ layout_id: uuid, name: words, rig: document, saved_by: uuid, saved_at: moment, put_away: flag }),
  },
  {
    name: 'audit_entry',
    order: ['entry_no'],
    numbered: 'entry_no',
    row: rowOf<'audit_entry'>({
      entry_no: count,
      at: moment,
      person_id: uuid,
      action: words,
      subject_kind: words,
      subject_id: uuid,
      subject_name: maybeEmpty,
      changes: document,
      note: optional(maybeEmpty),
      corrects: optional(count),
    }),
  },
  {
    name: 'load_series',
    isLater: true,
    order: ['recorded_at', 'series_id'],
    row: rowOf<'load_series'>({
      series_id: uuid,
      plan_id: uuid,
      plan_version: count,
      line_id: words,
      strand: count,
      pulled_on: day,
      file_name: words,
      bytes: count,
      sha256: pattern('^[0-9a-f]{64}$', 'a hash of 64 hexadecimal digits'),
      read_as: document,
      summary: document,
      envelope: document,
      note: optional(maybeEmpty),
      recorded_by: uuid,
      recorded_at: moment,
    }),
  },
  {
    name: 'load_series_part',
    isLater: true,
    order: ['series_id', 'part_no'],
    bytes: ['content'],
    row: rowOf<'load_series_part'>({ series_id: uuid, part_no: count, content: base64 }),
  },
  {
    name: 'load_record',
    isLater: true,
    order: ['recorded_no'],
    numbered: 'recorded_no',
    row: rowOf<'load_record'>({
      record_id: uuid,
      gear_id: uuid,
      pulled_on: day,
      pull_id: optional(uuid),
      plan_id: optional(uuid),
      plan_version: optional(count),
      place: optional(maybeEmpty),
      planned_n: real,
      greatest_n: optional(real),
      peak_n: optional(real),
      stalled: flag,
      happened_n: real,
      wll_n: optional(real),
      nominal_wll_n: optional(real),
      nominal_mbs_n: optional(real),
      overload: choice(overloadWords),
      cycles: list(record({ bin: count, cycles: real })),
      pulls: count,
      known: choice(loadSources),
      note: optional(maybeEmpty),
      corrects: optional(uuid),
      series_id: optional(uuid),
      recorded_by: uuid,
      recorded_at: moment,
      recorded_no: count,
    }),
  },
  {
    name: 'measured_pull',
    isLater: true,
    order: ['recorded_at', 'pull_id'],
    row: rowOf<'measured_pull'>({
      pull_id: uuid,
      plan_id: uuid,
      plan_version: count,
      pulled_on: day,
      surface: choice(surfaces),
      depth: choice(depths),
      machine: words,
      line_peak_n: real,
      force_n: real,
      weight_n: real,
      planned_n: real,
      recorded_by: uuid,
      recorded_at: moment,
    }),
  },
  {
    name: 'diary_entry',
    isLater: true,
    order: ['recorded_no'],
    numbered: 'recorded_no',
    row: rowOf<'diary_entry'>({
      entry_id: uuid,
      gear_id: uuid,
      done_on: day,
      kind: choice(diaryKinds),
      spool_state: optional(words),
      tension_n: optional(real),
      metres: optional(real),
      cut_at: optional(words),
      end_termination: optional(words),
      eye_lock: optional(words),
      note: optional(maybeEmpty),
      recorded_by: uuid,
      recorded_at: moment,
      recorded_no: count,
    }),
  },
  {
    name: 'break_test',
    isLater: true,
    order: ['recorded_at', 'test_id'],
    row: rowOf<'break_test'>({
      test_id: uuid,
      tested_on: day,
      kind: choice(gearClassNames),
      maker: words,
      model: optional(maybeEmpty),
      batch: words,
      load_n: real,
      failed_first: words,
      note: optional(maybeEmpty),
      recorded_by: uuid,
      recorded_at: moment,
    }),
  },
  {
    name: 'file_word',
    isLater: true,
    order: ['about', 'word'],
    row: rowOf<'file_word'>({
      about: choice(['class', 'state', 'grade']),
      word: words,
      meaning: maybeEmpty,
      said_by: uuid,
      said_at: moment,
    }),
  },
  {
    name: 'incident',
    isLater: true,
    order: ['recorded_at', 'incident_id'],
    row: rowOf<'incident'>({
      incident_id: uuid,
      happened_on: day,
      kind: choice(incidentKinds),
      words,
      place: optional(maybeEmpty),
      told: optional(maybeEmpty),
      plan_id: optional(uuid),
      corrects: optional(uuid),
      recorded_by: uuid,
      recorded_at: moment,
    }),
  },
  {
    name: 'incident_piece',
    isLater: true,
    order: ['incident_id', 'gear_id'],
    row: rowOf<'incident_piece'>({ incident_id: uuid, gear_id: uuid, taken_out: flag }),
  },
  {
    name: 'incident_follow_up',
    isLater: true,
    order: ['written_at', 'follow_up_id'],
    row: rowOf<'incident_follow_up'>({ follow_up_id: uuid, incident_id: uuid, words, written_by: uuid, written_at: moment }),
  },
  { name: 'person_visit', order: ['person_id'], row: rowOf<'person_visit'>({ person_id: uuid, seen_entry_no: count, seen_at: moment }) },
];

export const BUNDLE_FORMAT = 'wainrope.team';
export const BUNDLE_VERSION = 1;

/** A whole team in one file. */
export const bundleCodec = record({
  format: choice([BUNDLE_FORMAT]),
  version: numeric({ min: BUNDLE_VERSION, max: BUNDLE_VERSION, integer: true }),
  team: teamRow,
  tables: record(
    Object.fromEntries(
      bundleTables.map(({ name, row: each, isLater }) => {
        const rows = list(each, { max: ROWS_MAX });
        return [name, isLater ? optional(rows) : rows];
      }),
    ),
  ),
});
