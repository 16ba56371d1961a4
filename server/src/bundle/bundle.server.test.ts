import type { NestExpressApplication } from '@nestjs/platform-express';
import type { Policy } from '@wainrope/core';
import supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { AccessService } from '../access/access.service.ts';
import { createApplication } from '../application.ts';
import { policyHash } from '../team/team.service.ts';
import { newPiece, ownDatabase, startTestServer, type TestServer } from '../testing/test-server.ts';

type Rows = { readonly [column: string]: unknown }[];
interface BundleFile {
  team: { [column: string]: unknown };
  tables: { [table: string]: Rows };
}

let server: TestServer;
let other: NestExpressApplication;
let bundle: BundleFile;

beforeAll(async () => {
  server = await startTestServer();
  process.env.WAINROPE_DATABASE_URL = (await ownDatabase('empty')).appUrl;
  other = await createApplication('');
  process.env.WAINROPE_DATABASE_URL = server.urls.appUrl;
  await other.listen(0, '127.0.0.1');
  // A variant comes before its plan in the file.
  const [root] = (await server.http.get('/api/v1/plans').expect(200)).body.items;
  const { rig } = (await server.http.get(`/api/v1/plans/${root.planId}`).expect(200)).body;
  const variant = { planId: '00000000-0000-4000-8000-000000000001', name: 'Another way', rig, variantOf: root.planId };
  await server.http.post('/api/v1/plans').send(variant).expect(201);
  bundle = (await server.http.get('/api/v1/bundle').expect(200)).body as BundleFile;
});
afterAll(async () => {
  await other.close();
  await server.stop();
});

const MOVES = ['exported the team’s file', 'imported the team from its file'];

/** The file without the entries of its being taken out and brought in, of which each adds one. */
function withoutTakingOut(text: string): string {
  const file = JSON.parse(text) as BundleFile;
  const entries = (file.tables.audit_entry ?? []).filter(({ action }) => !MOVES.includes(String(action)));
  return JSON.stringify({ ...file, tables: { ...file.tables, audit_entry: entries } });
}

const isla = () => bundle.tables.person?.find(({ role }) => role === 'coordinator')?.person_id;

/** Brings a file into the empty server by the link that founds a team. */
async function bring(file: object, change: object = {}) {
  const { path } = await other.get(AccessService).setUpLink();
  const agent = supertest.agent(other.getHttpServer());
  const body = { token: path.split('#')[1], login: 'isla', password: 'peat and heather', personId: isla(), bundle: file, ...change };
  return { agent, answer: await agent.post('/api/v1/invitations/bundle').send(body) };
}

/** The bundle with one row of a table changed. */
function with_(table: string, index: number, change: object): BundleFile {
  const rows = [...(bundle.tables[table] ?? [])];
  rows[index] = { ...rows[index], ...change };
  return { ...bundle, tables: { ...bundle.tables, [table]: rows } };
}

const faultsOf = ({ answer }: Awaited<ReturnType<typeof bring>>) => {
  expect(answer.status).toBe(422);
  return answer.body.faults as { path: string; message: string }[];
};

describe('a whole team in one file', () => {
  it('is the same every time and holds every table of a team, but nothing of accounts', async () => {
    const again = await server.http.get('/api/v1/bundle').expect(200);
    expect(withoutTakingOut(again.text)).toBe(withoutTakingOut((await server.http.get('/api/v1/bundle')).text));
    const { rows } = await server.owner.query<{ name: string }>(
      `select table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'team_id'`,
    );
    // What is known of a plan is made out again from its versions and pieces; a round that is being worked through is on its device.
    const outside = ['team', 'membership', 'invitation', 'calendar_link', 'plan_standing', 'bench_round'];
    expect(Object.keys(bundle.tables).sort()).toEqual(
      rows
        .map(({ name }) => name)
        .filter((name) => !outside.includes(name))
        .sort(),
    );
    await server.owner.query(`select set_config('wainrope.team_id', $1, false)`, [bundle.team.team_id]);
    for (const [table, kept] of Object.entries(bundle.tables)) {
      const { rows: counted } = await server.owner.query<{ count: string }>(`select count(*) from ${table} where team_id = $1`, [
        bundle.team.team_id,
      ]);
      // Taken out three times by now, and each is noted after.
      const since = table === 'audit_entry' ? 3 : 0;
      expect([table, kept.length + since]).toEqual([table, Number(counted[0]?.count)]);
    }
    expect(again.text).not.toMatch(/password_hash|argon2/);
  });

  it('is the coordinator’s to take', async () => {
    await (await server.as('gear-keeper')).get('/api/v1/bundle').expect(403);
  });
});

