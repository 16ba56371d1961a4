import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';
import { mayTry } from './sign-in-limits.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const PASSWORD = 'a wet rope in the bog';

/** A new member with an account, and the sign-in name. */
async function joined(role = 'member') {
  const personId = randomUUID();
  const login = `test.${personId.slice(0, 8)}`;
  await server.http
    .post('/api/v1/people')
    .send({ personId, name: `Test ${login}`, role })
    .expect(201);
  const { body } = await server.http.post(`/api/v1/people/${personId}/invitation`).send({}).expect(201);
  const token = String(body.path).split('#')[1];
  const agent = await server.as();
  await agent.post('/api/v1/invitations/accept').send({ token, login, password: PASSWORD }).expect(201);
  return { agent, login, personId, token };
}

const signIn = async (login: string, password: string, agent = server.as()) =>
  (await agent).post('/api/v1/session').send({ login, password });

describe('signing in', () => {
  it('opens with name and password, and with nothing else', async () => {
    const { login } = await joined();
    expect((await signIn(login.toUpperCase(), PASSWORD)).body).toMatchObject({ signedIn: true, person: { role: 'member' } });
    const wrong = await signIn(login, 'not the password');
    const nobody = await signIn('nobody.here', 'not the password');
    expect(wrong.status).toBe(401);
    expect({ ...nobody.body, requestId: '' }).toEqual({ ...wrong.body, requestId: '' });
  });

  it('keeps passwords as argon2id and links as hashes only', async () => {
    const { login, token } = await joined();
    const { rows } = await server.owner.query('select password_hash from account where login = $1', [login]);
    expect(rows[0].password_hash).toMatch(/^\$argon2id\$/);
    expect((await server.owner.query('select 1 from invitation where token_hash = $1', [token])).rowCount).toBe(0);
  });

  it('gives a cookie that scripts cannot read and other sites cannot use', async () => {
    const { login } = await joined();
    const { headers } = await signIn(login, PASSWORD);
    expect(String(headers['set-cookie'])).toMatch(/HttpOnly; SameSite=Lax/);
  });

  it('makes a fresh session, so that a cookie known before is worth nothing', async () => {
    const { login, agent } = await joined();
    const before = String((await agent.get('/api/v1/session')).headers['set-cookie']);
    const after = String((await signIn(login, PASSWORD, Promise.resolve(agent))).headers['set-cookie']);
    const sid = (cookie: string) => /wainrope=([^;]+)/.exec(cookie)?.[1];
    expect(sid(after)).toBeDefined();
    expect(sid(after)).not.toBe(sid(before));
  });

  it('makes a name wait after five failures from one address, and forgets them after a success', async () => {
    const { login } = await joined();
    for (let attempt = 0; attempt < 4; attempt++) expect((await signIn(login, 'wrong')).status).toBe(401);
    expect((await signIn(login, PASSWORD)).status).toBe(201);
    for (let attempt = 0; attempt < 5; attempt++) expect((await signIn(login, 'wrong')).status).toBe(401);
    const refused = await signIn(login, PASSWORD);
    expect(refused.status).toBe(429);
    expect(refused.body.detail).toContain('15 minutes');
    const { login: colleague } = await joined();
    expect((await signIn(colleague, PASSWORD)).status).toBe(201);
  });

  it('counts attempts that come at once as what they are', async () => {
    const { login } = await joined();
    const statuses = await Promise.all(Array.from({ length: 20 }, async () => (await signIn(login, 'wrong')).status));
    expect(statuses.filter((status) => status === 401)).toHaveLength(5);
    expect(statuses.filter((status) => status === 429)).toHaveLength(15);
  });

  it.each([
    [{ pair: 4, login: 29, address: 59, known: false }, true],
    [{ pair: 5, login: 5, address: 5, known: true }, false],
    [{ pair: 0, login: 30, address: 0, known: false }, false],
    [{ pair: 0, login: 30, address: 0, known: true }, true],
    [{ pair: 0, login: 0, address: 60, known: false }, false],
    [{ pair: 0, login: 0, address: 60, known: true }, true],
  ])('weighs recent failures %j', (failures, allowed) => {
    expect(mayTry(failures)).toBe(allowed);
  });
});

