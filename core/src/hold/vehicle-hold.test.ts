import { describe, expect, it } from 'vitest';
import { teamStandard } from '../policy/team-standard.ts';
import { scale, vec3 } from '../statics/vec3.ts';
import type { Stance } from './stance.ts';
import { type HeldVehicle, holdUnder, slidesFromShare, standingOf, type VehiclePull } from './vehicle-hold.ts';

const level = { slopeRad: 0, uphillRad: 0 };
/** 2 t, facing east (+x), wheelbase 2.5 m, track 1.6 m. */
/** Firm and dry, where nobody says that a vehicle stands on something else. */
const site = { surface: 'gravel', wet: false } as const;
const vehicle = (stance: Stance, change: Partial<HeldVehicle> = {}): HeldVehicle => ({
  massKg: 2000,
  headingRad: Math.PI / 2,
  lengthM: 4,
  widthM: 2,
  wheelbaseM: 2.5,
  trackM: 1.6,
  frontShare: 0.6,
  stance,
  ...change,
});
const on = (brakes: Stance['brakes'], extraN?: number): Stance => ({
  ground: 'wet-grass',
  brakes,
  ...(extraN !== undefined && { extra: { holdN: extraN, person: 'Mirren Quaile', reason: 'chocked' } }),
});
const mu = teamStandard.hold.friction['wet-grass'].value;
const ahead = (forceN: number, heightM = 0.5): VehiclePull => ({ force: vec3(forceN, 0, 0), forwardM: 2, heightM });
const WEIGHT = 2000 * 9.80665;

describe('how a vehicle stands', () => {
  it('with all wheels braked on the level: μ m g, which a pull along the ground leaves alone', () => {
    const figures = holdUnder(standingOf(vehicle(on('all')), level, teamStandard, site), [ahead(5000)]);
    expect(figures.demandN).toBeCloseTo(5000, 9);
    expect(figures.brakedN).toBeCloseTo(WEIGHT, 6);
    expect(figures.holdN).toBeCloseTo(mu * WEIGHT, 6);
    expect(figures.slidesByN).toBeCloseTo(5000 - mu * WEIGHT, 6);
    expect(figures.towards).toEqual(vec3(1, 0, 0));
  });
  it('on its front axle: 60 % of its weight, and what a pull ahead at half a metre presses onto it: F h ÷ wheelbase', () => {
    const { brakedN } = holdUnder(standingOf(vehicle(on('parking-front')), level, teamStandard, site), [ahead(5000)]);
    expect(brakedN).toBeCloseTo(0.6 * WEIGHT + (5000 * 0.5) / 2.5, 6);
  });
  it('on its rear axle the same pull takes that off again', () => {
    const { brakedN } = holdUnder(standingOf(vehicle(on('parking-rear')), level, teamStandard, site), [ahead(5000)]);
    expect(brakedN).toBeCloseTo(0.4 * WEIGHT - (5000 * 0.5) / 2.5, 6);
  });
  it('a lift over the front axle takes its whole self off it, and none off the rear one', () => {
    const lift: VehiclePull = { force: vec3(0, 0, 1000), forwardM: 1.25, heightM: 0.5 };
    const braked = (brakes: Stance['brakes']) => holdUnder(standingOf(vehicle(on(brakes)), level, teamStandard, site), [lift]).brakedN;
    expect(braked('parking-front')).toBeCloseTo(0.6 * WEIGHT - 1000, 6);
    expect(braked('parking-rear')).toBeCloseTo(0.4 * WEIGHT, 6);
    expect(braked('all')).toBeCloseTo(WEIGHT - 1000, 6);
  });
  it('on a slope of 30° it presses with cos 30° and is drawn down with sin 30° of its weight', () => {
    const uphillEast = { slopeRad: Math.PI / 6, uphillRad: Math.PI / 2 };
    const figures = holdUnder(standingOf(vehicle(on('all')), uphillEast, teamStandard, site), []);
    expect(figures.demandN).toBeCloseTo(WEIGHT / 2, 6);
    expect(figures.brakedN).toBeCloseTo(WEIGHT * Math.cos(Math.PI / 6), 6);
    expect(figures.towards.x).toBeLessThan(0);
  });
  it('tips by side force × height ÷ (weight × half the track), whichever side it is pulled to', () => {
    const side = (forceN: number): VehiclePull => ({ force: vec3(0, forceN, 0), forwardM: 0, heightM: 0.8 });
    const standing = standingOf(vehicle(on('all')), level, teamStandard, site);
    expect(holdUnder(standing, [side(WEIGHT)]).tipping).toBeCloseTo(1, 9);
    expect(holdUnder(standing, [side(-WEIGHT)]).tipping).toBeCloseTo(1, 9);
  });
  it('is not said to hold where its stance is not known', () => {
    const figures = holdUnder(standingOf({ ...vehicle(on('all')), stance: undefined }, level, teamStandard, site), [ahead(5000)]);
    expect(figures).not.toHaveProperty('holdN');
    expect(figures).not.toHaveProperty('slidesByN');
  });
});

