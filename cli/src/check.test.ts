import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { check } from './check.ts';

const plan = (name: string) => readFileSync(resolve(import.meta.dirname, '../../demo/plans', `${name}.json`), 'utf8');
const run = (text: string, options: Partial<Parameters<typeof check>[1]> = {}) => check(text, { json: false, units: 'kN', ...options });

describe('wainrope check', () => {
  it.each([
    ['plantation-ride-self-recovery', 0, 'CLEAR'],
    ['otter-at-the-ford', 1, 'WATCH'],
    ['badger-on-peat-track', 1, 'WATCH'],
    ['bog-below-tarn-quarry', 2, 'STOP'],
  ])('%s ends with code %i', (name, code, word) => {
    const answer = run(plan(name));
    expect(answer.code).toBe(code);
    expect(answer.out.startsWith(word)).toBe(true);
    expect(answer.out).toContain('Keep everyone clear of the line.');
  });
  it('prints the same findings for a person as for a program', () => {
    const report = JSON.parse(run(plan('bog-below-tarn-quarry'), { json: true }).out);
    const text = run(plan('bog-below-tarn-quarry')).out;
    for (const { code } of report.findings) expect(text).toContain(`[${code}]`);
  });
  it('reads states and dues as of another day', () => {
    expect(run(plan('plantation-ride-self-recovery'), { asOf: '2028-01-01' }).out).toContain('[inspection-overdue]');
    expect(run(plan('plantation-ride-self-recovery'), { asOf: 'tomorrow' })).toMatchObject({
      code: 3,
      error: expect.stringContaining('not a day'),
    });
  });
  it('speaks in the reader’s unit', () => {
    expect(run(plan('bog-below-tarn-quarry'), { units: 'lbf' }).out).toMatch(/Pull needed 6\u202f\d\d0 lbf/);
  });
  it('answers 3 and the paths of the faults when it does not understand', () => {
    expect(run('not json')).toMatchObject({ code: 3, error: expect.stringContaining('not JSON') });
    const broken = JSON.parse(plan('bog-below-tarn-quarry'));
    broken.case.rig.bodies[0].massKg = 'heavy';
    expect(run(JSON.stringify(broken)).error).toContain('case.rig.bodies[0].massKg: "heavy" stands here; a number is expected');
    expect(JSON.parse(run('{}', { json: true }).out)).toMatchObject({
      kind: 'not-understood',
      faults: expect.arrayContaining([{ path: 'format', message: 'this field is missing' }]),
    });
  });
});
