import { Kysely, Migrator, PostgresDialect } from 'kysely';
import pg from 'pg';
import * as registerAndPlans from './migrations/0001-register-and-plans.ts';
import * as people from './migrations/0002-people.ts';
import * as inspections from './migrations/0003-inspections.ts';
import * as kitsAndOutings from './migrations/0004-kits-and-outings.ts';
import * as vehicles from './migrations/0005-vehicles.ts';
import * as moments from './migrations/0006-moments.ts';
import * as planLife from './migrations/0007-plan-life.ts';
import * as findingsOfTheirOwn from './migrations/0008-findings-of-their-own.ts';
import * as touchedParts from './migrations/0009-touched-parts.ts';
import * as planStanding from './migrations/0010-plan-standing.ts';
import * as growth from './migrations/0011-growth.ts';
import * as entriesOfDevices from './migrations/0012-entries-of-devices.ts';
import * as benchRounds from './migrations/0013-bench-rounds.ts';
import * as loads from './migrations/0014-loads.ts';
import * as wear from './migrations/0015-wear.ts';
import * as loadSeries from './migrations/0016-load-series.ts';
import * as incidents from './migrations/0017-incidents.ts';
import * as life from './migrations/0018-life.ts';
import * as breakTests from './migrations/0019-break-tests.ts';
import * as diary from './migrations/0020-diary.ts';
import * as measuredPulls from './migrations/0021-measured-pulls.ts';
import * as partialDates from './migrations/0022-partial-dates.ts';
import * as fileWords from './migrations/0023-file-words.ts';
import * as firstSteps from './migrations/0024-first-steps.ts';
import * as ifHurt from './migrations/0025-if-hurt.ts';
import * as variants from './migrations/0026-variants.ts';

/** Numbered and append-only: a migration that has run anywhere is never edited. */
export const migrations = {
  '0001-register-and-plans': registerAndPlans,
  '0002-people': people,
  '0003-inspections': inspections,
  '0004-kits-and-outings': kitsAndOutings,
  '0005-vehicles': vehicles,
  '0006-moments': moments,
  '0007-plan-life': planLife,
  '0008-findings-of-their-own': findingsOfTheirOwn,
  '0009-touched-parts': touchedParts,
  '0010-plan-standing': planStanding,
  '0011-growth': growth,
  '0012-entries-of-devices': entriesOfDevices,
  '0013-bench-rounds': benchRounds,
  '0014-loads': loads,
  '0015-wear': wear,
  '0016-load-series': loadSeries,
  '0017-incidents': incidents,
  '0018-life': life,
  '0019-break-tests': breakTests,
  '0020-diary': diary,
  '0021-measured-pulls': measuredPulls,
  '0022-partial-dates': partialDates,
  '0023-file-words': fileWords,
  '0024-first-steps': firstSteps,
  '0025-if-hurt': ifHurt,
  '0026-variants': variants,
};

/** Brings the database at `ownerUrl` to the newest schema. Runs as the owning role. */
export async function migrate(ownerUrl: string): Promise<readonly string[]> {
  const db = new Kysely<unknown>({ dialect: new PostgresDialect({ pool: new pg.Pool({ connectionString: ownerUrl, max: 1 }) }) });
  try {
    const migrator = new Migrator({ db, provider: { getMigrations: async () => migrations } });
    const { error, results } = await migrator.migrateToLatest();
    if (error) throw error;
    return (results ?? []).map(({ migrationName }) => migrationName);
  } finally {
    await db.destroy();
  }
}
