import { describe, expect, it } from 'vitest';
import { parseDate } from './parse-date.ts';

describe('a date as people write it', () => {
  it.each([
    ['2026-05-31', '2026-05-31'],
    ['2026/5/3', '2026-05-03'],
    ['2026-05-31T00:00:00', '2026-05-31'],
    ['31.05.2026', '2026-05-31'],
    ['5.6.26', '2026-06-05'],
    ['31/05/2026', '2026-05-31'],
    ['05/31/2026', '2026-05-31'],
    ['31/05/26 00:00', '2026-05-31'],
    ['6/6/2026', '2026-06-06'],
    ['31 May 2026', '2026-05-31'],
    ['31-May-26', '2026-05-31'],
    ['1st of no', undefined],
    ['1st Sept. 2026', '2026-09-01'],
    ['May 31, 2026', '2026-05-31'],
    ['March 2019', '2019-03'],
    ['Jan-24', '2024-01'],
    ["Jun '79", '2079-06'],
    ["Jun '80", '1980-06'],
    ['2019 Mar', '2019-03'],
    ['03/2019', '2019-03'],
    ['2019-03', '2019-03'],
    ['2021', '2021'],
    ['c. 2019', '2019'],
    ['~2019', '2019'],
    ['45292', '2024-01-01'],
    ['36526', '2000-01-01'],
    ['36525', undefined],
    ['73050', '2099-12-31'],
    ['73051', undefined],
    ['31.02.2026', undefined],
    ['13/2019', undefined],
    ['00/2019', undefined],
    ['1900', '1900'],
    ['1899', undefined],
    ['2199-12-31', '2199-12-31'],
    ['2200-01-01', undefined],
    ['0000-01-01', undefined],
    ['soon', undefined],
    ['', undefined],
    ['4', undefined],
  ])('%s is %s', (text, date) => {
    const parsed = parseDate(text);
    expect(parsed.kind === 'date' ? parsed.date : undefined).toBe(date);
    expect(parsed.kind).toBe(date === undefined ? 'fault' : 'date');
  });

  it('says which ways round a date may be meant, and goes by the order that was chosen', () => {
    expect(parseDate('05/06/2026')).toEqual({ kind: 'either', dayFirst: '2026-06-05', monthFirst: '2026-05-06' });
    expect(parseDate('05/06/2026', 'day-first')).toEqual({ kind: 'date', date: '2026-06-05' });
    expect(parseDate('05/06/2026', 'month-first')).toEqual({ kind: 'date', date: '2026-05-06' });
    // What can be read one way round only is read that way, whatever the others in the file are.
    expect(parseDate('05/31/2026', 'day-first')).toEqual({ kind: 'date', date: '2026-05-31' });
  });
});
