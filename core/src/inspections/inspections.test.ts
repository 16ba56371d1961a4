import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { read } from '../codec/codec.ts';
import { gearClasses, gearClassNames } from '../gear/classes/gear-classes.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { type InspectionAnswers, measuredShare, openPoints } from './inspection-answers.ts';
import { dueTime, inspectionDue } from './inspection-due.ts';
import { inspectionSheetCodec, sheetFaults } from './inspection-sheet.ts';
import { proposeGrade } from './propose-grade.ts';
import { standardSheets } from './standard-sheets.ts';

const nothing: InspectionAnswers = { points: {}, measures: {}, notes: {} };
const shackle = standardSheets['steel-shackle'];
const measureOf = (kind: keyof typeof standardSheets, id: string) => {
  const found = standardSheets[kind].measures.find((measure) => measure.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe('the standard sheets', () => {
  it.each(gearClassNames)('of %s can be read, name each thing once, and measure against attributes of the class', (kind) => {
    const sheet = standardSheets[kind];
    expect(read(inspectionSheetCodec, sheet)).toEqual({ ok: true, value: sheet });
    expect(sheetFaults(sheet)).toEqual([]);
    for (const { newFrom } of sheet.measures) if (newFrom !== undefined) expect(Object.keys(gearClasses[kind].fields)).toContain(newFrom);
  });
  it('refuse a thing named twice, by its path', () => {
    const [point] = shackle.points;
    expect(sheetFaults({ ...shackle, points: point ? [point, point] : [] })[0]?.path).toBe('points[1].id');
  });
});

describe('a measured value against its limit', () => {
  const bow = measureOf('steel-shackle', 'bow-diameter-where-worn-most');
  it.each([
    [19e-3, 0, false],
    [18.05e-3, 0.5, false],
    [17.1e-3, 1, false],
    [17.09e-3, 1.0053, true],
    [19.5e-3, 0, false],
  ])('bow of %f m where 19 mm is new uses %f of the tenth allowed', (value, used, over) => {
    const share = measuredShare(bow, value, 0.019);
    expect(share?.used).toBeCloseTo(used, 3);
    expect(share?.over).toBe(over);
  });
  it('counts growth of a stretch rope the other way', () => {
    const length = measureOf('stretch-rope', 'length-at-rest');
    expect(measuredShare(length, 9.45, 9)).toMatchObject({ over: false });
    expect(measuredShare(length, 9.46, 9)?.over).toBe(true);
    expect(measuredShare(length, 8.5, 9)?.used).toBe(0);
  });
  it('allows none where none is allowed', () => {
    const cut = measureOf('soft-shackle', 'strands-cut');
    expect(measuredShare(cut, 0, undefined)).toEqual({ change: 0, used: 0, over: false });
    expect(measuredShare(cut, 1, undefined)).toEqual({ change: 1, used: Number.POSITIVE_INFINITY, over: true });
  });
  it('says nothing where the value when new is needed and unknown', () => {
    expect(measuredShare(bow, 0.018, undefined)).toBeUndefined();
  });
});

describe('the proposed grade', () => {
  const grade = (points: InspectionAnswers['points'], measures: InspectionAnswers['measures'] = {}) =>
    proposeGrade(shackle, { points, measures, notes: {} }, { bowDiameterM: 0.019 }).grade;
  it('is A where nothing was found', () => expect(grade({})).toBe('A'));
  it('is B from one worn point, C from three or from one that is ground to stop', () => {
    expect(grade({ 'no-rust-pitting': 'worn' })).toBe('B');
    expect(grade({ 'no-rust-pitting': 'worn', 'no-nicks-or-gouges': 'worn', 'marks-can-be-read': 'worn' })).toBe('C');
    expect(grade({ 'no-cracks': 'worn' })).toBe('C');
  });
  it('is D where any point fails or a measure is over', () => {
    expect(grade({ 'marks-can-be-read': 'fails' })).toBe('D');
    expect(grade({}, { 'bow-diameter-where-worn-most': { value: 0.017 } })).toBe('D');
  });
  it('follows the share of an allowance that is used', () => {
    expect(grade({}, { 'bow-diameter-where-worn-most': { value: 0.0181 } })).toBe('A');
    expect(grade({}, { 'bow-diameter-where-worn-most': { value: 0.018 } })).toBe('B');
    expect(grade({}, { 'bow-diameter-where-worn-most': { value: 0.0175 } })).toBe('C');
  });
  it('takes the inspector’s value when new where the register has none, and names what it could not weigh', () => {
    const width = { 'inside-width-at-the-pin': { value: 0.034, whenNew: 0.032 } };
    expect(proposeGrade(shackle, { ...nothing, measures: width }, {}).grade).toBe('D');
    expect(proposeGrade(shackle, { ...nothing, measures: { 'inside-width-at-the-pin': { value: 0.034 } } }, {})).toEqual({
      grade: 'A',
      reasons: [],
      unweighed: ['inside-width-at-the-pin'],
    });
  });
  it('never gets better by finding one thing more', () => {
    const ids = shackle.points.map(({ id }) => id);
    const answers = fc.dictionary(fc.constantFrom(...ids), fc.constantFrom('ok' as const, 'worn' as const, 'fails' as const));
    fc.assert(
      fc.property(answers, fc.constantFrom(...ids), (found, more) => {
        const before = grade(found);
        expect(grade({ ...found, [more]: 'fails' }) >= before).toBe(true);
        if (found[more] === undefined) expect(grade({ ...found, [more]: 'worn' }) >= before).toBe(true);
      }),
      { seed: 20260115 },
    );
  });
  it('knows which points are still open', () => {
    expect(openPoints(shackle, { ...nothing, points: { 'no-cracks': 'ok' } })).toHaveLength(shackle.points.length - 1);
  });
});

describe('when the next inspection falls due', () => {
  const inspection = { on: '2025-06-01', nextDue: '2026-06-01' };
  const due = (...exposures: Parameters<typeof inspectionDue>[1]) => inspectionDue(inspection, exposures, teamStandard);
  it('is the inspector’s day where nothing was met', () => expect(due()).toEqual({ on: '2026-06-01' }));
  it('is half the interval after salt', () => {
    expect(due({ kind: 'salt', on: '2025-08-01' })).toEqual({ on: '2025-12-01', shortenedBy: { kind: 'salt', on: '2025-08-01' } });
  });
  it('is the day of the exposure where half the interval had passed already', () => {
    expect(due({ kind: 'salt', on: '2026-02-01' })?.on).toBe('2026-02-01');
  });
  it('is not brought forward by what was washed off in time, nor by what came before the inspection', () => {
    expect(due({ kind: 'mud', on: '2025-08-01' }, { kind: 'washed', on: '2025-08-04' })?.on).toBe('2026-06-01');
    expect(due({ kind: 'mud', on: '2025-08-01' }, { kind: 'washed', on: '2025-08-05' })?.on).not.toBe('2026-06-01');
    expect(due({ kind: 'mud', on: '2025-05-30' })?.on).toBe('2026-06-01');
  });
  it('takes the smallest share of several', () => {
    expect(
      due({ kind: 'sun', on: '2025-07-01' }, { kind: 'salt', on: '2025-07-02' }, { kind: 'mud', on: '2025-07-03' })?.shortenedBy?.kind,
    ).toBe('salt');
  });
  it('is nothing where no day was set', () => expect(inspectionDue({ on: '2025-06-01' }, [], teamStandard)).toBeUndefined());
  it.each([
    ['2026-01-14', 'overdue'],
    ['2026-01-15', 'this-week'],
    ['2026-01-22', 'this-week'],
    ['2026-01-23', 'this-month'],
    ['2026-02-15', 'this-month'],
    ['2026-02-16', 'later'],
  ])('%s, seen from 15 January, is %s', (day, time) => expect(dueTime(day, '2026-01-15')).toBe(time));
});
