import { afterAll, beforeAll, expect, it } from 'vitest';
import { base64, startTestServer, type TestServer } from '../../testing/test-server.ts';

/** `npm test` takes a sample, `npm run test:long` a register larger than any team's. */
const PIECES = process.env.WAINROPE_LONG === 'yes' ? 5000 : 200;

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const tagOf = (index: number) => `LL-${String(index).padStart(5, '0')}`;
const csv = `tag,class,name,rating\n${Array.from({ length: PIECES }, (_, index) => `${tagOf(index)},tree strap,Strap ${index},MBS ${8 + (index % 5)} t`).join('\n')}\n`;

it('a large register is brought in whole, or not at all, and paged through with each piece once', async () => {
  const file = { fileName: 'large.csv', contentBase64: base64(csv) };
  const { body: preview } = await server.http.post('/api/v1/gear/import/preview').send(file).expect(200);
  expect(preview.rows.filter(({ outcome }: { outcome: string }) => outcome === 'new')).toHaveLength(PIECES);
  const rows = preview.rows.map(({ row }: { row: number }) => row);
  // The last row is no row of the file: nothing of the others may stand afterwards.
  await server.http
    .post('/api/v1/gear/import')
    .send({ ...file, rows: [...rows, PIECES + 100] })
    .expect(({ status }) => expect(status).toBeGreaterThanOrEqual(400));
  expect(await large()).toEqual([]);
  const { body } = await server.http
    .post('/api/v1/gear/import')
    .send({ ...file, rows })
    .expect(200);
  expect(body).toMatchObject({ created: PIECES, changed: 0 });
  expect(await large()).toEqual(Array.from({ length: PIECES }, (_, index) => tagOf(index)));
});

/** Tags of the large register's pieces, page by page. */
async function large(): Promise<readonly string[]> {
  const tags: string[] = [];
  for (let after: string | undefined; ; ) {
    const { body } = await server.http
      .get('/api/v1/gear')
      .query({ limit: 1000, ...(after && { after }) })
      .expect(200);
    tags.push(...body.items.map(({ tag }: { tag: string }) => tag));
    after = body.next;
    if (!after) return tags.filter((tag) => tag.startsWith('LL-'));
  }
}
