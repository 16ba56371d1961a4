// npm run scale-test [-- seconds]: a hundred teams with ten years of records, and every page's requests from twenty clients, one a second each.
// Fails where p95 is over 2 × the same SQL bare in the same run + 15 ms, where a large table is read from end to end, or where a request
// takes more statements than any should. The database is kept in /var/tmp/wainrope-scale and filled once.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import pg from 'pg';
import { startPostgres } from './postgres.mjs';
import { fill, type Size, statements, whileGrown } from './scale-data.ts';
import { signInToDemo } from './sign-in.mjs';

const SECONDS = Number(process.argv[2] ?? 150);
const SIZE: Size = { teams: 100, pieces: 2000, inspections: 11, plans: 100, loads: 25 };
const CLIENTS = 20;
const FOLDER = '/var/tmp/wainrope-scale';
/** No page needs more, however many rows it shows. */
const MOST_STATEMENTS = 20;
/** Tables that grow with the years and with other teams. */
const LARGE = 50_000;
const allowedMs = (bareMs: number) => 2 * bareMs + 15;

interface Statement {
  readonly text: string;
  readonly values: readonly unknown[];
}

/** What the server sends to the database while this is set. */
let heard: Statement[] | undefined;
const query = pg.Client.prototype.query as (...args: unknown[]) => unknown;
pg.Client.prototype.query = function (this: pg.Client, ...args: unknown[]) {
  const [first, values] = args as [string | { text: string; values?: unknown[] }, unknown[] | undefined];
  const text = typeof first === 'string' ? first : first.text;
  heard?.push({ text, values: (typeof first === 'string' ? values : first.values) ?? [] });
  return query.apply(this, args);
} as typeof pg.Client.prototype.query;

const p95 = (times: readonly number[]) => [...times].sort((a, b) => a - b)[Math.ceil(times.length * 0.95) - 1] ?? Number.NaN;
const ms = (time: number) => (time >= 100 ? time.toFixed(0) : time.toFixed(1));

async function prepared() {
  const { migrations, migrate } = await import('../server/dist/database/migrate.js');
  const wanted = createHash('sha256')
    .update(JSON.stringify([statements(SIZE), Object.keys(migrations)]))
    .digest('hex');
  const stamp = `${FOLDER}.filled`;
  const isFilled = existsSync(stamp) && existsSync(FOLDER) && readFileSync(stamp, 'utf8') === wanted;
  const database = await startPostgres({ folder: FOLDER, fresh: !isFilled });
  const admin = new URL(database.adminUrl);
  admin.pathname = '/wainrope';
  Object.assign(process.env, {
    WAINROPE_DATABASE_URL: database.appUrl,
    WAINROPE_TODAY: '2026-01-15',
    WAINROPE_SESSION_SECRET: 'scale'.repeat(10),
    WAINROPE_LOG_LEVEL: 'error',
  });
  if (!isFilled) {
    await migrate(database.ownerUrl);
    const { createApplication } = await import('../server/dist/application.js');
    const { seedDemoTeam } = await import('../server/dist/seed/demo-team.js');
    const app = await createApplication('');
    await seedDemoTeam(app, resolve(import.meta.dirname, '../demo'));
    await app.close();
    await fill(admin.href, SIZE, (text) => console.log(`  filling: ${text}`));
    writeFileSync(stamp, wanted);
  }
  return { ...database, adminUrl: admin.href };
}

