import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../testing/example-case.ts';
import { judge } from '../judge.ts';
import { readKeptReport } from './kept-report.ts';

/** As core's fourth version wrote it: findings with sentences, ids without places. */
const FOURTH = {
  coreVersion: '4',
  verdict: 'watch',
  goodUntil: '2026-09-01',
  weakestPlaceId: 'use:strap',
  places: [{ id: 'use:strap', tag: 'TS-01', name: 'Tree strap', wllN: 1 }, { id: 'use:other' }],
  findings: [
    {
      id: 'no-damper@strand:0',
      code: 'no-damper',
      severity: 'caution',
      undecided: false,
      title: ['No damper hangs on the line'],
      detail: [],
      subject: { kind: 'strand', id: '0' },
    },
  ],
};

describe('a report that was kept', () => {
  it('by an earlier core tells its verdict, its weakest piece and its findings, and nothing that only today’s can mean', () => {
    expect(readKeptReport(FOURTH)).toEqual({
      ok: true,
      value: {
        coreVersion: '4',
        verdict: 'watch',
        goodUntil: '2026-09-01',
        weakest: 'TS-01 Tree strap',
        findings: [{ code: 'no-damper', severity: 'caution', undecided: false }],
      },
    });
  });
  it('by this one tells the same', () => {
    const report = judge(exampleCase());
    const kept = readKeptReport(JSON.parse(JSON.stringify(report)));
    expect(kept.ok && kept.value).toMatchObject({ coreVersion: report.coreVersion, verdict: report.verdict });
    expect(kept.ok && kept.value.findings.map(({ code }) => code)).toEqual(report.findings.map(({ code }) => code));
  });
  it.each([
    ['nothing', undefined],
    ['words', 'a report'],
    ['a verdict that no core gives', { ...FOURTH, verdict: 'perfect' }],
    ['a severity that no core gives', { ...FOURTH, findings: [{ ...FOURTH.findings[0], severity: 'mild' }] }],
  ])('is refused where it is %s', (_, value) => {
    expect(readKeptReport(value).ok).toBe(false);
  });
});
