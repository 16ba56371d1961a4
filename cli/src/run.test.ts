import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { readRigFile, rules, teamStandard } from '@wainrope/core';
import { figuresOf, judgedCase } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import { run } from './run.ts';

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
    expect(run(['validate', bog, compound])).toMatchObject({ code: 0, out: expect.stringContaining('Valid rig file, version 5') });
    expect(run(['validate', old]).out).toContain('version 1 (now 5: convert writes it so)');
    expect(run(['validate', second]).out).toContain('version 2 (now 5: convert writes it so)');
  });
  it('brings an old file to the present version; converting again changes nothing', () => {
    const once = run(['convert', old]).out;
    expect(JSON.parse(once)).toMatchObject({ version: 5 });
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
  it('explains itself and refuses what it does not know', () => {
    expect(run(['--help'])).toMatchObject({ code: 0, out: expect.stringContaining('wainrope estimate FILE') });
    for (const args of [
      [],
      ['dance'],
      ['check'],
      ['check', bog, '--units', 'stone'],
      ['check', bog, '--as-of', 'soon'],
      ['explain'],
      ['convert', bog, bog],
    ])
      expect(run(args).code, args.join(' ')).toBe(3);
  });
  it('ends with the greatest code of several files', () => {
    const clear = demo('plans/plantation-ride-self-recovery.json');
    expect(run(['check', clear]).code).toBe(0);
    expect(run(['check', clear, bog]).code).toBe(2);
  });
});