describe('sessions and passwords', () => {
  it('end on every device at once', async () => {
    const { agent, login } = await joined();
    const other = await server.as();
    await other.post('/api/v1/session').send({ login, password: PASSWORD }).expect(201);
    await other.delete('/api/v1/session/everywhere').expect(204);
    await agent.get('/api/v1/team').expect(401);
    await other.get('/api/v1/team').expect(401);
  });

  it('change with the password in use; the other devices are signed out, this one is not', async () => {
    const { agent, login } = await joined();
    const other = await server.as();
    await other.post('/api/v1/session').send({ login, password: PASSWORD }).expect(201);
    const wrong = await agent.put('/api/v1/session/password').send({ current: 'no', next: 'another wet rope' }).expect(422);
    expect(wrong.body.faults[0].path).toBe('current');
    await agent.put('/api/v1/session/password').send({ current: PASSWORD, next: 'short' }).expect(422);
    await agent.put('/api/v1/session/password').send({ current: PASSWORD, next: 'another wet rope' }).expect(204);
    await agent.get('/api/v1/team').expect(200);
    await other.get('/api/v1/team').expect(401);
    expect((await signIn(login, 'another wet rope')).status).toBe(201);
  });

  it('end when a person leaves the team', async () => {
    const { agent, personId, login } = await joined();
    await server.http
      .put(`/api/v1/people/${personId}`)
      .send({ name: `Test ${login}`, role: 'member', left: true })
      .expect(200);
    await agent.get('/api/v1/team').expect(401);
    expect((await signIn(login, PASSWORD)).status).toBe(401);
  });
});

describe('invitations', () => {
  it('open once', async () => {
    const { token } = await joined();
    const again = await (await server.as()).post('/api/v1/invitations/accept').send({ token, login: 'second.use', password: PASSWORD });
    expect(again.status).toBe(404);
    expect(again.body.detail).toContain('Ask your coordinator');
  });

  it('are withdrawn by a newer one, and set a new password for an account that exists', async () => {
    const { personId, login, agent } = await joined();
    const link = async () => (await server.http.post(`/api/v1/people/${personId}/invitation`).send({}).expect(201)).body.path.split('#')[1];
    const [first, second] = [await link(), await link()];
    const anybody = await server.as();
    await anybody.post('/api/v1/invitations/look').send({ token: first }).expect(404);
    expect((await anybody.post('/api/v1/invitations/look').send({ token: second })).body).toMatchObject({ foundsTeam: false, login });
    await anybody.post('/api/v1/invitations/accept').send({ token: second, login, password: 'quite another rope' }).expect(201);
    await agent.get('/api/v1/team').expect(401);
    expect((await signIn(login, 'quite another rope')).status).toBe(201);
  });

  it('found no team without its name, nor with a sign-in name that is taken', async () => {
    const { login } = await joined();
    const { AccessService } = await import('./access.service.ts');
    const token = (await server.app.get(AccessService).setUpLink()).path.split('#')[1];
    const { body } = await (await server.as()).post('/api/v1/invitations/accept').send({ token, login, password: PASSWORD }).expect(422);
    expect(body.faults.map(({ path }: { path: string }) => path).sort()).toEqual(['login', 'personName', 'teamName']);
  });
});

describe('changes from other sites', () => {
  it('are refused, whatever the cookie says', async () => {
    const agent = await server.as('coordinator');
    const send = (headers: Record<string, string>) =>
      agent.put('/api/v1/session/password').set(headers).send({ current: 'no', next: 'another wet rope' });
    expect((await send({ Origin: 'https://elsewhere.example' })).status).toBe(403);
    expect((await send({ 'Sec-Fetch-Site': 'cross-site' })).status).toBe(403);
    expect((await send({ 'Sec-Fetch-Site': 'same-site' })).status).toBe(403);
    expect((await send({ 'Sec-Fetch-Site': 'same-origin' })).status).toBe(422);
    expect((await agent.put('/api/v1/session/password').set('Content-Type', 'text/plain').send('{}')).status).toBe(415);
  });
});

describe('the last coordinator', () => {
  it('stays one', async () => {
    const { body } = await server.http.get('/api/v1/people').expect(200);
    const coordinator = body.items.find(({ role }: { role: string }) => role === 'coordinator');
    const answer = await server.http
      .put(`/api/v1/people/${coordinator.personId}`)
      .send({ name: coordinator.name, role: 'member', left: false });
    expect(answer.status).toBe(422);
    expect(answer.body.faults[0].message).toContain('needs a coordinator');
  });
});
