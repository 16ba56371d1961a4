import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { PersonRole, SessionView } from '@wainrope/contract';
import pg from 'pg';
import supertest from 'supertest';
import { inject } from 'vitest';
import { cloneDatabase, type DatabaseUrls } from '../../../ops/postgres.mjs';
import type { Actor } from '../actor/actor.ts';
import { createApplication } from '../application.ts';
import { TODAY } from './today.ts';

export interface TestServer {
  readonly app: NestExpressApplication;
  /** Signed in as the demo's coordinator. */
  readonly http: supertest.Agent;
  /** A fresh agent, signed in as the demo's first person of a role; signed out without one. */
  readonly as: (role?: PersonRole) => Promise<supertest.Agent>;
  readonly owner: pg.Client;
  readonly urls: DatabaseUrls;
  readonly stop: () => Promise<void>;
}

/** A database of the file's own: a copy of the empty one, or of the one with the demo team. */
export const ownDatabase = (template: 'empty' | 'demo') => cloneDatabase(inject(template), `test_${randomUUID().replaceAll('-', '')}`);

/** The real server with the demo team on a database of its own, so that no file of tests sees what another has changed. */
export async function startTestServer(): Promise<TestServer> {
  const urls = await ownDatabase('demo');
  process.env.WAINROPE_DATABASE_URL = urls.appUrl;
  process.env.WAINROPE_TODAY = TODAY;
  process.env.WAINROPE_SESSION_SECRET = 'test'.repeat(10);
  process.env.WAINROPE_LOG_LEVEL = 'silent';
  const app = await createApplication('');
  const owner = new pg.Client({ connectionString: urls.ownerUrl });
  await owner.connect();
  await app.listen(0, '127.0.0.1');
  const as = async (role?: PersonRole) => {
    const agent = supertest.agent(app.getHttpServer());
    if (role) await signInToDemo(agent, role);
    return agent;
  };
  return {
    app,
    as,
    http: await as('coordinator'),
    owner,
    urls,
    stop: async () => {
      await owner.end();
      await app.close();
    },
  };
}

async function signInToDemo(agent: supertest.Agent, role: PersonRole): Promise<void> {
  const { body } = await agent.get('/api/v1/session').expect(200);
  const person = (body as SessionView).demoPeople.find((entry) => entry.role === role);
  await agent.post('/api/v1/session/demo').send({ personId: person?.personId }).expect(201);
}

/** The demo team's coordinator, for services called without the API. */
export async function demoActor({ http }: TestServer): Promise<Actor> {
  const { body } = await http.get('/api/v1/session').expect(200);
  const { person, team } = body as SessionView;
  if (!person || !team) throw new Error('nobody is signed in');
  return { ...person, teamId: team.teamId };
}

/** A piece as the API takes it. */
export function newPiece(change: object = {}) {
  return {
    gearId: randomUUID(),
    tag: `T-${randomUUID().slice(0, 8)}`,
    kind: 'tree-strap',
    name: 'Test strap',
    state: 'in-use',
    marks: [{ asWritten: 'MBS 10 t', source: 'label' }],
    attributes: { lengthM: 2.4 },
    overloadsSinceInspection: 0,
    ...change,
  };
}

export const base64 = (text: string, encoding: BufferEncoding = 'utf8') => Buffer.from(text, encoding).toString('base64');

/** Ids of things that the demo team has, by the name of the parameter that takes them. */
export async function demoIds({ http }: TestServer): Promise<{ readonly [parameter: string]: string }> {
  const [gear, plans, people, team] = await Promise.all([
    http.get('/api/v1/gear?limit=1'),
    http.get('/api/v1/plans'),
    http.get('/api/v1/people'),
    http.get('/api/v1/team'),
  ]);
  const gearId = gear.body.items[0].gearId;
  return {
    gearId,
    subjectId: gearId,
    planId: plans.body.items[0].planId,
    personId: people.body.items[0].personId,
    kitId: team.body.kits[0].kitId,
    vehicleId: team.body.vehicles[0].vehicleId,
    version: '1',
  };
}
