import { randomUUID } from 'node:crypto';
import type { WearSeries } from '@wainrope/contract';
import { addDays, standardSheets } from '@wainrope/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TeamDatabase } from '../database/team-database.ts';
import { demoActor, newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';
import { Forecasts } from './forecasts.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const sheet = standardSheets['steel-shackle'];
const BOW = sheet.measures[0]?.id ?? '';
const points = Object.fromEntries(sheet.points.map(({ id }) => [id, 'ok']));
const shackleAttributes = { bowDiameterM: 0.02, pinDiameterM: 0.022 };
async function shackle(change: object = {}): Promise<string> {
  const piece = newPiece({ kind: 'steel-shackle', name: 'Test shackle', attributes: shackleAttributes, ...change });
  await server.http.post('/api/v1/gear').send(piece).expect(201);
  return piece.gearId;
}
const inspection = (gearId: string, on: string, bowM: number, change: object = {}) => ({
  inspectionId: randomUUID(),
  gearId,
  kind: 'calendar',
  on,
  sheetVersion: 0,
  answers: { points, measures: { [BOW]: { value: bowM } }, notes: {} },
  grade: 'B',
  nextDue: addDays(TODAY, 300),
  note: 'Looked at',
  ...change,
});
async function measure(gearId: string, on: string, bowM: number, change: object = {}) {
  const body = inspection(gearId, on, bowM, change);
  await server.http.post('/api/v1/inspections').send(body).expect(201);
  return body.inspectionId;
}
/** 0.01 mm a day, seen at 100, 50 and 0 days ago: of 2 mm, 1 mm is left, which is 100 days. */
async function worn(): Promise<string> {
  const gearId = await shackle();
  await measure(gearId, addDays(TODAY, -100), 0.02);
  await measure(gearId, addDays(TODAY, -50), 0.0195);
  await measure(gearId, TODAY, 0.019);
  return gearId;
}
const pieceOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body;
const bowOf = async (gearId: string): Promise<WearSeries> =>
  (await server.http.get(`/api/v1/gear/${gearId}/wear`).expect(200)).body.series.find(({ measureId }: WearSeries) => measureId === BOW);
const ENDS = addDays(TODAY, 100);
const LEAD = 30;

describe('how a piece wears', () => {
  it('is every measure of every inspection, oldest first, with its limit and its forecast', async () => {
    const gearId = await worn();
    const bow = await bowOf(gearId);
    expect(bow).toMatchObject({ isAsked: true, whenNew: 0.02, quantity: 'small-length', forecastOn: ENDS, expectedOn: ENDS });
    expect(bow.limit).toBeCloseTo(0.018, 12);
    expect(bow.readings.map(({ on, value }) => [on, value])).toEqual([
      [addDays(TODAY, -100), 0.02],
      [addDays(TODAY, -50), 0.0195],
      [TODAY, 0.019],
    ]);
    expect(bow.readings[0]?.by).toMatch(/\w/);
  });
  it('has the pulls that it had made by then, where any are on record', async () => {
    const gearId = await worn();
    expect((await bowOf(gearId)).readings[0]).not.toHaveProperty('pulls');
    const load = { gearId, plannedN: 1000, pulls: 4 };
    const add = (change: object) =>
      server.http
        .post('/api/v1/loads')
        .send({ recordId: randomUUID(), ...load, ...change })
        .expect(201);
    const { body: wrong } = await add({ on: addDays(TODAY, -80) });
    await add({ on: addDays(TODAY, -50), pulls: 3 });
    await add({ on: addDays(TODAY, -80), pulls: 2, corrects: wrong.recordId, note: 'Two, not four' });
    expect((await bowOf(gearId)).readings.map(({ pulls }) => pulls)).toEqual([0, 5, 5]);
  });
  it('is of a piece of the own team, and no other', async () => {
    await server.http.get(`/api/v1/gear/${randomUUID()}/wear`).expect(404);
    await (await server.as()).get(`/api/v1/gear/${await shackle()}/wear`).expect(401);
  });
});

describe('a forecast', () => {
  it('moves the due day to its lead before it, says why, and raises the revision of what is judged', async () => {
    const gearId = await shackle();
    await measure(gearId, addDays(TODAY, -100), 0.02);
    await measure(gearId, addDays(TODAY, -50), 0.0195);
    const before = await pieceOf(gearId);
    expect(before.inspection).toMatchObject({ nextDue: addDays(TODAY, 300) });
    expect(before.inspection).not.toHaveProperty('shortenedBy');
    await measure(gearId, TODAY, 0.019);
    const after = await pieceOf(gearId);
    expect(after.inspection).toMatchObject({
      nextDue: addDays(ENDS, -LEAD),
      shortenedBy: `wear (“${sheet.measures[0]?.label}”, forecast to meet its limit on ${ENDS})`,
    });
    expect(after.factsRevision).toBeGreaterThan(before.factsRevision);
  });
  it('later than the calendar moves nothing', async () => {
    const gearId = await shackle();
    for (const [days, bowM] of [
      [-100, 0.02],
      [-50, 0.0195],
      [0, 0.019],
    ] as const)
      await measure(gearId, addDays(TODAY, days), bowM, { nextDue: addDays(TODAY, 60) });
    expect((await pieceOf(gearId)).inspection).toMatchObject({ nextDue: addDays(TODAY, 60) });
    expect((await pieceOf(gearId)).inspection).not.toHaveProperty('shortenedBy');
  });
  it('nearer than its lead is due on the day after the inspection', async () => {
    const gearId = await shackle();
    await measure(gearId, addDays(TODAY, -100), 0.02);
    await measure(gearId, addDays(TODAY, -50), 0.0192);
    await measure(gearId, TODAY, 0.0184);
    expect((await pieceOf(gearId)).inspection.nextDue).toBe(addDays(TODAY, 1));
  });
  it('goes where the reading that made it is corrected', async () => {
    const gearId = await worn();
    const last = (await bowOf(gearId)).readings.at(-1)?.inspectionId;
    await measure(gearId, TODAY, 0.02, { corrects: last });
    expect((await bowOf(gearId)).readings.map(({ value }) => value)).toEqual([0.02, 0.0195, 0.02]);
    expect((await pieceOf(gearId)).inspection.nextDue).not.toBe(addDays(ENDS, -LEAD));
  });
  it('follows a value when new that was wrong in the register', async () => {
    const gearId = await worn();
    const { inspection: _i, away: _a, factsRevision: _f, gearId: _g, pullsUsedUpOn: _p, ...piece } = await pieceOf(gearId);
    const marks = piece.marks.map(({ asWritten, basis, source }: { [key: string]: string }) => ({ asWritten, basis, source }));
    await server.http
      .put(`/api/v1/gear/${gearId}`)
      .send({ ...piece, marks, attributes: { ...piece.attributes, bowDiameterM: 0.021 } })
      .expect(200);
    // A tenth of 21 mm ends at 18.9 mm: 10 days on.
    expect((await bowOf(gearId)).forecastOn).toBe(addDays(TODAY, 10));
    expect((await pieceOf(gearId)).inspection.nextDue).toBe(addDays(TODAY, 1));
  });
  it('follows a new version of the sheet, for every piece of the class', async () => {
    const gearId = await worn();
    const { body: sheets } = await server.http.get('/api/v1/inspection-sheets').expect(200);
    const inForce = sheets.items.find(({ kind }: { kind: string }) => kind === 'steel-shackle');
    const measures = inForce.sheet.measures.map((each: { id: string }) =>
      each.id === BOW ? { ...each, limit: { kind: 'loss', value: 0.15 } } : each,
    );
    await server.http
      .put('/api/v1/inspection-sheets/steel-shackle')
      .send({ baseVersion: inForce.version, sheet: { ...inForce.sheet, measures }, reason: 'As the maker says' })
      .expect(200);
    // 15 % of 20 mm: another 100 days.
    expect((await pieceOf(gearId)).inspection.nextDue).toBe(addDays(ENDS, 100 - LEAD));
  });
  it('is made out for a whole team that is brought in, and nothing counts as judged otherwise by that', async () => {
    const gearId = await worn();
    const before = await pieceOf(gearId);
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    await server.owner.query('update gear set wear_meets_on = null, wear_measure = null');
    expect((await pieceOf(gearId)).inspection).not.toHaveProperty('shortenedBy');
    const { teamId } = await demoActor(server);
    await server.app.get(TeamDatabase).inTeam(teamId, (trx) => server.app.get(Forecasts).fill(trx));
    expect(await pieceOf(gearId)).toEqual(before);
  });
});

describe('the pulls of a rope', () => {
  it('that will be used up before its calendar day move the day on which it is due', async () => {
    const attributes = { lengthM: 9, pullsUsed: 40, pullsAllowed: 50 };
    const rope = await shackle({ kind: 'stretch-rope', name: 'Test rope', attributes, firstUsedOn: addDays(TODAY, -100) });
    expect(await pieceOf(rope)).not.toHaveProperty('pullsUsedUpOn');
    await server.http.post('/api/v1/loads').send({ recordId: randomUUID(), gearId: rope, on: TODAY, plannedN: 1000, pulls: 5 }).expect(201);
    // Five left at five in a hundred days.
    expect((await pieceOf(rope)).pullsUsedUpOn).toBe(addDays(TODAY, 100));
    await server.http.post('/api/v1/loads').send({ recordId: randomUUID(), gearId: rope, on: TODAY, plannedN: 1000, pulls: 5 }).expect(201);
    expect((await pieceOf(rope)).pullsUsedUpOn).toBe(TODAY);
  });
});
