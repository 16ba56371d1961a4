import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { attributes } from '../testing/changes.ts';
import { exampleCase } from '../testing/example-case.ts';

const usable = (change: object) => judge(attributes('L-1', change)(exampleCase())).drives[0]?.usableM ?? Number.NaN;

describe('the line that may be out', () => {
  const byWraps = usable({});

  it('ends at the wraps to leave where the line bears no mark, or one beyond them', () => {
    expect(byWraps).toBeGreaterThan(10);
    expect(usable({ endMarkM: byWraps + 0.5 })).toBe(byWraps);
  });
  it('ends at the end mark or the change of colour, whichever comes first', () => {
    expect(usable({ endMarkM: 9 })).toBe(9);
    expect(usable({ colourChangeM: 8 })).toBe(8);
    expect(usable({ endMarkM: 9, colourChangeM: 8 })).toBe(8);
    expect(usable({ endMarkM: 7, colourChangeM: 8 })).toBe(7);
  });
});
