import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TeamDatabase } from '../database/team-database.ts';
import { base64, demoActor, newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';
import { databaseProblem } from './database-problem.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const raw = async (path: string, body: string, signedIn = true) => {
  const agent = signedIn ? server.http : await server.as();
  return agent.post(`/api/v1/${path}`).set('Content-Type', 'application/json').send(body);
};

describe('a body is bounded before anything is made of it', () => {
  it.each<[string, string, string, boolean, number]>([
    ['nested without end', 'kits', '['.repeat(100_000), true, 413],
    ['nested without end, in a plan', 'plans', '['.repeat(400_000), true, 413],
    ['of 80,000 unknown keys, from nobody', 'session', `{${Array.from({ length: 80_000 }, (_, key) => `"k${key}":1`).join()}}`, false, 413],
    ['of a megabyte, from nobody', 'plans', `{"name":"${'x'.repeat(1_000_000)}"}`, false, 401],
    ['that is no JSON, from nobody', 'gear', '{{{', false, 401],
    [
      'of 60,000 unknown keys, in a plan',
      'plans',
      `{"rig":{${Array.from({ length: 60_000 }, (_, key) => `"k${key}":1`).join()}}}`,
      true,
      413,
    ],
    ['of 1001 keys in one object', 'plans', `{"rig":{${Array.from({ length: 1001 }, (_, key) => `"k${key}":1`).join()}}}`, true, 413],
    ['of 1000 keys in one object', 'plans', `{"rig":{${Array.from({ length: 1000 }, (_, key) => `"k${key}":1`).join()}}}`, true, 422],
    ['of more entries than a kit has', 'kits', `{"wanted":[${Array.from({ length: 3000 }, () => '{}').join()}]}`, true, 413],
    ['that is no JSON', 'kits', '{"name":', true, 400],
    ['with a prototype in it', 'kits', '{"__proto__":{"role":"coordinator"}}', true, 422],
  ])('%s', async (_what, path, body, signedIn, status) => {
    expect((await raw(path, body, signedIn)).status).toBe(status);
  });

  it('names a hundred faults at most, and how many there are', async () => {
    const wrong = Object.fromEntries(Array.from({ length: 900 }, (_, key) => [`unknown${key}`, 1]));
    const { body } = await server.http.post('/api/v1/kits').send(wrong).expect(422);
    expect(body.faults).toHaveLength(100);
    expect(body.detail).toMatch(/The first 100 of 9\d\d faults are listed\./);
  });

  it('that is open to anybody is small', async () => {
    const login = (length: number) => JSON.stringify({ login: 'a', password: 'x'.repeat(length) });
    expect((await raw('session', login(15_000), false)).status).toBe(422);
    expect((await raw('session', login(17_000), false)).status).toBe(413);
  });
});

describe('a register file that is made to hurt', () => {
  const preview = (text: string) =>
    server.http.post('/api/v1/gear/import/preview').send({ fileName: 'a.csv', contentBase64: base64(text) });
  it.each([
    ['five megabytes of line breaks', '\n'.repeat(5_000_000), /holds no rows|more than 20000 rows/],
    ['400,000 blank rows', `tag,class\n${'\n'.repeat(400_000)}`, /more than 20000 rows/],
    ['21,002 rows', `tag,class\n${'A,chain\n'.repeat(21_002)}`, /more than 20000 rows/],
    ['a row of 100,000 cells', `tag,class\nA,${','.repeat(100_000)}\n`, /cells; at most 500/],
    ['a heading of 501 columns', `tag,class${',x'.repeat(499)}\n`, /501 cells; at most 500/],
    ['an open quote to its end', `tag,class\n"${'A,\n'.repeat(100_000)}`, /cannot be read as CSV/],
  ])('%s is refused by name', async (_what, text, words) => {
    const { status, body } = await preview(text);
    expect([status, body.detail]).toEqual([422, expect.stringMatching(words)]);
  });

  it('with a mark of 20,000 spaces is read at once, and the row refused', async () => {
    const { body } = await preview(`tag,class,name,mark\nA-1,chain,Chain,1${' '.repeat(20_000)}t\n`).expect(200);
    expect(body.rows[0]).toMatchObject({ outcome: 'faulty', faults: [{ message: expect.stringContaining('at most 120') }] });
  });
});

describe('what no database keeps, or nobody sees, is named by its field', () => {
  const kit = (change: object) =>
    server.http.post('/api/v1/kits').send({ kitId: randomUUID(), name: `Kit ${randomUUID()}`, wanted: [], ...change });
  it.each<[string, object, string]>([
    ['a null character', { name: 'Bog\0bag' }, 'name'],
    ['half a character', { note: 'peat \ud83d' }, 'note'],
    ['only invisible characters', { name: '\u200b\u2060\u00ad' }, 'name'],
    ['only spaces', { name: ' \u00a0\u3000 ' }, 'name'],
    ['a null character deep inside', { wanted: [{ kind: 'chain\0', count: 1 }] }, 'wanted[0].kind'],
  ])('%s', async (_what, change, path) => {
    const { status, body } = await kit(change);
    expect([status, body.faults?.[0]?.path]).toEqual([422, path]);
  });
  it('and other letters than ours are kept', async () => {
    await kit({ name: `Ǻrbæjar 🪢 ${randomUUID().slice(0, 6)}`, note: '\u200bwith a mark that joins' }).expect(201);
  });

  it.each([
    '/api/v1/gear?after=%00',
    '/api/v1/gear?limit=1e30',
    '/api/v1/plans?after=%ED%A0%80',
    '/api/v1/plans?after=%00%1f%00',
    '/api/v1/audit?before=99999999999999999999999',
    '/api/v1/audit?before=-1',
    '/api/v1/plans/00000000-0000-4000-8000-000000000000/versions/99999999999999',
    '/api/v1/plans/00000000-0000-4000-8000-000000000000/versions/-1',
    '/api/v1/inspections?gearId=%00',
    '/api/v1/calendar/%00',
    '/api/v1/tasks/%00',
    '/api/v1/%E0%A4%A',
  ])('%s is no fault of the server', async (address) => {
    const { status } = await server.http.get(address);
    expect([address, status < 500]).toEqual([address, true]);
  });

  it('absurd numbers and empty lists are refused, never kept', async () => {
    const piece = newPiece();
    for (const change of [
      { overloadsSinceInspection: 1e30 },
      { overloadsSinceInspection: -1 },
      { overloadsSinceInspection: 1.5 },
      { attributes: { lengthM: 1e308 } },
      { marks: [{}] },
      { kind: [] },
    ]) {
      const { status } = await server.http.post('/api/v1/gear').send({ ...piece, ...change });
      expect([change, status]).toEqual([change, 422]);
    }
    await server.http.post('/api/v1/visit').send({ upTo: 1e300 }).expect(422);
    const { body: plans } = await server.http.get('/api/v1/plans');
    await server.http.post(`/api/v1/plans/${plans.items[0].planId}/state`).send({ state: 'ready', version: 1e15 }).expect(409);
  });
});

