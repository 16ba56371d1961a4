import { randomUUID } from 'node:crypto';
import { clearLines, type Report, withoutPieces } from '@wainrope/core';
import { Kysely, PostgresDialect } from 'kysely';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrate, migrations } from '../database/migrate.ts';
import { startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** A copy of a demo plan under a name of its own. */
async function copyOf(name: string) {
  const { body: list } = await server.http.get('/api/v1/plans').expect(200);
  const { planId } = list.items.find((plan: { name: string }) => plan.name === name);
  const { body: plan } = await server.http.get(`/api/v1/plans/${planId}`).expect(200);
  const copy = { planId: randomUUID(), name: `Life ${randomUUID().slice(0, 8)}`, rig: plan.rig };
  return (await server.http.post('/api/v1/plans').send(copy).expect(201)).body;
}
const CLEAR = 'Plantation ride, out over the drain';
const state = (planId: string, next: string, version = 1) =>
  server.http.post(`/api/v1/plans/${planId}/state`).send({ state: next, version });

describe('a plan’s states', () => {
  it('go from draft to ready, used and away, and back; each step stands in the trail', async () => {
    const { planId, state: first } = await copyOf(CLEAR);
    expect(first).toBe('draft');
    for (const next of ['ready', 'used', 'archived', 'draft']) expect((await state(planId, next).expect(200)).body.state).toBe(next);
    const { body } = await server.http.get(`/api/v1/audit/${planId}`);
    expect(body.items.map(({ action }: { action: string }) => action).slice(0, 4)).toEqual([
      'took a plan back to draft',
      'put a plan away',
      'noted a plan as used',
      'declared a plan ready',
    ]);
    expect((await state(planId, 'used').expect(422)).body.faults[0].message).toContain('cannot become used');
  });
  it('are not ready with a stop, and say what stops it', async () => {
    const { planId } = await copyOf('Bog below Tarn Quarry');
    const { body } = await state(planId, 'ready').expect(422);
    expect(body.faults.some(({ message }: { message: string }) => message.includes('must be put right'))).toBe(true);
  });
  it('fall back to draft with a new version, and refuse to be set on an old one', async () => {
    const { planId, rig, name } = await copyOf(CLEAR);
    await state(planId, 'ready').expect(200);
    const { body } = await server.http.put(`/api/v1/plans/${planId}`).send({ name, rig, baseVersion: 1 }).expect(200);
    expect(body).toMatchObject({ state: 'draft' });
    expect(body).not.toHaveProperty('stateBy');
    expect(body).not.toHaveProperty('stateAt');
    expect((await state(planId, 'ready', 1).expect(409)).body.current.version).toBe(2);
  });
  it('need each fix done or answered for by name, with a reason', async () => {
    const { planId, fresh } = await copyOf('Otter at the ford');
    const fixes = fresh.report.findings.filter(
      ({ severity, undecided }: { severity: string; undecided: boolean }) => severity === 'fix' && !undecided,
    );
    const stops = fresh.report.findings.filter(({ severity }: { severity: string }) => severity === 'stop');
    expect(fixes.length).toBeGreaterThan(0);
    const { body } = await state(planId, 'ready').expect(422);
    expect(body.faults).toHaveLength(fixes.length + stops.length);
    for (const { id } of fixes) {
      const answer = { overrideId: randomUUID(), version: 1, findingId: id, reason: 'Looked at on the spot and padded' };
      const { body: view } = await server.http.post(`/api/v1/plans/${planId}/overrides`).send(answer).expect(201);
      expect(view.overrides.at(-1)).toMatchObject({ findingId: id, by: 'Isla Wrenfell', reason: answer.reason });
    }
    expect((await state(planId, 'ready')).status).toBe(stops.length > 0 ? 422 : 200);
  });
  it('let nobody answer for a stop or for nothing', async () => {
    const { planId, fresh } = await copyOf('Bog below Tarn Quarry');
    const stop = fresh.report.findings.find(({ severity }: { severity: string }) => severity === 'stop');
    const answer = (findingId: string, reason = 'It will hold') =>
      server.http.post(`/api/v1/plans/${planId}/overrides`).send({ overrideId: randomUUID(), version: 1, findingId, reason });
    expect((await answer(stop.id).expect(422)).body.faults[0].message).toContain('only a fix');
    await answer('nothing@here').expect(422);
    await answer(stop.id, '').expect(422);
  });
});

describe('what was answered for before findings had ids of their own', () => {
  it('goes on covering all that its rule says of its subject, and nothing else', async () => {
    const { planId, fresh } = await copyOf('Otter at the ford');
    const [fix] = (fresh.report as Report).findings.filter(({ severity, undecided }) => severity === 'fix' && !undecided);
    if (!fix) throw new Error('the demo plan has no fix');
    await asBefore('0008-findings-of-their-own', async (run) => {
      await run('alter table plan_override drop column covers');
      await run(
        `insert into plan_override (team_id, override_id, plan_id, version_no, finding_id, finding_words, reason, stated_by)
         select team_id, $1, $2, 1, $3, 'As it was worded then', 'Padded on the spot', person_id from membership limit 1`,
        [randomUUID(), planId, `${fix.code}@${fix.subject.id}`],
      );
    });
    const { body } = await server.http.get(`/api/v1/plans/${planId}`).expect(200);
    expect(body.overrides).toMatchObject([{ covers: 'rule-and-subject', reason: 'Padded on the spot' }]);
    const standing = (fresh.report as Report).findings.filter(
      ({ severity, undecided, code, subject }) =>
        (severity === 'stop' || (severity === 'fix' && !undecided)) && !(code === fix.code && subject.id === fix.subject.id),
    );
    const { status, body: answer } = await state(planId, 'ready');
    expect(status).toBe(standing.length > 0 ? 422 : 200);
    expect(answer.faults ?? []).toHaveLength(standing.length);
  });
  it('is told apart from what is answered now, which covers one finding', async () => {
    const { planId, fresh } = await copyOf('Otter at the ford');
    const [fix] = (fresh.report as Report).findings.filter(({ severity, undecided }) => severity === 'fix' && !undecided);
    const answer = { overrideId: randomUUID(), version: 1, findingId: fix?.id, reason: 'Looked at on the spot' };
    const { body } = await server.http.post(`/api/v1/plans/${planId}/overrides`).send(answer).expect(201);
    expect(body.overrides).toMatchObject([{ covers: 'finding', findingId: fix?.id }]);
  });
});

/** Brings this file's database to where it stood before a migration, does something there, and lets the migration run. */
async function asBefore(migration: string, deed: (run: (command: string, values?: unknown[]) => Promise<unknown>) => Promise<void>) {
  const { owner, urls } = server;
  await owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
  await owner.query('alter table plan_override disable trigger user');
  await deed((command, values) => owner.query(command, values));
  await owner.query('alter table plan_override enable trigger user');
  // What came after it goes too.
  const db = new Kysely<unknown>({ dialect: new PostgresDialect({ pool: new pg.Pool({ connectionString: urls.ownerUrl, max: 1 }) }) });
  for (const [name, step] of Object.entries(migrations).reverse())
    if (name >= '0011') {
      if (!('down' in step)) throw new Error(`${name} cannot be taken back`);
      await step.down(db);
    }
  await db.destroy();
  await owner.query('drop trigger plans_using_it on gear; drop function pieces_have_changed(); drop table plan_standing');
  await owner.query('alter table hook_up drop column radius_m');
  await owner.query('delete from kysely_migration where name >= $1', [migration]);
  expect(await migrate(urls.ownerUrl)).toEqual(Object.keys(migrations).filter((name) => name >= migration));
}

describe('versions and comments', () => {
  it('tell what each version changed, and give an earlier one back', async () => {
    const { planId, rig, name } = await copyOf(CLEAR);
    const tree = rig.bodies.find(({ kind }: { kind: string }) => kind === 'tree');
    const moved = { ...rig, bodies: rig.bodies.map((body: object) => (body === tree ? { ...tree, xM: tree.xM + 3 } : body)) };
    await server.http.put(`/api/v1/plans/${planId}`).send({ name, rig: moved, baseVersion: 1 }).expect(200);
    const { body } = await server.http.get(`/api/v1/plans/${planId}/versions`).expect(200);
    expect(body.items.map(({ version }: { version: number }) => version)).toEqual([2, 1]);
    expect(body.items[0].changes).toEqual([`${tree.label} moved 3.0 m`]);
    expect(body.isMore).toBe(false);
    // Asked for one, it still says what that one changed.
    const { body: newest } = await server.http.get(`/api/v1/plans/${planId}/versions?limit=1`).expect(200);
    expect(newest).toEqual({ items: [body.items[0]], isMore: true });
    expect((await server.http.get(`/api/v1/plans/${planId}/versions?limit=2`).expect(200)).body).toEqual(body);
    await server.http.get(`/api/v1/plans/${planId}/versions?limit=501`).expect(422);
    expect((await server.http.get(`/api/v1/plans/${planId}/versions/1`).expect(200)).body.rig).toEqual(rig);
    await server.http.get(`/api/v1/plans/${planId}/versions/9`).expect(404);
  });
  it('keep what people say, with the version it was said of; a reader may read', async () => {
    const { planId } = await copyOf(CLEAR);
    const comment = { commentId: randomUUID(), words: 'The larch leans more than it looks.' };
    await server.http.post(`/api/v1/plans/${planId}/comments`).send(comment).expect(201);
    await server.http.post(`/api/v1/plans/${planId}/comments`).send(comment).expect(201);
    const reader = await server.as('reader');
    const { body } = await reader.get(`/api/v1/plans/${planId}/comments`).expect(200);
    expect(body.items).toMatchObject([{ words: comment.words, by: 'Isla Wrenfell', version: 1 }]);
    await reader.post(`/api/v1/plans/${planId}/comments`).send(comment).expect(403);
    await server.http
      .post(`/api/v1/plans/${planId}/comments`)
      .send({ ...comment, words: '' })
      .expect(422);
  });
});

describe('a layout of the team’s own', () => {
  it('is kept without pieces, offered, and put away', async () => {
    const { rig } = await copyOf(CLEAR);
    const layout = { layoutId: randomUUID(), name: 'Our drain trick', rig: withoutPieces(rig) };
    await server.http.post('/api/v1/layouts').send(layout).expect(201);
    const { body } = await server.http.post('/api/v1/layouts').send(layout).expect(201);
    expect(body.items).toMatchObject([{ name: 'Our drain trick', by: 'Isla Wrenfell' }]);
    expect(
      (
        await server.http
          .post('/api/v1/layouts')
          .send({ ...layout, layoutId: randomUUID() })
          .expect(422)
      ).body.faults[0].path,
    ).toBe('name');
    expect((await server.http.delete(`/api/v1/layouts/${layout.layoutId}`).expect(200)).body.items).toEqual([]);
  });
  it('is refused with pieces in it, or with nothing laid', async () => {
    const { rig } = await copyOf(CLEAR);
    const keep = (wanted: object) => server.http.post('/api/v1/layouts').send({ layoutId: randomUUID(), name: 'X', rig: wanted });
    await keep(rig).expect(422);
    const [edit] = clearLines(rig);
    const empty = edit?.kind === 'replace-rig' ? edit.rig : rig;
    expect((await keep(empty).expect(422)).body.faults[0].message).toContain('Nothing is laid');
  });
});
