import { describe, expect, it } from 'vitest';
import { ago, day, moment, withDays } from './days.ts';
import { placeWords } from './ProblemNote.tsx';

describe('a date as the reader writes it', () => {
  it('is a day, or as much of it as is known', () => {
    expect(day('2026-06-01')).toBe('Jun 1, 2026');
    expect(day('2026-06')).toBe('Jun 2026');
    expect(day('2026')).toBe('2026');
    expect(day('unknown')).toBe('unknown');
    expect(day('2026-13')).toBe('2026-13');
  });
  it('stands within a sentence; what looks like one but is none stays', () => {
    expect(withDays('Due 2026-01-31, last inspected 2025-01-30.')).toBe('Due Jan 31, 2026, last inspected Jan 30, 2025.');
    expect(withDays('SH-01 was found on 2026-01-31')).toBe('SH-01 was found on Jan 31, 2026');
    // A tag that looks like a day is not one.
    expect(withDays('2026-01-31 Bow shackle is over its limit')).toBe('2026-01-31 Bow shackle is over its limit');
    expect(withDays('Tag 2026-02-30, batch 12026-01-01, at 2026-01-01T10:00:00Z')).toBe(
      'Tag 2026-02-30, batch 12026-01-01, at 2026-01-01T10:00:00Z',
    );
  });
  it('is a moment with its time, and how long ago one was', () => {
    expect(moment('2026-06-01T10:05:00')).toMatch(/^Jun 1, 2026, 10:05/);
    expect(ago(new Date(Date.now() - 3 * 3600_000).toISOString())).toBe('3 hours ago');
    expect(ago(new Date(Date.now() - 25 * 60_000).toISOString())).toBe('25 minutes ago');
    expect(ago(new Date(Date.now() - 3 * 86_400_000).toISOString())).toBe('3 days ago');
  });
});

describe('where a fault lies', () => {
  it.each([
    ['marks[0].asWritten', 'marks 1, as written'],
    ['rig.bodies.2.xM', 'rig, bodies 3, x m'],
    ['file', 'file'],
    ['no-damper@leg', 'no damper@leg'],
  ])('%s is said “%s”', (path, words) => {
    expect(placeWords(path)).toBe(words);
  });
});
