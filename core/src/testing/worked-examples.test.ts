import { describe, expect, it } from 'vitest';
import { strapBasket } from '../anchors/strap-basket.ts';
import { treeCapacity } from '../anchors/tree-capacity.ts';
import { estimatePull } from '../effort/estimate-pull.ts';
import { pieceLimit } from '../judgement/piece-limit.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { groundHeightM, slopeAlong } from '../rig/places.ts';
import { drumState, ratedPullOnLayer, reserveM, ropeOnLayerM } from '../winch/drum-layers.ts';
import { mark, piece, tree } from './example-case.ts';

/** The examples of docs/calculations.md, digit by digit as they stand there. */
describe('the worked examples', () => {
  it('strap marked “10 t”, grade C: 24.5 kN', () => {
    const strap = piece({
      id: 'x',
      kind: 'tree-strap',
      marks: [mark('10 t')],
      attributes: {},
      inspection: { on: '2026-01-01', grade: 'C' },
    });
    const limit = pieceLimit(strap, 'soft-good', { policy: teamStandard, asOf: '2026-06-01', wet: false });
    expect(limit.kind === 'rated' && limit.wllN / 1000).toBeCloseTo(24.5, 1);
  });
  it('strap of 1.342 m round 0.4 m: legs at a right angle', () => {
    const basket = strapBasket(1.3425, 0.4);
    expect(((basket?.legAngleRad ?? 0) * 180) / Math.PI).toBeCloseTo(90, 0);
    expect(basket?.legShare).toBeCloseTo(Math.SQRT1_2, 3);
  });
  it('2,600 kg to the hubs in clay, 4° up: 27.2 kN by mire, 11.9 kN by physics', () => {
    const effort = estimatePull(
      {
        massKg: 2600,
        slopeRad: (4 * Math.PI) / 180,
        lengthM: 4.6,
        widthM: 1.85,
        situation: {
          surface: 'shallow-mud',
          depth: 'hubs',
          soil: 'clay-or-bog',
          wet: true,
          lockedShare: 0,
          drivelineLocked: false,
          wheelsTurned: false,
        },
      },
      teamStandard,
    );
    if (effort.kind !== 'estimated') throw new Error(effort.kind);
    expect(effort.plannedN / 1000).toBeCloseTo(27.2, 1);
    expect((effort.methods.find(({ id }) => id === 'physics')?.pullN ?? 0) / 1000).toBeCloseTo(11.9, 1);
  });
  it('the drum with 20 m out: layer 2, 31.8 wraps, 33.1 kN', () => {
    const drum = { coreDiameterM: 0.064, widthM: 0.224, ropeDiameterM: 0.01, ropeLengthM: 28 };
    expect([1, 2].map((layer) => Number(ropeOnLayerM(drum, layer).toFixed(2)))).toEqual([5.11, 6.5]);
    const state = drumState(drum, 20);
    expect(state?.layer).toBe(2);
    expect(state?.wrapsLeft).toBeCloseTo(31.8, 1);
    expect(ratedPullOnLayer(drum, 42_000, 2) / 1000).toBeCloseTo(33.1, 1);
    expect(28 - reserveM(drum, 10)).toBeCloseTo(25.7, 1);
  });
  it('trees: 13.1 kN thin and high, 106.2 kN by the root plate', () => {
    expect(treeCapacity({ ...tree, trunkDiameterM: 0.25, footing: 'moist' }, 0.9, teamStandard).workingN / 1000).toBeCloseTo(13.1, 1);
    expect(treeCapacity({ ...tree, trunkDiameterM: 0.38, footing: 'moist' }, 0.3, teamStandard).workingN / 1000).toBeCloseTo(106.2, 1);
  });
});

describe('the ground', () => {
  const ground = { slopeRad: 0.6, uphillRad: Math.PI / 3 };
  it('has its full slope uphill, none across, and part of it between, whatever the direction’s length', () => {
    const uphill = { x: Math.sin(Math.PI / 3), y: Math.cos(Math.PI / 3), z: 0 };
    expect(slopeAlong(ground, uphill)).toBeCloseTo(0.6, 12);
    expect(slopeAlong(ground, { x: 3 * uphill.x, y: 3 * uphill.y, z: 9 })).toBeCloseTo(0.6, 12);
    expect(slopeAlong(ground, { x: -uphill.y, y: uphill.x, z: 0 })).toBeCloseTo(0, 12);
    expect(Math.tan(slopeAlong(ground, { x: 0, y: 1, z: 0 }))).toBeCloseTo(Math.tan(0.6) * 0.5, 12);
  });
  it('rises as it slopes', () => {
    expect(groundHeightM(ground, 10 * Math.sin(Math.PI / 3), 10 * Math.cos(Math.PI / 3))).toBeCloseTo(10 * Math.tan(0.6), 9);
  });
});
