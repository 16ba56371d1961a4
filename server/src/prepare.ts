import 'reflect-metadata';
import { resolve } from 'node:path';
import { NestFactory } from '@nestjs/core';
import { AccessService } from './access/access.service.ts';
import { AppModule } from './app.module.ts';
import { migrate } from './database/migrate.ts';
import { nestLog } from './http/logging.ts';
import { seedDemoTeam } from './seed/demo-team.ts';

/** The address that people type. */
function publicAddress(): string {
  return process.env.WAINROPE_PUBLIC_URL || `http://${process.env.WAINROPE_HOST ?? '127.0.0.1'}:${process.env.WAINROPE_PORT ?? '4810'}`;
}

/** Brings the database to the newest schema and, where it holds no team, loads the demo or prints the link that founds one. Run by the start command before serving. */
async function prepare(): Promise<void> {
  const ownerUrl = process.env.WAINROPE_OWNER_URL;
  if (!ownerUrl) throw new Error('WAINROPE_OWNER_URL is not set: the address of the database for the owning role.');
  const done = await migrate(ownerUrl);
  if (done.length > 0) console.log(`Database brought up to date: ${done.join(', ')}`);
  const app = await NestFactory.createApplicationContext(AppModule, { logger: nestLog, abortOnError: false });
  try {
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

prepare().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
