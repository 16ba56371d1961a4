import type { HookUpView } from '@wainrope/contract';
import { applied, layOnSite, layouts, type Rig, teamStandard, wordsOf, write } from '@wainrope/core';
import { judge } from '@wainrope/core/judging';
import { describe, expect, it } from 'vitest';
import { bookEdits, consentEdits, entriesFor } from './book-points.ts';

const layout = layouts.find(({ id }) => id === 'single-line-to-a-vehicle');
if (!layout) throw new Error('no layout');
const laid = layOnSite(layout, undefined, {});
const rig: Rig = {
  ...laid,
  bodies: laid.bodies.map((body) => (body.id === 'otter' && body.kind === 'vehicle' ? { ...body, vehicleId: 'v-1' } : body)),
};
const [use] = rig.chains[0]?.pieces ?? [];
if (!use) throw new Error('no place');
const said = { person: 'Isla', on: '2026-06-01' };
const entry = (change: Partial<HookUpView>): HookUpView => ({
  entryId: 'e',
  model: 'Carrier, short',
  kind: 'used',
  place: 'left frame horn',
  by: 'Isla',
  on: '2025-01-01',
  photoIds: [],
  ...change,
});

describe('points of the hook-up book', () => {
  it('are those of the vehicle’s model, refused ones last', () => {
    const entries = [entry({ kind: 'refused' }), entry({}), entry({ model: 'Other' })];
    const found = entriesFor(rig, use.id, entries, (id) => (id === 'v-1' ? 'carrier, SHORT' : undefined));
    expect(found.map(({ kind }) => kind)).toEqual(['used', 'refused']);
    expect(entriesFor(rig, use.id, entries, () => undefined)).toEqual([]);
  });
  it('move the point there; a piece of the register is no longer claimed', () => {
    const after = applied(rig, bookEdits(rig, use, entry({ forwardM: 1.7, leftM: 0.4, heightM: 0.55 }), '', said));
    const point = after.points.find(({ bodyId }) => bodyId === 'otter');
    expect(point).toMatchObject({ label: 'left frame horn', place: { forwardM: 1.7, leftM: 0.4, heightM: 0.55 } });
    expect(after.chains[0]?.pieces[0]?.gearId).toBeUndefined();
  });
  it('are never hooked up at where they are refused, and a last resort only with consent by name', () => {
    expect(bookEdits(rig, use, entry({ kind: 'refused' }), 'Owner', said)).toEqual([]);
    expect(bookEdits(rig, use, entry({ kind: 'last-resort' }), '  ', said)).toEqual([]);
    const after = applied(rig, bookEdits(rig, use, entry({ kind: 'last-resort' }), ' Wilma Tarn ', said));
    expect(after.points.find(({ bodyId }) => bodyId === 'otter')?.label).toBe('left frame horn');
    expect(after.chains[0]?.pieces[0]?.named).toEqual({ lastResort: true, ...said, agreedBy: 'Wilma Tarn' });
  });
  it('tell the judgement that it is a last resort: its rule speaks, with who agreed', () => {
    const edited = applied(rig, bookEdits(rig, use, entry({ kind: 'last-resort' }), 'Wilma Tarn', said));
    const report = judge({ kind: 'rig', name: 'Test', asOf: '2026-06-01', rig: edited, gear: [], policy: teamStandard });
    const finding = report.findings.find(({ code }) => code === 'last-resort-point');
    expect(finding).toMatchObject({ severity: 'fix', subject: { id: use.id } });
    expect(finding && write(wordsOf(finding).detail)).toContain('Wilma Tarn knows the risk and agreed');
  });
  it('write down who agreed to a last resort of the register too', () => {
    const after = applied(rig, consentEdits(use, 'VP-1', '  Ada Moss ', said));
    expect(after.chains[0]?.pieces[0]).toMatchObject({ gearId: 'VP-1', named: { lastResort: true, agreedBy: 'Ada Moss' } });
  });
});
