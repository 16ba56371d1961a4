import { describe, expect, it } from 'vitest';
import { isDay } from '../quantity/partial-date.ts';
import { type Codec, read } from './codec.ts';
import { choice, day, flag, id, numeric, text } from './scalars.ts';
import { dictionary, list, optional, record, tagged } from './structures.ts';

const faults = (codec: Codec<unknown>, value: unknown) => {
  const result = read(codec, value);
  return result.ok ? [] : result.faults.map(({ path, message }) => `${path}: ${message}`);
};

describe('scalars', () => {
  it('take what is within their limits, ends included', () => {
    const codec = numeric({ min: 0, max: 10 });
    for (const value of [0, 10, 3.5]) expect(read(codec, value)).toEqual({ ok: true, value });
    expect(faults(codec, -1e-9)).toEqual([': -1e-9 is below the least allowed, 0']);
    expect(faults(codec, 10.1)).toEqual([': 10.1 is above the greatest allowed, 10']);
  });
  it('keep an open lower end open', () => {
    expect(faults(numeric({ above: 0 }), 0)).toEqual([': 0 must be above 0']);
    expect(faults(numeric({ above: 0 }), 1e-300)).toEqual([]);
  });
  it.each([Number.NaN, Number.POSITIVE_INFINITY, '5', null, undefined, [], {}, true])('refuse %o as a number', (value) => {
    expect(faults(numeric(), value)).toHaveLength(1);
  });
  it('tell whole numbers, texts, flags, choices and ids apart', () => {
    expect(faults(numeric({ integer: true }), 2.5)).toEqual([': 2.5 stands here; a whole number is expected']);
    expect(faults(text({ maxLength: 3 }), 'four')).toEqual([': text of 4 characters; 1 to 3 are allowed']);
    expect(faults(text(), '')).toHaveLength(1);
    expect(faults(flag, 'yes')).toEqual([': "yes" stands here; true or false is expected']);
    expect(faults(choice(['a', 'b']), 'c')).toEqual([': "c" stands here; expected one of a, b']);
    expect(faults(id, 'no spaces please')).toHaveLength(1);
    expect(faults(id, 'A-1.b_2')).toEqual([]);
  });
  it('know the calendar', () => {
    expect(['2024-02-29', '2026-12-31'].map(isDay)).toEqual([true, true]);
    expect(['2025-02-29', '2026-13-01', '2026-1-1', '2026-04-31', 'tomorrow', ''].map(isDay)).toEqual([
      false,
      false,
      false,
      false,
      false,
      false,
    ]);
    expect(faults(day, '2025-02-29')).toHaveLength(1);
  });
});

describe('structures', () => {
  const shape = tagged({
    ring: record({ kind: choice(['ring']), boreM: numeric({ above: 0 }) }),
    strap: record({ kind: choice(['strap']), lengthM: numeric({ above: 0 }), note: optional(text()) }),
  });
  const bag = record({ name: text(), pieces: list(shape, { min: 1, max: 3 }), answers: dictionary(flag, 2) });
  const good = {
    name: 'Bag',
    pieces: [
      { kind: 'ring', boreM: 0.03 },
      { kind: 'strap', lengthM: 2 },
    ],
    answers: { a: true },
  };

  it('read a good document and leave optional fields out', () => {
    expect(read(bag, good)).toEqual({ ok: true, value: good });
  });
  it('list every fault with its path, in one pass', () => {
    expect(
      faults(bag, {
        pieces: [{ kind: 'ring', boreM: -1 }, { kind: 'rope' }, { kind: 'strap', lengthM: 'two', note: 5 }],
        answers: { a: 'yes' },
        colour: 'red',
      }),
    ).toEqual([
      'name: this field is missing',
      'pieces[0].boreM: -1 must be above 0',
      'pieces[1].kind: "rope" stands here; expected one of ring, strap',
      'pieces[2].lengthM: "two" stands here; a number is expected',
      'pieces[2].note: 5 stands here; text is expected',
      'answers.a: "yes" stands here; true or false is expected',
      'colour: this field is not known; put extensions under "ext"',
    ]);
  });
  it('bound lists and dictionaries', () => {
    expect(faults(bag, { ...good, pieces: [] })).toEqual(['pieces: a list of 0; 1 to 3 entries are allowed']);
    expect(faults(bag, { ...good, answers: { a: true, b: true, c: true } })).toEqual(['answers: 3 keys; at most 2 are allowed']);
  });
  it.each([null, 5, 'text', [1]])('refuse %o where an object is expected', (value) => {
    expect(faults(bag, value)).toHaveLength(1);
  });
  it('take no field from the prototype for one of the document', () => {
    expect(faults(shape, { kind: 'toString' })).toEqual(['kind: "toString" stands here; expected one of ring, strap']);
    expect(faults(record({}), JSON.parse('{"__proto__": {"x": 1}, "constructor": 2}'))).toEqual(
      expect.arrayContaining(['constructor: this field is not known; put extensions under "ext"']),
    );
  });
  it('declare the same in their schema', () => {
    expect(bag.schema).toMatchObject({
      type: 'object',
      required: ['name', 'pieces', 'answers'],
      additionalProperties: false,
      properties: { pieces: { type: 'array', minItems: 1, maxItems: 3 } },
    });
    expect(shape.schema).toMatchObject({ oneOf: [{ required: ['kind', 'boreM'] }, { required: ['kind', 'lengthM'] }] });
  });
});
