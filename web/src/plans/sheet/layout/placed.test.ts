import { describe, expect, it } from 'vitest';
import { box, disc, outline, placed, pointsOf } from './placed.ts';

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

it('draws an outline through its points', () => {
  expect(
    outline({ x: 10, y: 20 }, 0, [
      [0, 0],
      [5, 0],
      [0, 7],
    ]),
  ).toBe('10 20 15 20 10 27');
});

it('draws a rectangle about a point, along the way it is turned', () => {
  expect(box({ x: 0, y: 0 }, 0, [10, 5, 4, 2])).toBe('8 4 12 4 12 6 8 6');
  // Turned down: (x, y) is drawn at (−y, x).
  expect(box({ x: 0, y: 0 }, Math.PI / 2, [10, 5, 4, 2])).toBe('-4 8 -4 12 -6 12 -6 8');
});

it('draws a disc about a point, in two halves', () => {
  expect(disc({ x: 10, y: 20.004 }, 3)).toBe('M7 20a3 3 0 1 0 6 0a3 3 0 1 0 -6 0Z');
});

it('writes points of the screen to a hundredth of a pixel', () => {
  expect(
    pointsOf([
      { x: 1.004, y: 2.006 },
      { x: -3, y: 4 },
    ]),
  ).toBe('1 2.01 -3 4');
});
