import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

describe('the register over the API', () => {
  it('pages through every piece in tag order, each once', async () => {
    const tags: string[] = [];
    for (let after: string | undefined; ; ) {
      const { body } = await server.http
        .get('/api/v1/gear')
        .query({ limit: 25, ...(after && { after }) })
        .expect(200);
      tags.push(...body.items.map(({ tag }: { tag: string }) => tag));
      after = body.next;
      if (!after) break;
    }
    expect(tags.length).toBeGreaterThanOrEqual(82);
    expect(new Set(tags).size).toBe(tags.length);
    expect(tags).toEqual([...tags].sort((a, b) => (a.toLowerCase() < b.toLowerCase() ? -1 : 1)));
  });

  it('makes one piece of a creation sent twice, and reads its mark', async () => {
    const piece = newPiece({ marks: [{ asWritten: '13 ton', source: 'label' }] });
    const first = await server.http.post('/api/v1/gear').send(piece).expect(201);
    const again = await server.http.post('/api/v1/gear').send(piece).expect(201);
    expect(again.body).toEqual(first.body);
    expect(first.body.marks[0]).toMatchObject({
      basis: 'unstated',
      readings: [{ unit: 'short ton' }, { unit: 'tonne' }, { unit: 'long ton' }],
    });
  });

  it('takes a ton confirmed once for every bare ton of that maker, in the form and in an import', async () => {
    const maker = `Maker ${newPiece().tag}`;
    const ton = (extra: object = {}) => newPiece({ maker, marks: [{ asWritten: '13 ton', source: 'label', ...extra }] });
    const open = await server.http.post('/api/v1/gear').send(ton()).expect(201);
    expect(open.body.marks[0].readings).toHaveLength(3);
    await server.http
      .post('/api/v1/gear')
      .send(ton({ confirmedUnit: 'tonne' }))
      .expect(201);
    const next = await server.http.post('/api/v1/gear').send(ton()).expect(201);
    expect(next.body.marks[0]).toMatchObject({ confirmedUnit: 'tonne', readings: [{ unit: 'tonne' }] });
    const csv = `tag,class,maker,rating\n${newPiece().tag},tree strap,${maker},9 T\n`;
    const { body } = await server.http
      .post('/api/v1/gear/import/preview')
      .send({ fileName: 'x.csv', contentBase64: Buffer.from(csv).toString('base64') })
      .expect(200);
    expect(body.rows[0].understood[0]).toBe('“9 T”: 88.3 kN, basis not stated');
  });

  it('refuses a stale change with what stands now, and loses nothing', async () => {
    const piece = newPiece();
    const { gearId, ...input } = piece;
    await server.http.post('/api/v1/gear').send(piece).expect(201);
    const mine = await server.http
      .put(`/api/v1/gear/${gearId}`)
      .send({ ...input, name: 'Mine', rowVersion: 1 })
      .expect(200);
    expect(mine.body).toMatchObject({ name: 'Mine', rowVersion: 2, factsRevision: 2 });
    const theirs = await server.http
      .put(`/api/v1/gear/${gearId}`)
      .send({ ...input, name: 'Theirs', rowVersion: 1 })
      .expect(409);
    expect(theirs.body).toMatchObject({ title: 'Changed by somebody else', current: { name: 'Mine', rowVersion: 2 } });
  });

  it('counts the facts revision on only when something judged changes', async () => {
    const piece = newPiece();
    const { gearId, ...input } = piece;
    await server.http.post('/api/v1/gear').send(piece).expect(201);
    const moved = await server.http
      .put(`/api/v1/gear/${gearId}`)
      .send({ ...input, note: 'under the seat', owner: 'somebody', rowVersion: 1 })
      .expect(200);
    expect(moved.body).toMatchObject({ rowVersion: 2, factsRevision: 1 });
    await server.http.post(`/api/v1/gear/${gearId}/quarantine`).send({ reason: 'Looks cut' }).expect(200);
    const failed = await server.http.get(`/api/v1/gear/${gearId}`).expect(200);
    expect(failed.body).toMatchObject({ rowVersion: 3, factsRevision: 2 });
  });

  it.each([
    ['an unknown class', newPiece({ kind: 'hammock' }), 'kind'],
    ['a field nobody knows', { ...newPiece(), colour: 'red' }, 'colour'],
    ['a mark that is no number', newPiece({ marks: [{ asWritten: 'strong', source: 'label' }] }), 'marks[0].asWritten'],
    ['a mark without a source', newPiece({ marks: [{ asWritten: '5 t' }] }), 'marks[0].source'],
    ['an attribute of another class', newPiece({ attributes: { treadDiameterM: 0.08 } }), 'attributes.treadDiameterM'],
    ['a length below zero', newPiece({ attributes: { lengthM: -2 } }), 'attributes.lengthM'],
    ['a day that does not exist', newPiece({ madeOn: '2025-02-30' }), 'madeOn'],
    ['an unknown kit', newPiece({ kitId: '00000000-0000-4000-8000-000000000000' }), 'kitId'],
    ['a taken tag, whatever its case', newPiece({ tag: 'ts-01' }), 'tag'],
  ])('refuses %s and names the field', async (_what, piece, path) => {
    const { body, type } = await server.http.post('/api/v1/gear').send(piece).expect(422);
    expect(type).toBe('application/problem+json');
    expect(body.faults.map((fault: { path: string }) => fault.path)).toContain(path);
    await server.http.get(`/api/v1/gear/${piece.gearId}`).expect(404);
  });
});

describe('what the HTTP layer refuses', () => {
  it('answers bad ids, unknown ids, wrong types, broken and oversized bodies properly', async () => {
    await server.http
      .get('/api/v1/gear/not-an-id')
      .expect(400)
      .expect('Content-Type', /problem\+json/);
    await server.http.get('/api/v1/gear/00000000-0000-4000-8000-000000000000').expect(404);
    await server.http
      .get('/api/v1/nothing-here')
      .expect(404)
      .expect('Content-Type', /problem\+json/);
    await server.http.post('/api/v1/gear').type('text/plain').send('hello').expect(415);
    await server.http.post('/api/v1/gear').type('application/json').send('{"tag":').expect(400);
    const { body } = await server.http
      .post('/api/v1/gear')
      .send({ note: 'x'.repeat(1_200_000) })
      .expect(413);
    expect(body).toMatchObject({ title: 'Too large', requestId: expect.any(String) });
  });
  it('says whether it lives and is ready, and sends its security headers', async () => {
    await server.http.get('/api/v1/health/live').expect(200);
    const { headers } = await server.http.get('/api/v1/health/ready').expect(200);
    expect(headers['content-security-policy']).toContain("script-src 'self'");
    expect(headers['content-security-policy']).not.toContain('unsafe-inline');
    expect(headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
    expect(headers['x-powered-by']).toBeUndefined();
  });
});
