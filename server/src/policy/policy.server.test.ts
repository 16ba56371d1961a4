import { teamStandard } from '@wainrope/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const stricter = { ...teamStandard, designFactors: { ...teamStandard.designFactors, 'soft-good': { value: 20, source: 'for a trial' } } };

describe('the team’s settings', () => {
  it('show what a change would do to each plan before it is made', async () => {
    const { body } = await server.http.post('/api/v1/policy/preview').send({ content: stricter }).expect(200);
    expect(body.changes).toEqual([{ path: 'designFactors.soft-good.value', from: 3, to: 20 }]);
    const ride = body.plans.find(({ name }: { name: string }) => name.startsWith('Plantation ride, out'));
    expect(ride).toMatchObject({ before: 'clear', after: 'stop' });
  });

  it('are refused where a figure is out of range or a rule is softened that may not be', async () => {
    const wild = { ...stricter, designFactors: { ...stricter.designFactors, 'soft-good': { value: 0.2, source: 'x' } } };
    expect((await server.http.post('/api/v1/policy/preview').send({ content: wild }).expect(422)).body.faults[0].path).toBe(
      'content.designFactors.soft-good.value',
    );
    const soft = { ...teamStandard, severities: { 'over-working-limit': 'note' } };
    expect((await server.http.post('/api/v1/policy/preview').send({ content: soft }).expect(422)).body.faults[0].path).toContain(
      'content.severities',
    );
  });

  it('become a new version with a reason; a stale one is shown what stands; nothing is ever changed', async () => {
    const { body: before } = await server.http.get('/api/v1/policy').expect(200);
    await (await server.as('gear-keeper'))
      .post('/api/v1/policy')
      .send({ baseHash: before.contentHash, content: stricter, reason: 'For a trial' })
      .expect(403);
    await server.http.post('/api/v1/policy').send({ baseHash: before.contentHash, content: stricter, reason: '' }).expect(422);
    const { body: after } = await server.http
      .post('/api/v1/policy')
      .send({ baseHash: before.contentHash, content: stricter, reason: 'For a trial' })
      .expect(201);
    expect(after.versions).toHaveLength(before.versions.length + 1);
    expect(after.versions[0]).toMatchObject({ inForce: true, reason: 'For a trial', by: 'Isla Wrenfell' });
    const stale = await server.http
      .post('/api/v1/policy')
      .send({ baseHash: before.contentHash, content: teamStandard, reason: 'Another' })
      .expect(409);
    expect(stale.body.current.contentHash).toBe(after.contentHash);
    const { body: plans } = await server.http.get('/api/v1/plans');
    expect(plans.items[0].outOfDate).toContain('The team’s policy has changed.');
    await server.http
      .post('/api/v1/policy')
      .send({ baseHash: after.contentHash, content: before.content, reason: 'Back to the standard' })
      .expect(201);
    expect((await server.http.get('/api/v1/policy')).body.contentHash).toBe(before.contentHash);
  });
});
