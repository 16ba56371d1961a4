import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newPiece, startTestServer, type TestServer } from '../../testing/test-server.ts';
import { TODAY } from '../../testing/today.ts';

let server: TestServer;
let member: Awaited<ReturnType<TestServer['as']>>;
beforeAll(async () => {
  server = await startTestServer();
  member = await server.as('member');
});
afterAll(() => server.stop());

async function piece(change: object): Promise<string> {
  const body = newPiece(change);
  await server.http.post('/api/v1/gear').send(body).expect(201);
  return body.gearId;
}
const line = (attributes: object = {}) =>
  piece({
    kind: 'winch-line-synthetic',
    name: 'Test line',
    attributes: { lengthM: 28, ropeDiameterM: 0.01, endMarkM: 22, colourChangeM: 24, ...attributes },
  });
const winch = () =>
  piece({ kind: 'winch', name: 'Test winch', marks: [{ asWritten: '4.3 t', basis: 'rated-pull', source: 'label' }], attributes: {} });
const entry = (change: object) => ({ entryId: randomUUID(), on: TODAY, ...change });
const add = async (gearId: string, change: object, status = 201, agent = server.http) =>
  (await agent.post(`/api/v1/gear/${gearId}/diary`).send(entry(change)).expect(status)).body;
const of = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}`).expect(200)).body;
const pathOf = ({ faults }: { readonly faults: readonly { readonly path: string }[] }) => faults[0]?.path;

describe('the diary of a line', () => {
  it('cut back at the hook is shorter, and its marks come nearer by as much', async () => {
    const gearId = await line();
    const before = await of(gearId);
    await add(gearId, { kind: 'cut-back', metres: 1.5, cutAt: 'hook', note: 'Chafed' });
    const after = await of(gearId);
    expect(after.attributes).toMatchObject({ lengthM: 26.5, endMarkM: 20.5, colourChangeM: 22.5 });
    expect(after.factsRevision).toBeGreaterThan(before.factsRevision);
  });
  it('cut back at the drum is shorter, and its marks stay; one that was cut off is gone', async () => {
    const gearId = await line();
    await add(gearId, { kind: 'cut-back', metres: 5, cutAt: 'drum' });
    expect((await of(gearId)).attributes).toMatchObject({ lengthM: 23, endMarkM: 22 });
    expect((await of(gearId)).attributes).not.toHaveProperty('colourChangeM');
    await add(gearId, { kind: 'cut-back', metres: 22, cutAt: 'hook' });
    expect((await of(gearId)).attributes).not.toHaveProperty('endMarkM');
  });
  it('spliced anew has its end and how its eye is locked; stretched, the day', async () => {
    const gearId = await line();
    await add(gearId, { kind: 'spliced', endTermination: 'long-tapered-bury', eyeLock: 'locked-splice' });
    await add(gearId, { kind: 'stretched', tensionN: 4500 });
    expect((await of(gearId)).attributes).toMatchObject({
      endTermination: 'long-tapered-bury',
      eyeLock: 'locked-splice',
      stretchedOn: TODAY,
    });
  });
  it.each([
    ['nothing said of how much', { kind: 'cut-back', cutAt: 'hook' }, 'metres'],
    ['nothing said of where', { kind: 'cut-back', metres: 1 }, 'cutAt'],
    ['less than a metre left', { kind: 'cut-back', metres: 27.01, cutAt: 'hook' }, 'metres'],
    ['no new end', { kind: 'spliced' }, 'endTermination'],
    ['what is done to drums', { kind: 'spooled', spoolState: 'slack' }, 'kind'],
    ['a day that has not come', { kind: 'stretched', on: '2026-01-16' }, 'on'],
  ])('with %s is refused by name, and the line stays as it is', async (_what, change, path) => {
    const gearId = await line();
    expect(pathOf(await add(gearId, change, 422))).toBe(path);
    expect((await of(gearId)).attributes.lengthM).toBe(28);
  });
  it('of which a metre is left is still one; of unknown length it is not cut', async () => {
    const gearId = await line();
    await add(gearId, { kind: 'cut-back', metres: 27, cutAt: 'hook' });
    const unknown = await line({ lengthM: undefined, endMarkM: undefined, colourChangeM: undefined });
    expect(pathOf(await add(unknown, { kind: 'cut-back', metres: 1, cutAt: 'hook' }, 422))).toBe('metres');
  });
  it('is a keeper’s to cut, a member’s to stretch, a reader’s to read; sent twice it is written once', async () => {
    const gearId = await line();
    await add(gearId, { kind: 'cut-back', metres: 1, cutAt: 'hook' }, 403, member);
    await add(gearId, { kind: 'stretched' }, 201, member);
    const reader = await server.as('reader');
    await add(gearId, { kind: 'stretched' }, 403, reader);
    const sent = entry({ kind: 'cut-back', metres: 1, cutAt: 'hook' });
    for (let time = 0; time < 2; time++) await server.http.post(`/api/v1/gear/${gearId}/diary`).send(sent).expect(201);
    expect((await of(gearId)).attributes.lengthM).toBe(27);
    expect((await reader.get(`/api/v1/gear/${gearId}/diary`).expect(200)).body.items).toHaveLength(2);
  });
});

describe('the diary of a drum', () => {
  it('says how it lies and how far its line has run since it was spooled under tension', async () => {
    const gearId = await winch();
    expect(await add(gearId, { kind: 'ran', metres: 9 })).not.toHaveProperty('ranSinceM');
    await add(gearId, { kind: 'spooled', spoolState: 'under-tension', tensionN: 4500, on: '2026-01-10' });
    await add(gearId, { kind: 'ran', metres: 12, on: '2026-01-11' });
    await add(gearId, { kind: 'ran', metres: 8.5, on: '2026-01-12' });
    const view = await add(gearId, { kind: 'covered' });
    expect(view).toMatchObject({ spooledOn: '2026-01-10', ranSinceM: 29.5 });
    expect((await of(gearId)).attributes).toMatchObject({ spoolState: 'under-tension', coverOn: true });
    await add(gearId, { kind: 'spooled', spoolState: 'slack' });
    const { items } = (await server.http.get(`/api/v1/gear/${gearId}/life`).expect(200)).body;
    expect(items[0]).toMatchObject({ kind: 'done', what: 'spooled', spoolState: 'slack' });
    expect(items[0]).not.toHaveProperty('overload');
    expect((await of(gearId)).attributes.spoolState).toBe('slack');
    await add(gearId, { kind: 'uncovered' });
    expect((await of(gearId)).attributes.coverOn).toBe(false);
  });
  it('has what a logged pull hauled, as often as it was pulled', async () => {
    const { body: plans } = await server.http.get('/api/v1/plans');
    const { planId } = plans.items.find(({ name }: { name: string }) => name.startsWith('Plantation ride'));
    const { body: plan } = await server.http.get(`/api/v1/plans/${planId}`);
    const { report } = plan.fresh;
    const { gearId } = report.places.find(({ kind }: { kind: string }) => kind === 'drum');
    const pull = { pullId: randomUUID(), version: plan.version, on: TODAY, pulls: 3 };
    for (let time = 0; time < 2; time++) await member.post(`/api/v1/plans/${planId}/pulls`).send(pull).expect(201);
    const { body } = await server.http.get(`/api/v1/gear/${gearId}/diary`).expect(200);
    expect(body.items).toHaveLength(1);
    expect(body.items[0].metres).toBeCloseTo(3 * report.drives[0].work.ropeM, 9);
  });
  it('needs its figures', async () => {
    const gearId = await winch();
    expect(pathOf(await add(gearId, { kind: 'spooled' }, 422))).toBe('spoolState');
    expect(pathOf(await add(gearId, { kind: 'ran' }, 422))).toBe('metres');
    expect(pathOf(await add(gearId, { kind: 'cut-back', metres: 1, cutAt: 'hook' }, 422))).toBe('kind');
    await server.http.get(`/api/v1/gear/${randomUUID()}/diary`).expect(404);
  });
  it('is never changed or taken away, in the database either', async () => {
    const gearId = await winch();
    await add(gearId, { kind: 'covered' });
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    await expect(server.owner.query('delete from diary_entry where gear_id = $1', [gearId])).rejects.toThrow('never changed');
  });
});

describe('a long diary', () => {
  it('is read a page at a time, and loses nothing between two pages', async () => {
    const gearId = await winch();
    const on = ['2026-01-03', '2026-01-02', '2026-01-03', '2026-01-01', '2026-01-03'];
    for (const day of on) await add(gearId, { kind: 'ran', metres: 5, on: day });
    const page = async (before?: string) =>
      (
        await server.http
          .get(`/api/v1/gear/${gearId}/diary`)
          .query({ limit: 2, ...(before && { before }) })
          .expect(200)
      ).body;
    const whole = (await server.http.get(`/api/v1/gear/${gearId}/diary`).expect(200)).body;
    expect(whole.items.map((each: { on: string }) => each.on)).toEqual([...on].sort().reverse());
    expect(whole).not.toHaveProperty('next');
    const first = await page();
    const second = await page(first.next);
    const third = await page(second.next);
    expect([first, second, third].flatMap(({ items }) => items)).toEqual(whole.items);
    expect(third).not.toHaveProperty('next');
  });
  it.each(['yesterday', '2026-02-30 1', '2026-01-03 one', '2026-01-03 1 1'])('has no page before “%s”', async (before) => {
    const { body } = await server.http
      .get(`/api/v1/gear/${await winch()}/diary`)
      .query({ before })
      .expect(422);
    expect(pathOf(body)).toBe('before');
  });
});
