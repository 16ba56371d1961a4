import { randomUUID } from 'node:crypto';
import type { DeviceStamp } from '@wainrope/contract';
import { standardSheets } from '@wainrope/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';

let server: TestServer;
let keeper: Awaited<ReturnType<TestServer['as']>>;
beforeAll(async () => {
  server = await startTestServer();
  keeper = await server.as('gear-keeper');
});
afterAll(() => server.stop());

const MINUTE = 60_000;
const SEVEN = 7 * MINUTE;
const points = Object.fromEntries(standardSheets['tree-strap'].points.map(({ id }) => [id, 'ok' as string]));
const first = standardSheets['tree-strap'].points[0]?.id ?? '';
const fails = { answers: { points: { ...points, [first]: 'fails' }, measures: {}, notes: {} }, grade: 'D', nextDue: undefined };

/** A device whose clock is wrong by so much, and what it confirms so many minutes before it sends. */
function deviceOff(byMs: number) {
  const deviceId = randomUUID();
  let sequence = 0;
  return (minutesAgo: number): DeviceStamp => ({
    deviceId,
    sequence: ++sequence,
    clock: new Date(Date.now() + byMs - minutesAgo * MINUTE).toISOString(),
    sentAt: new Date(Date.now() + byMs).toISOString(),
  });
}
const inspection = (gearId: string, device: DeviceStamp, change: object = {}) => ({
  inspectionId: randomUUID(),
  gearId,
  kind: 'calendar',
  on: TODAY,
  sheetVersion: 0,
  answers: { points, measures: {}, notes: {} },
  grade: 'A',
  nextDue: '2026-07-15',
  device,
  ...change,
});
async function strap(change: object = {}): Promise<string> {
  const piece = newPiece(change);
  await server.http.post('/api/v1/gear').send(piece).expect(201);
  return piece.gearId;
}
const pieceOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body;
const careOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}/care`).expect(200)).body;
const send = (body: object, status = 201) => server.http.post('/api/v1/inspections').send(body).expect(status);

describe('what two devices confirmed without a signal, their clocks seven minutes apart', () => {
  it.each(['the earlier one first', 'the later one first'])('counts by which was made later, sent %s', async (order) => {
    const ahead = deviceOff(SEVEN);
    const right = deviceOff(0);
    const gearId = await strap();
    // By their own clocks the one made five minutes ago, on the clock that is ahead, is the newer of the two.
    const earlier = inspection(gearId, ahead(5), { grade: 'A' });
    const later = inspection(gearId, right(2), { grade: 'B', nextDue: '2026-05-15', note: 'Stricter' });
    for (const body of order === 'the earlier one first' ? [earlier, later] : [later, earlier]) await send(body);
    expect((await pieceOf(gearId)).inspection).toMatchObject({ grade: 'B', nextDue: '2026-05-15' });
    const { inspections } = await careOf(gearId);
    expect(inspections.map(({ grade }: { grade: string }) => grade)).toEqual(['B', 'A']);
  });

  it('keeps the order of one device by its own count, though its clock was set back between two entries', async () => {
    const gearId = await strap();
    const deviceId = randomUUID();
    const stamp = (sequence: number, minutesAgo: number): DeviceStamp => ({
      deviceId,
      sequence,
      clock: new Date(Date.now() - minutesAgo * MINUTE).toISOString(),
      sentAt: new Date().toISOString(),
    });
    await send(inspection(gearId, stamp(1, 1), { grade: 'A' }));
    await send(inspection(gearId, stamp(2, 8), { grade: 'B', note: 'Stricter' }));
    expect((await pieceOf(gearId)).inspection.grade).toBe('B');
  });

  it('says when it was made and when the register had it', async () => {
    const sent = inspection(await strap(), deviceOff(-SEVEN)(90));
    const { body } = await send(sent);
    const made = Date.parse(body.recordedAt) - Date.parse(body.doneAt);
    expect(Math.round(made / MINUTE)).toBe(90);
  });
});

describe('an inspection that arrives after something else happened to the piece', () => {
  it('does not return to use what was taken out of use since', async () => {
    const gearId = await strap();
    const device = deviceOff(SEVEN);
    await keeper.post(`/api/v1/gear/${gearId}/quarantine`).send({ reason: 'Seen on the track' }).expect(200);
    const { body } = await send(inspection(gearId, device(3), { kind: 'after-repair', returnsToUse: true }), 422);
    expect(body.faults[0].message).toContain('taken out of use after this inspection was made');
    expect((await pieceOf(gearId)).state).toBe('quarantined');
    await send(inspection(gearId, device(0), { kind: 'after-repair', returnsToUse: true }));
    expect((await pieceOf(gearId)).state).toBe('in-use');
  });

  it('takes a failing piece out of use, though a later one had found it in order', async () => {
    const gearId = await strap();
    await send(inspection(gearId, deviceOff(0)(1)));
    await send(inspection(gearId, deviceOff(0)(20), fails));
    const piece = await pieceOf(gearId);
    expect([piece.state, piece.inspection.grade]).toEqual(['quarantined', 'A']);
  });

  it('closes no defect that was found after it', async () => {
    const gearId = await strap();
    await send(inspection(gearId, deviceOff(0)(1), fails));
    await send(inspection(gearId, deviceOff(0)(20)));
    expect((await careOf(gearId)).defects[0].closedOn).toBeUndefined();
    await send(inspection(gearId, deviceOff(0)(0)));
    expect((await careOf(gearId)).defects[0].closedOn).toBe(TODAY);
  });

  it('forgets no overload that was counted after it, and those that were counted before', async () => {
    const gearId = await strap();
    await server.http
      .post(`/api/v1/gear/${gearId}/counters`)
      .send({ counter: 'overloads', value: 1, reason: 'Just pulled over its limit' })
      .expect(200);
    await send(inspection(gearId, deviceOff(0)(20)));
    expect((await pieceOf(gearId)).overloadsSinceInspection).toBe(1);
    await send(inspection(gearId, deviceOff(0)(0)));
    expect((await pieceOf(gearId)).overloadsSinceInspection).toBe(0);
  });
});

describe('an inspection that is sent again', () => {
  it('with other answers under the same id is refused, and the first stays', async () => {
    const gearId = await strap();
    const device = deviceOff(0);
    const sent = inspection(gearId, device(3));
    await send(sent);
    await send({ ...sent, device: device(0) });
    const { body } = await send({ ...sent, ...fails }, 409);
    expect(body.detail).toContain('The register has this inspection already');
    expect(await pieceOf(gearId)).toMatchObject({ state: 'in-use', inspection: { grade: 'A' } });
  });
  it.each([
    ['a count of nothing', { sequence: 0 }],
    ['a clock that is no time', { clock: 'noon' }],
    ['no time of sending', { sentAt: undefined }],
  ])('with %s is refused by name', async (_what, fault) => {
    const { body } = await send(inspection(await strap(), { ...deviceOff(0)(1), ...fault } as DeviceStamp), 422);
    expect(body.faults[0].path).toContain(`device.${Object.keys(fault)[0]}`);
  });
});
