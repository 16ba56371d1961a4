import { describe, expect, it } from 'vitest';
import { judge } from '../judgement/judge.ts';
import { teamStandard } from '../policy/team-standard.ts';
import { readRig } from '../rig/case.ts';
import type { Rig } from '../rig/rig.ts';
import { assignBodies, bodiesOfLayout, layOnSite, mayStandFor, vehicleAt } from './lay-on-site.ts';
import { layouts } from './layouts.ts';

const judged = (rig: Rig) => judge({ kind: 'rig', name: 'test', asOf: '2026-06-01', rig, gear: [], policy: teamStandard });
const byId = (id: string) => {
  const found = layouts.find((layout) => layout.id === id);
  if (!found) throw new Error(`no layout ${id}`);
  return found;
};
const site = (change: Partial<Rig> = {}): Rig => ({
  ...layOnSite(byId('single-line-to-an-anchor'), undefined, {}),
  points: [],
  chains: [],
  lines: [],
  ...change,
});

describe('every layout', () => {
  it.each(layouts.map(({ id }) => id))('%s is laid without pieces as a sound rig, and solves as its scene does', (id) => {
    const layout = byId(id);
    const rig = layOnSite(layout, undefined, {});
    expect(readRig(JSON.parse(JSON.stringify(rig)), new Set())).toMatchObject({ ok: true });
    expect(JSON.stringify(rig)).not.toContain('gearId');
    expect(bodiesOfLayout(layout)[0]).toMatchObject({ isLoad: true });
  });
  it('has its own name', () => {
    expect(new Set(layouts.map(({ label }) => label)).size).toBe(layouts.length);
  });
});

describe('a layout on a site that is drawn already', () => {
  const heron = { vehicleId: 'v-1', name: 'Heron', massKg: 2600, lengthM: 4.6, widthM: 1.85 };
  const at = vehicleAt(heron, { id: 'heron', xM: 5, yM: -2, headingRad: 1 });
  const tree = {
    id: 'alder',
    kind: 'tree',
    label: 'Alder',
    xM: 30,
    yM: 12,
    trunkDiameterM: 0.5,
    wood: 'softwood',
    footing: 'firm',
    state: 'live',
    leanRad: 0,
  } as const;
  const drawn = site({ bodies: [at, tree], load: { bodyId: 'heron', travel: 'ahead', travelM: 3 } });

  it('uses the bodies that stand there, where they stand', () => {
    const layout = byId('double-line-self-recovery');
    const assignment = assignBodies(layout, drawn);
    expect(assignment).toEqual({ heron: 'heron', larch: 'alder' });
    const rig = layOnSite(layout, drawn, assignment);
    expect(rig.bodies).toEqual(drawn.bodies);
    expect(new Set(rig.points.map(({ bodyId }) => bodyId))).toEqual(new Set(['heron', 'alder']));
    expect(judged(rig).strands).toHaveLength(2);
  });
  it('keeps what people drew and said of the place and of the load', () => {
    const layout = byId('double-line-self-recovery');
    const said = {
      ...drawn,
      features: [
        {
          id: 'beck',
          kind: 'water' as const,
          label: 'the beck',
          points: [
            { xM: 0, yM: 0 },
            { xM: 9, yM: 9 },
          ],
        },
      ],
      tools: ['saw'],
      chosenPull: { pullN: 9000, person: 'Isla', reason: 'Measured' },
    };
    expect(layOnSite(layout, said, assignBodies(layout, said))).toMatchObject({
      features: said.features,
      tools: said.tools,
      chosenPull: said.chosenPull,
    });
    const other = layOnSite(layout, said, {});
    expect(other.load.bodyId).not.toBe(said.load.bodyId);
    expect(other).not.toHaveProperty('chosenPull');
  });
  it('puts no strap where a ground anchor stands', () => {
    expect(mayStandFor({ kind: 'rock' }, { kind: 'tree' })).toBe(true);
    expect(mayStandFor({ kind: 'ground-anchor' }, { kind: 'tree' })).toBe(false);
    expect(mayStandFor({ kind: 'tree' }, { kind: 'ground-anchor' })).toBe(false);
  });
  it('adds what is missing', () => {
    const layout = byId('redirect-plus-double');
    const rig = layOnSite(layout, drawn, assignBodies(layout, drawn));
    expect(rig.bodies.length).toBe(4);
    expect(new Set(rig.bodies.map(({ id }) => id)).size).toBe(4);
    expect(rig.load.bodyId).toBe('heron');
  });
  it.each(
    layouts
      .filter(({ build }) => build().rig.bodies.some(({ id, kind }) => kind === 'vehicle' && id === build().rig.load.bodyId))
      .map((layout) => [layout.id, layout] as const),
  )('%s stands round a load that is elsewhere and looks elsewhere as it stood round its own: the same strands', (_id, layout) => {
    const scene = layOnSite(layout, undefined, {});
    const load = scene.bodies.find(({ id }) => id === scene.load.bodyId);
    if (load?.kind !== 'vehicle') throw new Error('no load');
    const elsewhere = { ...load, id: 'mine', xM: 41, yM: -17, headingRad: load.headingRad + 2.1 };
    const here = site({ bodies: [elsewhere], load: { ...scene.load, bodyId: 'mine' }, ground: scene.ground });
    const rig = layOnSite(layout, here, { [load.id]: 'mine' });
    const lengths = (of: Rig) => judged({ ...of, ground: { slopeRad: 0, uphillRad: 0 } }).strands.map(({ lengthM }) => lengthM);
    const [before, after] = [lengths(scene), lengths(rig)];
    expect(after).toHaveLength(before.length);
    for (const [index, lengthM] of after.entries()) expect(lengthM).toBeCloseTo(before[index] ?? 0, 1);
  });
  it('stretches held ropes with the distance, so that a compound still reaches', () => {
    const far = site({
      bodies: [
        { ...at, xM: 0, yM: 0, headingRad: 1.4 },
        { ...tree, xM: 34, yM: 5 },
      ],
      load: { bodyId: 'heron', travel: 'ahead', travelM: 2 },
    });
    const layout = byId('compound-by-winch');
    const rig = layOnSite(layout, far, assignBodies(layout, far));
    const carried = rig.lines.find(({ id }) => id === 'carried');
    expect(carried?.drive.kind === 'held' && carried.drive.lengthM).toBeGreaterThan(36);
    expect(judged(rig).findings.map(({ code }) => code)).not.toContain('not-solved');
  });
});

