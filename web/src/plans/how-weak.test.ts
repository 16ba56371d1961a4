import { formatFigure, type PlaceReport } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { howWeak } from './how-weak.ts';

const figure = (value: Parameters<typeof formatFigure>[0]) => formatFigure(value, 'kN');
const place = (change: Partial<PlaceReport>) => ({ stopRatio: 1.25, wllN: 1000, ...change }) as PlaceReport;
const said = (change: Partial<PlaceReport>) =>
  [howWeak(place(change), figure), howWeak(place(change), figure, true)].map((words) => words.replace('\u00A0', ' '));

describe('by how much a place is the weakest', () => {
  it('is told by its share of the limit where that decides, and always where it is over it', () => {
    expect(said({ worst: { plannedN: 800, utilisation: 0.8, breakingRatio: 1.6 } })).toEqual(['80 % of its limit', '80 %']);
    expect(said({ worst: { plannedN: 1900, utilisation: 1.9, breakingRatio: 0.4 } })).toEqual(['190 % of its limit', '190 %']);
  });
  it('is told by how it breaks where that is worse: 1.25 ÷ 1.5 is more than 80 %', () => {
    expect(said({ worst: { plannedN: 800, utilisation: 0.8, breakingRatio: 1.5 } })).toEqual([
      'breaks at 1.50 × the greatest pull',
      'breaks, 1.50 ×',
    ]);
  });
  it('is never a share where there is no limit, no strength or no load', () => {
    expect(said({ wllN: 0, worst: {} })).toEqual(['no strength', 'no strength']);
    expect(said({ wllN: undefined, worst: { plannedN: 800 } })).toEqual(['limit not known', 'no limit']);
    expect(said({ worst: {} })).toEqual(['load not known', 'no load']);
  });
});
