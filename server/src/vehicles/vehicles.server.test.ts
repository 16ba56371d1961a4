import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const vehicle = (change: object = {}) => ({
  name: `Vehicle ${randomUUID().slice(0, 6)}`,
  model: 'Carrier, long',
  massKg: 2600,
  lengthM: 4.6,
  widthM: 1.85,
  ...change,
});

it('a vehicle is added, changed by its version, and refused out of range with the limit named', async () => {
  const vehicleId = randomUUID();
  const content = vehicle();
  await (await server.as('member'))
    .post('/api/v1/vehicles')
    .send({ ...content, vehicleId })
    .expect(403);
  await server.http
    .post('/api/v1/vehicles')
    .send({ ...content, vehicleId })
    .expect(201);
  const { body } = await server.http
    .put(`/api/v1/vehicles/${vehicleId}`)
    .send({ ...content, massKg: 2750, rowVersion: 1 })
    .expect(200);
  expect(body).toMatchObject({ massKg: 2750, rowVersion: 2, photoIds: [] });
  expect(
    (
      await server.http
        .put(`/api/v1/vehicles/${vehicleId}`)
        .send({ ...content, rowVersion: 1 })
        .expect(409)
    ).body.current.massKg,
  ).toBe(2750);
  const { body: refused } = await server.http
    .post('/api/v1/vehicles')
    .send(vehicle({ vehicleId: randomUUID(), massKg: 5 }))
    .expect(422);
  expect(refused.faults[0]).toEqual({ path: 'massKg', message: 'The mass must be at least 50 kg.' });
  await server.http
    .post('/api/v1/vehicles')
    .send({ ...vehicle({ name: content.name.toUpperCase() }), vehicleId: randomUUID() })
    .expect(422);
});

it('the hook-up book is written by members; a correction takes the place of what it corrects', async () => {
  const member = await server.as('member');
  const model = `Model ${randomUUID().slice(0, 6)}`;
  const entry = { entryId: randomUUID(), model, kind: 'used', place: 'Front left hook, behind the valance', loadN: 14_000 };
  await member.post('/api/v1/hook-ups').send(entry).expect(201);
  await member.post('/api/v1/hook-ups').send(entry).expect(201);
  await (await server.as('reader'))
    .post('/api/v1/hook-ups')
    .send({ ...entry, entryId: randomUUID() })
    .expect(403);
  await member
    .post('/api/v1/hook-ups')
    .send({ ...entry, entryId: randomUUID(), kind: 'refused' })
    .expect(422);
  const right = {
    entryId: randomUUID(),
    model,
    kind: 'refused',
    place: 'Front left hook: bent at the second pull',
    corrects: entry.entryId,
  };
  await member.post('/api/v1/hook-ups').send(right).expect(201);
  const { body } = await server.http.get('/api/v1/hook-ups').expect(200);
  expect(body.items.filter((item: { model: string }) => item.model === model)).toMatchObject([
    { kind: 'refused', by: 'Mirren Quaile', corrects: entry.entryId },
  ]);
});

it('the hook-up book knows what a line touches under a model, and how round it is', async () => {
  const member = await server.as('member');
  const model = `Model ${randomUUID().slice(0, 6)}`;
  const entry = () => ({
    entryId: randomUUID(),
    model,
    kind: 'touched',
    place: 'Lower edge of the cross-member',
    forwardM: 1.6,
    heightM: 0.4,
  });
  const send = (part: object) => member.post('/api/v1/hook-ups').send({ ...entry(), ...part });
  await send({ radiusM: 0.0005 }).expect(201);
  const { body: thin } = await send({ radiusM: 0.0004 }).expect(422);
  expect(JSON.stringify(thin)).toContain('at least 0.5 mm');
  await send({ radiusM: 2.1 }).expect(422);
  const { body: loaded } = await send({ loadN: 1000 }).expect(422);
  expect(JSON.stringify(loaded)).toContain('holds no load');
  const { body: held } = await send({ kind: 'used', radiusM: 0.01 }).expect(422);
  expect(JSON.stringify(held)).toContain('A radius is written of a part');
  const { body } = await server.http.get('/api/v1/hook-ups').expect(200);
  expect(body.items.filter((item: { model: string }) => item.model === model)).toMatchObject([
    { kind: 'touched', radiusM: 0.0005, forwardM: 1.6 },
  ]);
});
