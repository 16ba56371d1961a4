import { resolve } from 'node:path';
import type { INestApplicationContext } from '@nestjs/common';
import { AccessService } from './access/access.service.ts';
import { createApplication } from './application.ts';
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

async function main(): Promise<void> {
  const host = process.env.WAINROPE_HOST ?? '127.0.0.1';
  const port = Number(process.env.WAINROPE_PORT ?? '4810');
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Error(`WAINROPE_PORT is “${process.env.WAINROPE_PORT}”: a port from 1 to 65535 is expected.`);
  const app = await createApplication(resolve(import.meta.dirname, '../../web/dist'));
  await checkReach(app, host);
  app.enableShutdownHooks();
  await app.listen(port, host);
  log.info({ host, port }, 'listening');
}

main().catch((error: unknown) => {
  log.fatal({ err: error }, 'the server did not start');
  process.exit(1);
});
