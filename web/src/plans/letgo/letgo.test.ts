import type { Leaving, LetGo } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import heldFile from '../../../../demo/cases/held-by-a-grip.json' with { type: 'json' };
import beckFile from '../../../../demo/plans/beck-crossing.json' with { type: 'json' };
import bogFile from '../../../../demo/plans/bog-below-tarn-quarry.json' with { type: 'json' };
import { caseOfFile } from '../../testing/case-of-file.ts';
import { judge } from '../../testing/judged.ts';
import type { SheetPlan } from '../draft/shown-plans.ts';
import { brokenPlan } from './broken-plan.ts';
import { milderActs, standActs } from './milder.ts';
import { breakables, firstToBreak } from './what-to-break.ts';

const bog = caseOfFile(bogFile);
const beck = caseOfFile(beckFile);
const held = caseOfFile(heldFile);
const report = judge(bog);

const part = (...pieces: Leaving['pieces']): Leaving => ({
  chainId: 'at-tree',
  from: { x: 0, y: 0, z: 0 },
  along: { x: 1, y: 0, z: 0 },
  massUnknownOf: [],
  pieces,
  caughtBy: [],
});
const letGo = (more: Partial<LetGo> = {}): LetGo => ({
  subjectId: 'tree-strap',
  manner: 'piece',
  atM: 0,
  check: 'greatest',
  tensionN: 1000,
  lines: ['line'],
  leaves: [],
  undamped: [],
  inTheWay: [],
  left: undefined,
  runs: [],
  fallsBack: false,
  exemptM: 3,
  stillPulling: 0,
  heldBy: [],
  ...more,
});
const ring = { useId: 'pulley', tag: 'RR-01', name: 'Ring 100 mm', isHard: true };
const soft = { useId: 'anchor-connector', tag: 'SS-01', name: 'Soft shackle', isHard: false };

describe('what can be broken', () => {
  it('is the brake first, then every piece once in the order of the load path; no tree', () => {
    const all = breakables(bog.rig, report.places);
    expect(all[0]).toEqual({ subjectId: 'winch', words: 'The brake of W-01' });
    expect(new Set(all.map(({ subjectId }) => subjectId)).size).toBe(all.length);
    expect(all.map(({ words }) => words)).toContain('TS-03 Tree strap 2 m × 50 mm, light');
    expect(all.some(({ words }) => words.includes('Larch'))).toBe(false);
  });
  it('is the hands where people pull', () => {
    expect(breakables(held.rig, judge(held).places)[0]).toEqual({ subjectId: held.rig.lines[0]?.id, words: 'The hands on the rope' });
  });
  it('begins with what is looked at, else with the first', () => {
    const all = breakables(bog.rig, report.places);
    const ringPlace = report.places.find(({ tag }) => tag === 'RR-01');
    expect(firstToBreak(all, ringPlace)).toBe('pulley');
    expect(firstToBreak(all, undefined)).toBe('winch');
    expect(firstToBreak([], ringPlace)).toBeUndefined();
  });
});

describe('who stands in the way', () => {
  const inTheWay = { bodyId: 'signaller', label: 'Isla Wrenfell', what: 'person', sheltered: false, why: 'flies', farM: 9 } as const;
  const stand = { id: 'signaller', label: 'Isla Wrenfell', duty: 'signaller', isNew: false, xM: 30, yM: -4, why: [] } as const;
  const wordsOf = (...args: Parameters<typeof standActs>) => standActs(...args).map(({ words }) => words);
  it('is moved to the place that was found for them, as one act', () => {
    const [act] = standActs(bog.rig, [inTheWay], [{ ...stand, id: 'other' }, stand]);
    if (act?.kind !== 'edits') throw new Error('no act');
    expect(act.words).toBe('Move Isla Wrenfell to a safe place');
    expect(act.edits).toHaveLength(1);
    expect(act.edits[0]).toMatchObject({ kind: 'put', list: 'bodies', entry: { id: 'signaller', xM: 30, yM: -4 } });
  });
  it('has no such act in a cab, without a safe place, or as a vehicle or a tree', () => {
    expect(wordsOf(bog.rig, [{ ...inTheWay, sheltered: true }], [stand])).toEqual([]);
    expect(wordsOf(bog.rig, [inTheWay], [{ ...stand, xM: undefined, yM: undefined }])).toEqual([]);
    expect(wordsOf(bog.rig, [{ ...inTheWay, what: 'vehicle' }], [stand])).toEqual([]);
    expect(wordsOf(bog.rig, [inTheWay], [])).toEqual([]);
  });
});

