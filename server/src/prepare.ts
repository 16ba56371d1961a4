import 'reflect-metadata';
import { resolve } from 'node:path';
import { NestFactory } from '@nestjs/core';
import { AppModule } from './app.module.ts';
import { migrate } from './database/migrate.ts';
import { TeamDatabase } from './database/team-database.ts';
import { nestLog } from './http/logging.ts';
import { seedDemoTeam } from './seed/demo-team.ts';

/** Brings the database to the newest schema and, where it holds no team, loads the demo. Run by the start command before serving. */
async function prepare(): Promise<void> {
  const ownerUrl = process.env.WAINROPE_OWNER_URL;
  if (!ownerUrl) throw new Error('WAINROPE_OWNER_URL is not set: the address of the database for the owning role.');
  const done = await migrate(ownerUrl);
  if (done.length > 0) console.log(`Database brought up to date: ${done.join(', ')}`);
  const app = await NestFactory.createApplicationContext(AppModule, { logger: nestLog, abortOnError: false });
  try {
    const team = await app.get(TeamDatabase).outsideTeams((db) => db.selectFrom('local_actor').select('team_id').executeTakeFirst());
    if (team) return;
    await seedDemoTeam(app, resolve(import.meta.dirname, '../../demo'));
    console.log('Demo team loaded.');
  } finally {
    await app.close();
  }
}

prepare().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
