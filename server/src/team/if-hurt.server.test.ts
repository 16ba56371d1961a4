import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const ADDRESS = '/api/v1/team/if-hurt';
const team = async () => (await server.http.get('/api/v1/team').expect(200)).body;
const say = (call: unknown) => server.http.put(ADDRESS).send({ call });

describe('whom the team calls if somebody is hurt', () => {
  it('is set by a coordinator, without blanks about it, and told to everybody', async () => {
    expect((await say('  Rescue desk, channel 4 ').expect(200)).body.ifHurt).toEqual({ call: 'Rescue desk, channel 4' });
    const reader = await server.as('reader');
    expect((await reader.get('/api/v1/team').expect(200)).body.ifHurt).toEqual({ call: 'Rescue desk, channel 4' });
    for (const role of ['gear-keeper', 'member', 'reader'] as const)
      await (await server.as(role)).put(ADDRESS).send({ call: 'Somebody else' }).expect(403);
    expect((await team()).ifHurt).toEqual({ call: 'Rescue desk, channel 4' });
  });

  it('fits on its line: sixty characters, not one more, and nothing but words', async () => {
    await say('x'.repeat(60)).expect(200);
    const { body } = await say('x'.repeat(61)).expect(422);
    expect(body.faults).toEqual([{ path: 'call', message: expect.stringContaining('60 characters') }]);
    for (const wrong of [undefined, null, 12, ['a'], { call: 'a' }]) await say(wrong).expect(422);
    expect((await team()).ifHurt.call).toHaveLength(60);
  });

  it('is not set any more when it is emptied; the trail keeps both, and a change that is none is not in it', async () => {
    await say('Desk').expect(200);
    await say('Desk').expect(200);
    await say(' ').expect(200);
    expect((await team()).ifHurt).toEqual({ call: '' });
    const { body } = await server.http.get('/api/v1/audit?limit=3&kind=team').expect(200);
    expect(body.items.map(({ changes }: { changes: unknown }) => changes)).toMatchObject([
      [{ field: 'callIfHurt', before: 'Desk', after: '' }],
      [{ field: 'callIfHurt', before: 'x'.repeat(60), after: 'Desk' }],
      [{ field: 'callIfHurt', after: 'x'.repeat(60) }],
    ]);
  });
});

describe('who is trained in first aid', () => {
  const trained = async () => (await team()).firstAiders;
  const people = async (): Promise<readonly { personId: string; name: string; role: string; left: boolean; firstAider: boolean }[]> =>
    (await server.http.get('/api/v1/people').expect(200)).body.items;

  it('is told by name; nobody who has left, and a change that does not speak of it leaves it as it is', async () => {
    const before = await trained();
    const person = (await people()).find(({ firstAider, left, role }) => !firstAider && !left && role === 'member');
    if (!person) throw new Error('The demo has no member without training');
    const { personId, name, role } = person;
    const change = (more: object) => server.http.put(`/api/v1/people/${personId}`).send({ name, role, left: false, ...more });
    expect((await change({ firstAider: true }).expect(200)).body).toMatchObject({ firstAider: true });
    expect(await trained()).toEqual([...before, name].sort());
    expect((await change({}).expect(200)).body).toMatchObject({ firstAider: true });
    await change({ left: true }).expect(200);
    expect(await trained()).toEqual(before);
    await change({ firstAider: false }).expect(200);
    expect(await trained()).toEqual(before);
    await change({ firstAider: 'yes' }).expect(422);
  });

  it('comes with a new person', async () => {
    const personId = '3f0a3a34-6a5c-4f04-8f54-3b3ef0a5c901';
    const { body } = await server.http
      .post('/api/v1/people')
      .send({ personId, name: 'Wren Holloway', role: 'member', firstAider: true })
      .expect(201);
    expect(body).toMatchObject({ firstAider: true });
    expect(await trained()).toContain('Wren Holloway');
  });
});
