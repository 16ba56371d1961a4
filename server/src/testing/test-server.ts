import { randomUUID } from 'node:crypto';
import { resolve } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import pg from 'pg';
import supertest from 'supertest';
import { inject } from 'vitest';
import { createApplication } from '../application.ts';
import { seedDemoTeam } from '../seed/demo-team.ts';

/** The day on which the server's tests stand: the demo's own base date. */
export const TODAY = '2026-01-15';

export interface TestServer {
  readonly app: NestExpressApplication;
  readonly http: supertest.Agent;
  readonly owner: pg.Client;
  readonly stop: () => Promise<void>;
}

/** The real server on the suite's database, with the demo team loaded once. */
export async function startTestServer(): Promise<TestServer> {
  process.env.WAINROPE_DATABASE_URL = inject('appUrl');
  process.env.WAINROPE_TODAY = TODAY;
  process.env.WAINROPE_LOG_LEVEL = 'silent';
  const app = await createApplication('');
  const owner = new pg.Client({ connectionString: inject('ownerUrl') });
  await owner.connect();
  const { rowCount } = await owner.query('select 1 from local_actor');
  if (rowCount === 0) await seedDemoTeam(app, resolve(import.meta.dirname, '../../../demo'));
  await app.listen(0, '127.0.0.1');
  return {
    app,
    http: supertest.agent(app.getHttpServer()),
    owner,
    stop: async () => {
      await owner.end();
      await app.close();
    },
  };
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
