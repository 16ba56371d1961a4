import { describe, expect, it } from 'vitest';
import { addDays } from '../quantity/calendar.ts';
import { nextDue, type PullCount, pullsUsedUpOn, wearDueOn } from './next-due.ts';
import { happenedN, overloadOf, quarantineAboveN } from './overload.ts';
import { adoptedFigure, ownFigure } from './own-figure.ts';

describe('the load that counts as having happened', () => {
  it.each([
    ['the measured peak, whatever was planned', { plannedN: 20, greatestN: 40, peakN: 15, stalled: true }, 15],
    ['what was planned, without a gauge', { plannedN: 20, greatestN: 40, stalled: false }, 20],
    ['the greatest, where somebody says that the winch stalled', { plannedN: 20, greatestN: 40, stalled: true }, 40],
    ['never less than what was planned', { plannedN: 20, greatestN: 10, stalled: true }, 20],
    ['what was planned, where no greatest is known', { plannedN: 20, stalled: true }, 20],
  ])('is %s', (_what, figures, load) => {
    expect(happenedN(figures)).toBe(load);
  });
});

describe('an overload', () => {
  // Marks: 40 kN working, 120 kN breaking; worn to 36 kN.
  const worn = { wllEffN: 36_000, wllN: 40_000, mbsN: 120_000 };
  it('wants an inspection above the working limit as it was, and quarantine above half the breaking strength', () => {
    expect(overloadOf(35_999, worn)).toBe('none');
    expect(overloadOf(36_000, worn)).toBe('none');
    expect(overloadOf(36_001, worn)).toBe('inspect');
    expect(quarantineAboveN(worn)).toBe(60_000);
    expect(overloadOf(60_000, worn)).toBe('inspect');
    expect(overloadOf(60_001, worn)).toBe('quarantine');
  });
  it('goes by 1.25 times the working limit where that is more than half the breaking strength', () => {
    const block = { wllEffN: 40_000, wllN: 40_000, mbsN: 80_000 };
    expect(quarantineAboveN(block)).toBe(50_000);
    expect(overloadOf(50_000, block)).toBe('inspect');
    expect(overloadOf(50_001, block)).toBe('quarantine');
  });
  it('is quarantine also where a heavy derate puts both bounds in one load', () => {
    expect(overloadOf(70_000, { ...worn, wllEffN: 10_000 })).toBe('quarantine');
  });
  it('is not made by rounding', () => {
    expect(overloadOf(36_000 * (1 + 1e-12), worn)).toBe('none');
  });
});

describe('a figure of the team’s own', () => {
  const pulls = (...shares: readonly number[]) => shares.map((share) => ({ forceN: share * 20_000, weightN: 20_000 }));
  it('is shown from three pulls on, with its spread', () => {
    expect(ownFigure(pulls(0.3, 0.5))).toBeUndefined();
    const figure = ownFigure(pulls(0.3, 0.5, 0.4));
    expect(figure).toMatchObject({ pulls: 3 });
    expect(figure?.median).toBeCloseTo(0.4, 12);
    // 2 × 0.1 = 0.2 of the way from 0.3 to 0.4, and from the other end.
    expect(figure?.low).toBeCloseTo(0.32, 12);
    expect(figure?.high).toBeCloseTo(0.48, 12);
    expect(figure).not.toHaveProperty('adoptable');
  });
  it('rests on the newest two hundred pulls, and always on the largest', () => {
    const key = { surface: 'bog', depth: 'hubs', machine: 'Otter' } as const;
    const pull = (share: number, index: number) => ({ pullId: `p-${index}`, on: '2026-01-10', share });
    const many = Array.from({ length: 250 }, (_, index) => pull(index === 240 ? 0.9 : 0.4, index));
    const figure = adoptedFigure(key, many);
    expect(figure?.share).toBeCloseTo(0.9, 12);
    expect(figure?.pulls).toHaveLength(200);
    expect(figure?.pulls.slice(0, 199)).toEqual(many.slice(0, 199));
    expect(figure?.pulls[199]).toEqual(many[240]);
    const recent = many.map(({ share: _share }, index) => pull(index === 3 ? 0.9 : 0.4, index));
    expect(adoptedFigure(key, recent)?.pulls).toEqual(recent.slice(0, 200));
    expect(adoptedFigure(key, recent.slice(0, 9))).toBeUndefined();
  });
  it('may be adopted from ten on: the largest, or a tenth above the 90th percentile', () => {
    expect(ownFigure(pulls(...Array(9).fill(0.4)))).not.toHaveProperty('adoptable');
    expect(ownFigure(pulls(...Array(10).fill(0.4)))?.adoptable).toBeCloseTo(0.44, 12);
    expect(ownFigure(pulls(...Array(9).fill(0.4), 0.9))?.adoptable).toBeCloseTo(0.9, 12);
  });
});

