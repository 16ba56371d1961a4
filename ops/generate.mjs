// @ts-check
// Everything that is generated: the API's document, the web's client, the rule table, the schemas, the demo plans.

import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { generateEndpoints } from '@rtk-query/codegen-openapi';
import { ROOT } from './folders.mjs';
import { run } from './packages.mjs';

/**
 * The client without the types that the contract and core declare already: it takes them from there.
 * @param {string} generated @returns {string}
 */
function typedByContract(generated) {
  const names = [...generated.matchAll(/^export type (\w+) = \{$/gm)].map(([, name = '']) => name);
  const declared = new Set(names.filter((name) => !/Api(Arg|Response)$/.test(name)));
  const kept = generated.replace(/^export type (\w+) = \{\n[\s\S]*?^\};\n/gm, (block, name) => (declared.has(name) ? '' : block));
  const left = [...declared].filter((name) => new RegExp(`\\b${name}\\b`).test(kept)).sort();
  return `import type { ${left.join(', ')} } from '@wainrope/contract';\n${kept}`;
}

const node = process.execPath;
await run(node, ['node_modules/typescript/bin/tsc', '-b', 'server'], 'Building the server');
await run(node, ['server/dist/write-openapi.js'], 'Writing the API document');
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
writeFileSync(client, typedByContract(readFileSync(client, 'utf8')).replace(/from "[^"]*base-api"/, 'from "../base-api.ts"'));
for (const script of ['ops/make-demo-plans.ts', 'ops/make-demo-cases.ts', 'ops/make-documents.ts'])
  await run(node, ['--import', 'tsx', '--conditions=source', script], script);
console.log('Generated.');
