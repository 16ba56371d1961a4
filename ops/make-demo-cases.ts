// Writes every layout of the work as a rig file of its own. Run: npm run generate
import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { RIG_FILE_FORMAT, RIG_FILE_VERSION } from '@wainrope/core';
import { layouts } from '../core/src/testing/layouts.ts';

const folder = resolve(import.meta.dirname, '../demo/cases');
mkdirSync(folder, { recursive: true });
for (const name of readdirSync(folder)) rmSync(join(folder, name));
for (const { file, layout, build } of layouts) {
  const content = { format: RIG_FILE_FORMAT, version: RIG_FILE_VERSION, case: build(), note: `Layout: ${layout}.` };
  writeFileSync(join(folder, `${file}.json`), `${JSON.stringify(content, null, 1)}\n`);
}
console.log(`${layouts.length} layouts written.`);
