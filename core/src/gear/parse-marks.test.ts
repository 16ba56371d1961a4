import { describe, expect, it } from 'vitest';
import { type ParsedMarks, parseMarks } from './parse-marks.ts';

const read = (text: string): ParsedMarks => parseMarks(text, { source: 'label', decimal: '.' });
const briefly = (text: string) => {
  const parsed = read(text);
  return parsed.kind === 'fault'
    ? parsed.message
    : parsed.marks
        .map(({ basis, readings }) => `${basis} ${readings.map(({ forceN }) => (forceN / 1000).toFixed(1)).join('|')}`)
        .join(', ');
};

describe('a cell with marks in it', () => {
  it.each([
    ['WLL 4.75 t', 'wll 46.6'],
    ['min. 10 t', 'unstated 98.1'],
    ['≥ 98 kN', 'unstated 98.0'],
    ['4.75 t (10,450 lb)', 'unstated 46.6'],
    ['4.75 t / 10,450 lb', 'unstated 46.6'],
    // A bare ton is settled by the pounds beside it: 13 short tons are 26,000 lb.
    ['13 ton (26,000 lb)', 'unstated 115.7'],
    ['13 ton', 'unstated 115.7|127.5|129.5'],
    ['WLL 2 t / MBS 10 t', 'wll 19.6, mbs 98.1'],
    ['WLL 2 t, MBS 10 t', 'wll 19.6, mbs 98.1'],
    ['MBS 10 t; 22,046 lb', 'mbs 98.1'],
  ])('%s: %s', (text, words) => {
    expect(briefly(text)).toBe(words);
  });

  it('keeps the words as they stand on the piece', () => {
    const parsed = read(' 4.75 t (10,450 lb) ');
    expect(parsed.kind === 'marks' && parsed.marks[0]?.asWritten).toBe('4.75 t (10,450 lb)');
  });

  it('is refused where its figures differ by more than rounding, or one cannot be read', () => {
    // 4 t are 8,818 lb; 3 % more are 9,083.
    expect(briefly('4 t (9,080 lb)')).toBe('unstated 39.2');
    expect(briefly('4 t (9,100 lb)')).toContain('says two different things, 4 t and 9,100 lb');
    expect(read('4 t (strong)').kind).toBe('fault');
    expect(read('strong').kind).toBe('fault');
    expect(read('3/4').kind).toBe('fault');
  });
});
