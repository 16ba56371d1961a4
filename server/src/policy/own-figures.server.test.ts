import { randomUUID } from 'node:crypto';
import type { Policy } from '@wainrope/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** A demo plan whose load was never measured, and what its pull with a gauge comes to. */
async function beck() {
  const { body: plans } = await server.http.get('/api/v1/plans');
  const { planId } = plans.items.find(({ name }: { name: string }) => name.startsWith('Beck crossing'));
  const { body: plan } = await server.http.get(`/api/v1/plans/${planId}`).expect(200);
  const load = plan.rig.bodies.find(({ id }: { id: string }) => id === plan.rig.load.bodyId);
  const { surface, depth } = plan.rig.situation;
  return { planId, plan, key: { surface, depth, machine: load.label as string }, weightN: load.massKg * 9.80665 };
}
const inForce = async (): Promise<{ contentHash: string; content: Policy; versions: readonly unknown[] }> =>
  (await server.http.get('/api/v1/policy').expect(200)).body;

describe('a figure of the team’s own', () => {
  it('is adopted from ten measured pulls on, by a coordinator who saw what it changes, and plans go by it until it is taken out again', async () => {
    const { planId, plan, key, weightN } = await beck();
    const member = await server.as('member');
    const linePeakN = (plan.fresh.report.pullN * 0.6) / plan.fresh.report.advantage.hauling;
    const pull = () =>
      member.post(`/api/v1/plans/${planId}/pulls`).send({ pullId: randomUUID(), version: plan.version, on: TODAY, pulls: 1, linePeakN });
    for (let made = 0; made < 9; made += 1) {
      const { status, body } = await pull();
      expect([status, body.faults]).toEqual([201, undefined]);
    }
    const { contentHash: baseHash, versions } = await inForce();
    const adopt = { ...key, baseHash, reason: 'Ten pulls in the beck' };

    const { body: few } = await server.http.post('/api/v1/policy/own-figures').send(adopt).expect(422);
    expect(few.faults[0].message).toContain('to this depth: 9.');
    expect(few.faults[0].message).toContain('log 1 more');
    await pull().expect(201);
    await (await server.as('gear-keeper')).post('/api/v1/policy/own-figures').send(adopt).expect(403);
    await server.http
      .post('/api/v1/policy/own-figures')
      .send({ ...adopt, machine: 'Nobody' })
      .expect(422);
    await server.http
      .post('/api/v1/policy/own-figures')
      .send({ ...adopt, reason: '' })
      .expect(422);

    const share = (1.1 * plan.fresh.report.pullN * 0.6) / weightN;
    const { body: listed } = await server.http.get('/api/v1/own-figures');
    expect(listed.items.find(({ machine }: { machine: string }) => machine === key.machine).adoptable).toBeCloseTo(share, 6);
    const { body: preview } = await server.http.post('/api/v1/policy/own-figures/preview').send(key).expect(200);
    expect(preview.changes).toEqual([{ path: `ownFigures.${key.surface}/${key.depth}/${key.machine}`, to: expect.closeTo(share, 6) }]);
    expect(preview.plans.find((each: { planId: string }) => each.planId === planId)).toBeDefined();
    expect((await inForce()).versions).toHaveLength(versions.length);

    await server.http.post('/api/v1/policy/own-figures').send(adopt).expect(201);
    const adopted = await inForce();
    expect(adopted.versions).toHaveLength(versions.length + 1);
    expect(adopted.content.ownFigures).toMatchObject([{ ...key, share: expect.closeTo(share, 6) }]);
    expect(adopted.content.ownFigures[0]?.pulls).toHaveLength(10);
    await server.http.post('/api/v1/policy/own-figures').send(adopt).expect(409);
    await server.http
      .post('/api/v1/policy/own-figures')
      .send({ ...adopt, baseHash: adopted.contentHash })
      .expect(422);
    const { body: after } = await server.http.get(`/api/v1/plans/${planId}`);
    const { body: plans } = await server.http.get('/api/v1/plans');
    expect(plans.items.find((each: { planId: string }) => each.planId === planId).outOfDate).toContain('The team’s policy has changed.');
    expect(after.fresh.report.effort).toMatchObject({ plannedBy: 'own-figure' });
    const margin = key.depth === 'none' ? 1.25 : 1;
    expect(after.fresh.report.effort.methods[0].terms[0].pullN).toBeCloseTo(share * weightN, 3);
    expect(after.fresh.report.effort.plannedN).toBeCloseTo(margin * after.fresh.report.effort.methods[0].pullN, 3);
  });

  it('is never typed into the settings, changed there or kept beside another change; it may be taken out', async () => {
    const { contentHash: baseHash, content } = await inForce();
    const [figure] = content.ownFigures;
    if (!figure) throw new Error('nothing was adopted');
    const typed = { ...figure, machine: 'Badger' };
    const save = (ownFigures: Policy['ownFigures'], change: Partial<Policy> = {}) =>
      server.http.post('/api/v1/policy').send({ baseHash, content: { ...content, ...change, ownFigures }, reason: 'For a trial' });
    const { body } = await save([figure, typed]).expect(422);
    expect(body.faults[0]).toMatchObject({ path: 'content.ownFigures[1]', message: expect.stringContaining('Badger') });
    await server.http
      .post('/api/v1/policy/preview')
      .send({ content: { ...content, ownFigures: [typed] } })
      .expect(422);
    await save([{ ...figure, share: figure.share / 2 }]).expect(422);
    await save([]).expect(201);
    expect((await inForce()).content.ownFigures).toEqual([]);
    const { planId } = await beck();
    const { body: plan } = await server.http.get(`/api/v1/plans/${planId}`);
    expect(plan.fresh.report.effort.plannedBy).not.toBe('own-figure');
  });

  it('is one of sixty at most: one more is refused, and the settings stay readable', async () => {
    const { key } = await beck();
    const before = await inForce();
    const pulls = Array.from({ length: 10 }, (_, index) => ({ pullId: `p-${index}`, on: TODAY, share: 0.5 }));
    const sixty = Array.from({ length: 60 }, (_, index) => ({ surface: 'bog', depth: 'hubs', machine: `M-${index}`, share: 0.55, pulls }));
    // As if sixty had been adopted: versions are only ever added.
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    await server.owner.query(
      `insert into policy_version (team_id, policy_version_id, content, content_hash, reason, created_by)
       select team_id, $1, $2, 'sixty', 'Sixty', created_by from policy_version where content_hash = $3 order by created_at desc limit 1`,
      [randomUUID(), { ...before.content, ownFigures: sixty }, before.contentHash],
    );
    const { body } = await server.http
      .post('/api/v1/policy/own-figures')
      .send({ ...key, baseHash: 'sixty', reason: 'One more' })
      .expect(422);
    expect(body.faults[0].message).toContain('60 figures of its own');
    expect((await inForce()).content.ownFigures).toHaveLength(60);
  });
});
