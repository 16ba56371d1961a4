// Writes down what core says of all demo cases, of every layout as laid and of random rigs, or compares it with an earlier writing:
//   npm run reports -- write FILE      npm run reports -- compare FILE
// Ids of findings and places in the list do not count; sentences do, as a reader sees them.
import { createReadStream, createWriteStream, readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { createInterface } from 'node:readline';
import { type Case, type Finding, readRigFile, wordsOf, write } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { layouts } from '../core/src/testing/layouts.ts';
import { randomCases } from './random-cases.ts';

const SEED = 20_261_129;
const RANDOM = 2000;
const DEMO = resolve(import.meta.dirname, '../demo');

function* allCases(): Generator<readonly [string, Case]> {
  for (const folder of ['plans', 'cases'])
    for (const name of readdirSync(join(DEMO, folder)).sort()) {
      const file = readRigFile(JSON.parse(readFileSync(join(DEMO, folder, name), 'utf8')));
      if (!file.ok) throw new Error(`${name}: ${JSON.stringify(file.faults)}`);
      yield [`${folder}/${name}`, file.value.case];
    }
  for (const { file, build } of layouts) yield [`layout ${file}`, build()];
  let index = 0;
  for (const subject of randomCases(SEED, RANDOM)) yield [`random ${index++}`, subject];
}

function said(finding: Finding): string {
  const { id: _id, place: _place, data: _data, ...rest } = finding;
  const { title, detail, why } = wordsOf(finding);
  return JSON.stringify({ ...rest, why, title: write(title), detail: write(detail) }, sorted);
}

/** Fields in one order, numbers to twelve digits: the last bits are not what is compared. */
function sorted(_: string, value: unknown): unknown {
  if (typeof value === 'number') return Math.abs(value) < 1e-9 ? 0 : Number(value.toPrecision(9));
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));
}

function lineOf(name: string, subject: Case): string {
  const { findings, coreVersion: _version, ...report } = judge(subject);
  return JSON.stringify({ name, report, findings: findings.map(said).sort() }, sorted);
}

async function main(): Promise<void> {
  const [mode, file] = process.argv.slice(2);
  if ((mode !== 'write' && mode !== 'compare') || file === undefined) throw new Error('say: write FILE, or compare FILE');
  if (mode === 'write') {
    const out = createWriteStream(file);
    for (const [name, subject] of allCases()) out.write(`${lineOf(name, subject)}\n`);
    out.end();
    return;
  }
  const before = createInterface({ input: createReadStream(file) })[Symbol.asyncIterator]();
  let [same, other] = [0, 0];
  for (const [name, subject] of allCases()) {
    const old = await before.next();
    const now = lineOf(name, subject);
    if (old.value === now) same++;
    else if (++other <= 5) console.log(`${name}\n  before ${old.value}\n  now    ${now}`);
  }
  console.log(`${same} the same, ${other} different`);
  process.exitCode = other === 0 ? 0 : 1;
}

await main();