describe('what makes it milder', () => {
  it('is dampers on the strands that whip, a lanyard on the outermost hard piece, and something softer for it', () => {
    const acts = milderActs(bog.rig, letGo({ undamped: [{ lineId: 'line', strand: 1 }], leaves: [part(soft, ring)] }), ['LY-01']);
    expect(acts.map(({ words }) => words)).toEqual([
      'Hang a damper on the bare leg',
      'Tie a lanyard to RR-01',
      'Something softer or lighter for RR-01',
    ]);
    const lanyard = acts.find(({ kind }) => kind === 'edits');
    if (lanyard?.kind !== 'edits') throw new Error('no lanyard');
    // To the tree, which stands still, and with the lanyard that is free.
    expect(lanyard.edits).toHaveLength(2);
    expect(lanyard.edits[1]).toMatchObject({
      kind: 'put',
      list: 'lanyards',
      entry: { useId: 'pulley', gearId: 'LY-01', to: { kind: 'point' } },
    });
  });
  it('ties what hangs on the load to a strand that goes along, and takes no lanyard that is in use', () => {
    const otter = { useId: 'at-otter.2', tag: 'RR-01', name: 'Ring', isHard: true };
    const [act] = milderActs(beck.rig, letGo({ leaves: [part(otter)] }), []);
    if (act?.kind !== 'edits') throw new Error('no lanyard');
    expect(act.edits).toHaveLength(1);
    expect(act.edits[0]).toMatchObject({ entry: { useId: 'at-otter.2', to: { kind: 'strand', lineId: 'line', strand: 0 } } });
    expect(act.edits[0]).not.toHaveProperty('entry.gearId');
  });
  it('is nothing where a lanyard hangs on it and nothing is hard', () => {
    const caught = { ...part(ring), caughtBy: [{ tag: 'LY-01', useId: 'pulley', arrestN: 1, breaksN: 2, holds: true }] };
    expect(milderActs(bog.rig, letGo({ leaves: [caught] }), ['LY-02']).map(({ kind }) => kind)).toEqual(['soft']);
    expect(milderActs(bog.rig, letGo({ leaves: [part(soft)] }), ['LY-02'])).toEqual([]);
  });
  it('counts the legs that whip', () => {
    const undamped = [0, 1].map((strand) => ({ lineId: 'line', strand }));
    expect(milderActs(bog.rig, letGo({ undamped }), [])).toEqual([
      { kind: 'damper', words: 'Hang dampers on the 2 bare legs', legs: undamped },
    ]);
  });
});

describe('the drawing as something lets go', () => {
  const plan = { rig: bog.rig, subject: bog, report } as SheetPlan;
  const person = { bodyId: 'p', label: 'P', what: 'person' as const, why: 'flies' as const, farM: 3 };
  it('shows what leaves then alone, and rings those without a shelter', () => {
    const leaves = [part(ring)];
    const broken = brokenPlan(
      plan,
      letGo({
        leaves,
        inTheWay: [
          { ...person, sheltered: false },
          { ...person, bodyId: 'q', sheltered: true },
        ],
      }),
    );
    expect(broken.report.breaks).toEqual([{ lineId: 'let-go', atM: 0, flights: leaves }]);
    expect(broken.endangered).toEqual(['p']);
    expect(broken.report.zones.map(({ lineId }) => lineId)).toEqual(['line']);
  });
  it('keeps every zone where no line whips', () => {
    expect(brokenPlan(plan, letGo({ lines: [] })).report.zones).toEqual(report.zones);
  });
});
