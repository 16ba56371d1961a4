import { randomUUID } from 'node:crypto';
import type { LifeEvent } from '@wainrope/contract';
import { standardSheets } from '@wainrope/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const lifeOf = async (gearId: string, query = '') => (await server.http.get(`/api/v1/gear/${gearId}/life${query}`).expect(200)).body;

/** A strap that was pulled, overloaded, muddied, washed, in a near miss, out with somebody, and inspected. */
async function lived(): Promise<string> {
  const piece = newPiece();
  const { gearId } = piece;
  const post = (path: string, body: object, status = 201) => server.http.post(`/api/v1/${path}`).send(body).expect(status);
  await post('gear', piece);
  const points = Object.fromEntries(standardSheets['tree-strap'].points.map(({ id }) => [id, 'ok']));
  const inspection = {
    inspectionId: randomUUID(),
    gearId,
    kind: 'calendar',
    on: '2026-01-02',
    sheetVersion: 0,
    answers: { points, measures: {}, notes: {} },
  };
  await post('inspections', { ...inspection, grade: 'A', nextDue: '2027-01-02' });
  const load = (change: object) => post('loads', { recordId: randomUUID(), gearId, plannedN: 10_000, pulls: 1, ...change });
  const { body: wrong } = await load({ on: '2026-01-03', place: 'Round the larch' });
  await load({ on: '2026-01-03', plannedN: 12_000, corrects: wrong.recordId, note: 'Twelve' });
  for (const [kind, on] of [
    ['mud', '2026-01-04'],
    ['washed', '2026-01-05'],
  ] as const)
    await post(`gear/${gearId}/exposures`, { exposureId: randomUUID(), kind, on }, 200);
  await post('incidents', {
    incidentId: randomUUID(),
    on: '2026-01-06',
    kind: 'slid',
    words: 'Slid up',
    pieces: [{ gearId, takenOut: false }],
  });
  const outingId = randomUUID();
  await post('outings', { outingId, name: 'Ride', holderKind: 'outside', holderName: 'A neighbour', gearIds: [gearId] });
  await post(`outings/${outingId}/count-back`, { gearIds: [gearId] }, 200);
  await load({ on: TODAY, plannedN: 60_000 });
  return gearId;
}

describe('the life of a piece', () => {
  it('has everything that happened to it in one order, newest first', async () => {
    const { items } = await lifeOf(await lived());
    // States and outings have the moment of the database, which is after the tests' own day.
    const dayOf = ({ on, kind }: LifeEvent) => (kind === 'state' || kind === 'out' ? 'later' : on);
    expect(items.map((event: LifeEvent) => [dayOf(event), event.kind, event.what])).toEqual([
      ['later', 'state', 'quarantined'],
      ['later', 'out', 'A neighbour'],
      [TODAY, 'load', 'typed'],
      ['2026-01-06', 'incident', 'slid'],
      ['2026-01-05', 'met', 'washed'],
      ['2026-01-04', 'met', 'mud'],
      ['2026-01-03', 'load', 'typed'],
      ['2026-01-03', 'load', 'typed'],
      ['2026-01-02', 'inspection', 'calendar'],
    ]);
    const [state, out, over] = items;
    expect(state.words).toMatch(/^Loaded to 60\.0 kN/);
    expect(out).toMatchObject({ words: 'Ride', until: out.on });
    expect(over).toMatchObject({ happenedN: 60_000, overload: 'quarantine' });
    expect(over.wllN).toBeGreaterThan(0);
    expect(items.at(-1)).toMatchObject({ grade: 'A', by: expect.stringMatching(/\w/) });
    expect(items.filter(({ isCorrected }: LifeEvent) => isCorrected).map(({ happenedN }: LifeEvent) => happenedN)).toEqual([10_000]);
  });
  it('is read a page at a time, and loses nothing between two pages', async () => {
    const gearId = await lived();
    const whole = (await lifeOf(gearId)).items;
    const paged: LifeEvent[] = [];
    for (let next: string | undefined = ''; next !== undefined; ) {
      const before: string = next === '' ? '' : `&before=${encodeURIComponent(next)}`;
      const body = await lifeOf(gearId, `?limit=2${before}`);
      paged.push(...body.items);
      next = body.next;
    }
    expect(paged).toEqual(whole);
    await server.http.get(`/api/v1/gear/${gearId}/life?before=yesterday`).expect(422);
    await server.http.get(`/api/v1/gear/${gearId}/life?before=${encodeURIComponent("2026-01-01 x'; drop")}`).expect(422);
  });
  it('is of a piece that is there', async () => {
    await server.http.get(`/api/v1/gear/${randomUUID()}/life`).expect(404);
  });
});
