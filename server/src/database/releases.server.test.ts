import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gunzipSync } from 'node:zlib';
import supertest from 'supertest';
import { afterEach, describe, expect, it } from 'vitest';
import { restoreDatabase } from '../../../ops/backup.mjs';
import { startPostgres } from '../../../ops/postgres.mjs';
import { AccessService } from '../access/access.service.ts';
import { createApplication } from '../application.ts';
import { ownDatabase } from '../testing/test-server.ts';
import { TODAY } from '../testing/today.ts';
import { migrate, migrations } from './migrate.ts';

const FOLDER = resolve(import.meta.dirname, '../../releases');
/** Every release that is kept: none is ever taken away. */
const releases = readdirSync(FOLDER).flatMap((name) => /^(.+)\.backup$/.exec(name)?.[1] ?? []);

const before = { ...process.env };
afterEach(() => {
  process.env = { ...before };
});

async function serverOn(appUrl: string) {
  Object.assign(process.env, { WAINROPE_DATABASE_URL: appUrl, WAINROPE_TODAY: TODAY, WAINROPE_SESSION_SECRET: 'test'.repeat(10) });
  process.env.WAINROPE_LOG_LEVEL = 'silent';
  const app = await createApplication('');
  await app.listen(0, '127.0.0.1');
  return app;
}

interface Team {
  readonly tables: { readonly [table: string]: readonly Record<string, unknown>[] };
}
const teamFileOf = (release: string) => JSON.parse(gunzipSync(readFileSync(join(FOLDER, `${release}.team.json.gz`))).toString()) as Team;
/** Rows of each table, without what signing in, taking out and bringing in note of themselves. */
const countsOf = ({ tables }: Team) =>
  Object.fromEntries(
    Object.entries(tables).map(([name, rows]) => [
      name,
      rows.filter(
        ({ action, subject_kind }) => subject_kind !== 'account' && !/the team’s file|the team (in )?from its file/.test(String(action)),
      ).length,
    ]),
  );

it('at least one release is kept', () => {
  expect(releases).toContain('2026-11-30');
});

describe.each(releases)('what the release of %s wrote', (release) => {
  it('its database is brought up to date without loss, and serves', async () => {
    const database = await startPostgres({ folder: mkdtempSync('/var/tmp/wainrope-release-'), throwAway: true });
    try {
      await restoreDatabase(database.adminUrl, join(FOLDER, `${release}.backup`));
      const done = await migrate(database.ownerUrl);
      expect(Object.keys(migrations).slice(-done.length || undefined)).toEqual(done.length > 0 ? done : Object.keys(migrations));
      const app = await serverOn(database.appUrl);
      try {
        const agent = supertest.agent(app.getHttpServer());
        const { body: session } = await agent.get('/api/v1/session').expect(200);
        const coordinator = session.demoPeople.find(({ role }: { role: string }) => role === 'coordinator');
        await agent.post('/api/v1/session/demo').send({ personId: coordinator.personId }).expect(201);
        for (const path of ['gear', 'kits', 'outings', 'people', 'vehicles', 'plans', 'policy', 'audit', 'inspections'])
          await agent.get(`/api/v1/${path}`).expect(200);
        const { body: plans } = await agent.get('/api/v1/plans').expect(200);
        for (const { planId } of plans.items) await agent.get(`/api/v1/plans/${planId}`).expect(200);
        const { body } = await agent.get('/api/v1/bundle').expect(200);
        expect(countsOf(body)).toMatchObject(countsOf(teamFileOf(release)));
      } finally {
        await app.close();
      }
    } finally {
      await database.stop();
    }
  });

  it('its team’s file is brought in without loss', async () => {
    const file = teamFileOf(release);
    const app = await serverOn((await ownDatabase('empty')).appUrl);
    try {
      const { path } = await app.get(AccessService).setUpLink();
      const agent = supertest.agent(app.getHttpServer());
      const personId = file.tables.person?.find(({ role }) => role === 'coordinator')?.person_id;
      const body = { token: path.split('#')[1], login: 'isla', password: 'peat and heather', personId, bundle: file };
      await agent.post('/api/v1/invitations/bundle').send(body).expect(201);
      expect(countsOf((await agent.get('/api/v1/bundle').expect(200)).body)).toMatchObject(countsOf(file));
    } finally {
      await app.close();
    }
  });
});
