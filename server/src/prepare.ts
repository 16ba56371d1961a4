import 'reflect-metadata';
import { resolve } from 'node:path';
import type { INestApplicationContext } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import pg from 'pg';
import { AccessService } from './access/access.service.ts';
import { AppModule } from './app.module.ts';
import { migrate } from './database/migrate.ts';
import { TeamDatabase } from './database/team-database.ts';
import { nestLog } from './http/logging.ts';
import { ProblemException } from './http/problem.ts';
import { seedDemoTeam } from './seed/demo-team.ts';
import { Forecasts } from './sheets/forecasts.ts';

/** The address that people type. */
function publicAddress(): string {
  return process.env.WAINROPE_PUBLIC_URL || `http://${process.env.WAINROPE_HOST ?? '127.0.0.1'}:${process.env.WAINROPE_PORT ?? '4810'}`;
}

/** Brings the database to the newest schema and, where it holds no team, loads the demo or prints the link that founds one. Run by the start command before serving. */
async function prepare(): Promise<void> {
  const ownerUrl = process.env.WAINROPE_OWNER_URL;
  if (!ownerUrl) throw new Error('WAINROPE_OWNER_URL is not set: the address of the database for the owning role.');
  await forgetCutShort(ownerUrl);
  const done = await migrate(ownerUrl);
  if (done.length > 0) console.log(`Database brought up to date: ${done.join(', ')}`);
  const app = await NestFactory.createApplicationContext(AppModule, { logger: nestLog, abortOnError: false });
  try {
    if (done.includes('0015-wear')) await forecastAll(app);
    const { needsSetUp } = await app.get(AccessService).view(undefined);
    if (!needsSetUp) return;
    if (process.env.WAINROPE_DEMO === 'no') {
      const { path } = await app.get(AccessService).setUpLink();
      console.log(`No team yet. Found one, as its coordinator, with this one-time link:\n  ${publicAddress()}${path}`);
      return;
    }
    await seedDemoTeam(app, resolve(import.meta.dirname, '../../demo'));
    console.log('Demo team loaded.');
  } finally {
    await app.close();
  }
}

/** Teams that were there before forecasts were kept get theirs. */
async function forecastAll(app: INestApplicationContext): Promise<void> {
  const database = app.get(TeamDatabase);
  const teams = await database.outsideTeams((db) => db.selectFrom('membership').select('team_id').distinct().execute());
  for (const { team_id } of teams) await database.inTeam(team_id, (trx) => app.get(Forecasts).fill(trx));
}

/** A first start that was ended in its midst leaves a part of the demo, which nobody can sign in to: it goes, and all begins anew. */
async function forgetCutShort(ownerUrl: string): Promise<void> {
  const owner = new pg.Client({ connectionString: ownerUrl });
  await owner.connect();
  try {
    if (!(await hasTable(owner, 'account')) || (await owner.query('select 1 from account limit 1')).rowCount) return;
    const { rows } = await owner.query<{ is_called: boolean }>('select is_called from audit_entry_entry_no_seq');
    if (!rows[0]?.is_called) return;
    console.log('An earlier first start was cut short; beginning anew.');
    await owner.query('drop owned by wainrope_owner; create schema if not exists public');
  } finally {
    await owner.end();
  }
}

const hasTable = async (owner: pg.Client, name: string) =>
  (await owner.query('select to_regclass($1) as found', [name])).rows[0]?.found !== null;

prepare().catch((error: unknown) => {
  console.error(error instanceof ProblemException ? JSON.stringify(error.problem) : error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
