import { describe, expect, it } from 'vitest';
import { vec3 } from '../statics/vec3.ts';
import { dangerZones } from './danger-zones.ts';
import { keepOutLine, outsideOf } from './keep-out-line.ts';

const square = [
  { xM: 0, yM: 0 },
  { xM: 4, yM: 0 },
  { xM: 4, yM: 4 },
  { xM: 0, yM: 4 },
];

describe('the line that nobody crosses', () => {
  it('is the outline of the corners where there are only corners, counter-clockwise, without those on or inside it', () => {
    const corridor = {
      from: vec3(0, 2, 0),
      to: vec3(4, 2, 0),
      corners: [vec3(0, 0, 0), vec3(4, 0, 0), vec3(4, 4, 0), vec3(0, 4, 0)] as const,
    };
    const bend = { apex: vec3(2, 2, 0), a: vec3(2, 0, 0), b: vec3(1, 3, 0) };
    expect(keepOutLine([{ circles: [], corridors: [corridor], bends: [bend] }])).toEqual(square);
  });
  it('goes round every circle, touching it nowhere inside', () => {
    const zones = dangerZones([vec3(0, 0, 0), vec3(10, 0, 0), vec3(2, 7, 0)], { factor: 1.5, corridorM: 1.5 });
    const line = keepOutLine([zones]);
    for (const { centre, radiusM } of zones.circles)
      for (let turn = 0; turn < 360; turn++) {
        const rad = (turn * Math.PI) / 180;
        const at = { xM: centre.x + radiusM * Math.cos(rad), yM: centre.y + radiusM * Math.sin(rad) };
        for (const [index, from] of line.entries()) {
          const to = line[(index + 1) % line.length] ?? from;
          expect((to.xM - from.xM) * (at.yM - from.yM) - (to.yM - from.yM) * (at.xM - from.xM)).toBeGreaterThanOrEqual(-1e-9);
        }
      }
  });
  it('is nothing where there are no zones', () => {
    expect(keepOutLine([])).toEqual([]);
  });
});

describe('places outside a line', () => {
  it('stand so far off its sides, on the outer side', () => {
    const places = outsideOf(square, 2, 1);
    expect(places).toHaveLength(16);
    expect(places[0]).toEqual({ xM: 0, yM: -2 });
    expect(places[5]).toEqual({ xM: 6, yM: 1 });
    for (const { xM, yM } of places) expect(Math.min(xM, 4 - xM, yM, 4 - yM)).toBeCloseTo(-2, 9);
  });
});
