import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { backupDatabase, restoreDatabase } from '../../../ops/backup.mjs';
import { type DatabaseUrls, startPostgres } from '../../../ops/postgres.mjs';
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

/** The address of the same database for the role that every row is open to. */
const inDatabase = (adminUrl: string, ownerUrl: string) => Object.assign(new URL(adminUrl), { pathname: new URL(ownerUrl).pathname }).href;

/** Every row of every table as text, in an order of its own; and every right, policy and trigger. */
async function everything({ adminUrl, ownerUrl }: DatabaseUrls): Promise<{ readonly [table: string]: readonly string[] }> {
  const client = new pg.Client({ connectionString: inDatabase(adminUrl, ownerUrl) });
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
  const { ownerUrl, adminUrl } = server.urls;
  await backupDatabase(adminUrl, file, new URL(ownerUrl).pathname.slice(1));
  const before = await everything(server.urls);
  const fresh = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-restored-'), throwAway: true });
  try {
    await restoreDatabase(fresh.adminUrl, file);
    const after = await everything(fresh);
    expect(Object.keys(after)).toEqual(Object.keys(before));
    for (const table of Object.keys(before))
      if (table !== 'sign_in_session') expect({ [table]: after[table] }).toEqual({ [table]: before[table] });
    expect(before.gear?.length).toBeGreaterThan(80);
  } finally {
    await fresh.stop();
  }
});

it('what is no backup is refused before anything is touched', async () => {
  const file = join(folder, 'not-a.backup');
  writeFileSync(file, 'not a backup');
  await expect(restoreDatabase(server.urls.adminUrl, file)).rejects.toThrow(/Reading the backup failed/);
  expect((await everything(server.urls)).gear?.length).toBeGreaterThan(80);
});