describe('two who do the same at once', () => {
  const twins = (path: string, body: object) =>
    Promise.all(Array.from({ length: 6 }, () => server.http.post(`/api/v1/${path}`).send(body)));
  it.each<[string, string, () => object]>([
    ['a piece', 'gear', () => newPiece()],
    ['a kit', 'kits', () => ({ kitId: randomUUID(), name: `Kit ${randomUUID()}`, wanted: [] })],
    ['a person', 'people', () => ({ personId: randomUUID(), name: `Person ${randomUUID()}`, role: 'member' })],
    [
      'a vehicle',
      'vehicles',
      () => ({ vehicleId: randomUUID(), name: `V ${randomUUID().slice(0, 8)}`, model: 'Any', massKg: 2000, lengthM: 4, widthM: 1.8 }),
    ],
    ['a hook-up', 'hook-ups', () => ({ entryId: randomUUID(), model: 'Any', kind: 'used', place: 'Rear eye' })],
  ])('%s, sent six times at once, is saved once and each is answered with it', async (_what, path, make) => {
    const answers = await twins(path, make());
    expect(answers.map(({ status }) => status)).toEqual([201, 201, 201, 201, 201, 201]);
    expect(new Set(answers.map(({ body }) => JSON.stringify(body))).size).toBe(1);
  });

  it('the same tag on two pieces: one is kept, the other is told by whom it is taken', async () => {
    const tag = `TWIN-${randomUUID().slice(0, 6)}`;
    const answers = await Promise.all(Array.from({ length: 4 }, () => server.http.post('/api/v1/gear').send(newPiece({ tag }))));
    const statuses = answers.map(({ status }) => status).sort();
    expect(statuses[0]).toBe(201);
    expect(statuses.slice(1).every((status) => status === 409 || status === 422)).toBe(true);
    expect(answers.filter(({ status }) => status === 201)).toHaveLength(1);
    for (const { status, body } of answers) if (status !== 201) expect(body.faults[0].path).toBe('tag');
  });
});

describe('a database that does not answer', () => {
  it('says perhaps where the connection broke while it was saving', async () => {
    const actor = await demoActor(server);
    const database = server.app.get(TeamDatabase);
    const lost = database.inTeam(actor.teamId, async (trx) => {
      const { rows } = await sql<{ pid: number }>`select pg_backend_pid() as pid`.execute(trx);
      await database.pool.query('select pg_terminate_backend($1)', [rows[0]?.pid]);
      // Until the break is noticed here.
      await new Promise((done) => setTimeout(done, 200));
      return 'kept?';
    });
    await expect(lost).rejects.toMatchObject({
      problem: { status: 503, title: 'Perhaps saved', detail: expect.stringContaining('it is saved once') },
    });
  });

  it.each([
    [{ code: 'ECONNREFUSED' }, 503, 'The database does not answer'],
    [{ code: '57P01' }, 503, 'The database does not answer'],
    [{ code: '08006' }, 503, 'The database does not answer'],
    [new Error('Connection terminated unexpectedly'), 503, 'The database does not answer'],
    [new Error('timeout exceeded when trying to connect'), 503, 'The database does not answer'],
    [{ code: '53100' }, 507, 'The disk is full'],
    [{ code: 'ENOSPC' }, 507, 'The disk is full'],
    [{ code: '55P03' }, 503, 'Busy'],
    [{ code: '57014' }, 503, 'Busy'],
    [{ code: '23505' }, 409, 'Changed by somebody else'],
    [{ code: '22003' }, 422, 'Not accepted'],
  ])('%o is told as %s, %s', (error, status, title) => {
    expect(databaseProblem(error)).toMatchObject({ status, title });
  });
  it('and nothing else is called its doing', () => {
    for (const error of [new Error('secret'), { code: '42601' }, { code: 42 }, undefined, null])
      expect(databaseProblem(error)).toBeUndefined();
  });
});

describe('the wire', () => {
  it('carries long answers packed, and a stream as it comes', async () => {
    const { headers } = await server.http.get('/api/v1/gear').set('Accept-Encoding', 'br');
    expect(headers['content-encoding']).toBe('br');
    expect((await server.http.get('/api/v1/gear').set('Accept-Encoding', 'identity')).headers['content-encoding']).toBeUndefined();
    expect((await server.http.get('/api/v1/gear').set('Accept-Encoding', 'gzip')).body.items.length).toBeGreaterThan(10);
  });
});
