import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const OF = { maker: 'Dolmoor Cordage', batch: 'K-77' };
const test = (change: object = {}) => ({
  testId: randomUUID(),
  on: '2026-01-10',
  kind: 'tree-strap',
  ...OF,
  loadN: 84_300,
  failedFirst: 'Stitching of one eye',
  ...change,
});
const add = async (body: object, status = 201) => (await server.http.post('/api/v1/break-tests').send(body).expect(status)).body;
async function strap(change: object = {}): Promise<string> {
  const piece = newPiece({ ...OF, ...change });
  await server.http.post('/api/v1/gear').send(piece).expect(201);
  return piece.gearId;
}
const testsOf = async (gearId: string) => (await server.http.get(`/api/v1/gear/${gearId}/break-tests`).expect(200)).body;

describe('a break test', () => {
  it('stands with every piece of its class, maker and batch, and with no other; and changes no limit', async () => {
    const own = await strap({ maker: 'dolmoor CORDAGE', batch: 'k-77' });
    const others = [
      await strap({ batch: 'K-78' }),
      await strap({ maker: 'Hask Forge' }),
      await strap({ kind: 'stretch-rope' }),
      await strap({ batch: undefined }),
    ];
    const before = (await server.http.get(`/api/v1/gear/${own}`)).body;
    const sent = test();
    await add(sent);
    expect((await add(sent)).testId).toBe(sent.testId);
    expect(await testsOf(own)).toMatchObject({ pieces: 1, items: [{ loadN: 84_300, failedFirst: 'Stitching of one eye' }] });
    for (const gearId of others) expect((await testsOf(gearId)).items).toEqual([]);
    expect((await server.http.get(`/api/v1/gear/${own}`)).body).toEqual(before);
  });
  it('is a keeper’s to record, and never changed', async () => {
    const { testId } = await add(test({ batch: 'K-79' }));
    await (await server.as('member')).post('/api/v1/break-tests').send(test()).expect(403);
    await server.owner.query("select set_config('wainrope.team_id', team_id::text, false) from membership limit 1");
    await expect(server.owner.query('update break_test set load_n = 1 where test_id = $1', [testId])).rejects.toThrow('never changed');
  });
  it.each([
    ['no load', { loadN: 0 }, 'loadN'],
    ['more than anybody pulls', { loadN: 2_000_001 }, 'loadN'],
    ['no batch', { batch: '' }, 'batch'],
    ['no words of what failed', { failedFirst: '' }, 'failedFirst'],
    ['a day that has not come', { on: '2026-01-16' }, 'on'],
  ])('of %s is refused by name', async (_what, fault, path) => {
    const { faults } = await add(test(fault), 422);
    expect(faults.map((entry: { path: string }) => entry.path)).toContain(path);
  });
});

describe('the batch of a piece', () => {
  it('is in the register’s file, and comes back with it', async () => {
    const gearId = await strap({ batch: 'L 4/22' });
    const { text } = await server.http.get('/api/v1/gear/export.csv').expect(200);
    expect(text.split('\n')[0]).toContain('batch');
    expect(text).toContain('L 4/22');
    expect((await server.http.get(`/api/v1/gear/${gearId}`)).body.batch).toBe('L 4/22');
  });
});

describe('many break tests of one batch', () => {
  it('are read a page at a time, newest first, and none is lost between two pages', async () => {
    const own = await strap({ batch: 'K-90' });
    for (const on of ['2026-01-02', '2026-01-02', '2026-01-01']) await add(test({ batch: 'K-90', on }));
    const whole = await testsOf(own);
    expect(whole.items.map((each: { on: string }) => each.on)).toEqual(['2026-01-02', '2026-01-02', '2026-01-01']);
    const page = async (before?: string) =>
      (
        await server.http
          .get(`/api/v1/gear/${own}/break-tests`)
          .query({ limit: 1, ...(before && { before }) })
          .expect(200)
      ).body;
    const first = await page();
    const second = await page(first.next);
    const third = await page(second.next);
    expect([first, second, third].flatMap(({ items }) => items)).toEqual(whole.items);
    expect(third).not.toHaveProperty('next');
    await server.http.get(`/api/v1/gear/${own}/break-tests`).query({ before: '2026-01-02 7' }).expect(422);
  });
});
