// @ts-check
// npm run kill-test [-- WRITES]: server and database killed at random instants during many writes through the API.
// Afterwards nothing that was acknowledged may be missing, and nothing may be half there.
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { freePort, startPostgres } from './postgres.mjs';
import { prepareDatabase, startServer } from './serve.mjs';

const WRITES = Number(process.argv[2] ?? 1000);
const SEED = 20260115;
const extra = { WAINROPE_TODAY: '2026-01-15', WAINROPE_SESSION_SECRET: 'kill'.repeat(10), WAINROPE_LOG_LEVEL: 'silent' };
const folder = mkdtempSync('/var/tmp/wainrope-kill-');

/** Chance from a seed, so that a run can be made again. @param {number} seed */
function chanceFrom(seed) {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}
const chance = chanceFrom(SEED);

/** @type {{ address: string, stop: () => Promise<void>, ended: Promise<unknown>, pid: number } | undefined} */
let server;
/** @type {Awaited<ReturnType<typeof startPostgres>> | undefined} */
let database;
let port = 0;
let cookie = '';
const kills = { server: 0, database: 0 };

async function up() {
  database = await startPostgres({ folder });
  if (port === 0) {
    port = await freePort();
    await prepareDatabase(database, extra);
  }
  server = /** @type {typeof server} */ (await startServer(database, { host: '127.0.0.1', port, extra }));
}

/** @param {string} path @param {object} [body] @param {string} [method] */
async function ask(path, body, method = body ? 'POST' : 'GET') {
  return fetch(`http://127.0.0.1:${port}/api/v1${path}`, {
    method,
    headers: { 'content-type': 'application/json', cookie },
    ...(body && { body: JSON.stringify(body) }),
    signal: AbortSignal.timeout(120_000),
  });
}

async function signIn() {
  const { demoPeople } = await (await ask('/session')).json();
  const answer = await ask('/session/demo', {
    personId: demoPeople.find((/** @type {{ role: string }} */ person) => person.role === 'coordinator').personId,
  });
  cookie = String(answer.headers.get('set-cookie')).split(';')[0] ?? '';
}

/** Kills without warning: the server's process, or the database's first process with everything below it. */
async function killSomething() {
  if (chance() < 0.5) {
    kills.server++;
    if (server) process.kill(server.pid, 'SIGKILL');
    await server?.ended;
  } else {
    kills.database++;
    const pid = readFileSync(join(folder, 'cluster/postmaster.pid'), 'utf8').split('\n')[0];
    spawnSync('kill', ['-9', String(pid)]);
    await wait(500);
    await server?.stop();
  }
  await wait(300);
  await up();
}

/** What was promised: pieces with their note, and inspections with their defects. @type {Map<string, string>} */
const pieces = new Map();
/** @type {Map<string, string>} */
const inspections = new Map();
/** Sent, and no answer came: it may be there whole or not at all. @type {Set<string>} */
const unknown = new Set();

async function writePiece(/** @type {number} */ index) {
  const gearId = randomUUID();
  const note = `write ${index}`;
  const marks = ['MBS 8 t', 'WLL 2 t'].map((asWritten) => ({ asWritten, source: 'label' }));
  const body = {
    gearId,
    tag: `K-${index}`,
    kind: 'tree-strap',
    name: 'Killed while written',
    state: 'in-use',
    marks,
    attributes: { lengthM: 2 },
    overloadsSinceInspection: 0,
    note,
  };
  const answer = await ask('/gear', body).catch(() => undefined);
  if (answer?.status === 201) pieces.set(gearId, note);
  else unknown.add(gearId);
}

async function writeInspection(/** @type {{ points: { id: string }[] }} */ sheet) {
  const known = [...pieces.keys()].filter((id) => !inspections.has(id));
  const gearId = known[Math.floor(chance() * known.length)];
  if (gearId === undefined) return;
  const inspectionId = randomUUID();
  const points = Object.fromEntries(sheet.points.map(({ id }, index) => [id, index === 0 ? 'fails' : 'ok']));
  const body = {
    inspectionId,
    gearId,
    kind: 'calendar',
    on: '2026-01-15',
    sheetVersion: 0,
    answers: { points, measures: {}, notes: {} },
    grade: 'D',
  };
  const answer = await ask('/inspections', body).catch(() => undefined);
  if (answer?.status === 201) inspections.set(gearId, inspectionId);
  else unknown.add(inspectionId);
}