/** Files, streams and what is only there while something runs are no pages. */
const NO_PAGES =
  /\/events$|\/tasks\/|\/bundle$|export\.csv$|\/calendar\/\{|\/health\/|\/photos\/|rig-file$|\/session$|gear\/pages$|\/series\/\{|\/season$/;

async function addresses(get: Get): Promise<readonly string[]> {
  const { body: document } = await get('/api/docs/openapi.json');
  const first = async (path: string, key: string) =>
    ((await get(path)).body as { items: readonly Record<string, string>[] }).items[0]?.[key] ?? '';
  const gearId = await first('/api/v1/gear?after=s-00100&limit=1', 'gearId');
  const ids: Readonly<Record<string, string>> = {
    gearId,
    subjectId: gearId,
    planId: await first('/api/v1/plans', 'planId'),
    personId: await first('/api/v1/people', 'personId'),
    outingId: await first('/api/v1/outings', 'outingId'),
    inspectionId: await first(`/api/v1/inspections?gearId=${gearId}`, 'inspectionId'),
    incidentId: await first('/api/v1/incidents', 'incidentId'),
    version: '1',
  };
  const { paths } = document as { paths: Record<string, Record<string, unknown>> };
  const plain = Object.entries(paths).flatMap(([path, methods]) => (methods.get && !NO_PAGES.test(path) ? [path] : []));
  const filled = plain.map((path) => path.replace(/\{(\w+)\}/g, (_all, name: string) => ids[name] ?? `no-${name}`));
  // The same with what a page asks of a list.
  return [
    ...filled,
    '/api/v1/gear?limit=500',
    '/api/v1/gear/pages?after=s-00100&limit=500',
    '/api/v1/gear?limit=500&after=s-01000',
    `/api/v1/inspections?gearId=${gearId}`,
    `/api/v1/inspections?person=${ids.personId}`,
    '/api/v1/season?from=2025-01-01&to=2026-01-15',
    '/api/v1/defects?open=true',
    '/api/v1/audit?kind=plan',
    `/api/v1/audit?person=${ids.personId}`,
  ];
}

/** Large tables that a statement reads from end to end. */
async function readWhole(client: pg.Client, statements: readonly Statement[]): Promise<readonly string[]> {
  const { rows: large } = await client.query<{ relname: string }>(
    `select relname from pg_class where relkind = 'r' and reltuples > ${LARGE}`,
  );
  const names = new Set(large.map(({ relname }) => relname));
  const found: string[] = [];
  for (const { text, values } of statements) {
    if (!/^\s*(select|with)\b/i.test(text) || text.includes('set_config')) {
      await client.query(text, [...values]);
      continue;
    }
    const { rows } = await client.query(`explain (format json) ${text}`, [...values]);
    JSON.stringify(rows, (_key, value) => {
      if (value?.['Node Type'] === 'Seq Scan' && names.has(value['Relation Name'])) found.push(value['Relation Name']);
      return value;
    });
  }
  return [...new Set(found)];
}

type Get = (path: string) => Promise<{ body: never }>;
interface Asked {
  readonly name: string;
  readonly path: string;
  readonly statements: readonly Statement[];
  readonly whole: readonly string[];
}
type Times = Readonly<Record<string, { readonly served: readonly number[]; readonly bare: readonly number[] }>>;

/** A signed-in coordinator of the team that has grown. */
async function signedIn(address: string): Promise<{ readonly cookie: string; readonly get: Get }> {
  const asking =
    (cookie: string): Get =>
    async (path) => {
      const answer = await fetch(`${address}${path}`, { headers: { cookie } });
      if (!answer.ok) throw new Error(`${path} answered ${answer.status}: ${await answer.text()}`);
      return { body: (await answer.json()) as never };
    };
  const cookie = await signInToDemo(address);
  return { cookie, get: asking(cookie) };
}

/** What each address sends to the database, once what it keeps for later has been made out. */
async function listened(get: Get, databaseUrl: string): Promise<readonly Asked[]> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  const asked: Asked[] = [];
  for (const path of await addresses(get)) {
    await get(path);
    const statements: Statement[] = [];
    heard = statements;
    await get(path);
    heard = undefined;
    asked.push({ name: path.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, '…'), path, statements, whole: await readWhole(client, statements) });
  }
  await client.end();
  return asked;
}

async function sayHowMuch(adminUrl: string): Promise<void> {
  const admin = new pg.Client({ connectionString: adminUrl });
  await admin.connect();
  const count = async (table: string) => Number((await admin.query(`select count(*) from ${table}`)).rows[0].count).toLocaleString('en');
  console.log(
    `${await count('team')} teams, ${await count('gear')} pieces, ${await count('inspection')} inspections, ${await count('load_record')} loads, ${await count('audit_entry')} entries of the trail; ${CLIENTS} clients, ${SECONDS} s\n`,
  );
  await admin.end();
}

