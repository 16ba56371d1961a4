// Fills a database with many teams and ten years of their records, around the demo team, which grows with them.
import pg from 'pg';

export interface Size {
  readonly teams: number;
  readonly pieces: number;
  /** Inspections of each piece: one a year, and a check before use. */
  readonly inspections: number;
  readonly plans: number;
  /** Load records of each piece of the first team; of the others a fifth. */
  readonly loads: number;
}

/** An id that follows from numbers, so that every run has the same rows. */
const id = (what: string, ...numbers: readonly string[]) =>
  `overlay(overlay(md5(concat_ws(' ', '${what}', ${numbers.join(', ')})) placing '4' from 13) placing '8' from 17)::uuid`;

/** The statements that fill a database to a size, in their order. */
export const statements = ({ teams, pieces, inspections, plans, loads }: Size): readonly string[] => [
  // Rows are made by the hundred thousand: what guards single ones is set aside.
  'set session_replication_role = replica',
  `create temp table base as select team_id from team where demo is not null limit 1`,
  `create temp table many as select ${id('team', 'n')} as team_id, n from generate_series(2, ${teams}) n
   union all select team_id, 1 from base`,
  `insert into team (team_id, name, decimal_mark, demo) select team_id, 'Team ' || n, '.', null from many where n > 1`,
  `insert into person (team_id, person_id, name, role, left_on)
   select m.team_id, ${id('person', 'm.n', 'p.person_id')}, p.name, p.role, p.left_on
   from many m, person p where m.n > 1 and p.team_id = (select team_id from base)`,
  `insert into policy_version (team_id, policy_version_id, content, content_hash, reason, created_by)
   select m.team_id, ${id('policy', 'm.n')}, v.content, v.content_hash, v.reason, v.created_by
   from many m, (select * from policy_version where team_id = (select team_id from base) order by created_at desc limit 1) v where m.n > 1`,
  `create temp table who as
   select team_id, array_agg(person_id order by name) as people from person group by team_id`,
  `create temp table proto as
   select row_number() over (order by gear_id) - 1 as p, g.* from gear g where team_id = (select team_id from base) and state = 'in-use'`,
  `create temp table made as
   select m.team_id, m.n, k, ${id('gear', 'm.n', 'k')} as gear_id, who.people,
     (k % (select count(*) from proto))::int as p
   from many m join who using (team_id), generate_series(1, ${pieces}) k`,
  `insert into gear (team_id, gear_id, tag, kind, name, state, maker, model, owner, attributes, made_on, first_used_on,
     overloads_since_inspection, row_version, facts_revision, changed_by)
   select m.team_id, m.gear_id, 'S-' || lpad(k::text, 5, '0'), g.kind, g.name, 'in-use', g.maker, g.model, g.owner, g.attributes, g.made_on,
     g.first_used_on, 0, 1, 1, m.people[1] from made m join proto g using (p)`,
  `insert into gear_mark (team_id, gear_id, mark_no, as_written, basis, source, setting_decided, confirmed_unit, readings)
   select m.team_id, m.gear_id, k.mark_no, k.as_written, k.basis, k.source, k.setting_decided, k.confirmed_unit, k.readings
   from made m join proto g using (p) join gear_mark k on k.gear_id = g.gear_id`,
  `create temp table sheets as
   select distinct on (g.kind) g.kind, i.sheet_version, i.sheet, i.answers from inspection i join gear g using (gear_id)
   where i.sheet is not null order by g.kind, i.recorded_no`,
  // Year by year, as they come in life; the newest of each piece is a check before use that counts for nothing.
  ...Array.from(
    { length: inspections },
    (_, year) =>
      `insert into inspection (team_id, inspection_id, gear_id, inspected_on, grade, next_due_on, kind, counts, sheet_version, sheet, answers, recorded_by, done_at)
       select m.team_id, ${id('inspection', 'm.n', 'm.k', String(year))}, m.gear_id,
         date '2026-01-10' - ${year} * 330 - (m.k % 300)::int,
         ${year === 0 ? 'null' : `case when m.k % 17 = 0 then 'B' else 'A' end`},
         ${year === 0 ? 'null' : `date '2026-01-10' - ${year} * 330 - (m.k % 300)::int + case when m.k % 50 = 0 then 300 else 730 end`},
         '${year === 0 ? 'before-use' : 'calendar'}', ${year > 0}, s.sheet_version,
         case when m.n = 1 then s.sheet end, case when m.n = 1 then s.answers end,
         m.people[1 + (m.k + ${year}) % array_length(m.people, 1)],
         (date '2026-01-10' - ${year} * 330 - (m.k % 300)::int)::timestamptz
       from made m join proto g using (p) left join sheets s on s.kind = g.kind`,
  ),
  `insert into defect (team_id, defect_id, gear_id, inspection_id, point, words, failed, opened_on, opened_by)
   select m.team_id, ${id('defect', 'm.n', 'm.k', 'y')}, m.gear_id, ${id('inspection', 'm.n', 'm.k', 'y')}, 'wear', 'Worn at the eye', false,
     date '2026-01-10' - y * 330 - (m.k % 300)::int, m.people[1]
   from made m, generate_series(1, ${inspections - 1}) y where (m.k + y) % 23 = 0`,
  `insert into defect_closing (team_id, defect_id, closed_on, closed_by, how)
   select d.team_id, d.defect_id, d.opened_on + 9, d.opened_by, 'Replaced' from defect d join many using (team_id) where d.opened_on < date '2025-12-01'
   on conflict do nothing`,
  `insert into exposure (team_id, exposure_id, gear_id, kind, met_on, noted_by)
   select m.team_id, ${id('exposure', 'm.n', 'm.k', 'y')}, m.gear_id, case when y % 2 = 0 then 'mud' else 'washed' end,
     date '2026-01-10' - y * 200, m.people[1] from made m, generate_series(1, 15) y where m.k % 4 = 0`,
  `insert into state_change (team_id, gear_id, from_state, to_state, reason, changed_by)
   select m.team_id, m.gear_id, case when y % 2 = 0 then 'in-use' else 'quarantined' end, case when y % 2 = 0 then 'quarantined' else 'in-use' end,
     'Looked at', m.people[1] from made m, generate_series(1, 4) y where m.k % 10 = 0 order by y`,
  `insert into outing (team_id, outing_id, name, holder_kind, holder_name, out_at, out_by, due_back_on, closed_at, closed_by)
   select m.team_id, ${id('outing', 'm.n', 'o')}, 'Outing ' || o, 'outside', 'The next valley', timestamptz '2026-01-10' - o * interval '3 days',
     who.people[1], date '2026-01-11' - o * 3, case when o > 2 then timestamptz '2026-01-11' - o * interval '3 days' end,
     case when o > 2 then who.people[1] end from many m join who using (team_id), generate_series(1, 1000) o`,
  `insert into outing_piece (team_id, outing_id, gear_id, out_at, out_by, back_at, back_by, settled)
   select m.team_id, ${id('outing', 'm.n', 'o')}, ${id('gear', 'm.n', `1 + (o * 11 + i) % ${pieces}`)}, timestamptz '2026-01-10' - o * interval '3 days',
     who.people[1], case when o > 2 then timestamptz '2026-01-11' - o * interval '3 days' end, case when o > 2 then who.people[1] end, false
   from many m join who using (team_id), generate_series(1, 1000) o, generate_series(1, 8) i`,
  `create temp table kept as
   select row_number() over (order by p.plan_id) - 1 as p, p.name as plan_name, v.* from plan p join plan_version v using (team_id, plan_id, version_no)
   where p.team_id = (select team_id from base)`,
  `insert into plan (team_id, plan_id, name, version_no, state)
   select m.team_id, ${id('plan', 'm.n', 'k')}, (select plan_name from kept where p = k % (select count(*) from kept)) || ', ' || k, 3, 'draft'
   from many m, generate_series(1, ${plans}) k where m.n = 1 or k <= 10`,
  `insert into plan_version (team_id, plan_id, version_no, name, judged_case, report, policy_read, policy_hash, core_version, as_of, saved_by)
   select m.team_id, ${id('plan', 'm.n', 'k')}, y, s.plan_name || ', ' || k, s.judged_case, s.report, s.policy_read, s.policy_hash, s.core_version, s.as_of, s.saved_by
   from many m, generate_series(1, ${plans}) k, generate_series(1, 3) y, kept s
   where (m.n = 1 or k <= 10) and s.p = k % (select count(*) from kept)`,
  `insert into load_record (team_id, record_id, gear_id, pulled_on, place, planned_n, stalled, happened_n, wll_n, nominal_wll_n, nominal_mbs_n,
     overload, cycles, pulls, known, recorded_by)
   select m.team_id, ${id('load', 'm.n', 'm.k', 'y')}, m.gear_id, date '2026-01-10' - y * 140 - (m.k % 100)::int, 'Quarry track',
     5000 + (m.k * 37 + y * 1013) % 30000, false, 5000 + (m.k * 37 + y * 1013) % 30000, 40000, 40000, 120000, 'none',
     jsonb_build_array(jsonb_build_object('bin', 2 + (m.k + y) % 12, 'cycles', 1)), 1, 'typed', m.people[1]
   from made m, generate_series(1, ${loads}) y where m.n = 1 or y <= ${Math.ceil(loads / 5)}`,
  `insert into diary_entry (team_id, entry_id, gear_id, done_on, kind, spool_state, metres, recorded_by)
   select m.team_id, ${id('diary', 'm.n', 'm.k', 'y')}, m.gear_id, date '2026-01-10' - y * 20, case when y % 12 = 0 then 'spooled' else 'ran' end,
     case when y % 12 = 0 then 'under-tension' end, case when y % 12 <> 0 then 8 + y % 9 end, m.people[1]
   from made m join proto g using (p), generate_series(1, 150) y where m.n = 1 and g.kind = 'winch'`,
  `insert into measured_pull (team_id, pull_id, plan_id, plan_version, pulled_on, surface, depth, machine, line_peak_n, force_n, weight_n, planned_n, recorded_by)
   select m.team_id, ${id('measured', 'm.n', 'y')}, ${id('plan', 'm.n', '1 + y % 10')}, 1, date '2026-01-10' - y, 'bog', 'hubs', 'Vehicle ' || y % 12,
     9000 + y % 900, 18000 + y % 1800, 20000, 25000, who.people[1] from many m join who using (team_id), generate_series(1, 600) y where m.n = 1 or y <= 60`,
  `insert into incident (team_id, incident_id, happened_on, kind, words, recorded_by)
   select m.team_id, ${id('incident', 'm.n', 'y')}, date '2026-01-10' - y * 9, 'near-miss', 'The block swung past the operator', who.people[1]
   from many m join who using (team_id), generate_series(1, 400) y`,
  `insert into incident_piece (team_id, incident_id, gear_id, taken_out)
   select m.team_id, ${id('incident', 'm.n', 'y')}, ${id('gear', 'm.n', `1 + (y * 13 + i) % ${pieces}`)}, false
   from many m, generate_series(1, 400) y, generate_series(1, 3) i`,
  `insert into break_test (team_id, test_id, tested_on, kind, maker, batch, load_n, failed_first, recorded_by)
   select m.team_id, ${id('test', 'm.n', 'y')}, date '2026-01-10' - y * 5, 'tree-strap', 'Maker ' || y % 9, 'B-' || y % 40, 90000 + y, 'Stitching', who.people[1]
   from many m join who using (team_id), generate_series(1, 500) y where m.n = 1`,
  // A row in the trail for every inspection, and half as many for everything else.
  ...Array.from(
    { length: inspections },
    (_, year) =>
      `insert into audit_entry (team_id, at, person_id, action, subject_kind, subject_id, subject_name, changes)
       select m.team_id, timestamptz '2016-01-10' + ${year} * interval '330 days', m.people[1 + m.k % array_length(m.people, 1)],
         case when y = 1 then 'inspected' else 'changed a piece' end, 'gear', m.gear_id, 'S-' || m.k, '[{"field": "grade", "before": "B", "after": "A"}]'
       from made m, generate_series(1, 2) y where y = 1 or m.k % 2 = 0`,
  ),
  `insert into sign_in_attempt (login, address, succeeded, at)
   select 'person' || (n % 5000), '10.0.' || (n % 250) || '.' || (n % 200), n % 9 <> 0, now() - n * interval '20 seconds' from generate_series(1, 100000) n`,
  `insert into sign_in_session (sid, sess, expire)
   select 'many' || n, json_build_object('cookie', json_build_object(), 'signedIn', json_build_object('accountId', md5(n::text)::uuid)), now() + interval '20 days'
   from generate_series(1, 50000) n`,
  'update gear set (last_inspection_id, last_inspected_on, last_due_on) = (select * from last_inspection_of(team_id, gear_id))',
  'set session_replication_role = origin',
];

