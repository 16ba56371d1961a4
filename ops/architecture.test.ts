import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { breachesIn, MOST_FILES } from './architecture.ts';

const ROOT = resolve(import.meta.dirname, '..');
const PACKAGES = ['core', 'contract', 'server', 'web', 'cli'];

/** Files that must be refused, each by its rule. Paths are of a copy of the project. */
const PROBES: readonly { readonly file: string; readonly text: string; readonly refusedBy: string }[] = [
  {
    file: 'web/src/plans/probe-door.ts',
    text: "import { judge } from '@wainrope/core/judging';\nexport const probe = judge;\n",
    refusedBy: 'page-without-solver',
  },
  {
    file: 'web/src/plans/probe-inside.ts',
    text: "import { solveNetwork } from '../../../core/src/statics/solve-network.ts';\nexport const probe = solveNetwork;\n",
    refusedBy: 'page-without-solver',
  },
  {
    file: 'core/src/gear/probe-room.ts',
    text: "import { applyEdit } from '../rig/edits.ts';\nexport const probe = applyEdit;\n",
    refusedBy: 'rooms-in-order',
  },
  {
    file: 'core/src/statics/probe-circle-other.ts',
    text: "import type { Probe } from './probe-circle.ts';\nexport interface Other { readonly probe: Probe }\n",
    refusedBy: 'no-circles',
  },
  {
    file: 'core/src/judgement/rules/fit/probe-rule.ts',
    text: "import { thinPin } from './thin-pin.ts';\nexport const probe = thinPin;\n",
    refusedBy: 'rule-by-its-list',
  },
  {
    file: 'core/src/index-of-probe.ts',
    text: "import { judge } from './index.ts';\nexport const probe = judge;\n",
    refusedBy: 'inside-core-no-door',
  },
  {
    file: 'core/src/statics/probe-npm.ts',
    text: "import { readFileSync } from 'node:fs';\nexport const probe = readFileSync;\n",
    refusedBy: 'core-is-pure',
  },
  { file: 'core/src/statics/probe-clock.ts', text: 'export const probe = () => Date.now();\n', refusedBy: 'no-surroundings-in-core' },
  { file: 'core/src/statics/probe-now.ts', text: 'export const probe = () => new Date();\n', refusedBy: 'no-surroundings-in-core' },
  { file: 'core/src/statics/probe-date.ts', text: 'export const probe = () => Date();\n', refusedBy: 'no-surroundings-in-core' },
  { file: 'core/src/statics/probe-chance.ts', text: 'export const probe = Math.random;\n', refusedBy: 'no-surroundings-in-core' },
  { file: 'core/src/statics/probe-log.ts', text: "export const probe = () => console.log('x');\n", refusedBy: 'no-surroundings-in-core' },
  {
    file: 'web/src/plans/probe-default.ts',
    text: [
      "import type { GearFacts } from '@wainrope/core';",
      'export function probe({ kind }: GearFacts): number {',
      "  switch (kind) { case 'winch': return 1; default: return 0; }",
      '}',
    ].join('\n'),
    refusedBy: 'no-switch-over-classes',
  },
  {
    file: 'server/src/gear/probe-kind.ts',
    text: "import type { GearFacts } from '@wainrope/core';\nexport const probe = (piece: GearFacts) => piece.kind === 'damper';\n",
    refusedBy: 'no-switch-over-classes',
  },
  { file: 'web/src/plans/probe-never.ts', text: 'export const probe: string = 1 as never;\n', refusedBy: 'no-way-round-types' },
  {
    file: 'server/src/gear/probe-unknown.ts',
    text: "export const probe = ('x' as unknown as { readonly a: string }).a;\n",
    refusedBy: 'no-way-round-types',
  },
  {
    file: 'core/src/winch/probe-number.ts',
    text: 'export const probe = (values: readonly number[]) => values[0] as number;\n',
    refusedBy: 'no-way-round-types',
  },
];
/** The other half of the circle, which is told once. */
const OTHER_HALF = {
  file: 'core/src/statics/probe-circle.ts',
  text: "import type { Other } from './probe-circle-other.ts';\nexport interface Probe { readonly other: Other }\n",
};
/** A folder that imports one which imports it; it is told of the folder. */
const FOLDERS = {
  file: 'server/src/actor/probe-folders.ts',
  text: "import type { AccessRepository } from '../access/access.repository.ts';\nexport type Probe = AccessRepository;\n",
};
/** A room with a file more than it may have. */
const FULL = Array.from({ length: MOST_FILES + 1 }, (_, index) => `core/src/winch/crowd/probe-${index}.ts`);

