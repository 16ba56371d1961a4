import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'kysely';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { GearService } from '../gear/gear.service.ts';
import { TeamService } from '../team/team.service.ts';
import { demoActor, startTestServer, type TestServer } from '../testing/test-server.ts';
import { migrations } from './migrate.ts';
import { TeamDatabase } from './team-database.ts';

let server: TestServer;
let app: pg.Client;
beforeAll(async () => {
  server = await startTestServer();
  app = new pg.Client({ connectionString: server.urls.appUrl });
  await app.connect();
});
afterAll(async () => {
  await app.end();
  await server.stop();
});

it('runs every migration that there is, in order', () => {
  const files = readdirSync(join(import.meta.dirname, 'migrations')).filter((file) => /^\d/.test(file));
  expect(Object.keys(migrations)).toEqual(files.map((file) => file.replace('.ts', '')).sort());
});

describe('the database keeps its own rules', () => {
  it('forces row-level security on every table with a team, and lists those without by name', async () => {
    const { rows } = await server.owner.query<{ relname: string; relforcerowsecurity: boolean; team: boolean }>(
      `select c.relname, c.relforcerowsecurity, exists (select 1 from pg_attribute a where a.attrelid = c.oid and a.attname = 'team_id') as team
       from pg_class c join pg_namespace n on n.oid = c.relnamespace where n.nspname = 'public' and c.relkind = 'r'`,
    );
    expect(
      rows
        .filter(({ relforcerowsecurity }) => !relforcerowsecurity)
        .map(({ relname }) => relname)
        .sort(),
    ).toEqual([
      'account',
      'calendar_link',
      'invitation',
      'kysely_migration',
      'kysely_migration_lock',
      'membership',
      'sign_in_attempt',
      'sign_in_session',
    ]);
  });

  it('shows nothing without a team, nothing of another team, and takes no row for one', async () => {
    expect((await app.query('select * from gear')).rowCount).toBe(0);
    const other = await server.app
      .get(TeamService)
      .found({ name: 'Another team', decimalMark: ',', people: [{ name: 'Somebody Else', role: 'coordinator' }] });
    expect(await server.app.get(GearService).page(other, {})).toEqual({ items: [] });
    const { items } = await server.app.get(GearService).page(await demoActor(server), { limit: 1 });
    await expect(server.app.get(GearService).get(other, items[0]?.gearId ?? '')).rejects.toMatchObject({ status: 404 });
    await app.query('begin');
    await app.query(`select set_config('wainrope.team_id', $1, true)`, [other.teamId]);
    const { teamId } = await demoActor(server);
    await expect(
      app.query('insert into kit (team_id, kit_id, name) values ($1, $2, $3)', [teamId, randomUUID(), 'smuggled']),
    ).rejects.toThrow(/row-level security/);
    await app.query('rollback');
  });

  it.each(['inspection', 'plan_version', 'policy_version', 'audit_entry'])(
    'refuses to change or remove rows of %s, even to the owner inside the team',
    async (table) => {
      const { teamId } = await demoActor(server);
      for (const statement of [`update ${table} set team_id = team_id`, `delete from ${table}`]) {
        await server.owner.query('begin');
        await server.owner.query(`select set_config('wainrope.team_id', $1, true)`, [teamId]);
        await expect(server.owner.query(statement)).rejects.toThrow(/added, never changed|permission denied/);
        await server.owner.query('rollback');
      }
      await expect(server.owner.query(`truncate ${table} cascade`)).rejects.toThrow(/added, never changed/);
    },
  );

  it('serves as a role without any way round', async () => {
    const { rows } = await app.query(
      'select rolsuper, rolbypassrls, rolcreaterole, rolcreatedb from pg_roles where rolname = current_user',
    );
    expect(rows[0]).toEqual({ rolsuper: false, rolbypassrls: false, rolcreaterole: false, rolcreatedb: false });
    await expect(app.query('create table sneaky (a int)')).rejects.toThrow(/permission denied/);
  });

  it('goes on serving when a connection breaks in the midst of a transaction', async () => {
    const database = server.app.get(TeamDatabase);
    const { teamId } = await demoActor(server);
    await expect(database.inTeam(teamId, (trx) => sql`select pg_terminate_backend(pg_backend_pid())`.execute(trx))).rejects.toThrow();
    await server.http.get('/api/v1/team').expect(200);
  });
});
