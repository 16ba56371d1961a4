import type { OpenAPIObject } from '@nestjs/swagger';
import { type Capability, may, personRoles } from '@wainrope/contract';
import { examples } from './examples.ts';
import { operationWords } from './operation-words.ts';

/** Fields by which a change names what it was made from; a stale one is a conflict. */
const BASES = ['rowVersion', 'baseVersion', 'baseHash', 'version'];

const PROBLEM = { $ref: '#/components/schemas/Problem' };
const problem = (status: number, title: string, description: string, more: object = {}) => ({
  description,
  content: {
    'application/problem+json': { schema: PROBLEM, example: { type: 'about:blank', status, title, detail: description, ...more } },
  },
});
const FAULTS = { faults: [{ path: 'name', message: 'The name must have 1 to 80 characters.' }] };

type Operation = NonNullable<OpenAPIObject['paths'][string]['get']>;
type Parameter = NonNullable<Operation['parameters']>[number];
const METHODS = ['get', 'post', 'put', 'patch', 'delete'] as const;

/** The contract class of an operation's body; undefined where it takes none. */
function bodyOf({ requestBody }: Operation): string | undefined {
  const schema = requestBody && 'content' in requestBody ? requestBody.content['application/json']?.schema : undefined;
  return schema && '$ref' in schema ? schema.$ref.split('/').at(-1) : undefined;
}

function wordsOf({ operationId = '' }: Operation): string {
  const words = operationWords[operationId];
  if (words === undefined) throw new Error(`The operation ${operationId} has no words in operation-words.ts.`);
  return words;
}

/** Every operation with what it does, an example, and what it answers where it refuses, as guard, validation and services do. */
export function toldOperations({ paths, components }: OpenAPIObject): OpenAPIObject['paths'] {
  const namesBase = (body: string) => {
    const schema = components?.schemas?.[body];
    return schema !== undefined && 'properties' in schema && Object.keys(schema.properties ?? {}).some((field) => BASES.includes(field));
  };
  const told = Object.entries(paths).map(([path, methods]) => {
    const operations = METHODS.flatMap((method) => {
      const operation = methods[method];
      if (operation === undefined) return [];
      const body = bodyOf(operation);
      const responses = { ...operation.responses, ...refusals(path, operation, body !== undefined && namesBase(body)) };
      return [[method, { ...withExample(operation), summary: wordsOf(operation), responses }]];
    });
    return [path, { ...methods, ...Object.fromEntries(operations) }];
  });
  return Object.fromEntries(told);
}

/** Nothing is looked up by what stands in these addresses, so that nothing is unknown. */
const OPEN_ENDED = ['/api/v1/audit/{subjectId}', '/api/v1/rounds/{roundId}'];

function refusals(path: string, operation: Operation, namesBase: boolean) {
  const capability = (operation as { readonly 'x-needs'?: Capability })['x-needs'];
  const everybody = capability !== undefined && personRoles.every((role) => may(role, capability));
  const named = (operation.parameters ?? []).flatMap((entry) => ('name' in entry ? [entry] : []));
  const takesId = named.some(({ name, in: where }) => where === 'path' && /Id$/.test(name));
  const takesTask = named.some(({ name }) => name === 'task');
  return {
    ...(takesId && { 400: problem(400, 'Not accepted', 'The address does not hold an id.') }),
    ...(operation.security !== undefined && { 401: problem(401, 'Not signed in', 'Not signed in.') }),
    ...(operation.security !== undefined && !everybody && { 403: problem(403, 'Not allowed', 'Signed in, and not allowed.') }),
    ...(path.includes('{') && !OPEN_ENDED.includes(path) && { 404: problem(404, 'Not found', 'Nothing has that id.') }),
    ...(takesTask && { 409: problem(409, 'Stopped', 'Stopped by whoever began it, or begun twice under one name.') }),
    ...(namesBase && {
      409: problem(409, 'Changed by somebody else', 'Changed by somebody else; `current` is what stands.', { current: {} }),
    }),
    ...(operation.requestBody && { 422: problem(422, 'Not accepted', 'Not accepted: each fault with the path of its field.', FAULTS) }),
  };
}

type Content = Extract<NonNullable<Operation['requestBody']>, { readonly content: unknown }>['content'];

/** What is sent, with its example: a document, or a file in a type of its own. */
function shownIn(content: Content, { body, file }: (typeof examples)[number]): Content {
  if (file === undefined) return { 'application/json': { ...content['application/json'], example: body } };
  return Object.fromEntries(Object.entries(content).map(([type, media]) => [type, { ...media, example: file }]));
}

/** The operation with the first example of it: its body, and what stands in its address. */
function withExample(operation: Operation): Operation {
  const example = examples.find((entry) => entry.operation === operation.operationId);
  if (!example) throw new Error(`The operation ${operation.operationId} has no example in examples.ts.`);
  const shown = (parameter: Parameter): Parameter => {
    const value = 'name' in parameter ? example.parameters?.[parameter.name] : undefined;
    return value === undefined ? parameter : { ...parameter, example: value };
  };
  const { requestBody, parameters } = operation;
  const body = requestBody && 'content' in requestBody ? requestBody : undefined;
  return {
    ...operation,
    ...(parameters && { parameters: parameters.map(shown) }),
    ...(body && { requestBody: { ...body, content: shownIn(body.content, example) } }),
  };
}
