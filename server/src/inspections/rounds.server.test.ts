import { randomUUID } from 'node:crypto';
import type { RoundKeep } from '@wainrope/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';

let server: TestServer;
let keeper: Awaited<ReturnType<TestServer['as']>>;
let member: Awaited<ReturnType<TestServer['as']>>;
beforeAll(async () => {
  server = await startTestServer();
  [keeper, member] = [await server.as('gear-keeper'), await server.as('member')];
});
afterAll(() => server.stop());

const answers = {
  points: { 'no-cracks': 'ok' as const },
  measures: {},
  notes: {},
  nextDue: '',
  note: 'Half done',
  returnsToUse: false,
  spoolState: '' as const,
  pullsUsed: '',
};
const piece = randomUUID();
const roundOn = (deviceId: string, change: Partial<RoundKeep> = {}): RoundKeep => ({
  title: 'Heavy bag',
  kind: 'before-use',
  gearIds: [piece, randomUUID()],
  begunAt: '2026-01-15T09:00:00.000Z',
  deviceId,
  confirmed: [],
  drafts: [{ inspectionId: randomUUID(), gearId: piece, on: TODAY, changedAt: 5, answers }],
  ...change,
});
const listed = async (roundId: string) =>
  (await server.http.get('/api/v1/rounds').expect(200)).body.items.find((round: { roundId: string }) => round.roundId === roundId);
const trail = async (roundId: string) => (await server.http.get(`/api/v1/audit/${roundId}`).expect(200)).body.items;

describe('a round that is begun on one device', () => {
  it('is seen on another, and goes on there with what was answered, under the other’s name', async () => {
    const [roundId, phone, tablet] = [randomUUID(), randomUUID(), randomUUID()];
    const begun = roundOn(phone);
    await member.put(`/api/v1/rounds/${roundId}`).send(begun).expect(200);
    await member
      .put(`/api/v1/rounds/${roundId}`)
      .send({ ...begun, confirmed: [begun.gearIds[1]] })
      .expect(200);
    expect(await listed(roundId)).toMatchObject({ title: 'Heavy bag', deviceId: phone, pieces: 2, confirmed: [begun.gearIds[1]] });
    const { body } = await keeper.post(`/api/v1/rounds/${roundId}/holder`).send({ deviceId: tablet }).expect(200);
    expect(body).toMatchObject({ deviceId: tablet, by: 'Tomas Aldbrook', gearIds: begun.gearIds, drafts: begun.drafts });
    expect((await trail(roundId))[0]).toMatchObject({ action: 'took over the round', by: 'Tomas Aldbrook', subjectName: 'Heavy bag' });
    // The first device learns it with the next thing it tells, and changes nothing.
    const { body: refused } = await member
      .put(`/api/v1/rounds/${roundId}`)
      .send({ ...begun, title: 'Late' })
      .expect(409);
    expect(refused.detail).toBe('Tomas Aldbrook took this round over on another device.');
    expect(refused.current.deviceId).toBe(tablet);
    expect((await listed(roundId)).title).toBe('Heavy bag');
  });
  it('is not another person’s though the device is the same', async () => {
    const [roundId, tablet] = [randomUUID(), randomUUID()];
    await member.put(`/api/v1/rounds/${roundId}`).send(roundOn(tablet)).expect(200);
    await keeper.put(`/api/v1/rounds/${roundId}`).send(roundOn(tablet)).expect(409);
  });
  it('taken over twice by one device is taken over once', async () => {
    const [roundId, tablet] = [randomUUID(), randomUUID()];
    await member.put(`/api/v1/rounds/${roundId}`).send(roundOn(randomUUID())).expect(200);
    for (let time = 0; time < 2; time++) await keeper.post(`/api/v1/rounds/${roundId}/holder`).send({ deviceId: tablet }).expect(200);
    expect(await trail(roundId)).toHaveLength(1);
  });
  it('that sets grades is not a member’s to take over', async () => {
    const roundId = randomUUID();
    await keeper
      .put(`/api/v1/rounds/${roundId}`)
      .send(roundOn(randomUUID(), { kind: 'calendar' }))
      .expect(200);
    await member.post(`/api/v1/rounds/${roundId}/holder`).send({ deviceId: randomUUID() }).expect(403);
    const reader = await server.as('reader');
    await reader.get('/api/v1/rounds').expect(403);
  });
  it('is put away by whoever holds it, and by nobody else', async () => {
    const [roundId, phone] = [randomUUID(), randomUUID()];
    await member.put(`/api/v1/rounds/${roundId}`).send(roundOn(phone)).expect(200);
    await keeper.delete(`/api/v1/rounds/${roundId}?deviceId=${phone}`).expect(204);
    await member.delete(`/api/v1/rounds/${roundId}?deviceId=${randomUUID()}`).expect(204);
    expect(await listed(roundId)).toBeDefined();
    await member.delete(`/api/v1/rounds/${roundId}?deviceId=${phone}`).expect(204);
    expect(await listed(roundId)).toBeUndefined();
    await member.post(`/api/v1/rounds/${roundId}/holder`).send({ deviceId: phone }).expect(404);
  });
  it('of the most pieces is kept, and of one more refused by name', async () => {
    const pieces = (count: number) => Array.from({ length: count }, () => randomUUID());
    const most = pieces(2000);
    const large = roundOn(randomUUID(), { gearIds: most, confirmed: most });
    await member.put(`/api/v1/rounds/${randomUUID()}`).send(large).expect(200);
    const { body } = await member
      .put(`/api/v1/rounds/${randomUUID()}`)
      .send({ ...large, gearIds: pieces(2001) })
      .expect(422);
    expect(body.faults[0].path).toBe('gearIds');
  });
  it('is not another team’s to see', async () => {
    const roundId = randomUUID();
    await member.put(`/api/v1/rounds/${roundId}`).send(roundOn(randomUUID())).expect(200);
    const rows = await server.owner.query('select round_id from bench_round where round_id = $1', [roundId]);
    expect(rows.rows).toHaveLength(0);
  });
  it.each([
    [
      'answers of another kind',
      { drafts: [{ ...roundOn('x').drafts[0], answers: { ...answers, points: { a: 'perhaps' } } }] },
      'drafts[0].answers.points.a',
    ],
    ['a day that is none', { drafts: [{ ...roundOn('x').drafts[0], on: '2026-02-30x' }] }, 'drafts[0].on'],
    ['too many drafts', { drafts: Array.from({ length: 101 }, () => roundOn('x').drafts[0]) }, 'drafts'],
    ['no title', { title: '' }, 'title'],
  ])('with %s is refused by name', async (_what, fault, path) => {
    const { body } = await member
      .put(`/api/v1/rounds/${randomUUID()}`)
      .send({ ...roundOn(randomUUID()), ...fault })
      .expect(422);
    expect(body.faults.map((entry: { path: string }) => entry.path).join()).toContain(path);
  });
});
