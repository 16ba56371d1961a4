import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { readRigFile, rules, teamStandard } from '@wainrope/core';
import { figuresOf, judgedCase } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import { readsStdin, run } from './run.ts';

const demo = (path: string) => resolve(import.meta.dirname, '../../demo', path);
const bog = demo('plans/bog-below-tarn-quarry.json');
const compound = demo('cases/compound-by-hand.json');
const old = resolve(import.meta.dirname, '../../core/old-files/rig-version-1.json');
const second = resolve(import.meta.dirname, '../../core/old-files/rig-version-2.json');
const json = (args: readonly string[]) => JSON.parse(run([...args, '--json']).out);
function written(content: unknown): string {
  const file = join(mkdtempSync(join(tmpdir(), 'wainrope-')), 'file.json');
  writeFileSync(file, JSON.stringify(content));
  return file;
}

describe('wainrope estimate', () => {
  it('shows every method with its terms, what is planned, and what each action saves', () => {
    const { out, code } = run(['estimate', bog]);
    expect(code).toBe(0);
    expect(out).toMatch(/By depth: 2\d\.\d kN/);
    expect(out).toMatch(/Planned 2\d\.\d kN: the multiple for its depth/);
    expect(out).toMatch(/1\d\.\d kN {2}Dig wheels and belly free/);
    const { effort, pullN, actions } = json(['estimate', bog]);
    expect(pullN).toBe(effort.plannedN);
    expect(actions[0]).toMatchObject({ id: 'dig' });
  });
  it('speaks in the reader’s unit', () => {
    expect(run(['estimate', bog, '--units', 't']).out).toMatch(/Planned 2\.\d\d tf/);
  });
});

describe('wainrope explain', () => {
  it('tells why every rule is there', () => {
    for (const { code, why } of rules) expect(run(['explain', code])).toMatchObject({ code: 0, out: expect.stringContaining(why) });
    expect(json(['explain', 'over-limit'])).toMatchObject({ severity: 'stop', softenable: false });
  });
  it('offers what is near a code that it does not know', () => {
    expect(run(['explain', 'limit'])).toMatchObject({ code: 3, error: expect.stringContaining('over-limit') });
  });
  it('lists the figures of a case and works one out line by line', () => {
    const all = run(['explain', compound]).out;
    expect(all).toContain('advantage.hauling');
    const { out } = run(['explain', compound, 'plannedPullN']);
    expect(out).toMatch(/^Line pull {2}/);
    expect(out).toContain('share that passes a half turn');
    expect(json(['explain', compound, 'pullN']).figure.si).toBeGreaterThan(1000);
    expect(json(['explain', compound])).toHaveLength(figuresOf(judgedCase(caseOf(compound))).length);
  });
  it('refuses a figure that is not there and shows what is near', () => {
    expect(run(['explain', compound, 'plannedN'])).toMatchObject({ code: 3, error: expect.stringContaining('strands[hauled.0].plannedN') });
  });
});

function caseOf(path: string) {
  const file = readRigFile(JSON.parse(run(['convert', path]).out));
  if (!file.ok) throw new Error(JSON.stringify(file.faults));
  return file.value.case;
}

describe('wainrope validate and convert', () => {
  it('knows every demo file, and an old one as old', () => {
    expect(run(['validate', bog, compound])).toMatchObject({ code: 0, out: expect.stringContaining('Valid rig file, version 8') });
    expect(run(['validate', old]).out).toContain('version 1 (now 8: convert writes it so)');
    expect(run(['validate', second]).out).toContain('version 2 (now 8: convert writes it so)');
  });
  it('brings an old file to the present version; converting again changes nothing', () => {
    const once = run(['convert', old]).out;
    expect(JSON.parse(once)).toMatchObject({ version: 8 });
    expect(run(['convert', written(JSON.parse(once))]).out).toBe(once);
  });
  it('judges an old file as it judged it then: the same weakest place and the same loads', () => {
    const now = json(['check', old]);
    expect(now.weakestPlaceId).toBe('tree-strap:legs');
    expect(now.plannedPullN / 1000).toBeCloseTo(14.5, 0);
  });
  it('names every fault of a file that is none', () => {
    expect(run(['validate', written({ format: 'other' })])).toMatchObject({ code: 3, error: expect.stringContaining('format') });
    expect(run(['validate', '/nowhere/at-all.json'])).toMatchObject({ code: 3 });
  });
});

describe('wainrope policy', () => {
  it('lists the presets and what each changes', () => {
    expect(run(['policy']).out).toMatch(/team-standard.*the default/);
    expect(run(['policy', 'lifting-style']).out).toContain('designFactors.soft-good: 5 (default 3)');
    expect(json(['policy', 'team-standard'])).toEqual(JSON.parse(JSON.stringify(teamStandard)));
  });
  it('judges by another policy, by name or from a file', () => {
    const own = json(['check', bog]).places.find(({ id }: { id: string }) => id === 'anchor-connector:body').wllN;
    const strict = json(['check', bog, '--policy', 'lifting-style']).places.find(
      ({ id }: { id: string }) => id === 'anchor-connector:body',
    ).wllN;
    expect(strict / own).toBeCloseTo(3 / 5, 9);
    const file = written({ ...teamStandard, severities: { 'off-centre-point': 'stop' } });
    expect(json(['check', demo('plans/plantation-ride-self-recovery.json'), '--policy', file]).verdict).toBe('stop');
  });
  it('refuses a policy that softens what no team may soften', () => {
    const file = written({ ...teamStandard, severities: { 'over-limit': 'note' } });
    expect(run(['check', bog, '--policy', file])).toMatchObject({ code: 3, error: expect.stringContaining('no team may soften it') });
    expect(run(['policy', file])).toMatchObject({ code: 3, error: expect.stringContaining('over-limit') });
    expect(run(['policy', written({ ...teamStandard, severities: { 'no-such-rule': 'note' } })]).code).toBe(3);
  });
});

