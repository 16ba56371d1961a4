import { randomUUID } from 'node:crypto';
import { type ImportRowView, registerColumns } from '@wainrope/contract';
import { gearClassNames } from '@wainrope/core';
import { stringify } from 'csv-stringify/sync';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { base64, startTestServer, type TestServer } from '../../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** What a cell may hold where somebody means harm, or a program has gone wrong. */
const NASTY = [
  '0',
  '-1',
  '1e308',
  '1e-308',
  '99999999999999999999',
  '2147483648',
  '1.5',
  'NaN',
  '∞',
  '9999-12-31',
  '0000-01-01',
  '0001-01-01',
  '10000-01-01',
  '2025-02-30',
  'x'.repeat(121),
  'x'.repeat(5000),
  'half \ud83d of it',
  '\u200b',
  '\u202e',
  "'; drop table gear; --",
  '{"__proto__":1}',
  '🪢'.repeat(40),
  'WLL 1e300 t',
  'WLL 0.000001 kg',
  'yes',
  'A',
  'D',
  'true',
];

const columns = registerColumns.filter(({ readOnly }) => !readOnly).map(({ key }) => key);
const headings = [...new Set(['tag', 'class', 'name', ...columns])];

/** One row for every column and nasty value, of the class that has the column, each otherwise in order. */
function rowsOf(prefix: string): readonly string[][] {
  return columns.flatMap((column, at) =>
    NASTY.map((value, index) => {
      const kind = gearClassNames[(at + index) % gearClassNames.length];
      const cells: Record<string, string> = { tag: `${prefix}-${at}-${index}`, class: kind ?? '', name: 'A piece', [column]: value };
      if (['grade', 'next_due', 'inspected_by'].includes(column)) cells.inspected_on = '2026-01-05';
      return headings.map((heading) => cells[heading] ?? '');
    }),
  );
}

it('a file with a null character is refused by the line on which it stands', async () => {
  const text = 'tag,class,name\nA-1,chain,Chain\nA-2,chain,Ch\u0000ain\n';
  const { body } = await server.http
    .post('/api/v1/gear/import/preview')
    .send({ fileName: 'a.csv', contentBase64: base64(text) })
    .expect(422);
  expect(body.detail).toContain('on line 3');
});

it('a row that previews as new can be saved, whatever stands in it; one that cannot names its fault', async () => {
  const file = (rows: readonly string[][]) => ({ fileName: 'nasty.csv', contentBase64: base64(stringify([headings, ...rows])) });
  const rows = rowsOf(`N${randomUUID().slice(0, 4)}`);
  const { body, status: seen } = await server.http.post('/api/v1/gear/import/preview').send(file(rows));
  expect([seen, body.detail, body.faults]).toEqual([200, undefined, undefined]);
  const views = body.rows as ImportRowView[];
  expect(views).toHaveLength(rows.length);
  const [good, bad] = [views.filter(({ outcome }) => outcome === 'new'), views.filter(({ outcome }) => outcome === 'faulty')];
  expect(good.length).toBeGreaterThan(100);
  expect(bad.length).toBeGreaterThan(100);
  const asked = views.filter(({ outcome }) => outcome === 'asked' || outcome === 'aside');
  expect(good.length + bad.length + asked.length).toBe(rows.length);
  expect(bad.filter(({ faults }) => faults.length === 0 || faults.some(({ column, message }) => !column || !message))).toEqual([]);
  const save = async (some: readonly ImportRowView[]) =>
    (await server.http.post('/api/v1/gear/import').send({ ...file(rows), rows: some.map(({ row }) => row) })).status;
  const status = await save(good);
  // Where they are refused, which is it?
  let suspects = status === 200 ? [] : good;
  while (suspects.length > 1) {
    const half = suspects.slice(0, Math.ceil(suspects.length / 2));
    suspects = (await save(half)) === 200 ? suspects.slice(half.length) : half;
  }
  expect([status, suspects.map(({ row }) => rows[row - 2]?.filter(Boolean))]).toEqual([200, []]);
  // What was saved can be read, judged and taken out again.
  const { body: page } = await server.http.get('/api/v1/gear?limit=1000').expect(200);
  expect(page.items.length).toBeGreaterThan(100);
  const again = await server.http.get('/api/v1/gear/export.csv').expect(200);
  const back = await server.http
    .post('/api/v1/gear/import/preview')
    .send({ fileName: 'back.csv', contentBase64: base64(again.text) })
    .expect(200);
  expect((back.body.rows as ImportRowView[]).filter(({ outcome }) => outcome !== 'unchanged')).toEqual([]);
});
