import { describe, expect, it } from 'vitest';
import { sizeOfJson } from './body-limits.ts';

const size = (text: string) => sizeOfJson(Buffer.from(text));

describe('the size of a JSON text', () => {
  it.each([
    ['{}', 1, 0, 0],
    ['[1,2,3]', 1, 2, 0],
    ['{"a":{"b":[{}]},"c":1}', 4, 1, 2],
    ['"[[[,,,:"', 0, 0, 0],
    ['["a\\"[,","\\\\",2]', 1, 2, 0],
    ['[[],[]]', 2, 1, 0],
    ['[{"a":1,"b":2},{"c":3}]', 2, 2, 2],
    ['{"a":{"x":1,"y":2,"z":3},"b":{"x":1}}', 2, 3, 3],
    ['{"a":":","b":1}', 1, 1, 2],
    ['', 0, 0, 0],
  ])('of %s is %s deep with %s more entries, and at most %s keys in an object', (text, depth, entries, keys) => {
    expect(size(text)).toEqual({ depth, entries, keys });
  });
  it('is counted where the text is no JSON at all', () => {
    expect(size('['.repeat(400_000))).toEqual({ depth: 400_000, entries: 0, keys: 0 });
    expect(size(']]],"')).toEqual({ depth: 0, entries: 1, keys: 0 });
  });
});
