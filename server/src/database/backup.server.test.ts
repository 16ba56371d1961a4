import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, expect, inject, it } from 'vitest';
import { backupDatabase, restoreDatabase } from '../../../ops/backup.mjs';
import { startPostgres } from '../../../ops/postgres.mjs';
import { startTestServer, type TestServer } from '../testing/test-server.ts';

let server: TestServer;
const folder = mkdtempSync('/var/tmp/wainrope-backup-');
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

const inWainrope = (adminUrl: string) => adminUrl.replace(/\/postgres$/, '/wainrope');

/** Every row of every table as text, in an order of its own; and every right, policy and trigger. */
async function everything(adminUrl: string): Promise<{ readonly [table: string]: readonly string[] }> {
  const client = new pg.Client({ connectionString: inWainrope(adminUrl) });
  await client.connect();
  try {
    const { rows: tables } = await client.query<{ name: string }>(
      `select tablename as name from pg_tables where schemaname = 'public' order by 1`,
    );
    const found: { [table: string]: readonly string[] } = {};
    for (const { name } of tables) {
      const { rows } = await client.query<{ row: string }>(`select t::text as row from ${name} t order by 1`);
      found[name] = rows.map(({ row }) => row);
    }
    const { rows: rules } = await client.query<{ rule: string }>(
      `select tablename || policyname || qual as rule from pg_policies union all
       select table_name || grantee || privilege_type from information_schema.table_privileges where table_schema = 'public' union all
       select tgrelid::regclass || tgname from pg_trigger where not tgisinternal union all
       select relname || relforcerowsecurity from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by 1`,
    );
    return { ...found, rules: rules.map(({ rule }) => rule) };
  } finally {
    await client.end();
  }
}

it('a backup restored into a fresh database holds every row, right, policy and trigger, and nothing else', async () => {
  const file = join(folder, 'whole.backup');
  backupDatabase(inject('adminUrl'), file);
  const before = await everything(inject('adminUrl'));
  const fresh = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-restored-'), throwAway: true });
  try {
    restoreDatabase(fresh.adminUrl, file);
    const after = await everything(fresh.adminUrl);
    expect(Object.keys(after)).toEqual(Object.keys(before));
    for (const table of Object.keys(before))
      if (table !== 'sign_in_session') expect({ [table]: after[table] }).toEqual({ [table]: before[table] });
    expect(before.gear?.length).toBeGreaterThan(80);
  } finally {
    await fresh.stop();
  }
}, 120_000);

it('what is no backup is refused before anything is touched', async () => {
  const file = join(folder, 'not-a.backup');
  writeFileSync(file, 'not a backup');
  expect(() => restoreDatabase(inject('adminUrl'), file)).toThrow(/Reading the backup failed/);
  expect((await everything(inject('adminUrl'))).gear?.length).toBeGreaterThan(80);
});
