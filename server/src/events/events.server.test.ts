import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { createApplication } from '../application.ts';
import { TeamDatabase } from '../database/team-database.ts';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** Opens the stream of a server process with a session made on another, and collects what it hears. */
async function listen(address: string, cookie: string, query = '') {
  const heard: { type: string; kind?: string; ids?: string[] }[] = [];
  const stop = new AbortController();
  const answer = await fetch(`${address}/api/v1/events${query}`, { headers: { cookie }, signal: stop.signal });
  expect(answer.status).toBe(200);
  const listened = { isEnded: false };
  const reading = (async () => {
    for await (const chunk of answer.body as unknown as AsyncIterable<Uint8Array>)
      for (const line of Buffer.from(chunk).toString().split('\n')) if (line.startsWith('data: ')) heard.push(JSON.parse(line.slice(6)));
    listened.isEnded = true;
  })().catch(() => undefined);
  return {
    heard,
    listened,
    stop: async () => {
      stop.abort();
      await reading;
    },
  };
}

async function signedIn(): Promise<string> {
  const agent = await server.as();
  const { body } = await agent.get('/api/v1/session');
  const signed = await agent.post('/api/v1/session/demo').send({ personId: body.demoPeople[0].personId });
  return String(signed.headers['set-cookie']).split(';')[0] ?? '';
}

/** Waits as long as it takes; what has not come after five minutes hangs. */
const until = async (what: string, holds: () => boolean) => {
  for (let attempt = 0; attempt < 6000 && !holds(); attempt++) await new Promise((done) => setTimeout(done, 50));
  expect(holds(), `waited five minutes for ${what}`).toBe(true);
};

it('a change made through one server process is heard by pages of another, also after its listening connection dropped', async () => {
  const second = await createApplication(resolve('nowhere'));
  await second.listen(0, '127.0.0.1');
  const address = `http://127.0.0.1:${(second.getHttpServer().address() as AddressInfo).port}`;
  const cookie = await signedIn();
  const stream = await listen(address, cookie);
  let later: typeof stream | undefined;
  try {
    const piece = newPiece();
    await server.http.post('/api/v1/gear').send(piece).expect(201);
    await until('the new piece', () => stream.heard.some(({ kind, ids }) => kind === 'gear' && ids?.includes(piece.gearId) === true));
    const { rowCount } = await server.app
      .get(TeamDatabase)
      .pool.query(
        `select pg_terminate_backend(pid) from pg_stat_activity where query like 'listen wainrope_event%' and datname = current_database()`,
      );
    expect(rowCount).toBeGreaterThanOrEqual(2);
    await until('the word to ask again for everything', () => stream.heard.some(({ type }) => type === 'reset'));
    // Its session may have ended unheard: the page is let go, comes back, and is asked who it is.
    await until('the end of the stream', () => stream.listened.isEnded);
    later = await listen(address, cookie);
    const after = newPiece();
    await server.http.post('/api/v1/gear').send(after).expect(201);
    await until('the piece made after the drop', () => later?.heard.some(({ ids }) => ids?.includes(after.gearId) === true) === true);
  } finally {
    await later?.stop();
    await stream.stop();
    await second.close();
  }
});

it('a stream tells first what has changed in the time that it asks for, each kind once, and of what was not heard that something may be missed', async () => {
  const fresh = await createApplication(resolve('nowhere'));
  await fresh.listen(0, '127.0.0.1');
  const began = performance.now();
  const address = `http://127.0.0.1:${(fresh.getHttpServer().address() as AddressInfo).port}`;
  const cookie = await signedIn();
  const witness = await listen(address, cookie);
  const streams = [witness];
  try {
    for (const _ of [1, 2]) await server.http.post('/api/v1/gear').send(newPiece()).expect(201);
    await until('both pieces', () => witness.heard.filter(({ kind }) => kind === 'gear').length === 2);
    const back = await listen(address, cookie, `?agoMs=${Math.max(1, Math.floor(performance.now() - began))}`);
    const forward = await listen(address, cookie);
    const tooFar = await listen(address, cookie, '?agoMs=60000');
    streams.push(back, forward, tooFar);
    const ofGear = () => back.heard.filter(({ kind }) => kind === 'gear');
    await until('what came before', () => ofGear().length > 0 && tooFar.heard.length > 0);
    expect(ofGear()).toEqual([expect.objectContaining({ type: 'changed' })]);
    expect(ofGear()[0]?.ids).toBeUndefined();
    expect(tooFar.heard).toEqual([{ type: 'missed' }]);
    const piece = newPiece();
    await server.http.post('/api/v1/gear').send(piece).expect(201);
    for (const stream of streams) await until('the new piece', () => stream.heard.some(({ ids }) => ids?.includes(piece.gearId) === true));
    expect(forward.heard).toHaveLength(1);
    expect(tooFar.listened.isEnded).toBe(false);
  } finally {
    for (const stream of streams) await stream.stop();
    await fresh.close();
  }
});

it.each(['0', '60001', '1.5', 'soon'])('a stream is not asked for the last %s milliseconds', async (agoMs) => {
  const { body } = await server.http.get(`/api/v1/events?agoMs=${agoMs}`).expect(422);
  expect(body.faults[0].path).toBe('agoMs');
});
