import { CORE_VERSION, layouts } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { summary } from './plan-summary.ts';

type Listed = Parameters<typeof summary>[0];
const now = { policyHash: 'a', today: '2026-06-01' };
const listed = (change: object): Listed =>
  ({
    plan_id: 'p',
    name: 'Bog',
    version_no: 2,
    state: 'draft',
    saved_at: new Date('2026-06-01T10:00:00Z'),
    saved_by_name: 'Ada',
    as_of: '2026-06-01',
    policy_hash: 'a',
    core_version: CORE_VERSION,
    verdict: 'clear',
    weakest: 'SH-01',
    pieces_changed: [],
    tags: ['SH-01'],
    ...change,
  }) as unknown as Listed;

describe('a plan in a list', () => {
  const [layout] = layouts;
  if (!layout) throw new Error('no layouts');
  const { rig } = layout.build();

  it('has its small drawing and what is in it', () => {
    const told = summary(listed({ rig: { ...rig, origin: { latitudeDeg: 54.5, longitudeDeg: -3.25, bearingRad: 0 } } }), undefined, now);
    expect(told).toMatchObject({ tags: ['SH-01'], people: [], position: '54.50000, -3.25000', asOf: '2026-06-01' });
    expect(told.vehicles.length).toBeGreaterThan(0);
    expect(told.sketch?.ropes.length).toBeGreaterThan(0);
  });
  it('is listed without them where its rig is not understood any more', () => {
    const told = summary(listed({ rig: { bodies: 'none' } }), undefined, now);
    expect(told).toMatchObject({ name: 'Bog', verdict: 'clear', people: [], vehicles: [] });
    expect(told.sketch).toBeUndefined();
  });
});