describe('the share of a pull from which a vehicle slides', () => {
  const share = (stance: Stance, pulls: readonly VehiclePull[], ground = level, change: Partial<HeldVehicle> = {}) =>
    slidesFromShare(standingOf(vehicle(stance, change), ground, teamStandard, site), pulls);

  it('on the level is hold ÷ pull; just so it still stands', () => {
    const holdN = mu * WEIGHT;
    expect(share(on('all'), [ahead(2 * holdN)])).toBeCloseTo(0.5, 9);
    expect(share(on('all'), [ahead(holdN)])).toBeUndefined();
    expect(share(on('all'), [ahead(holdN * (1 + 1e-9))])).toBeCloseTo(1, 6);
    expect(share(on('all'), [ahead(holdN * (1 - 1e-9))])).toBeUndefined();
  });
  it('is 0 where nothing holds it, and nothing can be said without a stance', () => {
    expect(share(on('none'), [ahead(1000)])).toBe(0);
    expect(
      slidesFromShare(standingOf({ ...vehicle(on('all')), stance: undefined }, level, teamStandard, site), [ahead(1e6)]),
    ).toBeUndefined();
  });
  it('with chocks that hold more than the pull never comes', () => {
    expect(share(on('none', 1000), [ahead(1000)])).toBeUndefined();
    expect(share(on('none', 1000), [ahead(4000)])).toBeCloseTo(0.25, 9);
  });
  const BRAKES = ['all', 'parking-rear', 'parking-front'] as const;
  const SLOPES = [0, 0.1, 0.25];
  const PULLS = [vec3(9000, 0, 0), vec3(6000, 6000, 2000), vec3(-8000, 3000, -3000), vec3(0, 12_000, 9000)];
  const all = BRAKES.flatMap((brakes) => SLOPES.flatMap((slopeRad) => PULLS.map((force) => ({ brakes, slopeRad, force }))));

  it.each(all)('is where trying finds it: $brakes, slope $slopeRad, $force', ({ brakes, slopeRad, force }) => {
    const standing = standingOf(vehicle(on(brakes, 300)), { slopeRad, uphillRad: 1 }, teamStandard, site);
    const pull: VehiclePull = { force, forwardM: 1.8, heightM: 0.6 };
    const slides = (part: number) => (holdUnder(standing, [{ ...pull, force: scale(force, part) }]).slidesByN ?? 0) > 0;
    const from = slidesFromShare(standing, [pull]);
    expect(from !== undefined).toBe(slides(1));
    if (from === undefined) return;
    // From there on it slides all the way to the whole pull, and just below it stands.
    for (let part = from + 1e-6; part <= 1; part += 0.01) expect(slides(part), `${part}`).toBe(true);
    if (from > 0) expect(slides(from - 1e-6)).toBe(false);
  });
  it('is there to be found in most of these', () => {
    const sliding = all.filter(({ brakes, slopeRad, force }) =>
      slidesFromShare(standingOf(vehicle(on(brakes, 300)), { slopeRad, uphillRad: 1 }, teamStandard, site), [
        { force, forwardM: 1.8, heightM: 0.6 },
      ]),
    );
    expect(sliding.length).toBeGreaterThan(12);
  });
});
