import { describe, expect, it } from 'vitest';
import { fieldWords, valueWords } from './trail-words.ts';

describe('what changed, in words', () => {
  it.each([
    ['firstUsedOn', 'first used on'],
    ['severities.no-damper', 'no damper'],
  ])('the field %s is “%s”', (field, words) => {
    expect(fieldWords(field)).toBe(words);
  });
  it.each([
    [undefined, 'nothing'],
    [[], 'nothing'],
    [true, 'yes'],
    ['2026-01-31', 'Jan 31, 2026'],
    ['TS-2026-01-31', 'TS-2026-01-31'],
    [{ lengthM: 2, endTermination: 'bowline' }, 'length m 2, end termination bowline'],
    [[{ asWritten: 'MBS 3 t' }, { asWritten: 'WLL 1 t' }], 'as written MBS 3 t; as written WLL 1 t'],
  ])('the value %j is “%s”', (value, words) => {
    expect(valueWords(value)).toBe(words);
  });
});
