import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';
import { changesBetween } from './audit-trail.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

describe('the trail', () => {
  it('tells what a change made of a piece, field by field, newest first', async () => {
    const piece = newPiece();
    const { body: added } = await server.http.post('/api/v1/gear').send(piece).expect(201);
    const { gearId, ...input } = piece;
    await server.http
      .put(`/api/v1/gear/${gearId}`)
      .send({ ...input, name: 'Renamed strap', attributes: { lengthM: 3 }, rowVersion: added.rowVersion })
      .expect(200);
    const { body } = await server.http.get(`/api/v1/audit/${gearId}`).expect(200);
    expect(body.items.map(({ action }: { action: string }) => action)).toEqual(['changed a piece', 'added a piece']);
    expect(body.items[0]).toMatchObject({
      subjectName: `${piece.tag} Renamed strap`,
      changes: [
        { field: 'name', before: 'Test strap', after: 'Renamed strap' },
        { field: 'attributes.lengthM', before: 2.4, after: 3 },
      ],
    });
  });

  it('names kits, and tells which ton somebody confirmed', async () => {
    const { kits } = (await server.http.get('/api/v1/team')).body;
    const piece = newPiece({ marks: [{ asWritten: '13 ton', source: 'label' }] });
    const { body: added } = await server.http.post('/api/v1/gear').send(piece).expect(201);
    const { gearId, ...input } = piece;
    const marks = [{ asWritten: '13 ton', source: 'label', confirmedUnit: 'tonne' }];
    await server.http
      .put(`/api/v1/gear/${gearId}`)
      .send({ ...input, marks, kitId: kits[0].kitId, rowVersion: added.rowVersion })
      .expect(200);
    const { body } = await server.http.get(`/api/v1/audit/${gearId}`).expect(200);
    expect(body.items[0].changes).toEqual([
      { field: 'kit', after: kits[0].name },
      { field: 'marks', before: ['13 ton (unstated, label)'], after: ['13 ton (unstated, label, tonne)'] },
    ]);
  });

  it('notes nothing where nothing was saved', async () => {
    const piece = newPiece({ tag: '' });
    await server.http.post('/api/v1/gear').send(piece).expect(422);
    expect((await server.http.get(`/api/v1/audit/${piece.gearId}`).expect(200)).body.items).toEqual([]);
  });

  it('is read page after page without a gap or a repeat', async () => {
    const seen: number[] = [];
    for (let before: number | undefined; ; ) {
      const { body } = await server.http.get(`/api/v1/audit?limit=40${before === undefined ? '' : `&before=${before}`}`).expect(200);
      seen.push(...body.items.map(({ entryNo }: { entryNo: number }) => entryNo));
      before = body.next;
      if (before === undefined) break;
    }
    expect(seen).toEqual([...new Set(seen)].sort((a, b) => b - a));
    expect(seen.length).toBeGreaterThan(80);
  });
});

describe('changes between two states', () => {
  it('leave out what is the same and what only counts', () => {
    expect(
      changesBetween({ a: 1, rowVersion: 1, deep: { x: 1, y: [1] } }, { a: 1, rowVersion: 2, deep: { x: 2, y: [1] }, b: true }),
    ).toEqual([
      { field: 'deep.x', before: 1, after: 2 },
      { field: 'b', after: true },
    ]);
  });
});