/** Fills the database; says how many rows the two longest tables have by then. */
export async function fill(adminUrl: string, size: Size, say: (text: string) => void): Promise<void> {
  const admin = new pg.Client({ connectionString: adminUrl });
  await admin.connect();
  try {
    const all = statements(size);
    for (const [index, statement] of all.entries()) {
      await admin.query(statement);
      if (index % 5 === 4) say(`${index + 1} of ${all.length} steps`);
    }
    await admin.query('vacuum analyze');
  } finally {
    await admin.end();
  }
}

const GROWN = [
  `insert into gear (team_id, gear_id, tag, kind, name, state, attributes, overloads_since_inspection, row_version, facts_revision, changed_by)
   select g.team_id, gen_random_uuid(), 'T-' || lpad(k::text, 5, '0'), g.kind, g.name, 'in-use', g.attributes, 0, 1, 1, g.changed_by
   from (select * from gear where team_id = (select team_id from team where demo is not null limit 1) order by tag_key limit 1) g,
     generate_series(1, 18000) k`,
  `insert into inspection (team_id, inspection_id, gear_id, inspected_on, grade, next_due_on, kind, counts, recorded_by, done_at)
   select team_id, gen_random_uuid(), gear_id, date '2026-01-01', 'A', date '2027-01-01', 'calendar', true, changed_by, timestamptz '2026-01-01' from gear where tag like 'T-%'`,
  "update gear set (last_inspection_id, last_inspected_on, last_due_on) = (select * from last_inspection_of(team_id, gear_id)) where tag like 'T-%'",
  `insert into gear_mark (team_id, gear_id, mark_no, as_written, basis, source, setting_decided, readings)
   select g.team_id, g.gear_id, 1, m.as_written, m.basis, m.source, m.setting_decided, m.readings from gear g,
     (select * from gear_mark limit 1) m where g.tag like 'T-%'`,
];
const SHRUNK = [
  "delete from inspection i using gear g where g.gear_id = i.gear_id and g.tag like 'T-%'",
  "delete from gear_mark m using gear g where g.gear_id = m.gear_id and g.tag like 'T-%'",
  "delete from gear where tag like 'T-%'",
];

/** The register of the demo team with 18,000 pieces more, for as long as the work takes. */
export async function whileGrown(adminUrl: string, work: () => Promise<void>): Promise<void> {
  const admin = new pg.Client({ connectionString: adminUrl });
  await admin.connect();
  try {
    await admin.query('set session_replication_role = replica');
    for (const statement of [...SHRUNK, ...GROWN, 'analyze gear; analyze inspection; analyze gear_mark']) await admin.query(statement);
    await work();
    for (const statement of [...SHRUNK, 'vacuum analyze gear', 'vacuum analyze inspection']) await admin.query(statement);
  } finally {
    await admin.end();
  }
}