const measured = (workerData: object) =>
  new Promise<Times>((done, fail) => {
    const worker = new Worker(new URL('./scale-clients.mjs', import.meta.url), { workerData });
    worker.once('message', done);
    worker.once('error', fail);
  });

/** Prints the table; how much of it is not as it should be. */
function table(asked: readonly Asked[], times: Times): number {
  let faults = 0;
  console.log('| address | statements | SQL bare, p95 ms | served, p95 ms | allowed | |');
  console.log('| --- | --: | --: | --: | --: | --- |');
  for (const { name, statements, whole } of asked) {
    const { served = [], bare = [] } = times[name] ?? {};
    const allowed = allowedMs(p95(bare));
    const wrong = [
      ...(p95(served) <= allowed ? [] : ['too slow']),
      ...(whole.length > 0 ? [`reads all of ${whole.join(', ')}`] : []),
      ...(statements.length > MOST_STATEMENTS ? ['too many statements'] : []),
    ];
    faults += wrong.length;
    const figures = [statements.length, ms(p95(bare)), ms(p95(served)), ms(allowed)].join(' | ');
    console.log(`| ${name.replace('/api/v1/', '')} | ${figures} | ${wrong.join('; ')} |`);
  }
  return faults;
}

/** Whole files, while somebody else asks for an ordinary page again and again. */
async function files(address: string, cookie: string, get: Get): Promise<void> {
  for (const path of ['/api/v1/gear/export.csv', '/api/v1/bundle']) {
    const began = performance.now();
    let isDone = false;
    const others: number[] = [];
    const other = (async () => {
      while (!isDone) {
        const asked = performance.now();
        await get('/api/v1/visit');
        others.push(performance.now() - asked);
      }
    })();
    const answer = await fetch(`${address}${path}`, { headers: { cookie } });
    const { byteLength } = await answer.arrayBuffer();
    isDone = true;
    await other;
    const took = ((performance.now() - began) / 1000).toFixed(2);
    console.log(`\n${path}: ${(byteLength / 1e6).toFixed(1)} MB in ${took} s; meanwhile another page: p95 ${ms(p95(others))} ms`);
  }
}

/** As a page opens it: the first page, then all others side by side. */
async function largeRegister(get: Get): Promise<void> {
  const began = performance.now();
  const { body: first } = await get('/api/v1/gear?limit=500');
  const { items, next = '' } = first as { items: readonly unknown[]; next?: string };
  const { body: told } = await get(`/api/v1/gear/pages?limit=500&after=${encodeURIComponent(next)}`);
  const { starts } = told as { starts: readonly string[] };
  const parts = starts.map(async (after, index) => {
    const query = new URLSearchParams({ limit: '500', after, ...(starts[index + 1] && { upTo: starts[index + 1] }) });
    return ((await get(`/api/v1/gear?${query}`)).body as { items: readonly unknown[] }).items.length;
  });
  const count = (await Promise.all(parts)).reduce((sum, part) => sum + part, items.length);
  console.log(`a register of ${count} pieces: ${((performance.now() - began) / 1000).toFixed(2)} s`);
}

async function main() {
  const database = await prepared();
  const { createApplication } = await import('../server/dist/application.js');
  const app = await createApplication('');
  await app.listen(0, '127.0.0.1');
  const address = `http://127.0.0.1:${(app.getHttpServer().address() as AddressInfo).port}`;
  const { cookie, get } = await signedIn(address);
  const asked = await listened(get, database.appUrl);
  await sayHowMuch(database.adminUrl);
  // Each on a device of their own.
  const cookies: string[] = [];
  while (cookies.length < CLIENTS) cookies.push((await signedIn(address)).cookie);
  const times = await measured({ address, cookies, databaseUrl: database.appUrl, clients: CLIENTS, seconds: SECONDS, asked });
  const faults = table(asked, times);
  await files(address, cookie, get);
  await whileGrown(database.adminUrl, () => largeRegister(get));
  await app.close();
  await database.stop();
  console.log(`\n${faults === 0 ? 'Nothing is slow.' : `${faults} of the above are not as they should be.`}`);
  process.exitCode = faults === 0 ? 0 : 1;
}

await main();
