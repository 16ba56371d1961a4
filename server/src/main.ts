import type { Server } from 'node:http';
import { resolve } from 'node:path';
import type { INestApplicationContext } from '@nestjs/common';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { AccessService } from './access/access.service.ts';
import { createApplication } from './application.ts';
import { TeamDatabase } from './database/team-database.ts';
import { LiveEvents } from './events/live-events.ts';
import { watchAddress } from './health/watch-address.ts';
import { log } from './http/logging.ts';

const LOOPBACK = ['127.0.0.1', '::1', 'localhost'];

/** Beyond loopback, passwords travel a network: a public address is asked for, and no demo that lets anybody in. */
async function checkReach(app: INestApplicationContext, host: string): Promise<void> {
  const publicUrl = process.env.WAINROPE_PUBLIC_URL;
  if (publicUrl !== undefined && publicUrl !== '' && !/^https?:\/\/[^/]+$/.test(publicUrl))
    throw new Error(`WAINROPE_PUBLIC_URL is “${publicUrl}”: an address such as https://gear.example.org, without a path, is expected.`);
  if (LOOPBACK.includes(host) && !publicUrl) return;
  if (!publicUrl)
    throw new Error(
      `WAINROPE_HOST is ${host}: to be reached beyond this machine, set WAINROPE_PUBLIC_URL to the address that people type (https://…), and WAINROPE_TRUST_PROXY to the address of the proxy that serves it.`,
    );
  const { demo } = await app.get(AccessService).view(undefined);
  if (demo !== undefined)
    throw new Error(
      'The demo lets anybody sign in, so it is served on loopback only. Start with `npm start -- --no-demo` on a new data folder.',
    );
}

/** A port that a variable of the environment names. */
function portOf(name: string, otherwise: string): number {
  const told = process.env[name] || otherwise;
  const port = Number(told);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) throw new Error(`${name} is “${told}”: a port from 1 to 65535 is expected.`);
  return port;
}

/** Health and metrics, where somebody watches: on loopback, unless another address of this machine is named. */
async function beWatched(app: NestExpressApplication): Promise<void> {
  if (!process.env.WAINROPE_METRICS_PORT) return;
  const host = process.env.WAINROPE_METRICS_HOST ?? '127.0.0.1';
  const port = portOf('WAINROPE_METRICS_PORT', '');
  const watched = watchAddress(app);
  await new Promise<void>((done, fail) => watched.once('error', fail).listen(port, host, done));
  app.get(TeamDatabase).beforeClose(() => watched.close());
  log.info({ host, port }, 'watched');
}

async function main(): Promise<void> {
  const host = process.env.WAINROPE_HOST ?? '127.0.0.1';
  const port = portOf('WAINROPE_PORT', '4810');
  const app = await createApplication(resolve(import.meta.dirname, '../../web/dist'));
  await checkReach(app, host);
  await app.listen(port, host);
  await beWatched(app);
  endsWhenAsked(app);
  log.info({ host, port }, 'listening');
}

/** What is on its way has so long to be answered. */
const ANSWERED_MS = 1000;

/** Ends in order when it is asked to: streams first, then what is on its way, then all that this process holds. */
function endsWhenAsked(app: NestExpressApplication): void {
  let isEnding = false;
  const end = (signal: NodeJS.Signals) => {
    if (isEnding) return;
    isEnding = true;
    log.info({ signal }, 'ending');
    app.get(LiveEvents).endAll();
    const server = app.getHttpServer() as Server;
    setTimeout(() => server.closeAllConnections(), ANSWERED_MS).unref();
    app.close().then(
      () => process.exit(0),
      (error: unknown) => {
        log.error({ err: error }, 'did not end in order');
        process.exit(1);
      },
    );
    server.closeIdleConnections();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, end);
}

main().catch((error: unknown) => {
  log.fatal({ err: error }, 'the server did not start');
  process.exit(1);
});