describe('a site without lines', () => {
  it('is judged without falling over, and is never clear', () => {
    const report = judged(site());
    expect(report.strands).toEqual([]);
    expect(report.verdict).not.toBe('clear');
  });
});

describe('ties, tasks and the vehicle that lies on its side', () => {
  const back = byId('back-anchored-to-vehicles');
  const tiesM = (curlew: { readonly xM: number; readonly yM: number }) => {
    const scene = back.build().rig;
    const bodies = scene.bodies.map((body) => (body.id === 'curlew' ? { ...body, ...curlew } : body));
    const bare: Rig = { ...site(), bodies, load: scene.load };
    const rig = layOnSite(back, bare, assignBodies(back, bare));
    const places = (rig.backAnchors ?? []).map(({ vehiclePointId }) => rig.points.find(({ id }) => id === vehiclePointId)?.place);
    return places.map((place) => (place?.kind === 'on-vehicle' ? place.leftM : Number.NaN));
  };
  it('tie a vehicle back on the side where the anchor stands, and leave a tie on its middle line', () => {
    const bodies = back.build().rig.bodies;
    const heron = bodies.find(({ id }) => id === 'heron');
    const curlew = bodies.find(({ id }) => id === 'curlew');
    if (!heron || !curlew) throw new Error('no such bodies');
    // It winches to the east, so its right is south.
    expect(tiesM(curlew)).toEqual([0, -0.5]);
    expect(tiesM({ xM: curlew.xM, yM: heron.yM + 6 })).toEqual([0, 0.5]);
  });
  it('set upright the vehicle that was chosen, over its own edge to the side of the line', () => {
    const righting = byId('righting');
    const scene = righting.build().rig;
    const otter = vehicleAt(
      { vehicleId: 'v-2', name: 'Otter', massKg: 1900, lengthM: 4.1, widthM: 1.7 },
      { id: 'otter', xM: 14, yM: 0, headingRad: 0 },
    );
    const laidWith = (heronXM: number) => {
      const bodies = [otter, ...scene.bodies.filter(({ id }) => id === 'heron').map((body) => ({ ...body, xM: heronXM }))];
      const drawn = site({ bodies, load: { bodyId: 'otter', travel: 'ahead', travelM: 1.5 } });
      return layOnSite(righting, drawn, assignBodies(righting, drawn));
    };
    const [west, east] = [laidWith(0), laidWith(28)];
    expect(west.load).toMatchObject({ bodyId: 'otter', task: { kind: 'right' } });
    expect(west.bodies.find(({ id }) => id === 'otter')).toMatchObject({ kind: 'vehicle', massKg: 1900 });
    const bearing = ({ load: { task } }: Rig) => (task?.kind === 'right' ? task.bearingRad : Number.NaN);
    expect(Math.sin(bearing(west))).toBeCloseTo(-1, 1);
    expect(Math.sin(bearing(east))).toBeCloseTo(1, 1);
  });
});
