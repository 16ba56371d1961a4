// @ts-check
// Everything that is generated: the API's document, the web's client, the rule table, the schemas, the demo plans.

import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { generateEndpoints } from '@rtk-query/codegen-openapi';
import { run } from './packages.mjs';
import { ROOT } from './postgres.mjs';

const node = process.execPath;
run(node, ['node_modules/typescript/bin/tsc', '-b', 'server'], 'Building the server');
run(node, ['server/dist/write-openapi.js'], 'Writing the API document');
mkdirSync(join(ROOT, 'web/src/api/generated'), { recursive: true });
await generateEndpoints({
  schemaFile: join(ROOT, 'server/openapi.json'),
  apiFile: join(ROOT, 'web/src/api/base-api.ts'),
  apiImport: 'baseApi',
  outputFile: join(ROOT, 'web/src/api/generated/wainrope-api.ts'),
  exportName: 'generatedApi',
  hooks: true,
});
const client = join(ROOT, 'web/src/api/generated/wainrope-api.ts');
writeFileSync(
  client,
  readFileSync(client, 'utf8')
    .replace(/from "[^"]*base-api"/, 'from "../base-api.ts"')
    .replaceAll('[key: string]: any;', '[key: string]: unknown;'),
);
for (const script of ['ops/make-demo-plans.ts', 'ops/make-demo-cases.ts', 'ops/make-documents.ts'])
  run(node, ['--import', 'tsx', '--conditions=source', script], script);
console.log('Generated.');
