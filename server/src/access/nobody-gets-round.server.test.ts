import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import type supertest from 'supertest';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';
import { AccessService } from './access.service.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
});
afterEach(() => {
  delete process.env.WAINROPE_PUBLIC_URL;
  delete process.env.WAINROPE_HOST;
});
afterAll(() => server.stop());

const PASSWORD = 'a wet rope in the bog';
const tokenOf = (path: string) => path.split('#')[1];
const nameOf = (personId: string) => `Person ${personId.slice(0, 8)}`;

async function person(role: string, by: supertest.Agent = server.http): Promise<string> {
  const personId = randomUUID();
  await by
    .post('/api/v1/people')
    .send({ personId, name: nameOf(personId), role })
    .expect(201);
  return personId;
}
const invited = async (personId: string, by: supertest.Agent = server.http) =>
  tokenOf((await by.post(`/api/v1/people/${personId}/invitation`).send({}).expect(201)).body.path);
const accept = async (token: string | undefined, change: object = {}) => {
  const agent = await server.as();
  const answer = await agent
    .post('/api/v1/invitations/accept')
    .send({ token, login: `test.${randomUUID().slice(0, 8)}`, password: PASSWORD, ...change });
  return { agent, answer };
};
const joined = async (role: string) => {
  const personId = await person(role);
  const { agent, answer } = await accept(await invited(personId));
  expect(answer.status).toBe(201);
  return { agent, personId };
};
const leave = (personId: string, by: supertest.Agent = server.http) =>
  by.put(`/api/v1/people/${personId}`).send({ name: nameOf(personId), role: 'coordinator', left: true });

describe('a team keeps a coordinator', () => {
  it('also when two demote each other at once', async () => {
    const [a, b] = await Promise.all([joined('coordinator'), joined('coordinator')]);
    const { body } = await server.http.get('/api/v1/session');
    const demoted = await a.agent
      .put(`/api/v1/people/${body.person.personId}`)
      .send({ name: body.person.name, role: 'member', left: false });
    expect(demoted.status).toBe(200);
    const demote = (who: { personId: string }, by: supertest.Agent) =>
      by.put(`/api/v1/people/${who.personId}`).send({ name: nameOf(who.personId), role: 'member', left: false });
    const answers = await Promise.all([demote(b, a.agent), demote(a, b.agent)]);
    expect(answers.map(({ status }) => status).sort()).not.toEqual([200, 200]);
    const { rows } = await server.owner.query("select 1 from person where role = 'coordinator' and left_on is null");
    expect(rows).toHaveLength(1);
    // Put back for the tests that follow.
    const still = answers[0]?.status === 200 ? a.agent : b.agent;
    await still
      .put(`/api/v1/people/${body.person.personId}`)
      .send({ name: body.person.name, role: 'coordinator', left: false })
      .expect(200);
  });
});

describe('an invitation opens nothing', () => {
  it('once its day is over', async () => {
    const token = await invited(await person('member'));
    await server.owner.query("update invitation set expires_at = now() - interval '1 second' where used_at is null");
    expect((await accept(token)).answer.status).toBe(404);
  });

  it('for somebody who has left', async () => {
    const personId = await person('coordinator');
    const token = await invited(personId);
    await leave(personId).expect(200);
    const agent = await server.as();
    await agent.post('/api/v1/invitations/look').send({ token }).expect(404);
    expect((await accept(token)).answer.status).toBe(404);
  });

  it('made by somebody who has left', async () => {
    const { agent, personId } = await joined('coordinator');
    const token = await invited(await person('member'), agent);
    await leave(personId).expect(200);
    expect((await accept(token)).answer.status).toBe(404);
  });

  it('a second time, however many use it at once: one team is founded, one account joins', async () => {
    const { path } = await server.app.get(AccessService).setUpLink();
    const before = (await server.owner.query('select distinct team_id from membership')).rowCount ?? 0;
    const found = (index: number) => accept(tokenOf(path), { teamName: `Founded ${index}`, personName: 'Somebody Else' });
    const answers = await Promise.all(Array.from({ length: 8 }, (_, index) => found(index)));
    expect(answers.map(({ answer }) => answer.status).sort()).toEqual([201, ...Array.from({ length: 7 }, () => 404)]);
    expect((await server.owner.query('select distinct team_id from membership')).rowCount).toBe(before + 1);
    const token = await invited(await person('member'));
    const joins = await Promise.all(Array.from({ length: 6 }, () => accept(token)));
    expect(joins.filter(({ answer }) => answer.status === 201)).toHaveLength(1);
  });

  it('and leaves nothing behind where what it founds is refused', async () => {
    const { path } = await server.app.get(AccessService).setUpLink();
    const { answer } = await accept(tokenOf(path), { teamName: 'Half founded' });
    expect(answer.status).toBe(422);
    // The link still opens: nothing was used up, and nothing founded.
    expect((await accept(tokenOf(path), { teamName: 'Whole', personName: 'Somebody' })).answer.status).toBe(201);
  });
});

