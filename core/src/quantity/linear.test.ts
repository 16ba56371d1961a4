import { describe, expect, it } from 'vitest';
import { parseMark } from '../gear/parse-mark.ts';
import { parseQuantity } from './parse-quantity.ts';

const settings = { dimension: 'force', decimal: '.' } as const;
const mark = (text: string) => parseMark(text, { source: 'label', decimal: '.' });

describe('what is typed is looked through only as far as a quantity goes', () => {
  it.each([`${'1'.padEnd(119)}t`, `${'1 '.repeat(59)}kN`, `${'1,'.repeat(59)}t`, `MBS${' '.repeat(110)}9 t`])(
    'reads or refuses “%s” as it would a short one',
    (text) => {
      expect(text.length).toBeLessThanOrEqual(120);
      expect(['understood', 'fault', 'ambiguous']).toContain(parseQuantity(text, settings).kind);
      expect(['mark', 'fault']).toContain(mark(text).kind);
    },
  );
  it('takes a rating of 120 characters and refuses one of 121, by its beginning and its length', () => {
    const of = (length: number) => `9 t${' '.repeat(length - 6)}WLL`;
    expect(mark(of(120))).toMatchObject({ kind: 'mark', mark: { basis: 'wll' } });
    expect(mark(of(121))).toEqual({ kind: 'fault', message: '“9 t…” has 121 characters; a number with its unit has at most 120.' });
  });
  it.each([20_000, 2_000_000])('refuses %s characters without looking through them', (length) => {
    for (const text of [`1${' '.repeat(length)}t`, '1'.repeat(length), '1 '.repeat(length / 2), `${'breaking '.repeat(length / 9)}9 t`]) {
      expect(mark(text).kind).toBe('fault');
      expect(parseQuantity(text, settings).kind).toBe('fault');
    }
  });
});
