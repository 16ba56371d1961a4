import { expect, it } from 'vitest';
import { bearingDegrees, DEGREE } from './angles.ts';

it.each([
  [0, 0],
  [Math.PI / 2, 90],
  [-Math.PI / 2, 270],
  [2 * Math.PI, 0],
  [-3 * Math.PI, 180],
])('%s rad is a bearing of %s°', (rad, degrees) => {
  expect(bearingDegrees(rad)).toBeCloseTo(degrees, 9);
  expect(Math.cos(degrees * DEGREE)).toBeCloseTo(Math.cos(rad), 9);
});
