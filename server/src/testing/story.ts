import type { NestExpressApplication } from '@nestjs/platform-express';
import type { OpenAPIObject } from '@nestjs/swagger';
import supertest from 'supertest';
import { AccessService } from '../access/access.service.ts';
import { type Example, examples, TOLD } from '../http/examples.ts';
import { streamStatus } from './stream-status.ts';
import type { TestServer } from './test-server.ts';

type Method = 'get' | 'post' | 'put' | 'delete';
export interface Written {
  readonly method: Method;
  readonly path: string;
  readonly operationId: string;
  readonly responses: {
    readonly [status: string]: { readonly content?: { readonly [type: string]: { readonly schema: { $ref?: string } } } };
  };
  readonly parameters?: readonly { readonly name: string; readonly in: string }[];
  readonly security?: readonly object[];
  readonly requestBody?: { readonly content: { readonly [type: string]: { readonly example: object } } };
}

export const operationsOf = ({ paths }: OpenAPIObject): ReadonlyMap<string, Written> =>
  new Map(
    Object.entries(paths).flatMap(([path, methods]) =>
      Object.entries(methods).map(([method, operation]) => [operation.operationId, { ...operation, method, path } as Written]),
    ),
  );

export const addressOf = ({ path, parameters = [] }: Written, given: { readonly [name: string]: string } = {}) => {
  const query = parameters.filter((entry) => entry.in === 'query' && given[entry.name] !== undefined);
  const search = new URLSearchParams(query.map(({ name }) => [name, given[name] ?? '']));
  return `${path.replace(/\{(\w+)\}/g, (_all, name: string) => given[name] ?? 'missing')}${query.length > 0 ? `?${search}` : ''}`;
};

/** Puts what earlier answers told into an example. */
function filledIn<T>(value: T, told: ReadonlyMap<string, unknown>): T {
  if (typeof value === 'string') return (told.has(value) ? told.get(value) : value) as T;
  if (Array.isArray(value)) return value.map((entry) => filledIn(entry, told)) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, entry]) => [key, filledIn(entry, told)])) as T;
}

const tokenOf = (path: string) => path.split(/[#/]/).at(-1);

/** What an answer tells that a later example needs. */
const TELLS: { readonly [operation: string]: (body: never) => readonly (readonly [string, unknown])[] } = {
  getSession: ({ demoPeople }: { demoPeople: { personId: string; role: string }[] }) => [
    [TOLD.person, demoPeople.find(({ role }) => role === 'coordinator')?.personId],
  ],
  listDefects: ({ items }: { items: { defectId: string }[] }) => [[TOLD.defect, items[0]?.defectId]],
  savePlan: ({ fresh }: { fresh: { report: { findings: { id: string; severity: string; undecided: boolean }[] } } }) => [
    [TOLD.finding, fresh.report.findings.find(({ severity, undecided }) => severity === 'fix' && !undecided)?.id],
  ],
  getPolicy: ({ contentHash }: { contentHash: string }) => [[TOLD.baseHash, contentHash]],
  makeCalendarLink: ({ path }: { path: string }) => [[TOLD.token, tokenOf(path)]],
  invitePerson: ({ path }: { path: string }) => [[TOLD.token, tokenOf(path)]],
  getBundle: (bundle: object) => [['bundle', bundle]],
};

/** The first status of an operation that is no refusal. */
export const success = ({ responses }: Written) => Number(Object.keys(responses).find((status) => status.startsWith('2')));

/** What runs only while something takes long. */
const WHILE_IT_RUNS = ['getTask', 'stopTask'];
/** Want a rig with every piece of it: `loads.server.test.ts` and `series.server.test.ts` send them by the demo's. */
const BY_A_WHOLE_RIG = ['logPull', 'addSeries', 'getSeries', 'getSeriesFile'];

/** Want ten measured pulls: `own-figures.server.test.ts` sends them with as many. */
const BY_TEN_PULLS = ['previewFigure', 'adoptFigure'];

/** The examples of the API document, in the order in which they tell one story. */
export const STORY: readonly Example[] = examples.filter(
  ({ operation }) => ![...WHILE_IT_RUNS, ...BY_A_WHOLE_RIG, ...BY_TEN_PULLS].includes(operation),
);

interface Stage {
  readonly server: TestServer;
  /** A server that has no team yet. */
  readonly empty: NestExpressApplication;
  readonly operations: ReadonlyMap<string, Written>;
}

/** Sends one example after another, as one person would, each with what earlier answers told. */
export async function story({ server, empty, operations }: Stage) {
  const told = new Map<string, unknown>();
  const agent = await server.as();
  const founding = supertest.agent(empty.getHttpServer());
  const send = async ({ operation, parameters, body }: Example) => {
    const asked = operations.get(operation);
    if (!asked) throw new Error(`the document has no operation ${operation}`);
    const founds = operation === 'acceptBundle';
    if (founds) told.set(TOLD.token, tokenOf((await empty.get(AccessService).setUpLink()).path));
    const request = (founds ? founding : agent)[asked.method](addressOf(asked, filledIn(parameters, told)));
    if (operation === 'streamEvents') return { asked, answer: { status: await streamStatus(request), body: undefined } };
    const answer = await (body ? request.send({ ...filledIn(body, told), ...(founds && { bundle: told.get('bundle') }) }) : request);
    return { asked, answer };
  };
  const tell = async (example: Example) => {
    const { asked, answer } = await send(example);
    if (answer.status < 300)
      for (const [name, value] of TELLS[example.operation]?.(answer.body as never) ?? []) {
        if (value === undefined) throw new Error(`${example.operation} does not tell ${name}`);
        told.set(name, value);
      }
    return { asked, answer };
  };
  /** The same once more, with what was told before it. */
  return { tell, again: send };
}
