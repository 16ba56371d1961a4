import type { GearView } from '@wainrope/contract';
import { gearClassNames, standardSheets } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import type { BenchDraft } from '../outbox/bench-store.ts';
import { sheetOf, typedSheet } from '../sheets/typed-sheet.ts';
import { limitWords, shareWords, valueWords } from '../wear/measure-words.ts';
import { draftOutcome, requestOf } from './draft-outcome.ts';
import { readMeasure } from './read-measure.ts';

describe('a sheet in its form', () => {
  it.each(gearClassNames)('of %s is the same when nothing was typed', (kind) => {
    expect(sheetOf(typedSheet(standardSheets[kind]), standardSheets[kind])).toEqual({ ok: true, sheet: standardSheets[kind] });
  });
  it('names what cannot be', () => {
    const typed = typedSheet(standardSheets['tree-strap']);
    expect(sheetOf({ ...typed, everyMonths: 'often' }, standardSheets['tree-strap'])).toMatchObject({ ok: false });
    expect(
      sheetOf({ ...typed, points: [...typed.points, { id: '', look: 'Eyes not worn', immediate: false }] }, standardSheets['tree-strap']),
    ).toMatchObject({
      ok: false,
      message: expect.stringContaining('stands twice'),
    });
  });
});

describe('a measured value as typed', () => {
  it.each([
    ['small-length', '18.2', 0.0182],
    ['small-length', '3/4 in', 0.01905],
    ['length', '9,3', 9.3],
    ['share', '12', 0.12],
    ['share', '12 %', 0.12],
    ['count', '3', 3],
    ['angle-deg', '8', 8],
  ] as const)('%s “%s” is %f', (quantity, typed, value) => {
    const read = readMeasure(quantity, typed, typed.includes(',') ? ',' : '.');
    expect(read.kind === 'value' && read.value).toBeCloseTo(value, 9);
  });
  it.each([
    ['small-length', 'thin'],
    ['count', '2.5'],
    ['share', '-3'],
  ] as const)('%s “%s” is refused with its words', (quantity, typed) => {
    const read = readMeasure(quantity, typed, '.');
    expect(read.kind === 'fault' && read.message).toContain(typed);
  });
  it('may be left empty', () => expect(readMeasure('length', ' ', '.')).toEqual({ kind: 'empty' }));
});

describe('a measure in words', () => {
  const [bow] = standardSheets['steel-shackle'].measures;
  if (!bow) throw new Error('no measure');
  it('does not round wear away', () => {
    expect(valueWords('small-length', 0.02472)).toBe('24.72 mm');
    expect(limitWords(bow, 0.0254)).toBe('new 25.4 mm; may lose 10 %, that is down to 22.86 mm');
    expect(limitWords(bow, undefined)).toBe('may lose 10 %');
    expect(shareWords(bow, { change: 0.027, used: 0.27, over: false })).toBe('lost 2.7 %: 27 % of what is allowed.');
    expect(shareWords(bow, { change: 0.2, used: 2, over: true })).toBe('lost 20 %: over the limit, out of use.');
  });
});

describe('a draft at the bench', () => {
  const sheet = standardSheets['steel-shackle'];
  const piece = {
    gearId: 'g',
    tag: 'SH-1',
    kind: 'steel-shackle',
    state: 'in-use',
    attributes: { bowDiameterM: 0.019 },
  } as unknown as GearView;
  const ok = Object.fromEntries(sheet.points.map(({ id }) => [id, 'ok' as const]));
  const draft: BenchDraft = {
    inspectionId: 'i',
    roundId: 'r',
    gearId: 'g',
    kind: 'calendar',
    on: '2026-01-31',
    points: ok,
    measures: {},
    notes: {},
    nextDue: '',
    note: '',
    returnsToUse: false,
    spoolState: '',
    pullsUsed: '',
    status: 'draft',
    changedAt: 0,
  };
  const outcome = (change: Partial<BenchDraft>) => draftOutcome({ ...draft, ...change }, sheet, piece, '.');

  const asked = (changed: BenchDraft, corrects?: string) =>
    requestOf({ draft: changed, inForce: { sheet, version: 3 }, outcome: draftOutcome(changed, sheet, piece, '.'), corrects });

  it('says what is still open, and nothing once all is answered', () => {
    expect(outcome({ points: {} }).open[0]).toBe('8 points have no answer yet.');
    expect(outcome({}).open).toEqual([]);
  });
  it('asks for a reason where the person is milder than the findings, and lets nobody pass a failing point', () => {
    const worn = { points: { ...ok, 'no-rust-pitting': 'worn' as const }, grade: 'A' as const };
    expect(outcome(worn).open[0]).toContain('say why');
    expect(outcome({ ...worn, note: 'surface only' }).open).toEqual([]);
    expect(outcome({ points: { ...ok, 'no-cracks': 'fails' }, grade: 'A' }).grade).toBe('D');
  });
  it('sends a failing one without a due day, and a check before use without a grade', () => {
    const failing = { ...draft, points: { ...ok, 'no-cracks': 'fails' as const } };
    expect(asked(failing)).toMatchObject({ grade: 'D' });
    expect(asked(failing)).not.toHaveProperty('nextDue');
    const check = { ...draft, kind: 'before-use' as const };
    expect(asked(check)).not.toHaveProperty('grade');
  });
  it('waits for the value when new of what was measured, and for pulls that are a number', () => {
    const measured = { 'pin-diameter-where-worn-most': { typed: '21', typedNew: '' } };
    expect(outcome({ measures: measured }).open[0]).toContain('say what it measured when new');
    expect(outcome({ pullsUsed: 'many' }).open[0]).toContain('“many”');
  });
  it('goes by the sheet on the bench: what an earlier version asked is not sent', () => {
    const request = asked(
      { ...draft, points: { ...ok, 'no-longer-asked': 'fails' }, notes: { 'no-longer-asked': 'x', 'no-cracks': ' fine ' } },
      'earlier',
    );
    expect(request).toMatchObject({
      sheetVersion: 3,
      corrects: 'earlier',
      grade: 'A',
      answers: { points: ok, notes: { 'no-cracks': 'fine' } },
    });
  });
});
