import { describe, expect, it } from 'vitest';
import { parseMark } from './parse-mark.ts';

const read = (text: string) => parseMark(text, { source: 'label', decimal: '.' });

describe('reading a rating as it stands on the tag', () => {
  it.each([
    ['6.5 t WLL', 'wll', 6500 * 9.80665],
    ['WLL: 3 1/4 t', 'wll', 3250 * 9.80665],
    ['S.W.L. 2t', 'wll', 2000 * 9.80665],
    ['MBS 31 700 lb', 'mbs', 31_700 * 4.4482216152605],
    ['min. breaking strength 90 kN', 'mbs', 90_000],
    ['capacity 10 000 kg', 'mbs', 98_066.5],
    ['max load 5 t', 'mbs', 5000 * 9.80665],
    ['proof load 40 kN', 'proof', 40_000],
    ['MBS basket 24 t', 'basket-mbs', 24_000 * 9.80665],
    ['rated pull 9500 lb', 'rated-pull', 9500 * 4.4482216152605],
    ['12 t', 'unstated', 12_000 * 9.80665],
  ])('%s', (text, basis, forceN) => {
    const result = read(text);
    expect(result).toMatchObject({ kind: 'mark', mark: { basis, asWritten: text } });
    expect(result.kind === 'mark' && result.mark.readings[0]?.forceN).toBeCloseTo(forceN, 6);
  });
  it('keeps three readings of a bare ton', () => {
    const result = read('13 ton');
    expect(result.kind === 'mark' && result.mark.readings).toHaveLength(3);
  });
  it('takes a person’s word for which ton it is, and only where that was open', () => {
    const sure = (text: string) => parseMark(text, { source: 'label', decimal: '.', confirmedUnit: 'tonne' });
    expect(sure('13 ton')).toMatchObject({ kind: 'mark', mark: { confirmedUnit: 'tonne', readings: [{ unit: 'tonne' }] } });
    const plain = sure('13 t');
    expect(plain.kind === 'mark' && plain.mark.confirmedUnit).toBeUndefined();
  });
  it('refuses two numbers in one mark, contradictions and nonsense', () => {
    expect(read('WLL 4.75 t MBS 28.5 t')).toMatchObject({ kind: 'fault', message: expect.stringContaining('two kinds') });
    expect(parseMark('WLL 5 t', { source: 'label', decimal: '.', basis: 'mbs' })).toMatchObject({
      kind: 'fault',
      message: expect.stringContaining('says wll'),
    });
    expect(read('strong')).toMatchObject({ kind: 'fault' });
  });
});
