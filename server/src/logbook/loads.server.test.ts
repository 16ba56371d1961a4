import { randomUUID } from 'node:crypto';
import type { LoadView } from '@wainrope/contract';
import { standardSheets } from '@wainrope/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';
import { loadsOfReport } from './loads-of-report.ts';

let server: TestServer;
let member: Awaited<ReturnType<TestServer['as']>>;
beforeAll(async () => {
  server = await startTestServer();
  member = await server.as('member');
});
afterAll(() => server.stop());

/** Half of 10 t of breaking strength; the working limit is a third of it, and 1.25 times that is less. */
const HALF_MBS_N = (10_000 * 9.80665) / 2;
const load = (gearId: string, change: object = {}) => ({
  recordId: randomUUID(),
  gearId,
  on: TODAY,
  plannedN: 10_000,
  pulls: 1,
  ...change,
});
async function strap(change: object = {}): Promise<string> {
  const piece = newPiece(change);
  await server.http.post('/api/v1/gear').send(piece).expect(201);
  return piece.gearId;
}
const add = async (body: object, status = 201) => (await server.http.post('/api/v1/loads').send(body).expect(status)).body;
const pieceOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body;
const loadsOf = async (gearId: string): Promise<LoadView[]> =>
  (await server.http.get(`/api/v1/gear/${gearId}/loads`).expect(200)).body.items;
const statesOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}/care`).expect(200)).body.states;

describe('a load record', () => {
  it('keeps what was planned, the limit of that day and its share, once however often it is sent', async () => {
    const gearId = await strap();
    const sent = load(gearId, { greatestN: 30_000, place: 'Round the larch' });
    const view = await add(sent);
    expect(view).toMatchObject({
      plannedN: 10_000,
      greatestN: 30_000,
      happenedN: 10_000,
      overload: 'none',
      known: 'typed',
      place: 'Round the larch',
    });
    expect(view.share).toBeCloseTo(10_000 / view.wllN, 12);
    expect(view.wllN).toBeLessThanOrEqual((10_000 * 9.80665) / 3 + 1);
    await add(sent);
    expect(await loadsOf(gearId)).toHaveLength(1);
    expect((await pieceOf(gearId)).overloadsSinceInspection).toBe(0);
  });
  it('goes by the gauge, else by what was planned; by the greatest only where the winch stalled', async () => {
    const gearId = await strap();
    const figures = { plannedN: 10_000, greatestN: 30_000 };
    expect((await add(load(gearId, { ...figures, peakN: 9000 }))).happenedN).toBe(9000);
    expect((await add(load(gearId, { ...figures, stalled: true }))).happenedN).toBe(30_000);
    expect((await add(load(gearId, figures))).happenedN).toBe(10_000);
  });
  it.each([
    ['a day that has not come', { on: '2026-01-16' }, 'on'],
    ['a day that is none', { on: '2026-02-30' }, 'on'],
    ['no load at all', { plannedN: 0 }, 'plannedN'],
    ['a greatest below what was planned', { greatestN: 9999 }, 'greatestN'],
    ['a stall without its load', { stalled: true }, 'greatestN'],
    ['less than nothing', { plannedN: -1 }, 'plannedN'],
    ['more than anybody pulls', { plannedN: 2_000_001 }, 'plannedN'],
    ['half a pull', { pulls: 0.5 }, 'pulls'],
    ['no pull', { pulls: 0 }, 'pulls'],
  ])('of %s is refused by name, and nothing is kept', async (_what, fault, path) => {
    const gearId = await strap();
    const { faults } = await add(load(gearId, fault), 422);
    expect(faults.map((entry: { path: string }) => entry.path)).toContain(path);
    expect(await loadsOf(gearId)).toEqual([]);
  });
  it('is a member’s to write and a reader’s to read; a piece that is not there has none', async () => {
    const gearId = await strap();
    await member.post('/api/v1/loads').send(load(gearId)).expect(201);
    const reader = await server.as('reader');
    await reader.post('/api/v1/loads').send(load(gearId)).expect(403);
    expect((await reader.get(`/api/v1/gear/${gearId}/loads`).expect(200)).body.items).toHaveLength(1);
    await add(load(randomUUID()), 404);
    await server.http.get(`/api/v1/gear/${randomUUID()}/loads`).expect(404);
  });
  it('is never changed or taken away, in the database either', async () => {
    const gearId = await strap();
    const { recordId } = await add(load(gearId));
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    await expect(server.owner.query('update load_record set planned_n = 1 where record_id = $1', [recordId])).rejects.toThrow(
      'never changed',
    );
    await expect(server.owner.query('delete from load_record where record_id = $1', [recordId])).rejects.toThrow('never changed');
  });
  it('is listed newest first, a page at a time', async () => {
    const gearId = await strap();
    for (const on of ['2026-01-10', '2026-01-12', '2026-01-11', '2026-01-12']) await add(load(gearId, { on }));
    const days: string[] = [];
    let next: string | undefined = '';
    while (next !== undefined) {
      const query: string = next === '' ? '?limit=3' : `?limit=3&before=${encodeURIComponent(next)}`;
      const { body } = await server.http.get(`/api/v1/gear/${gearId}/loads${query}`).expect(200);
      days.push(...body.items.map(({ on }: LoadView) => on));
      next = body.next;
    }
    expect(days).toEqual(['2026-01-12', '2026-01-12', '2026-01-11', '2026-01-10']);
    await server.http.get(`/api/v1/gear/${gearId}/loads?before=yesterday`).expect(422);
  });
  it('is added up with the others that count: pulls, the hardest, cycles and what they come to', async () => {
    const gearId = await strap();
    const listed = async () => (await server.http.get(`/api/v1/gear/${gearId}/loads`).expect(200)).body;
    expect((await listed()).summary).toEqual({ records: 0, pulls: 0, cycles: [], usageIndex: 0 });
    const first = await add(load(gearId, { pulls: 2 }));
    const wrong = await add(load(gearId, { plannedN: 30_000 }));
    await add(load(gearId, { plannedN: 20_000, corrects: wrong.recordId, note: 'Twenty, not thirty' }));
    const { summary } = await listed();
    // 10 kN and 20 kN of 98.07 kN: from 10 % and from 20 %.
    expect(summary).toMatchObject({
      records: 2,
      pulls: 3,
      cycles: [
        { fromPercent: 10, cycles: 2 },
        { fromPercent: 20, cycles: 1 },
      ],
    });
    expect(summary.largestShare).toBeCloseTo(20_000 / first.wllN, 12);
    expect(summary.usageIndex).toBeCloseTo(2 * 0.12 ** 8 + 0.22 ** 8, 15);
    const { body } = await server.http.get(`/api/v1/gear/${gearId}/loads?before=${encodeURIComponent('2026-01-15 999')}`).expect(200);
    expect(body).not.toHaveProperty('summary');
  });
  it('counts the pulls of a stretch rope', async () => {
    const gearId = await strap({ kind: 'stretch-rope', name: 'Test rope', attributes: { lengthM: 9, pullsUsed: 4 } });
    await add(load(gearId, { pulls: 3 }));
    expect((await pieceOf(gearId)).attributes.pullsUsed).toBe(7);
  });
});

describe('an overload', () => {
  it('above the working limit wants an inspection now, and at it not', async () => {
    const gearId = await strap();
    const { wllN } = await add(load(gearId));
    expect((await add(load(gearId, { plannedN: wllN }))).overload).toBe('none');
    expect(await pieceOf(gearId)).toMatchObject({ state: 'in-use', overloadsSinceInspection: 0 });
    expect((await add(load(gearId, { plannedN: wllN + 1 }))).overload).toBe('inspect');
    expect(await pieceOf(gearId)).toMatchObject({ state: 'in-use', overloadsSinceInspection: 1 });
  });
  it('above half the breaking strength takes the piece out of use at once, with the record that did it', async () => {
    const gearId = await strap();
    expect((await add(load(gearId, { plannedN: HALF_MBS_N }))).overload).toBe('inspect');
    expect((await pieceOf(gearId)).state).toBe('in-use');
    expect((await add(load(gearId, { peakN: HALF_MBS_N + 1 }))).overload).toBe('quarantine');
    expect(await pieceOf(gearId)).toMatchObject({ state: 'quarantined', overloadsSinceInspection: 2 });
    expect((await statesOf(gearId))[0]).toMatchObject({
      from: 'in-use',
      to: 'quarantined',
      reason: expect.stringMatching(/^Loaded to 49\.0 kN on 2026-01-15, over the 49\.0 kN/),
    });
  });
  it('that was only possible and did not happen takes nothing out of use', async () => {
    const gearId = await strap();
    expect((await add(load(gearId, { greatestN: 90_000 }))).overload).toBe('none');
    expect(await pieceOf(gearId)).toMatchObject({ state: 'in-use', overloadsSinceInspection: 0 });
  });
  it('of a piece without a mark is not known, and never none', async () => {
    const gearId = await strap({ marks: [] });
    const view = await add(load(gearId));
    expect(view.overload).toBe('unknown');
    expect(view).not.toHaveProperty('share');
  });
  it('is forgotten by a full inspection that follows', async () => {
    const gearId = await strap();
    await add(load(gearId, { plannedN: 45_000 }));
    const points = Object.fromEntries(standardSheets['tree-strap'].points.map(({ id }) => [id, 'ok']));
    const inspection = {
      inspectionId: randomUUID(),
      gearId,
      kind: 'after-overload',
      on: TODAY,
      sheetVersion: 0,
      answers: { points, measures: {}, notes: {} },
    };
    await server.http
      .post('/api/v1/inspections')
      .send({ ...inspection, grade: 'A', nextDue: '2026-07-15' })
      .expect(201);
    expect((await pieceOf(gearId)).overloadsSinceInspection).toBe(0);
  });
});

describe('a load record that was wrong', () => {
  it('is corrected by another that names it; the first stays, and counts no more', async () => {
    const gearId = await strap({ kind: 'stretch-rope', name: 'Test rope', attributes: { lengthM: 9, pullsUsed: 0 } });
    const wrong = await add(load(gearId, { plannedN: 45_000, pulls: 3 }));
    expect(await pieceOf(gearId)).toMatchObject({ overloadsSinceInspection: 1, attributes: { pullsUsed: 3 } });
    await add(load(gearId, { corrects: wrong.recordId, pulls: 1 }), 422);
    const right = await add(load(gearId, { corrects: wrong.recordId, pulls: 1, note: 'The gauge was in pounds' }));
    expect((await loadsOf(gearId)).map(({ recordId, correctedBy }) => [recordId, correctedBy])).toEqual([
      [right.recordId, undefined],
      [wrong.recordId, right.recordId],
    ]);
    expect(await pieceOf(gearId)).toMatchObject({ overloadsSinceInspection: 0, attributes: { pullsUsed: 1 } });
    await add(load(gearId, { corrects: wrong.recordId, note: 'Again' }), 409);
  });
  it('is held against the limit that the record had, though the piece has another by now', async () => {
    const gearId = await strap();
    const { recordId, wllN } = await add(load(gearId));
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    // Another mark since: the limit of today is half of that day's.
    const { inspection: _i, away: _a, factsRevision: _f, gearId: _g, pullsUsedUpOn: _p, ...piece } = await pieceOf(gearId);
    await server.http
      .put(`/api/v1/gear/${gearId}`)
      .send({ ...piece, marks: [{ asWritten: 'MBS 5 t', source: 'label', basis: 'mbs' }] })
      .expect(200);
    expect((await add(load(gearId))).wllN).toBeLessThan(wllN);
    expect((await add(load(gearId, { corrects: recordId, note: 'Mistyped' }))).wllN).toBe(wllN);
  });
  it('is a keeper’s to correct, and only by a record of the same piece', async () => {
    const [gearId, other] = [await strap(), await strap()];
    const { recordId } = await add(load(gearId));
    await member
      .post('/api/v1/loads')
      .send(load(gearId, { corrects: recordId, note: 'Mistyped' }))
      .expect(403);
    await add(load(other, { corrects: recordId, note: 'Mistyped' }), 422);
  });
  it('leaves the piece out of use that it took out, and says so', async () => {
    const gearId = await strap();
    const { recordId } = await add(load(gearId, { plannedN: 60_000 }));
    await add(load(gearId, { corrects: recordId, note: 'It was another strap' }));
    expect(await pieceOf(gearId)).toMatchObject({ state: 'quarantined', overloadsSinceInspection: 0 });
    expect((await statesOf(gearId))[0].reason).toContain('was corrected; it stays out of use until a full inspection');
  });
});

describe('a pull by a plan', () => {
  async function plan(): Promise<{ planId: string; version: number; tags: string[] }> {
    const { body } = await server.http.get('/api/v1/plans');
    const { planId } = body.items.find(({ name }: { name: string }) => name.startsWith('Plantation ride'));
    const { body: view } = await server.http.get(`/api/v1/plans/${planId}`);
    return { planId, version: view.version, tags: loadsOfReport(view.fresh.report).map(({ gearId }) => gearId) };
  }
  it('is logged for every piece at once, each with its place, and once however often it is sent', async () => {
    const { planId, version, tags } = await plan();
    const pull = { pullId: randomUUID(), version, on: TODAY, pulls: 2, note: 'Came out at the second go' };
    const { body } = await member.post(`/api/v1/plans/${planId}/pulls`).send(pull).expect(201);
    expect(body.loads.map(({ gearId }: LoadView) => gearId).sort()).toEqual([...tags].sort());
    expect(body.loads.length).toBeGreaterThan(3);
    for (const each of body.loads) {
      expect(each).toMatchObject({ known: 'plan', planId, pulls: 2, place: expect.stringContaining('Plantation ride'), overload: 'none' });
      expect(each.greatestN).toBeGreaterThan(each.plannedN);
    }
    const again = await member.post(`/api/v1/plans/${planId}/pulls`).send(pull).expect(201);
    expect(again.body.loads.map(({ recordId }: LoadView) => recordId)).toEqual(body.loads.map(({ recordId }: LoadView) => recordId));
  });
  it('with a gauge on the line gives each piece its peak by its share', async () => {
    const { planId, version } = await plan();
    const { body: view } = await server.http.get(`/api/v1/plans/${planId}`);
    const { plannedPullN } = view.fresh.report;
    const pull = { pullId: randomUUID(), version, on: TODAY, pulls: 1, linePeakN: plannedPullN * 0.5 };
    const { body } = await member.post(`/api/v1/plans/${planId}/pulls`).send(pull).expect(201);
    for (const each of body.loads) expect(each.happenedN).toBeCloseTo(each.plannedN / 2, 3);
  });
  it('where the winch stalled takes what it overloaded out of use, everywhere, and turns plans out of date', async () => {
    const { body: view } = await server.http.get(`/api/v1/plans/${(await plan()).planId}`);
    const { body: list } = await server.http.get('/api/v1/gear?after=TS-00&limit=5');
    const planned = list.items.find(({ tag }: { tag: string }) => tag === 'TS-01');
    const weak = newPiece({ attributes: planned.attributes, marks: [{ asWritten: 'MBS 3 t', source: 'label' }] });
    await server.http.post('/api/v1/gear').send(weak).expect(201);
    const planId = randomUUID();
    const rig = JSON.parse(JSON.stringify(view.rig).replaceAll(planned.gearId, weak.gearId));
    await server.http
      .post('/api/v1/plans')
      .send({ planId, name: `With a weak strap ${planId.slice(0, 4)}`, rig })
      .expect(201);
    const pull = { pullId: randomUUID(), version: 1, on: TODAY, pulls: 1, stalled: true };
    const { body } = await member.post(`/api/v1/plans/${planId}/pulls`).send(pull).expect(201);
    expect(body.loads.find(({ gearId }: LoadView) => gearId === weak.gearId).overload).toBe('quarantine');
    expect((await pieceOf(weak.gearId)).state).toBe('quarantined');
    const { body: after } = await server.http.get(`/api/v1/plans/${planId}`);
    expect(after.fresh.outOfDate.join(' ')).toContain(`${weak.tag}: was in use, is quarantined`);
    expect(after.fresh.report.verdict).toBe('stop');
  });
  it('of another version than the one that stands is refused', async () => {
    const { planId, version } = await plan();
    await member
      .post(`/api/v1/plans/${planId}/pulls`)
      .send({ pullId: randomUUID(), version: version + 1, on: TODAY, pulls: 1 })
      .expect(409);
    await member.post(`/api/v1/plans/${randomUUID()}/pulls`).send({ pullId: randomUUID(), version: 1, on: TODAY, pulls: 1 }).expect(404);
  });
});
