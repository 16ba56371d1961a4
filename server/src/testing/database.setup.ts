import { mkdtempSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { TestProject } from 'vitest/node';
import { cloneDatabase, type DatabaseUrls, startPostgres } from '../../../ops/postgres.mjs';
import { createApplication } from '../application.ts';
import { migrate } from '../database/migrate.ts';
import { seedDemoTeam } from '../seed/demo-team.ts';
import { TODAY } from './today.ts';

declare module 'vitest' {
  interface ProvidedContext {
    /** A database with the newest schema and nothing in it. Nobody connects to it: each file of tests has a copy of its own. */
    readonly empty: DatabaseUrls;
    /** The same with the demo team. */
    readonly demo: DatabaseUrls;
  }
}

/** A PostgreSQL of the suite's own, thrown away at its end, with the two databases that the files of tests copy. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const { stop, ...empty } = await startPostgres({ folder: mkdtempSync(join('/var/tmp', 'wainrope-test-')), throwAway: true });
  try {
    await migrate(empty.ownerUrl);
    const demo = await cloneDatabase(empty, 'wainrope_demo');
    Object.assign(process.env, {
      WAINROPE_DATABASE_URL: demo.appUrl,
      WAINROPE_TODAY: TODAY,
      WAINROPE_SESSION_SECRET: 'test'.repeat(10),
      WAINROPE_LOG_LEVEL: 'silent',
    });
    const app = await createApplication('');
    await seedDemoTeam(app, resolve(import.meta.dirname, '../../../demo'));
    await app.close();
    const { ownerUrl, appUrl, adminUrl } = empty;
    project.provide('empty', { ownerUrl, appUrl, adminUrl });
    project.provide('demo', demo);
    return stop;
  } catch (error) {
    await stop();
    throw error;
  }
}