describe('an event stream ends with its session', () => {
  const stream = async (agent: supertest.Agent) => {
    const { port } = server.app.getHttpServer().address() as AddressInfo;
    const { headers } = await agent.get('/api/v1/session');
    const cookie = String(headers['set-cookie']).split(';')[0] ?? '';
    const answer = await fetch(`http://127.0.0.1:${port}/api/v1/events`, { headers: { cookie } });
    const heard: { readonly kind?: string; readonly by?: string }[] = [];
    const ended = (async () => {
      for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>)
        for (const line of Buffer.from(chunk).toString().split('\n')) if (line.startsWith('data: ')) heard.push(JSON.parse(line.slice(6)));
      return 'ended';
    })();
    return { status: answer.status, ended, heard };
  };

  it.each<[string, (agent: supertest.Agent, personId: string) => PromiseLike<unknown>]>([
    ['by signing out', (agent) => agent.delete('/api/v1/session')],
    ['by signing out everywhere', (agent) => agent.delete('/api/v1/session/everywhere')],
    ['by leaving the team', (_agent, personId) => leave(personId)],
  ])('%s', async (_how, end) => {
    const { agent, personId } = await joined('coordinator');
    const { status, ended } = await stream(agent);
    expect(status).toBe(200);
    await end(agent, personId);
    expect(await ended).toBe('ended');
    await agent.get('/api/v1/events').expect(401);
  });

  it('tells a reader that something changed, and not who did it', async () => {
    const reader = await joined('reader');
    const member = await joined('member');
    const [read, made] = [await stream(reader.agent), await stream(member.agent)];
    await server.http
      .post('/api/v1/kits')
      .send({ kitId: randomUUID(), name: `Kit ${randomUUID()}`, wanted: [] })
      .expect(201);
    const of = ({ heard }: { heard: readonly { readonly kind?: string }[] }) => heard.find(({ kind }) => kind === 'kit');
    for (let attempt = 0; attempt < 2000 && !(of(read) && of(made)); attempt++) await new Promise((done) => setTimeout(done, 20));
    expect(of(read)).toMatchObject({ type: 'changed', kind: 'kit' });
    expect(of(read)).not.toHaveProperty('by');
    expect(of(made)).toMatchObject({ by: 'Isla Wrenfell' });
    await reader.agent.delete('/api/v1/session');
    await member.agent.delete('/api/v1/session');
    await Promise.all([read.ended, made.ended]);
  });
});

it('guesses through the password change are counted as guesses at signing in are', async () => {
  const { agent } = await joined('member');
  const guess = () => agent.put('/api/v1/session/password').send({ current: 'a guess of mine', next: 'another wet rope' });
  const answers: number[] = [];
  for (let attempt = 0; attempt < 30; attempt++) answers.push((await guess()).status);
  expect(answers[0]).toBe(422);
  expect(answers).toContain(429);
  expect(answers.lastIndexOf(422)).toBeLessThan(answers.indexOf(429));
  // Not even the right one, until the time is over.
  expect((await agent.put('/api/v1/session/password').send({ current: PASSWORD, next: 'another wet rope' })).status).toBe(429);
});

describe('only known hosts are answered', () => {
  it.each([
    ['localhost:4810', 200],
    ['127.0.0.1', 200],
    ['LOCALHOST', 200],
    ['[::1]:80', 200],
    ['gear.example.org', 421],
    ['localhost.example.org', 421],
    ['127.0.0.1.example.org', 421],
    ['', 421],
  ])('asked for as “%s”: %s', async (host, status) => {
    const agent = await server.as();
    for (const path of ['/api/v1/session', '/api/docs/openapi.json']) expect((await agent.get(path).set('Host', host)).status).toBe(status);
  });
});

describe('a reader gets by no other path what the trail refuses', () => {
  it('neither of one thing, nor since the last visit, nor sign-in names', async () => {
    const { agent } = await joined('reader');
    const { body: gear } = await agent.get('/api/v1/gear?limit=1').expect(200);
    for (const path of ['/api/v1/audit', `/api/v1/audit/${gear.items[0].gearId}`, '/api/v1/visit']) await agent.get(path).expect(403);
    await agent.post('/api/v1/visit').send({ upTo: 1 }).expect(403);
    await agent.get('/api/v1/visit/reminders').expect(200);
    const { body: session } = await agent.get('/api/v1/session');
    const { body: people } = await agent.get('/api/v1/people').expect(200);
    const named = people.items.filter(({ login }: { login?: string }) => login !== undefined);
    expect(named.map(({ personId }: { personId: string }) => personId)).toEqual([session.person.personId]);
    const other = people.items.find(({ personId }: { personId: string }) => personId !== session.person.personId);
    expect((await agent.get(`/api/v1/people/${other.personId}`).expect(200)).body.person).not.toHaveProperty('login');
    const { body: all } = await server.http.get('/api/v1/people').expect(200);
    expect(all.items.filter(({ login }: { login?: string }) => login !== undefined).length).toBeGreaterThan(1);
  });
});

describe('a demo lets anybody in on this machine alone', () => {
  const signIn = async () => {
    const agent = await server.as();
    const { body } = await server.http.get('/api/v1/people');
    return agent.post('/api/v1/session/demo').send({ personId: body.items[0].personId });
  };
  it.each([
    ['beyond loopback', 'WAINROPE_HOST', '0.0.0.0'],
    ['by a public address', 'WAINROPE_PUBLIC_URL', 'https://gear.example.org'],
  ])('%s it is no demo, whenever that came to be', async (_how, name, value) => {
    process.env[name] = value;
    const agent = await server.as();
    expect((await agent.get('/api/v1/session').expect(200)).body).toMatchObject({ signedIn: false, demoPeople: [] });
    expect((await signIn()).status).toBe(404);
  });
  it('on loopback it is', async () => {
    process.env.WAINROPE_HOST = '127.0.0.1';
    expect((await signIn()).status).toBe(201);
  });
});
