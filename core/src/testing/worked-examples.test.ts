import { describe, expect, it } from 'vitest';
import { anchorCapacity } from '../anchors/anchor-capacity.ts';
import { pullSlopeOf } from '../anchors/ground-anchors.ts';
import { strapBasket } from '../anchors/strap-basket.ts';
import { treeCapacity } from '../anchors/tree-capacity.ts';
import { estimatePull } from '../effort/estimate-pull.ts';
import { taskPull } from '../effort/load-tasks.ts';
import { respoolAdvice } from '../effort/respool.ts';
import { flightOf, ropeEnergyJ } from '../hazards/rope-energy.ts';
import { vehicleHold } from '../hold/vehicle-hold.ts';
import { truck } from '../layouts/scene.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { pieceLimit } from '../rating/piece-limit.ts';
import { groundHeightM, slopeAlong } from '../statics/ground.ts';
import { vec3 } from '../statics/vec3.ts';
import { burstPlan, heatAfter } from '../winch/burst-plan.ts';
import { drumState, reserveM, ropeOnLayerM, tablePullOnLayer } from '../winch/drum-layers.ts';
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
    expect(tablePullOnLayer(drum, [{ layer: 1, pullN: 42_000 }], 2) / 1000).toBeCloseTo(33.1, 1);
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
  const wetGrass = (massKg: number, brakes: 'all' | 'parking-rear', extra: object = {}) =>
    truck('heron', 0, 0, 0, { massKg, stance: { ground: 'wet-grass', brakes }, ...extra });
  const level = { slopeRad: 0, uphillRad: 0 };
  const site = { surface: 'gravel', wet: false } as const;
  const ahead20 = [{ force: vec3(0, 20_000, 0), forwardM: 2.3, heightM: 0.75 }];
  it('2,900 kg on wet grass held by all brakes against 20 kN: slides by 10.0 kN, and by 10.5 kN across a slope of 8°', () => {
    const flat = vehicleHold(wetGrass(2900, 'all'), ahead20, level, teamStandard, site);
    expect((flat.holdN ?? 0) / 1000).toBeCloseTo(9.95, 2);
    expect((flat.slidesByN ?? 0) / 1000).toBeCloseTo(10.05, 2);
    const across = vehicleHold(
      wetGrass(2900, 'all'),
      ahead20,
      { slopeRad: (8 * Math.PI) / 180, uphillRad: Math.PI / 2 },
      teamStandard,
      site,
    );
    expect(across.demandN / 1000).toBeCloseTo(20.39, 2);
    expect((across.holdN ?? 0) / 1000).toBeCloseTo(9.86, 2);
  });
  it('the same on its parking brake: the pull lifts the rear axle, 2.6 kN hold', () => {
    const { brakedN, holdN } = vehicleHold(wetGrass(2900, 'parking-rear', { wheelbaseM: 2.8 }), ahead20, level, teamStandard, site);
    expect((brakedN ?? 0) / 1000).toBeCloseTo(7.44, 2);
    expect((holdN ?? 0) / 1000).toBeCloseTo(2.6, 2);
  });
  it('6 kN to one side, half a metre up, on 900 kg with a track of 1.5 m: 45 % of what turns it over', () => {
    const small = truck('otter', 0, 0, 0, { massKg: 900, trackM: 1.5 });
    const side = [{ force: vec3(6000, 4000, 0), forwardM: 1, heightM: 0.5 }];
    expect(vehicleHold(small, side, level, teamStandard, site).tipping).toBeCloseTo(0.453, 3);
  });
  it('pickets 3-2-1 in clay: fail at 16.0 kN, work to 10.7 kN', () => {
    const pickets = {
      id: 'p',
      kind: 'pickets',
      label: 'Pickets',
      xM: 0,
      yM: 0,
      pattern: '3-2-1',
      soil: 'clay-or-gravel',
      lines: 1,
    } as const;
    const { workingN, failingN } = anchorCapacity({ body: pickets, heightM: 0.3, riseRad: 0, piece: undefined }, teamStandard) ?? {};
    expect((failingN ?? 0) / 1000).toBeCloseTo(16.01, 2);
    expect((workingN ?? 0) / 1000).toBeCloseTo(10.68, 2);
  });
  it('a buried log of 2 m by 0.3 m, 1.4 m deep, pulled 20° upwards: fails at 87 kN; at 0.8 m it holds nothing', () => {
    const log = (depthM: number) =>
      ({ id: 'd', kind: 'deadman', label: 'Log', xM: 0, yM: 0, lengthM: 2, faceHeightM: 0.3, depthM }) as const;
    const at = (depthM: number, riseDeg: number) =>
      anchorCapacity({ body: log(depthM), heightM: 0, riseRad: (riseDeg * Math.PI) / 180, piece: undefined }, teamStandard)?.failingN ??
      Number.NaN;
    expect(at(1.4, 20) / 1000).toBeCloseTo(87.1, 1);
    expect(at(0.8, 20)).toBe(0);
    expect(at(9, 5)).toBeCloseTo(at(7 * 0.3048, 5), 6);
    expect(pullSlopeOf(Math.PI / 2)).toBe('vertical');
  });
  it('a ground anchor rated 40 kN in loam: works to 32 kN, fails at 64 kN', () => {
    const anchor = { id: 'g', kind: 'ground-anchor', label: 'Anchor', xM: 0, yM: 0, soil: 'loam' } as const;
    const rated = piece({ id: 'GA', kind: 'ground-anchor', marks: [mark('WLL 40 kN')], attributes: {} });
    expect(anchorCapacity({ body: anchor, heightM: 0, riseRad: 0, piece: rated }, teamStandard)).toMatchObject({
      workingN: expect.closeTo(32_000, 6),
      failingN: expect.closeTo(64_000, 6),
    });
  });
  it('a motor at half its rating: 245 A, 5 m a minute, 24.8 °C after the first burst', () => {
    const load = { noLoadA: 70, fullLoadA: 420, noLoadMPerS: 8 / 60, fullLoadMPerS: 2 / 60, engineRunning: true };
    const half = { loadShare: 0.5, layerRatio: 1, ropeM: 2.5 };
    const plan = burstPlan({ ...load, alternatorA: 120, batteryAh: 95 }, [half], teamStandard);
    if (plan.kind !== 'planned') throw new Error(plan.kind);
    expect(plan).toMatchObject({ bursts: 1, endedByHeat: false, firstBurstS: expect.closeTo(30, 9) });
    expect(plan.currentA).toBeCloseTo(245, 9);
    expect(plan.speedMPerS * 60).toBeCloseTo(5, 9);
    expect(plan.hottestC).toBeCloseTo(24.78, 2);
    // 85 % of 95 Ah, less (245 − 0.55 × 120) A for half a minute.
    expect(plan.lowestChargeShare).toBeCloseTo(0.85 - (245 - 66) / 120 / 95, 6);
    expect(burstPlan(load, [half, { ...half, loadShare: 1.4 }], teamStandard).kind).toBe('stalled');
    // Cut into a hundred stretches of the same load it is the same pull.
    const many = burstPlan({ ...load, alternatorA: 120, batteryAh: 95 }, Array(100).fill({ ...half, ropeM: 0.1 }), teamStandard);
    const whole = burstPlan({ ...load, alternatorA: 120, batteryAh: 95 }, [{ ...half, ropeM: 10 }], teamStandard);
    if (many.kind !== 'planned' || whole.kind !== 'planned') throw new Error('not planned');
    expect(many.bursts).toBe(4);
    expect(many.ends.map(({ atS }) => Math.round(atS))).toEqual([30, 120, 210]);
    expect(many.ends[1]?.stretch).toBe(49);
    for (const key of ['minutes', 'hottestC', 'lowestChargeShare'] as const) expect(many[key]).toBeCloseTo(whole[key] ?? Number.NaN, 9);
  });
  it('the motor’s heat halves its error with its step, towards the exact curve', () => {
    const exact = heatAfter(20, 452.2, 600, 2700);
    const stepped = (steps: number) => {
      let heat = 20;
      for (let step = 0; step < steps; step++) heat += ((452.2 - heat) * (600 / steps)) / 2700;
      return heat;
    };
    const [coarse, fine] = [stepped(200) - exact, stepped(400) - exact];
    expect(coarse / fine).toBeCloseTo(2, 1);
    expect(heatAfter(20, 452.2, 0, 2700)).toBe(20);
  });
  it('9 m of 10.5 t line at 30 kN: 1.47 kJ; in 2 kg, 77 N·s and 38 m/s at most', () => {
    const energyJ = ropeEnergyJ(teamStandard.stretch.laws.hmpe, 10_500 * 9.80665, 9, 30_000);
    expect(energyJ / 1000).toBeCloseTo(1.467, 2);
    const { momentumNs, speedMPerS } = flightOf(energyJ, 2);
    expect(momentumNs).toBeCloseTo(76.6, 0);
    expect(speedMPerS).toBeCloseTo(38.3, 0);
  });
  it('a trunk of 900 kg dragged 5° uphill: 6.04 kN, planned 7.56 kN; 1,800 kg set upright: 8.54 kN, planned 10.7 kN', () => {
    const planned = (input: Parameters<typeof taskPull>[0]) => {
      const effort = taskPull(input, teamStandard);
      if (effort.kind !== 'estimated') throw new Error(effort.kind);
      return [effort.highN / 1000, effort.plannedN / 1000];
    };
    const drag = planned({ massKg: 900, slopeRad: (5 * Math.PI) / 180, task: { kind: 'drag', bearingRad: 0 } });
    expect(drag).toEqual([expect.closeTo(6.045, 2), expect.closeTo(7.556, 2)]);
    const right = planned({ massKg: 1800, slopeRad: 0, task: { kind: 'right', bearingRad: 0, leverM: 0.75, lineHeightM: 1.55 } });
    expect(right).toEqual([expect.closeTo(8.541, 2), expect.closeTo(10.677, 2)]);
    expect(taskPull({ massKg: 900, slopeRad: 1, task: { kind: 'drag', bearingRad: 0 } }, teamStandard).kind).toBe('slope-out-of-range');
  });
  it('spooling: 3,100 kg up 4° with a tenth braked gives 4.55 kN; 1,200 kg needs 48 % braked, or a slope', () => {
    const helper = { slopeRad: (4 * Math.PI) / 180, surface: 'hard-road', brakeShare: 0.1 } as const;
    expect(respoolAdvice({ ...helper, massKg: 3100 }, teamStandard).tensionN / 1000).toBeCloseTo(4.547, 2);
    const light = respoolAdvice({ ...helper, massKg: 1200 }, teamStandard);
    expect(light.brakeShare).toBeCloseTo(0.477, 2);
    const bySlope = respoolAdvice({ ...helper, massKg: 1200, slopeRad: light.slopeRad ?? 0 }, teamStandard);
    expect(bySlope.tensionN).toBeCloseTo(light.wantedN, 3);
    expect(respoolAdvice({ massKg: 200, slopeRad: 0, surface: 'hard-road', brakeShare: 0 }, teamStandard)).not.toHaveProperty('slopeRad');
  });
});
