import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { read } from '@wainrope/core';
import { pullFileCodec, runUpFileCodec } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import { run } from './run.ts';

const demo = (path: string) => resolve(import.meta.dirname, '../../demo', `${path}.json`);
const badger = demo('plans/badger-on-peat-track');
const stretch = demo('cases/stretch-pull');
const extension = demo('cases/extension-in-the-return-leg');

describe('wainrope simulate', () => {
  it('tells a person how far it goes, what happens at which metre, and the worst of every piece beside its start', () => {
    const further = JSON.parse(readFileSync(extension, 'utf8'));
    further.case.rig.load.travelM = 6;
    const file = join(mkdtempSync(join(tmpdir(), 'wainrope-')), 'further.json');
    writeFileSync(file, JSON.stringify(further));
    const { out, code } = run(['simulate', file]);
    expect(code).toBe(2);
    expect(out).toMatch(/Goes 3\.\d m of 6\.0 m: a joint in the rope comes to a pulley or the fairlead\./);
    expect(out).toContain('[splice-reaches-pulley]');
    expect(run(['simulate', badger]).out).toMatch(/W-03 .*: 80 % at 9\.0 m \(start 67 %\)/);
  });
  it('gives a program what its schema says, a row a moment', () => {
    const answer = run(['simulate', badger, '--json']);
    const file = read(pullFileCodec, JSON.parse(answer.out));
    if (!file.ok) throw new Error(JSON.stringify(file.faults[0]));
    expect(file.value.rows[0]).toMatchObject({ travelM: 0, drives: [{ layer: 3 }] });
    expect(file.value.rows.at(-1)?.travelM).toBeCloseTo(9, 9);
    expect(file.value.rows.length).toBeGreaterThanOrEqual(451);
    expect(answer.code).toBe(1);
  });
  it('gives a spreadsheet the same rows under headings with their units', () => {
    const rows = run(['simulate', badger, '--csv']).out.trim().split('\r\n');
    expect(rows[0]).toBe(
      'travel_m,pull_N,line_pull_N,greatest_pull_N,utilisation,breaking,sideways_N,downward_N,line_line_out_m,line_layer,line_load_share',
    );
    expect(rows.every((row) => row.split(',').length === 11)).toBe(true);
    expect(Number(rows.at(-1)?.split(',')[0])).toBeCloseTo(9, 9);
  });
});

describe('wainrope shock', () => {
  it('tells the attempts with run-up, slack and peak', () => {
    const { out } = run(['shock', stretch]);
    expect(out).toMatch(/At most 15\.\d km\/h\. Nobody has chosen a speed: the proposal is judged\./);
    expect(out.match(/peak \d/g)).toHaveLength(3);
  });
  it('gives a program what its schema says: tension that rises from nothing to its peak', () => {
    const file = read(runUpFileCodec, JSON.parse(run(['shock', stretch, '--json']).out));
    if (!file.ok) throw new Error(JSON.stringify(file.faults[0]));
    for (const { planned, greatest, peakN } of file.value.attempts) {
      expect(planned[0]).toMatchObject({ timeS: 0, tensionN: 0 });
      const most = Math.max(...planned.map(({ tensionN }) => tensionN));
      expect(most).toBeLessThanOrEqual(peakN * (1 + 1e-9));
      expect(Math.max(...greatest.map(({ tensionN }) => tensionN))).toBeGreaterThan(most);
    }
  });
  it('gives a spreadsheet all attempts, both checks', () => {
    const rows = run(['shock', stretch, '--csv'])
      .out.trim()
      .split('\r\n')
      .slice(1)
      .map((row) => row.split(',').map(Number));
    expect(new Set(rows.map(([attempt]) => attempt))).toEqual(new Set([1, 2, 3]));
    expect(new Set(rows.map(([, check]) => check))).toEqual(new Set([0, 1]));
  });
  it('says of a rig without run-up that it has none, and of one that cannot be reckoned what is missing', () => {
    expect(run(['shock', badger])).toMatchObject({ code: 3, error: expect.stringContaining('has no run-up') });
  });
});

it('takes rows where there are rows only, and not both for a program and for a spreadsheet', () => {
  expect(run(['check', badger, '--csv'])).toMatchObject({ code: 3, error: expect.stringContaining('--csv goes with simulate and shock') });
  expect(run(['simulate', badger, '--csv', '--json'])).toMatchObject({ code: 3 });
});

it('reads a file of every earlier version', () => {
  for (const version of [1, 2, 3, 4, 5, 6, 7]) {
    const file = resolve(import.meta.dirname, `../../core/old-files/rig-version-${version}.json`);
    expect(JSON.parse(readFileSync(file, 'utf8')).version).toBe(version);
    expect(run(['check', file]).code).toBeLessThan(3);
  }
});
