import { describe, expect, it } from 'vitest';
import { firstDay, lastDay } from './partial-date.ts';

describe('a date of which not all is known', () => {
  it.each([
    ['2021', '2021-01-01', '2021-12-31'],
    ['2021-02', '2021-02-01', '2021-02-28'],
    ['2024-02', '2024-02-01', '2024-02-29'],
    ['2021-12', '2021-12-01', '2021-12-31'],
    ['2021-03-14', '2021-03-14', '2021-03-14'],
  ])('%s begins on %s and ends on %s', (date, first, last) => {
    expect([firstDay(date), lastDay(date)]).toEqual([first, last]);
  });
});
