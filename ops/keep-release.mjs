// @ts-check
// node ops/keep-release.mjs NAME: keeps the database and the team's file of a release, as every later release must bring them up to date.
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { backupDatabase } from './backup.mjs';
import { ROOT } from './folders.mjs';
import { ensureBuild, ensurePackages } from './packages.mjs';
import { freePort, startPostgres } from './postgres.mjs';
import { Problem } from './problem.mjs';
import { prepareDatabase, startServer } from './serve.mjs';
import { signInToDemo } from './sign-in.mjs';

const FOLDER = join(ROOT, 'server/releases');

async function main() {
  const name = process.argv[2];
  if (!name || !/^[\w.-]+$/.test(name)) throw new Problem('Say the release: node ops/keep-release.mjs 2026-11-30');
  await ensurePackages();
  await ensureBuild();
  mkdirSync(FOLDER, { recursive: true });
  const database = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-release-'), throwAway: true });
  const extra = { WAINROPE_TODAY: '2026-01-15' };
  try {
    await prepareDatabase(database, extra);
    const server = await startServer(database, { host: '127.0.0.1', port: await freePort(), extra });
    const cookie = await signInToDemo(server.address);
    const file = await fetch(`${server.address}/api/v1/bundle`, { headers: { cookie } });
    writeFileSync(join(FOLDER, `${name}.team.json.gz`), gzipSync(Buffer.from(await file.arrayBuffer()), { level: 9 }));
    await backupDatabase(database.adminUrl, join(FOLDER, `${name}.backup`));
    await server.stop();
  } finally {
    await database.stop();
  }
  console.log(`Kept in ${FOLDER}.`);
}

main().catch((error) => {
  console.error(error instanceof Problem ? `\n${error.message}\n` : error);
  process.exitCode = 1;
});
