import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../testing/test-server.ts';
import { operationWords } from './operation-words.ts';

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

it('says of each operation who may call it and what it answers where it refuses', async () => {
  const { body } = await server.http.get('/api/docs/openapi.json');
  const { put: change } = body.paths['/api/v1/gear/{gearId}'];
  const paths: { readonly [path: string]: { readonly [method: string]: { operationId: string; summary: string } } } = body.paths;
  const operations = Object.values(paths).flatMap((methods) => Object.values(methods));
  expect(operations.every(({ summary }) => summary.length > 5)).toBe(true);
  expect(operations.map(({ operationId }) => operationId).sort()).toEqual(Object.keys(operationWords).sort());
  expect(change).toMatchObject({ summary: 'Change a piece', 'x-needs': 'gear.write', security: [{ session: [] }] });
  expect(Object.keys(change.responses)).toEqual(['200', '400', '401', '403', '404', '409', '422']);
  expect(change.responses[422].content['application/problem+json'].schema.$ref).toBe('#/components/schemas/Problem');
  const { post: signIn } = body.paths['/api/v1/session'];
  expect(signIn.security).toBeUndefined();
  expect(Object.keys(signIn.responses)).not.toContain('403');
  expect(body.components.securitySchemes.session).toMatchObject({ in: 'cookie', name: 'wainrope' });
});

it('carries core’s documents by their names, one inside another by its own', async () => {
  const { body } = await server.http.get('/api/docs/openapi.json');
  const { PlanCreate, Case, Rig } = body.components.schemas;
  expect(PlanCreate.properties.rig).toEqual({ allOf: [{ $ref: '#/components/schemas/Rig' }] });
  expect(Rig.properties.bodies.type).toBe('array');
  expect(JSON.stringify(Case)).toContain('#/components/schemas/Policy');
});