/** Everything acknowledged is there, and whatever is there is whole. @returns {Promise<string[]>} */
async function check() {
  /** @type {string[]} */
  const faults = [];
  for (const [gearId, note] of pieces) {
    const piece = await (await ask(`/gear/${gearId}`)).json();
    if (piece.note !== note || piece.marks?.length !== 2) faults.push(`piece ${note}: ${JSON.stringify(piece).slice(0, 200)}`);
  }
  for (const id of unknown) {
    const answer = await ask(`/gear/${id}`);
    if (answer.status === 200 && (await answer.json()).marks.length !== 2) faults.push(`half a piece ${id}`);
  }
  for (const [gearId, inspectionId] of inspections) {
    const care = await (await ask(`/gear/${gearId}/care`)).json();
    const piece = await (await ask(`/gear/${gearId}`)).json();
    const whole =
      care.inspections?.some((/** @type {{ inspectionId: string }} */ entry) => entry.inspectionId === inspectionId) &&
      care.defects?.length > 0 &&
      piece.state === 'quarantined';
    if (!whole) faults.push(`inspection ${inspectionId}`);
  }
  return [...faults, ...(await halves())];
}

/** What the database itself can tell of halves: rows of one act without the others. */
async function halves() {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: database?.adminUrl.replace(/\/postgres$/, '/wainrope') });
  await client.connect();
  const { rows } = await client.query(`
    select 'piece without its trail' as fault, tag as what from gear g where tag like 'K-%' and not exists (select 1 from audit_entry a where a.subject_id = g.gear_id)
    union all select 'trail without its piece', subject_name from audit_entry a where subject_name like 'K-%' and subject_kind = 'gear' and not exists (select 1 from gear g where g.gear_id = a.subject_id)
    union all select 'piece without its marks', tag from gear g where tag like 'K-%' and (select count(*) from gear_mark m where m.gear_id = g.gear_id) <> 2
    union all select 'failed inspection without quarantine', i.inspection_id::text from inspection i join gear g on g.gear_id = i.gear_id where g.tag like 'K-%' and i.grade = 'D' and g.state <> 'quarantined'
    union all select 'failed inspection without defect', i.inspection_id::text from inspection i join gear g on g.gear_id = i.gear_id where g.tag like 'K-%' and i.grade = 'D' and not exists (select 1 from defect d where d.gear_id = i.gear_id and d.failed)
    union all select 'state change without inspection', s.gear_id::text from state_change s join gear g on g.gear_id = s.gear_id where g.tag like 'K-%' and not exists (select 1 from inspection i where i.inspection_id = s.inspection_id)`);
  await client.end();
  return rows.map(({ fault, what }) => `${fault}: ${what}`);
}

async function main() {
  await ensurePackages();
  await ensureBuild();
  await up();
  await signIn();
  const sheets = await (await ask('/inspection-sheets')).json();
  const { sheet } = sheets.items.find((/** @type {{ kind: string }} */ entry) => entry.kind === 'tree-strap');
  let killAt = 20 + Math.floor(chance() * 60);
  for (let index = 0; index < WRITES; ) {
    const batch = [0, 1, 2, 3].map((step) => (chance() < 0.6 ? writePiece(index + step) : writeInspection(sheet)));
    index += batch.length;
    if (index >= killAt) {
      await wait(chance() * 15);
      await killSomething();
      killAt = index + 20 + Math.floor(chance() * 60);
    }
    await Promise.all(batch);
  }
  const faults = await check();
  console.log(`${WRITES} writes, seed ${SEED}; server killed ${kills.server} times, database ${kills.database} times`);
  console.log(`acknowledged: ${pieces.size} pieces, ${inspections.size} failed inspections; without an answer: ${unknown.size}`);
  console.log(faults.length === 0 ? 'nothing acknowledged is missing, nothing is half there' : `FAULTS:\n${faults.join('\n')}`);
  process.exitCode = faults.length === 0 ? 0 : 1;
}

main()
  .catch((error) => {
    console.error(error);
    process.exitCode = 1;
  })
  .finally(async () => {
    await server?.stop();
    await database?.stop();
    spawnSync('rm', ['-rf', folder]);
  });