describe('the command line', () => {
  const clear = demo('plans/plantation-ride-self-recovery.json');
  const watch = demo('plans/otter-at-the-ford.json');

  it('explains itself, all of it and each command', () => {
    expect(run(['--help'])).toMatchObject({ code: 0, out: expect.stringContaining('wainrope estimate FILE'), error: '' });
    for (const name of ['check', 'simulate', 'shock', 'estimate', 'explain', 'validate', 'convert', 'policy']) {
      const own = run([name, '--help']);
      expect(own).toMatchObject({ code: 0, error: '' });
      expect(own.out).toMatch(new RegExp(`^wainrope ${name} `));
      expect(own.out).toContain('2  stop');
      expect(run(['help', name])).toEqual(own);
      expect(run(['--help']).out).toContain(`wainrope ${name} `);
    }
  });
  it.each([
    [[], 'Say what is to be done.'],
    [['dance'], '“dance” is not a command.'],
    [['help', 'dance'], '“dance” is not a command.'],
    [['check'], 'check needs a file'],
    [['check', bog, '--units', 'stone'], '“stone” is not a unit this program knows'],
    [['check', bog, '--as-of', 'soon'], '“soon” is not a day'],
    [['check', bog, '--loud'], '--loud'],
    [['check', bog, '--csv'], '--csv goes with simulate and shock'],
    [['simulate', bog, clear, '--csv'], '--csv takes one file.'],
    [['check', bog, '--policy', '/nowhere/at-all.json'], '--policy: There is no file “/nowhere/at-all.json”.'],
    [['explain'], 'explain takes a rule'],
    [['explain', '/nowhere/at-all.json'], 'There is no file'],
    [['explain', 'nowhere', 'pullN'], 'There is no file “nowhere”.'],
    [['explain', 'no-such-rule'], 'No rule has the code'],
    [['policy', 'no-such-preset'], 'No preset has that name either'],
    [['shock', clear], 'has no run-up'],
    [['convert', bog, bog], 'convert takes one file.'],
  ])('refuses %j in words, and for a program as a document', (args, words) => {
    const told = run(args);
    expect([told.code, told.out]).toEqual([3, '']);
    expect(told.error).toContain(words);
    const { code, out, error } = run([...args.filter((arg) => arg !== '--csv'), ...(args.includes('--csv') ? ['--csv'] : []), '--json']);
    expect([code, error]).toEqual([3, '']);
    const { kind, message, faults } = JSON.parse(out);
    expect(['refused', 'not-understood']).toContain(kind);
    expect(message ?? faults[0].message).toBeTypeOf('string');
  });
  it('ends with the greatest code of several files', () => {
    expect(run(['check', clear]).code).toBe(0);
    expect(run(['check', clear, watch]).code).toBe(1);
    expect(run(['check', clear, bog, watch]).code).toBe(2);
  });
  it('judges the others where one file cannot be read, and says which in words', () => {
    const folder = mkdtempSync(join(tmpdir(), 'wainrope-'));
    const { out, error, code } = run(['check', clear, '/nowhere/at-all.json', folder, written({ format: 'other' }), bog]);
    expect(code).toBe(3);
    expect(out).toMatch(/CLEAR[\s\S]*STOP/);
    expect(error).toContain('/nowhere/at-all.json: There is no file “/nowhere/at-all.json”.');
    expect(error).toContain(`${folder}: “${folder}” is a folder; name a file in it.`);
    expect(error).toContain('is not understood:');
    expect(error).not.toContain('ENOENT');
  });
  it('gives one document for many files, each with its name, its code and its answer', () => {
    const both = json(['check', clear, '/nowhere/at-all.json', bog]);
    expect(both).toMatchObject({ kind: 'files', code: 3 });
    expect(both.files.map(({ file, code }: { file: string; code: number }) => [file, code])).toEqual([
      [clear, 0],
      ['/nowhere/at-all.json', 3],
      [bog, 2],
    ]);
    expect(both.files[0].answer).toEqual(json(['check', clear]));
    expect(both.files[1].answer).toEqual({ kind: 'refused', message: 'There is no file “/nowhere/at-all.json”.' });
    expect(run(['check', clear, bog, '--json']).code).toBe(2);
  });
  it('reads standard input where “-” stands', () => {
    const stdin = readFileSync(bog, 'utf8');
    expect(readsStdin(['check', '-'])).toBe(true);
    expect(readsStdin(['check', bog])).toBe(false);
    expect(run(['check', '-'], { stdin })).toEqual(run(['check', bog]));
    expect(run(['explain', '-', 'pullN'], { stdin })).toEqual(run(['explain', bog, 'pullN']));
    expect(run(['check', '-'])).toMatchObject({ code: 3, error: 'Nothing comes on standard input.\n' });
  });
  it('comes down a pipe, and ends quietly where nobody reads on', () => {
    const main = resolve(import.meta.dirname, '../dist/main.js');
    if (!existsSync(main)) throw new Error('The command line is not built: run npm run build');
    const piped = spawnSync('bash', ['-c', `cat '${bog}' | '${process.execPath}' '${main}' check --json -`], { encoding: 'utf8' });
    expect([piped.status, piped.stderr]).toEqual([2, '']);
    expect(JSON.parse(piped.stdout).verdict).toBe('stop');
    const cut = spawnSync('bash', ['-c', `set -o pipefail; '${process.execPath}' '${main}' explain '${compound}' | head -1`], {
      encoding: 'utf8',
    });
    expect(cut.stderr).toBe('');
  });
});
