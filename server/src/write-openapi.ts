import { writeFileSync } from 'node:fs';
import { resolve } from 'node:path';

/** Writes the API's document for the client generator. It needs no database: nothing connects until a request comes. */
process.env.WAINROPE_DATABASE_URL ??= 'postgres://unused@127.0.0.1:1/unused';
process.env.WAINROPE_SESSION_SECRET ??= 'unused'.repeat(6);
process.env.WAINROPE_LOG_LEVEL ??= 'error';

async function writeDocument(): Promise<void> {
  const { createApplication } = await import('./application.ts');
  const { openApiDocument } = await import('./http/openapi.ts');
  const app = await createApplication('');
  try {
    writeFileSync(resolve(import.meta.dirname, '../openapi.json'), `${JSON.stringify(openApiDocument(app), null, 2)}\n`);
  } finally {
    await app.close();
  }
}

writeDocument().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
