import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { vec3 } from '../statics/vec3.ts';
import { exampleCase } from '../testing/example-case.ts';
import { dangerZones, inZones, passesOver } from './danger-zones.ts';
import { elongationAt, flightOf, ropeEnergyJ, ropeMassKg } from './rope-energy.ts';

const path = [vec3(0, 0, 0.7), vec3(12, 2, 0.4), vec3(4, -5, 0.5)];
const zones = dangerZones(path, { factor: 1.5, corridorM: 1.5 });

describe('what is to be kept clear', () => {
  it('is a circle of 1.5 × the longer strand round every end and bend', () => {
    const [first, second] = [Math.hypot(12, 2, 0.3), Math.hypot(8, 7, 0.1)];
    expect(zones.circles.map(({ radiusM }) => radiusM)).toEqual(
      [1.5 * first, 1.5 * first, 1.5 * second].map((radius) => expect.closeTo(radius, 9)),
    );
  });
  it('is a corridor of the stated width beside each strand', () => {
    for (const { from, to, corners } of zones.corridors) {
      const along = Math.hypot(to.x - from.x, to.y - from.y);
      const aside = corners.map(
        (corner) => Math.abs((to.x - from.x) * (corner.y - from.y) - (to.y - from.y) * (corner.x - from.x)) / along,
      );
      for (const distance of aside) expect(distance).toBeCloseTo(1.5, 9);
    }
  });
  it('is the inside of the bend, out to its circle', () => {
    const [bend] = zones.bends;
    expect(zones.bends).toHaveLength(1);
    for (const corner of [bend?.a, bend?.b])
      expect(Math.hypot((corner?.x ?? 0) - 12, (corner?.y ?? 0) - 2)).toBeCloseTo(zones.circles[1]?.radiusM ?? 0, 9);
  });
  it('tells who stands in it, whichever shape catches them', () => {
    const thin = dangerZones([vec3(0, 0, 0), vec3(20, 0, 0), vec3(0, 9, 0)], { factor: 0, corridorM: 1.5 });
    expect(inZones(thin, vec3(10, 1.4, 0))).toBe(true);
    expect(inZones(thin, vec3(10, -1.6, 0))).toBe(false);
    expect(inZones(zones, vec3(8, -1, 0))).toBe(true);
    expect(inZones(zones, vec3(-40, 30, 0))).toBe(false);
  });
  it('sees a line that passes over an outline and one that passes beside it', () => {
    const outline = [vec3(4, -1, 0), vec3(8, -1, 0), vec3(8, 1, 0), vec3(4, 1, 0)];
    expect(passesOver(vec3(0, 0.5, 0), vec3(12, 0.7, 0), outline)).toBe(true);
    expect(passesOver(vec3(0, 2, 0), vec3(12, 1.5, 0), outline)).toBe(false);
  });
  it('does not stumble over two points above each other', () => {
    expect(dangerZones([vec3(0, 0, 0), vec3(0, 0, 3)], { factor: 1.5, corridorM: 1.5 }).corridors).toEqual([]);
  });
});

describe('what a line lets go', () => {
  const { laws } = teamStandard.stretch;
  it('is the area under its curve, by the trapezoid rule', () => {
    for (const law of Object.values(laws)) {
      const [mbsN, lengthM, forceN, steps] = [90_000, 23, 31_000, 4000];
      const end = elongationAt(law, mbsN, forceN);
      const pull = (strain: number) => mbsN * (strain / law.elongation) ** law.exponent;
      let area = 0;
      for (let step = 0; step < steps; step++)
        area += ((pull((end * step) / steps) + pull((end * (step + 1)) / steps)) / 2) * (end / steps);
      expect(ropeEnergyJ(law, mbsN, lengthM, forceN) / (area * lengthM)).toBeCloseTo(1, 6);
    }
  });
  it('is nothing without a pull, and the whole curve at its strength', () => {
    const law = laws.hmpe;
    expect(ropeEnergyJ(law, 90_000, 20, 0)).toBe(0);
    expect(ropeEnergyJ(law, 90_000, 20, 90_000)).toBeCloseTo((90_000 * 20 * 0.035) / 2.1, 6);
  });
  it('gives a mass its momentum and its speed', () => {
    const { momentumNs, speedMPerS } = flightOf(900, 2);
    expect(momentumNs).toBeCloseTo(60, 9);
    expect(speedMPerS).toBeCloseTo(30, 9);
    expect(0.5 * 2 * speedMPerS ** 2).toBeCloseTo(900, 9);
    expect(ropeMassKg(laws.hmpe, 0.01, 30)).toBeCloseTo(1.8, 9);
  });
  it('stands in the report with each line’s flights, masses that are not on record named', () => {
    const [broken] = judge(exampleCase()).breaks;
    expect(broken?.energyJ).toBeGreaterThan(500);
    expect(broken?.flights.map(({ chainId }) => chainId)).toEqual(['at-tree', 'at-return-point']);
    expect(broken?.flights[0]?.massUnknownOf).toEqual(['RR-1']);
  });
});
