import type { NestExpressApplication } from '@nestjs/platform-express';
import type { OpenAPIObject } from '@nestjs/swagger';
import { Ajv } from 'ajv';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApplication } from '../application.ts';
import { addressOf, operationsOf, STORY, story, success, type Written } from '../testing/story.ts';
import { ownDatabase, startTestServer, type TestServer } from '../testing/test-server.ts';
import { examples } from './examples.ts';

let server: TestServer;
/** A server that has no team yet. */
let empty: NestExpressApplication;
let document: OpenAPIObject;
let operations: ReadonlyMap<string, Written>;
beforeAll(async () => {
  server = await startTestServer();
  process.env.WAINROPE_DATABASE_URL = (await ownDatabase('empty')).appUrl;
  empty = await createApplication('');
  process.env.WAINROPE_DATABASE_URL = server.urls.appUrl;
  await empty.listen(0, '127.0.0.1');
  document = (await server.http.get('/api/docs/openapi.json').expect(200)).body;
  operations = operationsOf(document);
});
afterAll(async () => {
  await empty.close();
  await server.stop();
});

/** A check against the document’s own schemas, in which no field may stand that is not written. */
function schemasOf({ components }: OpenAPIObject) {
  const closed = Object.entries(components?.schemas ?? {}).map(([name, schema]) => {
    const told = 'type' in schema && schema.type === 'object' && schema.properties && !('additionalProperties' in schema);
    return [name, told ? { ...schema, additionalProperties: false } : schema];
  });
  const ajv = new Ajv({ strict: false, validateFormats: false, allErrors: true });
  ajv.addSchema({ $id: 'document', components: { schemas: Object.fromEntries(closed) } });
  return (reference: string, value: unknown): readonly string[] => {
    const valid = ajv.validate({ $ref: `document${reference}` }, value);
    return valid
      ? []
      : (ajv.errors ?? []).map(({ instancePath, message, params }) => `${instancePath} ${message} ${JSON.stringify(params)}`);
  };
}

describe('the examples of the API document', () => {
  it('stand at every operation, and in its body', () => {
    const told = new Set(examples.map(({ operation }) => operation));
    expect([...operations.keys()].filter((id) => !told.has(id))).toEqual([]);
    expect([...told].filter((id) => !operations.has(id))).toEqual([]);
    for (const { operationId, requestBody } of operations.values())
      if (requestBody) expect([operationId, Object.values(requestBody.content)[0]?.example]).not.toEqual([operationId, undefined]);
  });

  it('sent one after another get the answers that are written', async () => {
    const faultsOf = schemasOf(document);
    const { tell } = await story({ server, empty, operations });
    for (const example of STORY) {
      const { operation } = example;
      const { asked, answer } = await tell(example);
      expect([operation, answer.status, answer.status < 300 ? '' : answer.body]).toEqual([operation, success(asked), '']);
      const schema = asked.responses[String(answer.status)]?.content?.['application/json']?.schema.$ref;
      if (schema) expect([operation, faultsOf(schema, answer.body)]).toEqual([operation, []]);
    }
  });
});

describe('the refusals of the API document', () => {
  const cases = (status: string) => [...operations.values()].filter(({ responses }) => responses[status] !== undefined);
  const random = '5f0c6c8e-0000-4000-8000-00000000dead';
  const nowhere = {
    ...Object.fromEntries(['token', 'gearClass', 'version'].map((name) => [name, 'nothing'])),
    version: '9',
    gearClass: 'ring',
  };
  const unknownIds = (operation: Written) =>
    addressOf(
      operation,
      new Proxy(nowhere, {
        get: (given, name) => Reflect.get(given, name) ?? (/Id$/.test(String(name)) ? random : knownIds(operation)?.[String(name)]),
      }),
    );
  const knownIds = ({ operationId }: Written) => examples.find(({ operation }) => operation === operationId)?.parameters;
  const bodyOf = (id: string) => examples.find(({ operation }) => operation === id)?.body;

  it.each([
    ['400', 'coordinator', (operation: Written) => addressOf(operation, { version: '1', gearClass: 'ring' }), bodyOf],
    ['401', undefined, unknownIds, bodyOf],
    ['403', 'reader', unknownIds, bodyOf],
    ['404', 'coordinator', unknownIds, bodyOf],
    ['422', 'coordinator', (operation: Written) => addressOf(operation, knownIds(operation)), () => ({ nonsense: true })],
  ] as const)(
    '%s is answered as written, in words and with the same number, by each operation that says so',
    async (status, role, at, body) => {
      const faultsOf = schemasOf(document);
      const found = cases(status);
      expect(found.length).toBeGreaterThan(4);
      for (const operation of found) {
        const agent = await server.as(role);
        const { operationId, method } = operation;
        const sent = body(operationId);
        const request = agent[method](at(operation));
        const answer = await (sent ? request.send(sent) : request);
        expect([operationId, answer.status]).toEqual([operationId, Number(status)]);
        expect([operationId, faultsOf('#/components/schemas/Problem', answer.body)]).toEqual([operationId, []]);
        expect(answer.headers['content-type']).toContain('application/problem+json');
      }
    },
  );

  it('409 is answered, with what stands, where a change was made from what no longer does', async () => {
    const agent = await server.as('coordinator');
    const found = cases('409').filter(({ operationId }) => /Version|"version"|baseHash/.test(JSON.stringify(bodyOf(operationId) ?? {})));
    expect(found.length).toBeGreaterThan(6);
    for (const operation of found) {
      const { operationId, method } = operation;
      // The story has gone on since: what its examples were made from is old by now.
      const sent = { ...bodyOf(operationId) };
      if ('version' in sent) sent.version = 1;
      if ('baseHash' in sent) sent.baseHash = 'of long ago';
      const answer = await agent[method](addressOf(operation, knownIds(operation))).send(sent);
      expect([operationId, answer.status]).toEqual([operationId, 409]);
      expect([operationId, answer.body.current]).not.toEqual([operationId, undefined]);
    }
  });
});