describe('the next due day', () => {
  const TODAY = '2026-06-01';
  const count = (change: Partial<PullCount> = {}): PullCount => ({
    used: 40,
    allowed: 50,
    lately: 20,
    firstUsedOn: '2024-01-01',
    ...change,
  });
  it('by pulls goes at the pace of the last year', () => {
    // Ten left at 20 in 365 days: 182.5 days.
    expect(pullsUsedUpOn(count(), TODAY)).toBe(addDays(TODAY, 182));
  });
  it('by pulls of a new rope goes at its own pace, over at least thirty days', () => {
    expect(pullsUsedUpOn(count({ firstUsedOn: addDays(TODAY, -100) }), TODAY)).toBe(addDays(TODAY, 50));
    expect(pullsUsedUpOn(count({ firstUsedOn: addDays(TODAY, -3) }), TODAY)).toBe(addDays(TODAY, 15));
  });
  it('by pulls is today where they are used up, and never without a pace', () => {
    expect(pullsUsedUpOn(count({ used: 50 }), TODAY)).toBe(TODAY);
    expect(pullsUsedUpOn(count({ used: 49, lately: 0 }), TODAY)).toBeUndefined();
  });
  const calendar = { on: '2026-09-01', exposed: false };
  const wear = { on: '2026-09-20', leadDays: 30, inspectedOn: '2026-05-01' };
  it.each([
    ['nothing', {}, undefined],
    ['the calendar', { calendar }, { on: '2026-09-01', why: 'calendar' }],
    ['what it met', { calendar: { ...calendar, exposed: true } }, { on: '2026-09-01', why: 'exposure' }],
    ['wear, before its forecast end by the lead', { calendar, wear }, { on: '2026-08-21', why: 'wear' }],
    ['wear, where the calendar says nothing', { wear }, { on: '2026-08-21', why: 'wear' }],
    ['the calendar, where wear is later', { calendar, wear: { ...wear, leadDays: 0 } }, { on: '2026-09-01', why: 'calendar' }],
    ['wear, of one day with the calendar', { calendar, wear: { ...wear, leadDays: 19 } }, { on: '2026-09-01', why: 'wear' }],
    ['pulls', { calendar, pullsOn: TODAY }, { on: TODAY, why: 'pulls' }],
    ['an overload, before all', { calendar, pullsOn: TODAY, overloadedOn: TODAY }, { on: TODAY, why: 'overload' }],
  ] as const)('is by %s', (_what, sources, due) => {
    expect(nextDue(sources)).toEqual(due);
  });
  it('by wear is never the day of the inspection that foretold it', () => {
    expect(wearDueOn({ on: '2026-06-01', leadDays: 30, inspectedOn: '2026-05-01' })).toBe('2026-05-02');
    expect(wearDueOn({ on: '2026-06-02', leadDays: 30, inspectedOn: '2026-05-01' })).toBe('2026-05-03');
    expect(wearDueOn({ on: '2026-05-01', leadDays: 30, inspectedOn: '2026-05-01' })).toBe('2026-05-02');
  });
});
