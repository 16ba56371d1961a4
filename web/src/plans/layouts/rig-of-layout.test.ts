import { bodiesOfLayout, layouts, readRig } from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { emptySite, rigOfLayout, strangerOf, vehiclePlaces } from './rig-of-layout.ts';

const layoutOf = (id: string) => {
  const layout = layouts.find((entry) => entry.id === id);
  if (!layout) throw new Error(`no layout ${id}`);
  return layout;
};
const badger = { vehicleId: 'badger', name: 'Badger', massKg: 3400, lengthM: 5.3, widthM: 2 };
const bag = { pieces: [], today: '2026-01-15' };
const answers = { depth: 'sills', surface: 'bog' } as const;

describe('a plan that begins from a layout', () => {
  it('puts a vehicle that is not the team’s where it is to move, and the team’s where it winches', () => {
    const layout = layoutOf('double-line-to-a-vehicle');
    const places = vehiclePlaces(layout);
    const [load, winching] = [places.find(({ winches }) => !winches), places.find(({ winches }) => winches)];
    if (!load || !winching) throw new Error('the layout has two vehicles');
    const vehicles = { [load.bodyId]: strangerOf(1850), [winching.bodyId]: badger };
    const rig = rigOfLayout(layout, { ...answers, vehicles }, bag);
    const body = (id: string) => rig.bodies.find((entry) => entry.id === id);
    expect(body(rig.load.bodyId)).toMatchObject({ label: 'Stuck vehicle', massKg: 1850 });
    expect(body(rig.load.bodyId)).not.toHaveProperty('vehicleId');
    expect(body(winching.bodyId)).toMatchObject({ label: 'Badger', vehicleId: 'badger' });
    expect(rig.situation).toMatchObject({ depth: 'sills', surface: 'bog', soil: 'clay-or-bog' });
    expect(readRig(rig, new Set())).toMatchObject({ ok: true });
  });
  it('asks one vehicle for every vehicle of the layout, the one that is to move first', () => {
    for (const layout of layouts) {
      const wanted = bodiesOfLayout(layout).filter(({ kind }) => kind === 'vehicle');
      expect(vehiclePlaces(layout).map(({ bodyId }) => bodyId)).toEqual(wanted.map(({ id }) => id));
    }
  });
  it('may be the place alone, of anybody’s vehicle', () => {
    const [first] = layouts;
    if (!first) throw new Error('no layouts');
    const rig = emptySite(first, strangerOf(900), answers);
    expect(rig).toMatchObject({ lines: [], chains: [], bodies: [{ kind: 'vehicle', massKg: 900 }] });
    expect(rig.bodies[0]).not.toHaveProperty('vehicleId');
    expect(readRig(rig, new Set())).toMatchObject({ ok: true });
  });
});
