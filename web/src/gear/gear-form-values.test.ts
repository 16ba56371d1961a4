import { writeAttribute } from '@wainrope/contract';
import { describe, expect, it } from 'vitest';
import { emptyForm, formOf, inputOf } from './gear-form-values.ts';

const shackle = {
  ...emptyForm,
  tag: ' SH-9 ',
  kind: 'steel-shackle' as const,
  marks: [
    { asWritten: 'WLL 4.75 t', basis: '' as const, source: 'stamped' as const, confirmedUnit: '' as const },
    { asWritten: ' ', basis: '' as const, source: 'label' as const, confirmedUnit: '' as const },
  ],
};

describe('the form of a piece', () => {
  it('reads sizes with their unit, drops empty marks and fields, names a nameless piece by its class', () => {
    const outcome = inputOf({ ...shackle, attributes: { pinDiameterM: '7/8 in', massKg: '1.1 kg', reachM: '' } }, '.');
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
    expect(outcome.input).toMatchObject({
      tag: 'SH-9',
      name: 'Steel shackle',
      marks: [{ asWritten: 'WLL 4.75 t', source: 'stamped' }],
      attributes: { massKg: 1.1 },
    });
    expect((outcome.input.attributes as { pinDiameterM: number }).pinDiameterM).toBeCloseTo(0.022225, 12);
    expect(outcome.input.note).toBeUndefined();
  });
  it('names every field that cannot be read', () => {
    const outcome = inputOf({ ...shackle, attributes: { pinDiameterM: '22', massKg: '5 kN' }, overloadsSinceInspection: 'some' }, '.');
    expect(!outcome.ok && outcome.faults.map(({ path }) => path)).toEqual([
      'attributes.pinDiameterM',
      'attributes.massKg',
      'overloadsSinceInspection',
    ]);
    expect(inputOf(emptyForm, '.')).toMatchObject({ ok: false, faults: [{ path: 'kind' }] });
  });
  it('keeps a year or a month as it is, and asks which way round a day is meant', () => {
    const typed = (dates: object) => inputOf({ ...shackle, ...dates }, '.');
    const outcome = typed({ madeOn: ' 2019 ', boughtOn: '03/2021', firstUsedOn: '31 May 2021' });
    expect(outcome.ok && outcome.input).toMatchObject({ madeOn: '2019', boughtOn: '2021-03', firstUsedOn: '2021-05-31' });
    const swapped = typed({ madeOn: '05/06/2021', boughtOn: 'soon' });
    expect(!swapped.ok && swapped.faults).toEqual([
      { path: 'madeOn', message: '“05/06/2021” may be 2021-06-05 or 2021-05-06; write it as one of these.' },
      { path: 'boughtOn', message: expect.stringContaining('cannot be read as a date') },
    ]);
  });
  it('shows a piece and reads it back to the same values within twelve digits, awkward decimals included', () => {
    for (const value of [0.022225, 0.1 + 0.2, 0.012, 1 / 3]) {
      const gear = {
        gearId: 'x',
        tag: 'A',
        kind: 'steel-shackle' as const,
        name: 'B',
        state: 'in-use' as const,
        marks: [],
        attributes: { pinDiameterM: value },
        overloadsSinceInspection: 0,
        rowVersion: 1,
        factsRevision: 1,
      };
      const outcome = inputOf(formOf(gear), '.');
      expect(outcome.ok && outcome.input.attributes).toEqual({ pinDiameterM: expect.closeTo(value, 12) });
    }
    expect(writeAttribute({ type: 'length', label: '', readBy: 'record-only', max: 9 }, 1e-7)).toBe('0.0000001 m');
  });
});
