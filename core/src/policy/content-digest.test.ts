import { describe, expect, it } from 'vitest';
import { contentDigest } from './content-digest.ts';

describe('a digest of content', () => {
  it('is the same for the same content in another order, and leaves out what is not stated', () => {
    expect(contentDigest({ a: 1, b: [1, { c: 'x', d: undefined }] })).toBe(contentDigest({ b: [1, { c: 'x' }], a: 1 }));
  });
  it('has fourteen hexadecimal digits, whatever it is of', () => {
    for (const value of ['', 0, null, {}, [], 'ä'.repeat(999)]) expect(contentDigest(value)).toMatch(/^[0-9a-f]{14}$/);
  });
  it('stays what it is from one release to the next', () => {
    expect(contentDigest({ a: 1 })).toBe('1c06f77cc1d846');
  });
  it('is another for another figure, name, order of a list, and place in the tree', () => {
    const digests = [
      ...Array.from({ length: 20_000 }, (_, at) => ({ kind: 'rig', xM: at / 1000 })),
      { kind: 'rig', xM: '0' },
      { kind: 'rig', yM: 0 },
      [1, 2],
      [2, 1],
      [[1], 2],
      { a: { b: 1 } },
      { a: {}, b: 1 },
    ].map(contentDigest);
    expect(new Set(digests).size).toBe(digests.length);
  });
});
