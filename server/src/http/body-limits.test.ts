import { describe, expect, it } from 'vitest';
import { sizeOfJson } from './body-limits.ts';

const size = (text: string) => sizeOfJson(Buffer.from(text));

describe('the size of a JSON text', () => {
  it.each([
    ['{}', 1, 0],
    ['[1,2,3]', 1, 2],
    ['{"a":{"b":[{}]},"c":1}', 4, 1],
    ['"[[[,,,"', 0, 0],
    ['["a\\"[,","\\\\",2]', 1, 2],
    ['[[],[]]', 2, 1],
    ['', 0, 0],
  ])('of %s is %s deep with %s more entries', (text, depth, entries) => {
    expect(size(text)).toEqual({ depth, entries });
  });
  it('is counted where the text is no JSON at all', () => {
    expect(size('['.repeat(400_000))).toEqual({ depth: 400_000, entries: 0 });
    expect(size(']]],"')).toEqual({ depth: 0, entries: 1 });
  });
});
