import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { Readable } from 'node:stream';
import type { LoadView, SeriesView } from '@wainrope/contract';
import { binnedCount, type Case } from '@wainrope/core';
import { lineShares } from '@wainrope/core/judging';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../../testing/test-server.ts';
import { TODAY } from '../../testing/today.ts';

let server: TestServer;
let member: Awaited<ReturnType<TestServer['as']>>;
let planId: string;
let version: number;
let subject: Case;
beforeAll(async () => {
  server = await startTestServer();
  member = await server.as('member');
  const { body } = await server.http.get('/api/v1/plans');
  planId = body.items.find(({ name }: { name: string }) => name.startsWith('Plantation ride')).planId;
  version = (await server.http.get(`/api/v1/plans/${planId}`)).body.version;
  subject = (await server.http.get(`/api/v1/plans/${planId}/rig-file`)).body.case;
});
afterAll(() => server.stop());

const lineId = () => subject.rig.lines[0]?.id ?? '';
const laidAside = () => readdirSync(tmpdir()).filter((name) => /^wainrope-.*\.gz$/.test(name));
interface Sent {
  readonly [name: string]: string | number;
}
const query = (change: Sent = {}): Sent => ({
  seriesId: randomUUID(),
  version,
  lineId: lineId(),
  strand: 0,
  on: TODAY,
  fileName: 'bog.csv',
  pulls: 1,
  ...change,
});
const send = (text: string, asked: Sent = query(), agent = member) =>
  agent.post(`/api/v1/plans/${planId}/series`).query(asked).set('Content-Type', 'text/csv').send(text);
const bring = async (text: string, change: Sent = {}): Promise<SeriesView> => (await send(text, query(change)).expect(201)).body;
const refused = async (text: string, change: Sent = {}, status = 422) => {
  const asked = query(change);
  const { body } = await send(text, asked).expect(status);
  await server.http.get(`/api/v1/series/${asked.seriesId}`).expect(404);
  expect(laidAside()).toEqual([]);
  return body;
};
const pathsOf = ({ faults }: { readonly faults: readonly { readonly path: string }[] }) => faults.map(({ path }) => path);

const PULL = [0, 6000, 2500, 8000, 0];
const plain = (values: readonly (number | string)[]) => `time_s,tension_N\n${values.map((value, at) => `${at / 2},${value}`).join('\n')}\n`;

/** The metres that the plan's line runs in one pull, and what the diary of its winch says of its newest run. */
async function drumOfPlan() {
  const { report } = (await server.http.get(`/api/v1/plans/${planId}`).expect(200)).body.fresh;
  const winch = report.places.find(({ kind }: { kind: string }) => kind === 'drum').gearId;
  const runs = async (): Promise<readonly { readonly metres: number }[]> =>
    (await server.http.get(`/api/v1/gear/${winch}/diary`).expect(200)).body.items.filter(({ kind }: { kind: string }) => kind === 'ran');
  return { ropeM: report.drives[0].work.ropeM as number, runs };
}

