import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { demoIds, startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
let heard: string[] = [];
const query = pg.Client.prototype.query;
beforeAll(async () => {
  server = await startTestServer();
  pg.Client.prototype.query = function (this: pg.Client, ...args: unknown[]) {
    const [first] = args as [string | { readonly text: string }];
    heard.push(typeof first === 'string' ? first : first.text);
    return (query as (...args: unknown[]) => unknown).apply(this, args);
  } as typeof query;
});
afterAll(async () => {
  pg.Client.prototype.query = query;
  await server.stop();
});

/** Rows of everything that a list shows, made from the first there is. */
async function grow(to: number): Promise<void> {
  const run = (text: string) => server.owner.query(text);
  await run("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
  const many = `generate_series(1, ${to}) n`;
  const like = (table: string, columns: string, made: string, from = `(select * from ${table} limit 1) o`) =>
    run(`insert into ${table} (${columns}) select ${made} from ${from}, ${many}`);
  await like('person', 'team_id, person_id, name, role', `team_id, gen_random_uuid(), 'P${to} ' || n, 'member'`);
  await like('kit', 'team_id, kit_id, name', `team_id, gen_random_uuid(), 'K${to} ' || n`);
  await like(
    'vehicle',
    'team_id, vehicle_id, name, model, mass_kg, length_m, width_m',
    `team_id, gen_random_uuid(), 'V${to} ' || n, model, 2000, 4, 2`,
  );
  const gear =
    'team_id, gear_id, tag, kind, name, state, attributes, overloads_since_inspection, row_version, facts_revision, changed_by, last_inspection_id';
  await like('gear', gear, gear.replace('gear_id, tag', `gen_random_uuid(), 'G${to}-' || n`).replace('last_inspection_id', 'null'));
  const one = "(select * from gear where tag like 'G%' order by tag limit 1) o";
  const inspection = 'team_id, inspection_id, gear_id, inspected_on, grade, next_due_on, kind, counts, recorded_by';
  await like(
    'inspection',
    inspection,
    `team_id, gen_random_uuid(), gear_id, date '2020-01-01' + n, 'A', date '2021-01-01', 'calendar', true, changed_by`,
    one,
  );
  await like(
    'defect',
    'team_id, defect_id, gear_id, inspection_id, point, words, failed, opened_on, opened_by',
    `i.team_id, gen_random_uuid(), i.gear_id, i.inspection_id, 'eye', 'Worn', false, i.inspected_on, i.recorded_by`,
    '(select * from inspection limit 1) i',
  );
  await like(
    'exposure',
    'team_id, exposure_id, gear_id, kind, met_on, noted_by',
    `team_id, gen_random_uuid(), gear_id, 'mud', date '2026-01-01', changed_by`,
    one,
  );
  await like(
    'state_change',
    'team_id, gear_id, from_state, to_state, reason, changed_by',
    `team_id, gear_id, 'in-use', 'quarantined', 'Seen', changed_by`,
    one,
  );
  await like(
    'load_record',
    'team_id, record_id, gear_id, pulled_on, planned_n, stalled, happened_n, overload, cycles, pulls, known, recorded_by',
    `team_id, gen_random_uuid(), gear_id, date '2025-01-01' + n, 1000, false, 1000, 'none', '[]', 1, 'typed', changed_by`,
    '(select * from gear order by tag_key, gear_id limit 1) o',
  );
  const first = '(select * from gear order by tag_key, gear_id limit 1) o';
  await like(
    'incident',
    'team_id, incident_id, happened_on, kind, words, recorded_by',
    `team_id, md5('I${to} ' || n)::uuid, date '2025-01-01' + n, 'near-miss', 'Seen', changed_by`,
    first,
  );
  await like('incident_piece', 'team_id, incident_id, gear_id, taken_out', `team_id, md5('I${to} ' || n)::uuid, gear_id, false`, first);
  await like(
    'incident_follow_up',
    'team_id, follow_up_id, incident_id, words, written_by',
    `team_id, gen_random_uuid(), md5('I${to} ' || n)::uuid, 'Changed', changed_by`,
    first,
  );
  await like(
    'diary_entry',
    'team_id, entry_id, gear_id, done_on, kind, metres, recorded_by',
    `team_id, gen_random_uuid(), gear_id, date '2025-01-01' + n, 'ran', 1, changed_by`,
    first,
  );
  await run("update gear set maker = 'M', batch = 'B' where gear_id = (select gear_id from gear order by tag_key, gear_id limit 1)");
  await like(
    'break_test',
    'team_id, test_id, tested_on, kind, maker, batch, load_n, failed_first, recorded_by',
    `team_id, gen_random_uuid(), date '2025-01-01' + n, kind, 'M', 'B', 1000, 'Eye', changed_by`,
    first,
  );
  await run(`insert into inspection (team_id, inspection_id, gear_id, inspected_on, kind, counts, sheet, answers, recorded_by)
    select o.team_id, gen_random_uuid(), o.gear_id, date '2019-01-01' + n, 'before-use', false, m.sheet, m.answers, o.changed_by
    from ${first}, (select sheet, answers from inspection where answers -> 'measures' <> '{}'::jsonb limit 1) m, ${many}`);
  await like(
    'bench_round',
    'team_id, round_id, title, kind, gear_ids, confirmed, drafts, begun_at, person_id, device_id',
    `team_id, gen_random_uuid(), 'R${to} ' || n, 'calendar', array[gear_id], '{}', '[]', now(), changed_by, gen_random_uuid()`,
    one,
  );
  await like(
    'outing',
    'team_id, outing_id, name, holder_kind, holder_name, out_by, due_back_on',
    `team_id, gen_random_uuid(), 'O${to} ' || n, 'outside', 'Somebody', changed_by, date '2026-01-01'`,
    one,
  );
  await like(
    'hook_up',
    'team_id, entry_id, model, kind, place, noted_by, noted_on',
    `team_id, gen_random_uuid(), 'M${to} ' || n, 'used', 'Front', noted_by, noted_on`,
  );
  const version = 'judged_case, report, policy_hash, core_version, as_of, saved_by';
  await run(`insert into plan (team_id, plan_id, name, version_no)
    select team_id, overlay(overlay(md5('${to} ' || n) placing '4' from 13) placing '8' from 17)::uuid, 'A${to} ' || n, 2
    from (select team_id from plan limit 1) o, ${many}`);
  await run(`insert into plan_version (team_id, plan_id, version_no, name, ${version})
    select p.team_id, p.plan_id, y, p.name, ${version} from plan p, (select ${version} from plan_version limit 1) v, generate_series(1, 2) y
    where p.name like 'A${to} %'`);
  await run(`insert into load_series (team_id, series_id, plan_id, plan_version, line_id, strand, pulled_on, file_name, bytes, sha256, read_as, summary,
      envelope, recorded_by)
    select p.team_id, overlay(overlay(md5('S${to} ' || n) placing '4' from 13) placing '8' from 17)::uuid, p.plan_id, 1, 'line', 0, date '2025-01-01', 'a.csv', 9, repeat('0', 64),
      '{"leavesOutSpikes": false}', '{"refused": [], "spikeLines": []}', '{"stepS": 1, "lowN": [], "highN": []}', v.saved_by
    from (select * from plan order by lower(name), plan_id::text limit 1) p join plan_version v on v.plan_id = p.plan_id and v.version_no = 1, ${many}`);
  await run(`insert into plan_comment (team_id, comment_id, plan_id, version_no, words, said_by)
    select p.team_id, gen_random_uuid(), p.plan_id, 1, 'Seen', v.saved_by from (select * from plan order by name limit 1) p
      join plan_version v on v.plan_id = p.plan_id and v.version_no = 1, ${many}`);
  await like(
    'team_layout',
    'team_id, layout_id, name, rig, saved_by, put_away',
    `team_id, gen_random_uuid(), 'L${to} ' || n, '{}', changed_by, true`,
    one,
  );
}

it('every list takes as many statements for a hundred rows as for ten', async () => {
  let shown: Record<string, number> = {};
  const counted = async () => {
    const { gearId, planId, personId } = await demoIds(server);
    const { body: series } = await server.http.get(`/api/v1/plans/${planId}/series`).expect(200);
    const { seriesId } = series.items[0];
    const lists = {
      gear: '/gear',
      piece: `/gear/${gearId}`,
      care: `/gear/${gearId}/care`,
      loads: `/gear/${gearId}/loads`,
      wear: `/gear/${gearId}/wear`,
      life: `/gear/${gearId}/life`,
      diary: `/gear/${gearId}/diary`,
      'break tests': `/gear/${gearId}/break-tests`,
      series: `/plans/${planId}/series`,
      'one series': `/series/${seriesId}`,
      incidents: '/incidents',
      'incidents of a piece': `/incidents?gearId=${gearId}`,
      season: '/season?from=2025-01-01&to=2026-12-31',
      rounds: '/rounds',
      inspections: '/inspections',
      'of a person': `/inspections?person=${personId}`,
      defects: '/defects',
      people: '/people',
      person: `/people/${personId}`,
      kits: '/kits',
      outings: '/outings',
      vehicles: '/vehicles',
      'hook-ups': '/hook-ups',
      plans: '/plans',
      plan: `/plans/${planId}`,
      versions: `/plans/${planId}/versions`,
      comments: `/plans/${planId}/comments`,
      layouts: '/layouts',
      sheets: '/inspection-sheets',
      policy: '/policy',
      team: '/team',
      audit: '/audit',
      visit: '/visit',
      reminders: '/visit/reminders',
    };
    const counts: Record<string, number> = {};
    shown = {};
    for (const [name, path] of Object.entries(lists)) {
      // Once to make out what is kept from then on.
      await server.http.get(`/api/v1${path}`).expect(200);
      heard = [];
      const { body } = await server.http.get(`/api/v1${path}`).expect(200);
      counts[name] = heard.length;
      if (Array.isArray(body.items)) shown[name] = body.items.length;
    }
    return counts;
  };
  await grow(10);
  const few = await counted();
  await grow(100);
  expect(await counted()).toEqual(few);
  for (const name of [
    'gear',
    'inspections',
    'defects',
    'people',
    'kits',
    'outings',
    'vehicles',
    'plans',
    'comments',
    'audit',
    'loads',
    'rounds',
    'life',
    'diary',
    'break tests',
    'series',
  ])
    expect([name, shown[name]]).toEqual([name, Math.max(100, shown[name] ?? 0)]);
  expect(Math.max(...Object.values(few))).toBeLessThanOrEqual(20);
  expect(Math.min(...Object.values(few))).toBeGreaterThan(0);
});

it('a list of plans of which nothing is known yet takes as many for a hundred as for ten', async () => {
  const unknown = async (plans: number) => {
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    await server.owner.query(
      `delete from plan_standing where plan_id in (select plan_id from plan order by lower(name), plan_id::text limit ${plans})`,
    );
    heard = [];
    await server.http.get('/api/v1/plans').expect(200);
    return heard.length;
  };
  expect(await unknown(100)).toBe(await unknown(10));
});

it('a page that is only looked at writes nothing, its session neither', async () => {
  await server.http.get('/api/v1/team').expect(200);
  heard = [];
  await server.http.get('/api/v1/team').expect(200);
  expect(heard.filter((text) => /^\s*(update|insert|delete)/i.test(text))).toEqual([]);
});
