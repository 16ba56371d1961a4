import { resolve } from 'node:path';
import { createApplication } from './application.ts';
import { log } from './http/logging.ts';

const LOOPBACK = ['127.0.0.1', '::1', 'localhost'];

async function main(): Promise<void> {
  const host = process.env.WAINROPE_HOST ?? '127.0.0.1';
  const port = Number(process.env.WAINROPE_PORT ?? '4810');
  if (!LOOPBACK.includes(host))
    throw new Error(`WAINROPE_HOST is ${host}: until people sign in, the server listens on loopback only (${LOOPBACK.join(', ')}).`);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Error(`WAINROPE_PORT is “${process.env.WAINROPE_PORT}”: a port from 1 to 65535 is expected.`);
  const app = await createApplication(resolve(import.meta.dirname, '../../web/dist'));
  app.enableShutdownHooks();
  await app.listen(port, host);
  log.info({ host, port }, 'listening');
}

main().catch((error: unknown) => {
  log.fatal({ err: error }, 'the server did not start');
  process.exitCode = 1;
});