/** The file with other settings, under their right hash. */
function softened(change: Partial<Policy>) {
  const content = { ...(bundle.tables.policy_version?.[0]?.content as Policy), ...change };
  return with_('policy_version', 0, { content, content_hash: policyHash(content) });
}

describe('what is not brought in, with nothing saved', () => {
  it.each([
    ['no bundle at all', () => ({ format: 'other' }), 'format'],
    ['a column that is not known', () => with_('gear', 3, { colour: 'red' }), 'tables.gear[3].colour'],
    [
      'a size of the wrong kind',
      () => with_('gear', 0, { attributes: { bowDiameterM: 'thick' } }),
      'tables.gear[0].attributes.bowDiameterM',
    ],
    ['a day that does not exist', () => with_('inspection', 2, { inspected_on: '2025-02-30' }), 'tables.inspection[2].inspected_on'],
    [
      'a verdict that does not follow from its case',
      () =>
        with_('plan_version', 0, { report: { ...(bundle.tables.plan_version?.[0]?.report as object), verdict: 'clear', findings: [] } }),
      'tables.plan_version[0].report',
    ],
    [
      'settings under another hash',
      () => with_('policy_version', 0, { content_hash: '0000000000000000' }),
      'tables.policy_version[0].content_hash',
    ],
    [
      'settings that soften what no team may',
      () => softened({ severities: { 'over-limit': 'note' } }),
      'tables.policy_version[0].content.severities.over-limit',
    ],
    [
      'a figure of the team’s own without the pulls for it',
      () => softened({ ownFigures: [{ surface: 'bog', depth: 'hubs', machine: 'Badger', share: 0.1, pulls: [] }] }),
      'tables.policy_version[0].content.ownFigures[0].pulls',
    ],
    [
      'a variant of a plan that is not there',
      () => with_('plan', 1, { variant_of: '00000000-0000-4000-8000-000000000009' }),
      'tables.plan[1].variant_of',
    ],
    ['a variant of a variant', () => with_('plan', 1, { variant_of: '00000000-0000-4000-8000-000000000001' }), 'tables.plan[1].variant_of'],
    [
      'a mark on a piece that is not there',
      () => with_('gear_mark', 0, { gear_id: '00000000-0000-4000-8000-000000000000' }),
      'tables.gear_mark',
    ],
  ])('%s', async (_what, file, path) => {
    const faults = faultsOf(await bring(file()));
    expect(faults.map((fault) => fault.path)).toContain(path);
    expect((await other.get(AccessService).view(undefined)).needsSetUp).toBe(true);
  });

  it('somebody who is no coordinator', async () => {
    const mirren = bundle.tables.person?.find(({ role }) => role === 'member')?.person_id;
    expect(faultsOf(await bring(bundle, { personId: mirren }))[0]?.message).toContain('coordinators');
  });

  it('a link that founds nothing', async () => {
    await server.http
      .post('/api/v1/invitations/bundle')
      .send({ token: 'x'.repeat(32), login: 'isla', password: 'peat and heather', personId: isla(), bundle: {} })
      .expect(404);
  });
});

describe('into an empty server', () => {
  it('comes out again identical, and work goes on from there', async () => {
    const { agent, answer } = await bring(bundle);
    expect(answer.body).toMatchObject({ signedIn: true, person: { role: 'coordinator' } });
    const out = await agent.get('/api/v1/bundle').expect(200);
    // All but the mark of a demo, by which anybody could sign in.
    const { demo, ...team } = bundle.team;
    expect(demo).toBeTruthy();
    expect(withoutTakingOut(out.text)).toBe(withoutTakingOut(JSON.stringify({ ...bundle, team })));
    expect(out.body.tables.audit_entry.at(-1).action).toBe('imported the team from its file');
    const { body: session } = await supertest(other.getHttpServer()).get('/api/v1/session').expect(200);
    expect(session).toMatchObject({ signedIn: false, demoPeople: [] });
    await supertest(other.getHttpServer()).post('/api/v1/session/demo').send({ personId: isla() }).expect(404);
    const plans = await agent.get('/api/v1/plans').expect(200);
    expect(plans.body).toEqual((await server.http.get('/api/v1/plans')).body);
    const piece = await agent.post('/api/v1/gear').send(newPiece()).expect(201);
    const trail = await agent.get(`/api/v1/audit/${piece.body.gearId}`).expect(200);
    const greatest = Math.max(...(bundle.tables.audit_entry ?? []).map(({ entry_no }) => Number(entry_no)));
    expect(Number(trail.body.items[0].entryNo)).toBeGreaterThan(greatest);
    // A second time it is refused: too large for a server that has a team, or known already where it is small.
    expect([413, 422]).toContain((await bring(bundle)).answer.status);
  });
});