describe('a load series', () => {
  it('ran over the drum as a logged pull does: the metres of one pull times the pulls, once', async () => {
    const { ropeM, runs } = await drumOfPlan();
    expect(ropeM).toBeGreaterThan(1);
    const before = (await runs()).length;
    const asked = query({ pulls: 3 });
    await send(plain(PULL), asked).expect(201);
    await send(plain(PULL), asked).expect(201);
    expect(await runs()).toHaveLength(before + 1);
    expect((await runs())[0]?.metres).toBeCloseTo(3 * ropeM, 6);
    const pullId = randomUUID();
    const pull = { pullId, version, on: TODAY, pulls: 2 };
    for (let time = 0; time < 2; time++) await member.post(`/api/v1/plans/${planId}/pulls`).send(pull).expect(201);
    expect(await runs()).toHaveLength(before + 2);
    expect((await runs())[0]?.metres).toBeCloseTo(2 * ropeM, 6);
  });
  it('gives each piece its peak and its cycles, by what it carries of the line', async () => {
    const view = await bring(plain(PULL), { note: 'The small load cell' });
    expect(view).toMatchObject({ planId, version, strand: 0, fileName: 'bog.csv', on: TODAY, note: 'The small load cell' });
    expect(view.found).toMatchObject({ rows: 5, durationS: 2, peakN: 8000, peakS: 1.5, lowestN: 0, refusedCount: 0 });
    expect(Math.max(...view.outline.highN.map(Number))).toBe(8000);
    const shares = lineShares(subject, { lineId: lineId(), strand: 0 });
    if (shares.kind !== 'shares') throw new Error(shares.kind);
    expect(view.loads.map(({ gearId }) => gearId).sort()).toEqual(shares.pieces.map(({ gearId }) => gearId).sort());
    expect(view.loads.length).toBeGreaterThan(3);
    for (const load of view.loads) {
      const share = Math.max(...(shares.pieces.find(({ gearId }) => gearId === load.gearId)?.shares ?? []));
      expect(load).toMatchObject({ known: 'series', seriesId: view.seriesId, planId, pulls: 1 });
      expect(load.peakN).toBeCloseTo(8000 * share, 6);
      expect(load.happenedN).toBe(load.peakN);
    }
    const { rows } = await inTeam('select gear_id, cycles, nominal_mbs_n from load_record where series_id = $1', [view.seriesId]);
    for (const { gear_id, cycles, nominal_mbs_n } of rows) {
      if (nominal_mbs_n === null) continue;
      const share = Math.max(...(shares.pieces.find(({ gearId }) => gearId === gear_id)?.shares ?? []));
      const count = binnedCount(nominal_mbs_n);
      for (const value of PULL) count.push(value * share);
      expect(cycles).toEqual(count.end());
    }
  });
  it('stands in the life of each piece, and in the list of its plan, newest first', async () => {
    const view = await bring(plain(PULL));
    const { gearId } = view.loads[0] as LoadView;
    const { body } = await server.http.get(`/api/v1/gear/${gearId}/loads`).expect(200);
    expect(body.items.some(({ seriesId }: LoadView) => seriesId === view.seriesId)).toBe(true);
    const { body: list } = await server.http.get(`/api/v1/plans/${planId}/series`).expect(200);
    expect(list.items[0].seriesId).toBe(view.seriesId);
    const second = await bring(plain(PULL));
    const page = async (before?: string) =>
      (
        await server.http
          .get(`/api/v1/plans/${planId}/series`)
          .query({ limit: 1, ...(before && { before }) })
          .expect(200)
      ).body;
    const newest = await page();
    expect(newest.items.map((each: { seriesId: string }) => each.seriesId)).toEqual([second.seriesId]);
    expect((await page(newest.next)).items[0].seriesId).toBe(view.seriesId);
    await server.http.get(`/api/v1/plans/${planId}/series`).query({ before: 'the last' }).expect(422);
    await server.http.get(`/api/v1/plans/${randomUUID()}/series`).expect(404);
  });
  it('comes out again byte for byte as it came, whatever stands in it', async () => {
    const text = `\ufeffGauge 3;;\r\nTime (ms);Load (kN);Remark\r\n0;0,5;"a; b"\r\n\r\n500;4,25;\r\n900;1;last without an end`;
    const view = await bring(text);
    expect(view.found).toMatchObject({ rows: 3, peakN: 4250, durationS: 0.9 });
    const { body, headers } = await member.get(`/api/v1/series/${view.seriesId}/file`).responseType('blob').expect(200);
    expect((body as Buffer).equals(Buffer.from(text))).toBe(true);
    expect(headers['content-disposition']).toContain('bog.csv');
    expect(view.bytes).toBe(Buffer.byteLength(text));
  });
  it('of several parts comes out whole', async () => {
    // Figures that hardly pack: more than a part of a million bytes.
    let at = 1;
    const noise = Array.from({ length: 330_000 }, () => {
      at = (at * 48_271) % 2_147_483_647;
      return (at % 80_000) / 100;
    });
    const text = plain(noise);
    const view = await bring(text);
    const { rows } = await inTeam('select count(*)::int as parts from load_series_part where series_id = $1', [view.seriesId]);
    expect(rows[0].parts).toBeGreaterThan(1);
    expect(view.found).toMatchObject({ rows: 330_000, peakN: noise.reduce((most, value) => Math.max(most, value)) });
    const { body } = await member.get(`/api/v1/series/${view.seriesId}/file`).responseType('blob').expect(200);
    expect((body as Buffer).equals(Buffer.from(text))).toBe(true);
  });
  it('sent twice with one id is kept once', async () => {
    const asked = query();
    const first = (await send(plain(PULL), asked).expect(201)).body;
    const { body: again } = await send(plain(PULL), asked).expect(201);
    expect(again.loads.map(({ recordId }: LoadView) => recordId)).toEqual(first.loads.map(({ recordId }: LoadView) => recordId));
    const both = query();
    const answers = await Promise.all([send(plain(PULL), both), send(plain(PULL), both, server.http)]);
    expect(answers.map(({ status }) => status)).toEqual([201, 201]);
    const { rows } = await inTeam('select count(*)::int as n from load_series where series_id = $1', [both.seriesId]);
    expect(rows[0].n).toBe(1);
  });
  it('is never changed or taken away, in the database either', async () => {
    const { seriesId } = await bring(plain(PULL));
    for (const table of ['load_series', 'load_series_part']) {
      await expect(inTeam(`delete from ${table} where series_id = $1`, [seriesId])).rejects.toThrow('never changed');
      await expect(inTeam(`update ${table} set series_id = $1`, [seriesId])).rejects.toThrow('never changed');
    }
  });
  it('that overloads a piece takes it out of use at once, everywhere', async () => {
    const { loads } = await bring(plain(PULL));
    // A winch has no breaking strength, so that nothing takes it out of use.
    const weakest = loads
      .filter(({ wllN, place }) => wllN !== undefined && !place?.startsWith('W-'))
      .sort((a, b) => (b.share ?? 0) - (a.share ?? 0))[0] as LoadView;
    // As much more as puts the weakest piece six times over its limit.
    const factor = (6 * (weakest.wllN ?? 0)) / (weakest.peakN ?? 1);
    const view = await bring(plain(PULL.map((n) => n * factor)));
    expect(view.loads.find(({ gearId }) => gearId === weakest.gearId)?.overload).toBe('quarantine');
    expect((await server.http.get(`/api/v1/gear/${weakest.gearId}`)).body.state).toBe('quarantined');
    const { body: plan } = await server.http.get(`/api/v1/plans/${planId}`);
    expect(plan.fresh.outOfDate.length).toBeGreaterThan(0);
  });
});