interface Violation {
  readonly rule: string;
  readonly file: string;
}

/** What the check of imports refuses below a folder. */
function importsRefused(root: string): readonly Violation[] {
  const program = join(ROOT, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs');
  const words = ['--config', '.dependency-cruiser.cjs', '--output-type', 'json', ...PACKAGES.map((name) => `${name}/src`)];
  const run = spawnSync(process.execPath, [program, ...words], { cwd: root, encoding: 'utf8', maxBuffer: 256e6 });
  const { summary } = JSON.parse(run.stdout) as {
    readonly summary: { readonly violations: readonly { readonly from: string; readonly rule: { readonly name: string } }[] };
  };
  return summary.violations.map(({ from, rule }) => ({ rule: rule.name, file: from }));
}

const testsBelow = (folder: string): readonly string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.test\.tsx?$/.test(file))
    .map((file) => join(folder, file));

describe('the project itself', () => {
  it('breaks no rule of its architecture', () => {
    // Its imports are checked on their own: npm run deps.
    expect(breachesIn(ROOT, PACKAGES)).toEqual([]);
  });
  it('gives a test that puts something in place of a module its modules to itself', () => {
    const tests = PACKAGES.flatMap((name) => testsBelow(join(ROOT, name, 'src')));
    const mocking = tests.filter((file) => readFileSync(file, 'utf8').includes('vi.mock('));
    expect(mocking.length).toBeGreaterThan(5);
    expect(mocking.filter((file) => !/\/web\/src\/.*\.mocked\.test\.tsx?$/.test(file))).toEqual([]);
  });
});

describe('what breaks a rule of the architecture', () => {
  let copy = '';
  let refused: readonly Violation[] = [];
  beforeAll(() => {
    copy = mkdtempSync(join(tmpdir(), 'wainrope-probes-'));
    for (const name of PACKAGES) {
      cpSync(join(ROOT, name, 'src'), join(copy, name, 'src'), { recursive: true });
      cpSync(join(ROOT, name, 'package.json'), join(copy, name, 'package.json'));
    }
    for (const file of ['tsconfig.json', 'tsconfig.base.json', '.dependency-cruiser.cjs', 'package.json'])
      cpSync(join(ROOT, file), join(copy, file));
    mkdirSync(join(copy, 'node_modules/@wainrope'), { recursive: true });
    for (const name of ['core', 'contract']) symlinkSync(join(copy, name), join(copy, 'node_modules/@wainrope', name));
    for (const { file, text } of [...PROBES, OTHER_HALF, FOLDERS]) writeFileSync(join(copy, file), text);
    for (const file of FULL) {
      mkdirSync(dirname(join(copy, file)), { recursive: true });
      writeFileSync(join(copy, file), 'export const probe = 1;\n');
    }
    refused = [...importsRefused(copy), ...breachesIn(copy, PACKAGES)];
  });
  afterAll(() => rmSync(copy, { recursive: true, force: true }));

  it.each(PROBES)('$file is refused: $refusedBy', ({ file, refusedBy }) => {
    expect(refused.filter((violation) => violation.file === file).map(({ rule }) => rule)).toContain(refusedBy);
  });
  it('folders that import each other are refused', () => {
    expect(refused).toContainEqual({ rule: 'no-circles-of-folders', file: 'server/src/actor' });
  });
  it('a room too full is refused', () => {
    expect(refused).toContainEqual(expect.objectContaining({ rule: 'room-too-full', file: 'core/src/winch/crowd' }));
  });
  it('and nothing else of the copy is', () => {
    const probes = new Set([...PROBES.map(({ file }) => file), ...FULL, 'core/src/winch/crowd']);
    // A probe that closes a circle of folders is told for each folder on it.
    expect(refused.filter(({ file, rule }) => !probes.has(file) && rule !== 'no-circles-of-folders')).toEqual([]);
  });
});
