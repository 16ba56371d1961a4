import { describe, expect, it } from 'vitest';
import { box, outline, placed } from './placed.ts';

describe('a point of a mark on the screen', () => {
  it('stands beside and under its middle', () => {
    expect(placed({ x: 100, y: 50 })(3, -4)).toBe('103 46');
  });

  it('is turned clockwise about its middle', () => {
    // A quarter turn takes what is to the right down, and what is below to the left.
    expect(placed({ x: 100, y: 50 }, Math.PI / 2)(10, 0)).toBe('100 60');
    expect(placed({ x: 100, y: 50 }, Math.PI / 2)(0, 10)).toBe('90 50');
    // By 30°: 10·cos 30° = 8.66 to the right, 10·sin 30° = 5 down.
    expect(placed({ x: 0, y: 0 }, Math.PI / 6)(10, 0)).toBe('8.66 5');
  });

  it('is written to a hundredth of a pixel', () => {
    expect(placed({ x: 1.23456, y: -0.005 })(0, 0)).toBe('1.23 0');
  });
});

it('draws a closed outline through its points', () => {
  expect(
    outline({ x: 10, y: 20 }, 0, [
      [0, 0],
      [5, 0],
      [0, 7],
    ]),
  ).toBe('M10 20L15 20L10 27Z');
});

it('draws a rectangle about a point, along the way it is turned', () => {
  expect(box({ x: 0, y: 0 }, 0, [10, 5, 4, 2])).toBe('M8 4L12 4L12 6L8 6Z');
  // Turned down: (x, y) is drawn at (−y, x).
  expect(box({ x: 0, y: 0 }, Math.PI / 2, [10, 5, 4, 2])).toBe('M-4 8L-4 12L-6 12L-6 8Z');
});
