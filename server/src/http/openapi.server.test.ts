import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

it('serves the document that the web’s client was made from', async () => {
  const { body } = await server.http.get('/api/docs/openapi.json').expect(200);
  expect(body).toEqual(JSON.parse(readFileSync(resolve(import.meta.dirname, '../../openapi.json'), 'utf8')));
});

it('describes requests from the contract’s own rules', async () => {
  const { body } = await server.http.get('/api/docs/openapi.json');
  expect(body.components.schemas.GearCreate.required).toEqual(expect.arrayContaining(['gearId', 'tag', 'kind', 'marks']));
  expect(body.components.schemas.GearCreate.properties.state.enum).toEqual(['in-use', 'quarantined', 'retired']);
  expect(body.components.schemas.GearPage.properties.items.items.$ref).toBe('#/components/schemas/GearView');
});
