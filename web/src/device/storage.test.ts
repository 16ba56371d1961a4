import { describe, expect, it } from 'vitest';
import { storageWords } from './storage.ts';

const of = (leftBytes: number) => ({ usedBytes: 100_000_000 - leftBytes, mayBytes: 100_000_000 });

describe('the room on a device', () => {
  it('is spoken of before it runs out, just below forty megabytes and not at them', () => {
    expect(storageWords(of(40_000_000))).toBeUndefined();
    expect(storageWords(of(39_999_999))).toBe('This device has room for 40 MB more: send what waits, and put finished rounds away.');
  });
  it('is never told as less than none, and not at all where the browser does not say', () => {
    expect(storageWords({ usedBytes: 12, mayBytes: 10 })).toContain('room for 0 MB');
    expect(storageWords(undefined)).toBeUndefined();
  });
});
