import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseQuantity } from './parse-quantity.ts';
import type { Dimension } from './units.ts';

const si = (text: string, dimension: Dimension = 'force', decimal: '.' | ',' = '.') => {
  const result = parseQuantity(text, { dimension, decimal });
  return result.kind === 'understood' ? result.reading.valueSi : result.kind;
};

describe('reading quantities as people write them', () => {
  it.each([
    ['6.5 t', 6500 * 9.80665],
    ['7t', 7000 * 9.80665],
    ['6,5 t', 6500 * 9.80665],
    ['31 700 lb', 31_700 * 4.4482216152605],
    ['31 700 lbs', 31_700 * 4.4482216152605],
    ['9500lbf', 9500 * 4.4482216152605],
    ['63 kN', 63_000],
    ['100 daN', 1000],
    ['2 tf', 2000 * 9.80665],
    ['1.234,5 kgf', 1234.5 * 9.80665],
    ['1,234,567 N', 1_234_567],
    ['3 1/4 t', 3250 * 9.80665],
    ['1 short ton', 2000 * 0.45359237 * 9.80665],
  ])('force %s', (text, expected) => {
    expect(si(text)).toBeCloseTo(expected, 6);
  });

  it.each([
    ['11/16"', (11 / 16) * 0.0254],
    ['1-1/4 in', 1.25 * 0.0254],
    ['1¼ in', 1.25 * 0.0254],
    ['½"', 0.0127],
    ['6 ft 4 in', 76 * 0.0254],
    ['6\' 4"', 76 * 0.0254],
    ['12 mm', 0.012],
    ['2.4m', 2.4],
    ['0.700 m', 0.7],
  ])('length %s', (text, expected) => {
    expect(si(text, 'length')).toBeCloseTo(expected, 12);
  });

  it('gives all readings of a bare ton, the smallest first', () => {
    for (const text of ['13 ton', '13 tons', '13 T', '13T']) {
      const result = parseQuantity(text, { dimension: 'force', decimal: '.' });
      expect(result.kind === 'ambiguous' && result.readings.map(({ unit }) => unit)).toEqual(['short ton', 'tonne', 'long ton']);
    }
  });

  it('follows the team’s decimal mark before exactly three digits, and says so', () => {
    const read = (text: string, decimal: '.' | ',') => parseQuantity(text, { dimension: 'force', decimal });
    expect(read('31,700 N', '.')).toMatchObject({ reading: { valueSi: 31_700 }, settingDecided: true });
    expect(read('31,700 N', ',')).toMatchObject({ reading: { valueSi: 31.7 }, settingDecided: true });
    expect(read('31.700 N', '.')).toMatchObject({ reading: { valueSi: 31.7 }, settingDecided: true });
    expect(read('31.70 N', ',')).toMatchObject({ reading: { valueSi: 31.7 }, settingDecided: false });
  });

  it.each(['', '  ', '-5 t', '−5 t', 'ten t', '5', '5 stones', '1/0 in', '1e5 N', '1,23,456 N', '0 t', 'NaN kN', '5 kN kN', '3..4 t'])(
    'refuses “%s” with a message, never a zero',
    (text) => {
      const result = parseQuantity(text, { dimension: 'force', decimal: '.' });
      expect(result.kind).toBe('fault');
      expect(result.kind === 'fault' && result.message).toMatch(/expected/);
    },
  );

  it('refuses a force where a mass is wanted, and a length where a force is', () => {
    expect(parseQuantity('5 kN', { dimension: 'mass', decimal: '.' })).toMatchObject({
      kind: 'fault',
      message: expect.stringContaining('is a force'),
    });
    expect(parseQuantity('5 m', { dimension: 'force', decimal: '.' })).toMatchObject({
      kind: 'fault',
      message: expect.stringContaining('is a length'),
    });
  });

  it('reads back whatever it is given as plain decimals', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 1e6, noNaN: true }), (value) => {
        expect(si(`${value.toFixed(6)} N`)).toBeCloseTo(Number(value.toFixed(6)), 9);
      }),
      { seed: 7 },
    );
  });

  it('never throws, whatever the text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) =>
        ['understood', 'ambiguous', 'fault'].includes(parseQuantity(text, { dimension: 'length', decimal: ',' }).kind),
      ),
      { seed: 8 },
    );
  });
});