describe('a file of a recorder', () => {
  it('whose unit nobody wrote is asked about, and taken once somebody says it', async () => {
    const bare = 'time_s,load\n0,1\n1,5\n2,0\n';
    const answer = await refused(bare);
    expect(pathsOf(answer)).toEqual(['forceUnit']);
    expect(answer.faults[0].message).toContain('“load”? Choose one of: N, daN, kN');
    expect((await bring(bare, { forceUnit: 'kN' })).found.peakN).toBe(5000);
  });
  it('names the rows that are refused, and takes the others; more than one in a hundred, and it takes none', async () => {
    const rows = (bad: number) => plain([...Array(99).fill(500), ...Array(bad).fill('lost')]);
    const view = await bring(rows(1));
    expect(view.found).toMatchObject({ rows: 99, refusedCount: 1, refused: [{ line: 101, why: '“lost” is not a tension' }] });
    const answer = await refused(rows(2));
    expect(answer.detail).toContain('2 of 101 rows are not readings');
    expect(pathsOf(answer)).toEqual(['line 101', 'line 102']);
    await refused('time_s,tension_N\nlost,lost\n');
  });
  it.each([
    ['without headings', '0,1\n1,2\n', {}, 'file'],
    ['of nothing', '', {}, 'file'],
    ['that is a picture', '\u0089PNG\r\n\u001a\n\u0000\u0000', {}, 'file'],
    ['on a strand that is not there', plain(PULL), { strand: 9 }, 'strand'],
    ['on a line that is not there', plain(PULL), { lineId: 'elsewhere' }, 'strand'],
    ['of a day that has not come', plain(PULL), { on: '2026-01-16' }, 'on'],
    ['of half a pull', plain(PULL), { pulls: 0.5 }, 'pulls'],
    ['in a unit that is none', plain(PULL), { forceUnit: 'stone' }, 'forceUnit'],
  ])('%s is refused by name, and nothing is kept', async (_what, text, change, path) => {
    expect(pathsOf(await refused(text, change))).toContain(path);
  });
  it('keeps a spike, unless somebody says that it is none', async () => {
    const text = plain([0, 100, 9000, 100, 0]);
    expect((await bring(text)).found).toMatchObject({ peakN: 9000, spikes: 1, spikeLines: [4] });
    expect(await bring(text, { spikes: 'leave-out' })).toMatchObject({ leftOutSpikes: true, found: { peakN: 100, spikes: 1 } });
  });
  it('goes by the metre where it is recorded', async () => {
    const at = (travelM: number) => `time_s,tension_N,travel_m\n0,0,${travelM}\n1,5000,${travelM}\n`;
    const shares = lineShares(subject, { lineId: lineId(), strand: 0 });
    if (shares.kind !== 'shares') throw new Error(shares.kind);
    const end = shares.travelM.at(-1) ?? 0;
    for (const { gearId, peakN } of (await bring(at(end))).loads) {
      const own = shares.pieces.find((piece) => piece.gearId === gearId);
      expect(peakN).toBeCloseTo(5000 * (own?.shares.at(-1) ?? 0), 6);
    }
  });
  it('of more than 64 MB is refused, and nothing of it is left', async () => {
    const asked = query();
    const row = Buffer.from('1234.5,10000\n'.repeat(1000));
    let sent = 0;
    const source = new Readable({
      read() {
        this.push(sent > 64_000_000 ? null : row);
        sent += row.length;
      },
    });
    const request = member.post(`/api/v1/plans/${planId}/series`).query(asked).set('Content-Type', 'text/csv');
    const answer = await new Promise<{ status: number }>((done, fail) => {
      request.on('response', done);
      request.on('error', fail);
      source.pipe(request as unknown as NodeJS.WritableStream);
    });
    expect(answer.status).toBe(413);
    await server.http.get(`/api/v1/series/${asked.seriesId}`).expect(404);
    expect(laidAside()).toEqual([]);
  });
  it('can be stopped while it is read; then nothing is kept', async () => {
    const task = randomUUID();
    const asked = query({ task });
    const text = plain(Array(400_000).fill(1234));
    const answered = send(text, asked).then(({ status, body }) => ({ status, body }));
    for (let stopped = false; !stopped; ) {
      stopped = (await member.delete(`/api/v1/tasks/${task}`)).status < 300;
      await new Promise((next) => setTimeout(next, 10));
    }
    const { status, body } = await answered;
    expect([status, body.detail]).toEqual([409, 'Reading bog.csv: stopped. Nothing was saved.']);
    await server.http.get(`/api/v1/series/${asked.seriesId}`).expect(404);
    expect(laidAside()).toEqual([]);
  });
  it('is a member’s to bring and a reader’s to read; of another version of the plan it is refused', async () => {
    const reader = await server.as('reader');
    await send(plain(PULL), query(), reader).expect(403);
    const { seriesId } = await bring(plain(PULL));
    await reader.get(`/api/v1/series/${seriesId}`).expect(200);
    await refused(plain(PULL), { version: version + 1 }, 409);
    await member.post(`/api/v1/plans/${planId}/series`).query(query()).send({ time: 0 }).expect(422);
    await member.post('/api/v1/loads').set('Content-Type', 'text/csv').send('a,b').expect(415);
  });
});

async function inTeam(command: string, values: readonly unknown[]) {
  await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
  return server.owner.query(command, [...values]);
}
