import { describe, expect, it } from 'vitest';
import { apartFrom, outlineReachM, placedFrom } from './apart.ts';
import type { Body } from './rig.ts';

/** Five metres by two, heading east. */
const heron = {
  id: 'heron',
  kind: 'vehicle',
  label: 'Heron',
  xM: 10,
  yM: 20,
  headingRad: Math.PI / 2,
  massKg: 2000,
  lengthM: 5,
  widthM: 2,
} as Body;
const larch = { id: 'larch', kind: 'tree', label: 'Larch', xM: 0, yM: 0, trunkDiameterM: 0.4 } as Body;
const person = { id: 'ada', kind: 'person', label: 'Ada', xM: 0, yM: 0, duty: 'helper' } as Body;

describe('how far an outline reaches', () => {
  it.each([
    ['ahead', Math.PI / 2, 2.5],
    ['astern', (3 * Math.PI) / 2, 2.5],
    ['to the left', 0, 1],
    ['to the right', Math.PI, 1],
    // 45° off the bow the side is met first: 1 ÷ cos 45°.
    ['off the bow', Math.PI / 4, Math.SQRT2],
  ])('of a vehicle, %s', (_where, bearing, reach) => {
    expect(outlineReachM(heron, bearing)).toBeCloseTo(reach, 9);
  });
  it('of a trunk is half its diameter, of a person nothing', () => {
    expect(outlineReachM(larch, 1)).toBe(0.2);
    expect(outlineReachM(person, 1)).toBe(0);
  });
});

describe('a place by distance and direction', () => {
  it('is measured from outline to outline', () => {
    // 13.5 m from bumper to trunk: 2.5 + 13.5 + 0.2 east of the vehicle's middle.
    expect(placedFrom(heron, larch, { gapM: 13.5, bearingRad: Math.PI / 2 })).toEqual({ xM: 26.2, yM: 20 });
    expect(placedFrom(heron, person, { gapM: 4, bearingRad: 0 })).toEqual({ xM: 10, yM: 25 });
    expect(placedFrom(heron, larch, { gapM: 0, bearingRad: Math.PI })).toEqual({ xM: 10, yM: 18.8 });
  });
  it('is read back as it was given, all round', () => {
    for (let step = 0; step < 16; step++) {
      const bearingRad = (step * Math.PI) / 8;
      const at = placedFrom(heron, larch, { gapM: 7.3, bearingRad });
      const apart = apartFrom(heron, { ...larch, ...at });
      expect(apart.gapM).toBeCloseTo(7.3, 1);
      expect(Math.cos(apart.bearingRad - bearingRad)).toBeGreaterThan(0.99999);
      expect(apart.bearingRad).toBeGreaterThanOrEqual(0);
    }
  });
  it('has no gap where outlines overlap', () => {
    expect(apartFrom(heron, { ...larch, xM: 11, yM: 20 }).gapM).toBe(0);
  });
});
