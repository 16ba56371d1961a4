import { describe, expect, it } from 'vitest';
import { cutBack } from './cut-back.ts';

describe('a line that is cut back', () => {
  const line = { lengthM: 28, endMarkM: 22, colourChangeM: 24 };
  it.each([
    ['at the hook', line, 1.5, 'hook', { lengthM: 26.5, endMarkM: 20.5, colourChangeM: 22.5 }],
    ['at the drum', line, 1.5, 'drum', { lengthM: 26.5, endMarkM: 22, colourChangeM: 24 }],
    ['at the drum, to the mark', line, 4, 'drum', { lengthM: 24, endMarkM: 22, colourChangeM: 24 }],
    ['at the drum, past a mark', line, 4.5, 'drum', { lengthM: 23.5, endMarkM: 22 }],
    ['at the hook, up to a mark', line, 22, 'hook', { lengthM: 6, colourChangeM: 2 }],
    ['at the hook, just short of it', line, 21.9, 'hook', { lengthM: 6.1, endMarkM: 0.1, colourChangeM: 2.1 }],
    ['without marks', { lengthM: 0.3 }, 0.1, 'hook', { lengthM: 0.2 }],
  ] as const)('%s', (_what, sizes, metres, at, left) => expect(cutBack(sizes, metres, at)).toEqual(left));
});
