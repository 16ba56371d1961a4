import { describe, expect, it } from 'vitest';
import type { Rig } from '../../rig/rig.ts';
import { runUpMoment } from './run-up-moment.ts';

const rig = {
  bodies: [
    { id: 'tow', kind: 'vehicle', xM: 10, yM: 0 },
    { id: 'stuck', kind: 'vehicle', xM: 0, yM: 0 },
    { id: 'driver', kind: 'person', xM: 10, yM: 0, inVehicleId: 'tow' },
    { id: 'signaller', kind: 'person', xM: 5, yM: 20 },
    { id: 'tree', kind: 'tree', xM: -30, yM: 0 },
  ],
  points: [{ id: 'hook', bodyId: 'stuck' }],
  chains: [{ id: 'at-stuck', from: { kind: 'point', pointId: 'hook' } }],
  load: { bodyId: 'stuck' },
} as unknown as Rig;
const at = (x: number) => ({ x, y: 0, z: 1 });
const report = {
  plannedPullN: 40_000,
  strands: [{ lineId: 'line', index: 0, from: at(8), to: at(2), lengthM: 6, plannedN: 40_000, greatestN: 60_000 }],
  pulleys: [{ chainId: 'at-stuck', root: at(1), at: at(2), forceN: { x: 40_000, y: 0, z: 0 } }],
  pointLoads: [{ pointId: 'hook', forceN: { x: 40_000, y: 0, z: 0 }, sizeN: 40_000 }],
  loadForce: { forceN: { x: 40_000, y: 0, z: 0 }, alongN: 40_000, sidewaysN: 800, upwardN: -400 },
};
const curves = { towingId: 'tow', way: { xM: 1, yM: 0 } };
/** A quarter of the peak, the one that tows 1.5 m past where the rope came tight, the stuck one moved by half a metre. */
const instant = { timeS: 0.4, tensionN: 10_000, towedM: 1.5, movedM: 0.5 };

describe('a run-up at an instant, as it is drawn', () => {
  const moment = runUpMoment(rig, report, curves, instant);
  it('moves each vehicle by its own way and who sits in it, and nobody else', () => {
    expect(moment?.moved).toEqual([
      { bodyId: 'tow', xM: 11.5, yM: 0, turnRad: 0 },
      { bodyId: 'stuck', xM: 0.5, yM: 0, turnRad: 0 },
      { bodyId: 'driver', xM: 11.5, yM: 0, turnRad: 0 },
    ]);
  });
  it('has the strand from one to the other, and a quarter of every force at the peak', () => {
    expect(moment?.strands).toEqual([{ lineId: 'line', index: 0, from: at(9.5), to: at(2.5), lengthM: 6, plannedN: 10_000 }]);
    expect(moment?.pulleys).toEqual([{ chainId: 'at-stuck', root: at(1.5), at: at(2.5), forceN: { x: 10_000, y: 0, z: 0 } }]);
    expect(moment?.pointLoads).toEqual([{ pointId: 'hook', forceN: { x: 10_000, y: 0, z: 0 }, sizeN: 10_000 }]);
    expect(moment?.loadForce).toEqual({ forceN: { x: 10_000, y: 0, z: 0 }, alongN: 10_000, sidewaysN: 200, upwardN: -100 });
  });
  it('goes back along the line before the rope is tight', () => {
    const before = runUpMoment(rig, report, curves, { timeS: -1, tensionN: 0, towedM: -4, movedM: 0 });
    expect(before?.moved.map(({ bodyId, xM }) => [bodyId, xM])).toEqual([
      ['tow', 6],
      ['driver', 6],
    ]);
    expect(before?.strands[0]).toMatchObject({ from: at(4), to: at(2), plannedN: 0 });
  });
  it('is nothing where no peak is known', () => {
    expect(runUpMoment(rig, { ...report, plannedPullN: undefined }, curves, instant)).toBeUndefined();
    expect(runUpMoment(rig, { ...report, plannedPullN: 0 }, curves, instant)).toBeUndefined();
  });
});
