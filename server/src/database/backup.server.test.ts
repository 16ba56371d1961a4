import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { backupDatabase, checkBackup, everyMs, forgetEarlier, restoreDatabase, surplus } from '../../../ops/backup.mjs';
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

/** Who is signed in, and links that open something, are in no backup. */
const LIVE = ['sign_in_session', 'sign_in_attempt', 'invitation', 'calendar_link'];
const nameOf = ({ ownerUrl }: DatabaseUrls) => new URL(ownerUrl).pathname.slice(1);

/** A database server of a test's own, and the test's team restored into it. */
async function elsewhere(work: (fresh: Awaited<ReturnType<typeof startPostgres>>, file: string) => Promise<void>): Promise<void> {
  const file = join(mkdtempSync(join(folder, 'one-')), 'whole.backup');
  await backupDatabase(server.urls.adminUrl, file, nameOf(server.urls));
  const fresh = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-restored-'), throwAway: true });
  try {
    await work(fresh, file);
  } finally {
    await fresh.stop();
  }
}

it('a backup restored into a fresh database holds every row, right, policy and trigger, but nothing that is live', async () => {
  await elsewhere(async (fresh, file) => {
    const before = await everything(server.urls);
    expect(before.sign_in_session?.length).toBeGreaterThan(0);
    await restoreDatabase(fresh.adminUrl, file);
    const after = await everything(fresh);
    expect(Object.keys(after)).toEqual(Object.keys(before));
    for (const table of Object.keys(before))
      expect({ [table]: after[table] }).toEqual({ [table]: LIVE.includes(table) ? [] : before[table] });
    expect(before.gear?.length).toBeGreaterThan(80);
    // Nobody but its owner reads it.
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(await checkBackup(fresh.adminUrl, file)).toBeGreaterThan(1000);
  });
});

it.each<[string, (bytes: Buffer) => Buffer, RegExp]>([
  ['is no backup', () => Buffer.from('not a backup'), /Reading the backup failed/],
  ['is cut in half', (bytes) => bytes.subarray(0, bytes.length / 2), /failed/],
  ['is cut by a little', (bytes) => bytes.subarray(0, bytes.length - 4000), /failed/],
  [
    'has another byte in its midst',
    (bytes) => Buffer.concat([bytes.subarray(0, 40_000), Buffer.from([(bytes[40_000] ?? 0) ^ 1]), bytes.subarray(40_001)]),
    /is damaged|failed/,
  ],
  [
    'has fewer rows than it was sealed with',
    (bytes) =>
      Buffer.from(
        bytes.toString('latin1').replace(/"gear":(\d+)/, (_all, count) => `"gear":${Number(count) + 1}`),
        'latin1',
      ),
    /is not whole: gear has \d+ of \d+ rows/,
  ],
])('a file that %s leaves everything as it was', async (_what, damage, words) => {
  await elsewhere(async (fresh, file) => {
    await restoreDatabase(fresh.adminUrl, file);
    const before = await everything(fresh);
    writeFileSync(file, damage(readFileSync(file)));
    await expect(restoreDatabase(fresh.adminUrl, file)).rejects.toThrow(words);
    await expect(checkBackup(fresh.adminUrl, file)).rejects.toThrow(words);
    expect(await everything(fresh)).toEqual(before);
    expect(await databases(fresh.adminUrl)).not.toContain('wainrope_restored');
  });
});

async function databases(adminUrl: string): Promise<readonly string[]> {
  const client = new pg.Client({ connectionString: adminUrl });
  await client.connect();
  try {
    return (await client.query<{ datname: string }>('select datname from pg_database')).rows.map(({ datname }) => datname);
  } finally {
    await client.end();
  }
}

it('what was there before a restore stays until it is let go, and then goes', async () => {
  await elsewhere(async (fresh, file) => {
    expect(await databases(fresh.adminUrl)).toContain('wainrope');
    await restoreDatabase(fresh.adminUrl, file);
    expect(await databases(fresh.adminUrl)).toContain('wainrope_earlier');
    await forgetEarlier(fresh.adminUrl);
    expect(await databases(fresh.adminUrl)).not.toContain('wainrope_earlier');
    expect((await everything(fresh)).gear?.length).toBeGreaterThan(80);
  });
});

it.each([
  ['10m', 600_000],
  ['24h', 86_400_000],
  ['30d', 30 * 86_400_000],
])('backups every %s', (text, ms) => {
  expect(everyMs(text)).toBe(ms);
});
it.each(['9m', '31d', '721h', '0h', '-1h', '24', 'h', '1.5h', '', 'daily'])(
  'refuses backups every “%s”, and says what it expects',
  (text) => {
    expect(() => everyMs(text)).toThrow(/from 10m to 30d/);
  },
);
it('keeps the newest so many, and nothing of its own choosing goes', () => {
  const names = ['wainrope-2026-01-03T10.backup', 'mine.backup', 'wainrope-2026-01-01T10.backup', 'wainrope-2026-01-02T10.backup'];
  expect(surplus(names, 2)).toEqual(['wainrope-2026-01-01T10.backup']);
  expect(surplus(names, 3)).toEqual([]);
  expect(surplus(names, 1)).toEqual(['wainrope-2026-01-01T10.backup', 'wainrope-2026-01-02T10.backup']);
});
