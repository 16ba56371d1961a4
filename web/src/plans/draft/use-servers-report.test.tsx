import { renderHook } from '@testing-library/react';
import type { PlanView } from '@wainrope/contract';
import { type Case, CORE_VERSION, contentDigest, type Rig, type ToldReport } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { useServersReport } from './use-servers-report.ts';

const rig = { bodies: [] } as unknown as Rig;
const subject = {
  kind: 'rig',
  name: 'Bog',
  asOf: '2026-01-15',
  rig,
  gear: [{ id: 'a', tag: 'TS-01' }],
  policy: { x: 1 },
} as unknown as Case;
const report = { coreVersion: CORE_VERSION, verdict: 'watch' } as ToldReport;
const planOf = (fresh: Partial<PlanView['fresh']> = {}) =>
  ({ rig, fresh: { report, caseDigest: contentDigest(subject), asOf: '2026-01-15', outOfDate: [], ...fresh } }) as unknown as PlanView;
const told = (plan: PlanView, of: Rig | undefined, wanted: Case | undefined) =>
  renderHook(() => useServersReport(plan, of, wanted)).result.current;

describe('what the server says of the open case', () => {
  it('is taken where it judged this very case', () => {
    expect(told(planOf(), rig, subject)).toBe(report);
    expect(told(planOf(), rig, { ...subject })).toBe(report);
  });
  it('is not taken of a rig that was touched, though it be the same again', () => {
    const again = { ...rig };
    expect(told(planOf(), again, { ...subject, rig: again } as Case)).toBeUndefined();
  });
  it.each([
    ['day', { ...subject, asOf: '2026-01-16' }],
    ['name', { ...subject, name: 'Bog 2' }],
    ['register', { ...subject, gear: [{ id: 'a', tag: 'TS-02' }] }],
    ['policy', { ...subject, policy: { x: 2 } }],
  ])('is not taken of another %s', (_what, other) => {
    expect(told(planOf(), rig, other as unknown as Case)).toBeUndefined();
  });
  it('is not taken of other rules, nor where it does not say of which case it is', () => {
    expect(told(planOf({ report: { ...report, coreVersion: `${CORE_VERSION}0` } }), rig, subject)).toBeUndefined();
    expect(told(planOf({ caseDigest: undefined as unknown as string }), rig, subject)).toBeUndefined();
  });
  it('is not taken before there is a case', () => {
    expect(told(planOf(), rig, undefined)).toBeUndefined();
  });
});
