import { randomUUID } from 'node:crypto';
import type supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newPiece, startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
let member: supertest.Agent;
beforeAll(async () => {
  server = await startTestServer();
  member = await server.as('member');
});
afterAll(() => server.stop());

async function piece(change: object = {}): Promise<string> {
  const made = newPiece(change);
  await server.http.post('/api/v1/gear').send(made).expect(201);
  return made.gearId;
}
const loan = (gearIds: string[], change: object = {}) => ({
  outingId: randomUUID(),
  name: 'Practice at the quarry',
  holderKind: 'outside',
  holderName: 'The neighbouring team',
  gearIds,
  ...change,
});

describe('taking gear out', () => {
  it('shows who has it, and takes nothing that is out already, out of use or unknown', async () => {
    const [a, b] = [await piece(), await piece()];
    const out = loan([a]);
    await member.post('/api/v1/outings').send(out).expect(201);
    await member.post('/api/v1/outings').send(out).expect(201);
    expect((await server.http.get(`/api/v1/gear/${a}`)).body.away).toMatchObject({
      outingId: out.outingId,
      holder: 'The neighbouring team',
    });
    await member.post(`/api/v1/gear/${b}/quarantine`).send({ reason: 'Looks cut' }).expect(200);
    const { body } = await member
      .post('/api/v1/outings')
      .send(loan([a, b, randomUUID()]))
      .expect(422);
    expect(body.faults.map(({ message }: { message: string }) => message).join(' ')).toMatch(
      /No piece has.*quarantined.*is out already, with The neighbouring team/,
    );
    expect(
      (await server.http.get('/api/v1/outings')).body.items.filter(({ outingId }: { outingId: string }) => outingId === out.outingId),
    ).toHaveLength(1);
  });

  it('by two at once lets one have it and tells the other who', async () => {
    const gearId = await piece();
    const answers = await Promise.all(
      [loan([gearId]), loan([gearId], { holderName: 'Another team still' })].map((out) => member.post('/api/v1/outings').send(out)),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 422]);
    expect(answers.find(({ status }) => status === 422)?.body.faults[0].message).toContain('is out already, with');
  });

  it('names the holder who is missing', async () => {
    const { body } = await member
      .post('/api/v1/outings')
      .send(loan([], { holderKind: 'person', holderName: undefined }))
      .expect(422);
    expect(body.faults.map(({ path }: { path: string }) => path).sort()).toEqual(['gearIds', 'holderId']);
    await (await server.as('reader'))
      .post('/api/v1/outings')
      .send(loan([await piece()]))
      .expect(403);
  });

  it('stands on the page of the person who holds it', async () => {
    const { body: session } = await member.get('/api/v1/session');
    const { personId } = session.person;
    const gearId = await piece();
    await member
      .post('/api/v1/outings')
      .send(loan([gearId], { holderKind: 'person', holderId: personId, holderName: undefined }))
      .expect(201);
    expect((await member.get(`/api/v1/people/${personId}`)).body.holds.map((held: { gearId: string }) => held.gearId)).toContain(gearId);
  });
});

describe('counting back', () => {
  it('names what is missing and does not close without a word about it', async () => {
    const [a, b] = [await piece({ tag: `M-${randomUUID().slice(0, 6)}` }), await piece()];
    const out = loan([a, b]);
    await member.post('/api/v1/outings').send(out).expect(201);
    const address = `/api/v1/outings/${out.outingId}`;
    const { body: counted } = await member
      .post(`${address}/count-back`)
      .send({ gearIds: [b, b] })
      .expect(200);
    expect(counted.pieces.filter(({ backAt }: { backAt?: string }) => backAt)).toHaveLength(1);
    await member
      .post(`${address}/count-back`)
      .send({ gearIds: [randomUUID()] })
      .expect(422);
    const refused = await member.post(`${address}/close`).send({}).expect(422);
    expect(refused.body.faults[0].message).toMatch(/^Missing: M-/);
    const { body: closed } = await member.post(`${address}/close`).send({ missingNote: 'Left under the bog; written off' }).expect(200);
    expect(closed.missingNote).toContain('written off');
    expect((await server.http.get(`/api/v1/gear/${a}`)).body.away).toBeUndefined();
    await member
      .post(`${address}/count-back`)
      .send({ gearIds: [a] })
      .expect(422);
  });

  it('lets a piece go out again with the same outing', async () => {
    const gearId = await piece();
    const out = loan([gearId]);
    await member.post('/api/v1/outings').send(out).expect(201);
    await member
      .post(`/api/v1/outings/${out.outingId}/count-back`)
      .send({ gearIds: [gearId] })
      .expect(200);
    const { body } = await member
      .post(`/api/v1/outings/${out.outingId}/pieces`)
      .send({ gearIds: [gearId] })
      .expect(200);
    expect(body.pieces[0].backAt).toBeUndefined();
  });
});

