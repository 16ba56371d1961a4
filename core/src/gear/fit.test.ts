import { describe, expect, it } from 'vitest';
import { unmarkedPoint } from '../anchors/unmarked-point.ts';
import { remoteReachM } from '../hazards/remote-reach.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { piece } from '../testing/example-case.ts';
import { goTogether } from './fit.ts';
import type { GearFacts } from './gear-facts.ts';
import { isLastResortPoint, refusedPoint } from './vehicle-points.ts';

const soft = (ropeDiameterM: number) => piece({ id: 'SS', kind: 'soft-shackle', marks: [], attributes: { ropeDiameterM } });
const link = (boreDiameterM?: number) =>
  piece({ id: 'CL', kind: 'closed-link', marks: [], attributes: boreDiameterM === undefined ? {} : { boreDiameterM } });

describe('two pieces that meet', () => {
  it('go into each other up to the very size, whichever is named first', () => {
    // A soft shackle passes a hole as two strands.
    expect(goTogether(soft(0.012), link(0.024))).toBe(true);
    expect(goTogether(soft(0.013), link(0.024))).toBe(false);
    expect(goTogether(link(0.024), soft(0.013))).toBe(false);
  });
  it('are not called misfits for what is not on record, nor where nothing goes into anything', () => {
    expect(goTogether(soft(0.03), link())).toBe(true);
    expect(goTogether(soft(0.03), soft(0.01))).toBe(true);
  });
});

describe('a vehicle’s points', () => {
  const point = (pointKind: string): GearFacts =>
    piece({ id: 'VP', kind: 'recovery-point', marks: [], attributes: { pointKind: pointKind as 'tow-ball' } });
  it('are refused, a last resort, or neither, never two of these', () => {
    expect(refusedPoint(point('tow-ball'))).toContain('shears off');
    expect(isLastResortPoint(point('frame-slot'))).toBe(true);
    for (const kind of ['tow-ball', 'tie-down-eye', 'frame-slot', 'thick-suspension-arm', 'maker-rated', 'factory-hook'])
      expect(refusedPoint(point(kind)) !== undefined && isLastResortPoint(point(kind)), kind).toBe(false);
    expect(refusedPoint(link(0.02))).toBeUndefined();
  });
  it('without a mark go by the vehicle’s weight, a hook for more than an eye', () => {
    const hook = unmarkedPoint('factory-hook', 2000, teamStandard, []);
    expect(hook).toMatchObject({ workingN: 2000 * 9.80665, failingN: 2.5 * 2000 * 9.80665 });
    const eye = unmarkedPoint('tie-down-eye', 2000, teamStandard, []);
    expect(eye.workingN / hook.workingN).toBeCloseTo(0.25, 12);
    expect(eye.failingN / hook.failingN).toBeCloseTo(0.2, 12);
    // Never more than a marked point of the same vehicle.
    const weak = { wllN: 12_000, mbsN: 40_000 };
    expect(unmarkedPoint('factory-hook', 2000, teamStandard, [weak])).toMatchObject({ workingN: 12_000, failingN: 40_000 });
  });
});

describe('a winch’s remote', () => {
  const winch = (attributes: object) =>
    piece({ id: 'W', kind: 'winch', marks: [], attributes }) as Extract<GearFacts, { readonly kind: 'winch' }>;
  it('reaches as far as its lead, or as the policy says of a wireless one; else nobody knows', () => {
    expect(remoteReachM(winch({ control: 'lead', leadLengthM: 3.5 }), teamStandard)).toBe(3.5);
    expect(remoteReachM(winch({ control: 'wireless', leadLengthM: 3.5 }), teamStandard)).toBe(teamStandard.zones.wirelessReachM.value);
    expect(remoteReachM(winch({ control: 'lead' }), teamStandard)).toBeUndefined();
    expect(remoteReachM(winch({}), teamStandard)).toBeUndefined();
  });
});
