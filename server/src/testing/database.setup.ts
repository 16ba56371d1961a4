import { mkdtempSync } from 'node:fs';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { startPostgres } from '../../../ops/postgres.mjs';
import { migrate } from '../database/migrate.ts';

declare module 'vitest' {
  interface ProvidedContext {
    readonly ownerUrl: string;
    readonly appUrl: string;
    readonly adminUrl: string;
  }
}

/** A PostgreSQL of the suite's own, thrown away at its end. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const database = await startPostgres({ folder: mkdtempSync(join('/var/tmp', 'wainrope-test-')), throwAway: true });
  await migrate(database.ownerUrl);
  project.provide('ownerUrl', database.ownerUrl);
  project.provide('appUrl', database.appUrl);
  project.provide('adminUrl', database.adminUrl);
  return () => database.stop();
}