describe('kits', () => {
  it('keep their packing list, refuse a stale change with what stands, and take pieces in by their id', async () => {
    const keeper = await server.as('gear-keeper');
    const kitId = randomUUID();
    const kit = { name: `Kit ${kitId.slice(0, 6)}`, terrain: 'woods', wanted: [{ kind: 'tree-strap', count: 2, leastWllN: 20_000 }] };
    await member
      .post('/api/v1/kits')
      .send({ ...kit, kitId })
      .expect(403);
    const { body } = await keeper
      .post('/api/v1/kits')
      .send({ ...kit, kitId })
      .expect(201);
    expect(body).toMatchObject({ ...kit, rowVersion: 1 });
    await keeper
      .put(`/api/v1/kits/${kitId}`)
      .send({ ...kit, name: `${kit.name} b`, rowVersion: 1 })
      .expect(200);
    const stale = await keeper
      .put(`/api/v1/kits/${kitId}`)
      .send({ ...kit, rowVersion: 1 })
      .expect(409);
    expect(stale.body.current.name).toBe(`${kit.name} b`);
    await keeper
      .post('/api/v1/kits')
      .send({ ...kit, name: `${kit.name} B`, kitId: randomUUID() })
      .expect(422);
    const gearId = await piece();
    await member
      .post(`/api/v1/kits/${kitId}/contents`)
      .send({ add: [gearId], remove: [] })
      .expect(200);
    const { body: inside } = await server.http.get(`/api/v1/gear/${gearId}`);
    expect(inside).toMatchObject({ kitId, factsRevision: 1 });
    await member
      .post(`/api/v1/kits/${kitId}/contents`)
      .send({ add: [], remove: [gearId] })
      .expect(200);
    expect((await server.http.get(`/api/v1/gear/${gearId}`)).body.kitId).toBeUndefined();
  });
});

describe('what changed since the last visit', () => {
  it('is what others did, until it was seen', async () => {
    const before = (await member.get('/api/v1/visit').expect(200)).body;
    await member.post('/api/v1/visit').send({ upTo: before.newest }).expect(200);
    expect((await member.get('/api/v1/visit')).body.count).toBe(0);
    const gearId = await piece();
    await member.post(`/api/v1/gear/${gearId}/quarantine`).send({ reason: 'My own doing' }).expect(200);
    const { body } = await member.get('/api/v1/visit');
    expect(body.count).toBe(1);
    expect(body.entries[0]).toMatchObject({ action: 'added a piece', by: 'Isla Wrenfell' });
  });
});

describe('the calendar', () => {
  it('is read by its private address until that is revoked or made anew', async () => {
    const anybody = await server.as();
    const { body: first } = await member.post('/api/v1/calendar-link').send({}).expect(201);
    const feed = await anybody.get(first.path).expect(200);
    expect(feed.headers['content-type']).toContain('text/calendar');
    expect(feed.text).toMatch(/BEGIN:VCALENDAR[\s\S]*SUMMARY:Inspect \d+ pieces?/);
    expect(feed.text).toContain('DTSTART;VALUE=DATE:2026');
    const { body: second } = await member.post('/api/v1/calendar-link').send({}).expect(201);
    await anybody.get(first.path).expect(404);
    await anybody.get(second.path).expect(200);
    await member.delete('/api/v1/calendar-link').expect(200);
    await anybody.get(second.path).expect(404);
    expect((await member.get('/api/v1/calendar-link')).body).toEqual({ active: false });
  });
});
