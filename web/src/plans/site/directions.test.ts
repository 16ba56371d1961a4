import type { Body } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { directionWords } from './directions.ts';

const DEGREE = Math.PI / 180;
const tree = { id: 't', kind: 'tree', label: 'Oak', xM: 0, yM: 0, trunkDiameterM: 0.4 } as unknown as Body;
const vehicle = {
  id: 'v',
  kind: 'vehicle',
  label: 'Otter',
  xM: 0,
  yM: 0,
  lengthM: 4,
  widthM: 2,
  headingRad: 90 * DEGREE,
} as unknown as Body;
const at = (degrees: number): Body =>
  ({ id: 'p', kind: 'person', label: 'P', xM: 30 * Math.sin(degrees * DEGREE), yM: 30 * Math.cos(degrees * DEGREE) }) as unknown as Body;

describe('which way somebody stands', () => {
  it('is told by the compass from what has no front, to the nearest of eight', () => {
    expect([0, 22, 23, 67, 68, 180, 202, 203, 337, 338, 359].map((degrees) => directionWords(tree, at(degrees)))).toEqual([
      'north',
      'north',
      'north-east',
      'north-east',
      'east',
      'south',
      'south',
      'south-west',
      'north-west',
      'north',
      'north',
    ]);
  });
  it('is told as seen from the seat of a vehicle, whichever way that faces', () => {
    expect([90, 135, 180, 225, 270, 0, 45].map((degrees) => directionWords(vehicle, at(degrees)))).toEqual([
      'ahead',
      'ahead to the right',
      'to the right',
      'behind to the right',
      'behind',
      'to the left',
      'ahead to the left',
    ]);
  });
});
