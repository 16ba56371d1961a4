import { describe, expect, it } from 'vitest';
import { teamStandard } from '../policy/team-standard.ts';
import { cheaperActions } from './cheaper-actions.ts';
import { estimatePull, type StuckVehicle } from './estimate-pull.ts';
import type { Situation } from './situation.ts';

const W = 2600 * 9.80665;
const situation: Situation = {
  surface: 'shallow-mud',
  depth: 'none',
  soil: 'loam',
  wet: true,
  lockedShare: 0,
  drivelineLocked: false,
  wheelsTurned: false,
};
const stuck = (change: Partial<Situation> = {}, slopeDeg = 0): StuckVehicle => ({
  massKg: 2600,
  slopeRad: (slopeDeg * Math.PI) / 180,
  lengthM: 4.4,
  widthM: 1.8,
  situation: { ...situation, ...change },
});
const estimate = (vehicle: StuckVehicle) => {
  const result = estimatePull(vehicle, teamStandard);
  if (result.kind !== 'estimated') throw new Error(result.kind);
  return result;
};
const method = (vehicle: StuckVehicle, id: string) => estimate(vehicle).methods.find((entry) => entry.id === id)?.pullN ?? Number.NaN;

describe('the pull needed', () => {
  it('follows the rules of thumb by hand', () => {
    expect(method(stuck(), 'fractions')).toBeCloseTo(W / 3, 6);
    expect(method(stuck({}, 6), 'fractions')).toBeCloseTo(W / 3 + W / 10, 6);
    expect(method(stuck({ depth: 'sills' }, 6), 'mire')).toBeCloseTo(2 * W + W / 10, 6);
  });
  it('adds weight, rolling and suction by physics', () => {
    expect(method(stuck({ depth: 'hubs' }, 10), 'physics')).toBeCloseTo(
      W * (Math.sin(Math.PI / 18) + 0.2 * Math.cos(Math.PI / 18)) + 2000 * 0.5,
      6,
    );
    expect(method(stuck({ depth: 'sills', soil: 'clay-or-bog' }), 'physics')).toBeCloseTo(W * 0.2 + 10_000 * 0.6 * 4.4 * 1.8, 6);
  });
  it('drags locked wheels instead of rolling them, on the free share only', () => {
    expect(method(stuck({ lockedShare: 0.5 }), 'fractions')).toBeCloseTo(W / 6 + 0.6 * W * 0.5, 6);
    expect(method(stuck({ drivelineLocked: true }), 'physics')).toBeCloseTo(0.6 * W, 6);
  });
  it('lifts a wheel over a ledge and refuses one as high as the wheel’s radius', () => {
    const ledge = { heightM: 0.1, wheelRadiusM: 0.4, axleShare: 0.5 };
    expect(method(stuck({ ledge }), 'fractions')).toBeCloseTo(W / 3 + (0.5 * W * Math.sqrt(0.5 - 0.0625)) / 0.75, 6);
    expect(estimatePull(stuck({ ledge: { ...ledge, heightM: 0.4 } }), teamStandard).kind).toBe('ledge-too-high');
  });
  it('plans on the mire multiple when a depth is given, else on 1.25 × the greatest', () => {
    expect(estimate(stuck({ depth: 'hubs' })).plannedN).toBeCloseTo(W, 6);
    expect(estimate(stuck()).plannedN).toBeCloseTo(1.25 * (W / 3), 6);
  });
  it('holds 1.25 × the largest method when it may run by itself', () => {
    const downhill = estimate(stuck({ surface: 'hard-road' }, -20));
    expect(downhill.runsByItself).toBe(true);
    expect(downhill.plannedN).toBeCloseTo(1.25 * Math.max(...downhill.methods.map(({ pullN }) => Math.abs(pullN))), 6);
  });
  it('refuses slopes beyond 45° and takes 45° itself', () => {
    expect(estimatePull(stuck({}, 45), teamStandard).kind).toBe('estimated');
    expect(estimatePull(stuck({}, -46), teamStandard)).toMatchObject({ kind: 'slope-out-of-range' });
  });
  it('adds up: every method is the sum of its terms', () => {
    const loaded = stuck(
      { depth: 'hubs', wheelsTurned: true, lockedShare: 0.25, trailer: { massKg: 700, depth: 'hubs', contactAreaM2: 0.3 } },
      7,
    );
    for (const { pullN, terms } of estimate(loaded).methods) expect(terms.reduce((sum, term) => sum + term.pullN, 0)).toBeCloseTo(pullN, 6);
  });
});

describe('cheaper actions first', () => {
  it('says what each takes off the planned pull, the greatest first', () => {
    const actions = cheaperActions(
      stuck({ depth: 'sills', wheelsTurned: true, trailer: { massKg: 700, depth: 'hubs', contactAreaM2: 0.3 } }),
      teamStandard,
    );
    expect(actions[0]).toMatchObject({ id: 'dig' });
    expect(actions[0]?.savesN).toBeCloseTo(W, 6);
    expect(actions.find(({ id }) => id === 'uncouple-trailer')?.savesN).toBeCloseTo(700 * 9.80665, 6);
    expect(actions.find(({ id }) => id === 'low-gear')?.savesN).toBe(0);
    expect(actions.map(({ savesN }) => savesN)).toEqual([...actions.map(({ savesN }) => savesN)].sort((a, b) => b - a));
  });
});
