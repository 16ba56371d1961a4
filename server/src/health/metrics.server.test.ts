import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';
import { watchAddress } from './watch-address.ts';

let server: TestServer;
let watched: Server;
let ask: ReturnType<typeof supertest>;
beforeAll(async () => {
  server = await startTestServer();
  watched = watchAddress(server.app);
  await new Promise<void>((done) => watched.listen(0, '127.0.0.1', done));
  ask = supertest(`http://127.0.0.1:${(watched.address() as AddressInfo).port}`);
});
afterAll(async () => {
  watched.close();
  await server.stop();
});

const metrics = async () => (await ask.get('/metrics').expect(200)).text;
/** The value of a line of the text; nothing where there is none. */
const figure = (text: string, name: string) => {
  const line = text.split('\n').find((each) => each.startsWith(`${name} `));
  return line === undefined ? undefined : Number(line.split(' ').at(-1));
};

describe('the address for whoever watches', () => {
  it('answers without a sign-in whether the process runs and whether it can serve', async () => {
    expect((await ask.get('/live').expect(200)).body).toEqual({ status: 'live' });
    expect((await ask.get('/ready').expect(200)).body).toMatchObject({ status: 'ready' });
  });
  it('counts requests by the pattern of their address, and tells of no team, person or thing', async () => {
    const counted = (route: string, status: number) =>
      `wainrope_http_request_duration_seconds_count{method="GET",route="${route}",status="${status}"}`;
    const { body } = await server.http.get('/api/v1/gear?limit=1').expect(200);
    const [piece] = body.items;
    const before = figure(await metrics(), counted('/api/v1/gear/:gearId', 200)) ?? 0;
    for (let time = 0; time < 3; time++) await server.http.get(`/api/v1/gear/${piece.gearId}`).expect(200);
    await server.http.get('/api/v1/gear/none').expect(400);
    const text = await metrics();
    expect(figure(text, counted('/api/v1/gear/:gearId', 200))).toBe(before + 3);
    expect(text).toMatch(/route="[^"]+",status="400"/);
    for (const secret of [piece.gearId, piece.tag, 'Isla', 'Harrowmoss']) expect(text).not.toContain(secret);
  });
  it('is in the usual text format, with the process, the database, threads, streams and backups', async () => {
    const answer = await ask.get('/metrics').expect(200);
    expect(answer.headers['content-type']).toContain('text/plain; version=0.0.4');
    for (const name of [
      'process_resident_memory_bytes',
      'nodejs_eventloop_lag_seconds',
      'wainrope_database_connections{state="idle"}',
      'wainrope_database_waiting{state="all"}',
      'wainrope_threads{state="waiting"}',
      'wainrope_event_streams',
      'wainrope_last_backup_timestamp_seconds',
      'wainrope_started_again{what="server"}',
    ])
      expect([name, figure(answer.text, name)]).toEqual([name, expect.any(Number)]);
  });
  it('has nothing else, and takes nothing', async () => {
    await ask.get('/').expect(404);
    await ask.get('/api/v1/team').expect(404);
    await ask.post('/metrics').expect(404);
  });
  it('is not part of the address that people use', async () => {
    for (const path of ['/metrics', '/api/v1/metrics']) expect((await server.http.get(path)).text).not.toContain('wainrope_http');
  });
});
