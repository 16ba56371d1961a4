import { describe, expect, it } from 'vitest';
import { gradeFault, proposedDue } from './kept-grade.ts';
import type { ProposedGrade } from './propose-grade.ts';

const found = (grade: ProposedGrade['grade']): ProposedGrade => ({
  grade,
  reasons: grade === 'D' ? [{ id: 'cut', grade, words: 'No cuts: fails' }] : [],
  unweighed: [],
});
const full = { useCheck: false, nextDue: '2027-01-15' } as const;

describe('the grade that an inspector keeps', () => {
  it('is none in a check before or after use', () => {
    expect(gradeFault({ useCheck: true }, found('D'))).toBeUndefined();
    expect(gradeFault({ useCheck: true, grade: 'A' }, found('A'))?.field).toBe('grade');
  });
  it('is confirmed, with the day of the next look, which a piece that is out of use does without', () => {
    expect(gradeFault(full, found('B'))?.words).toBe('Confirm a grade; what was found points to B.');
    expect(gradeFault({ ...full, grade: 'B', nextDue: undefined }, found('B'))).toEqual({
      field: 'nextDue',
      words: 'Say when it is to be inspected again.',
    });
    expect(gradeFault({ ...full, grade: 'B' }, found('B'))).toBeUndefined();
    expect(gradeFault({ ...full, grade: 'D', nextDue: undefined }, found('B'))).toBeUndefined();
  });
  it('may be harsher than the findings, milder only with a reason, and never about a failure', () => {
    expect(gradeFault({ ...full, grade: 'C' }, found('B'))).toBeUndefined();
    expect(gradeFault({ ...full, grade: 'A' }, found('B'))?.field).toBe('note');
    expect(gradeFault({ ...full, grade: 'A', note: '  ' }, found('B'))?.field).toBe('note');
    expect(gradeFault({ ...full, grade: 'A', note: 'surface only' }, found('B'))).toBeUndefined();
    expect(gradeFault({ ...full, grade: 'C', note: 'looks fine' }, found('D'))?.words).toBe(
      'It fails (No cuts: fails), so its grade is D.',
    );
  });
});

describe('the next inspection', () => {
  it('follows the sheet, for a worn piece in half the time, a month at least', () => {
    expect(proposedDue('2026-01-31', { everyMonths: 12 }, 'B')).toBe('2027-01-31');
    expect(proposedDue('2026-08-31', { everyMonths: 12 }, 'C')).toBe('2027-02-28');
    expect(proposedDue('2026-01-15', { everyMonths: 1 }, 'C')).toBe('2026-02-15');
  });
});
