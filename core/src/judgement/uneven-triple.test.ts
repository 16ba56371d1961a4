import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { Case } from '../rig/case.ts';
import type { Rig } from '../rig/rig.ts';
import { add, cross, distance, norm, scale, subtract, unit, type Vec3 } from '../statics/vec3.ts';
import { exampleCase, gear, mark, piece, tree, vehicle } from '../testing/example-case.ts';
import { judge } from './judge.ts';

/** A rig written by hand: from the drum over a ring at one tree, a block back at the vehicle, to the end at a second tree well aside. */
function unevenTriple(): Case {
  const plain = exampleCase();
  const spare = [
    piece({ id: 'TS-2', kind: 'tree-strap', marks: [mark('MBS 12 t')], attributes: { lengthM: 2.6, material: 'polyester' } }),
    piece({ id: 'SS-3', kind: 'soft-shackle', marks: [mark('MBS 15 t')], attributes: { ropeDiameterM: 0.011, reachM: 0.13 } }),
    piece({
      id: 'SB-1',
      kind: 'snatch-block',
      marks: [mark('WLL 6 t'), mark('MBS 24 t')],
      attributes: { treadDiameterM: 0.1, grooveWidthM: 0.014, reachM: 0.11, ropeKind: 'synthetic', bearing: 'ball-or-roller' },
    }),
    {
      ...(gear[1] as (typeof gear)[number]),
      attributes: { ropeDiameterM: 0.01, lengthM: 45, endTermination: 'long-tapered-bury', material: 'hmpe' },
    } as (typeof gear)[number],
  ];
  const rig: Rig = {
    ...plain.rig,
    ground: { slopeRad: 0.12, uphillRad: 1.1 },
    bodies: [vehicle, { ...tree, id: 'first', xM: 13, yM: 3 }, { ...tree, id: 'second', xM: 12, yM: -4, trunkDiameterM: 0.5 }],
    points: [
      { id: 'fairlead', bodyId: 'truck', label: 'fairlead', place: { kind: 'on-vehicle', forwardM: 2.2, leftM: 0, heightM: 0.75 } },
      { id: 'p1', bodyId: 'first', label: 'first', place: { kind: 'on-trunk', heightM: 0.3 } },
      { id: 'p2', bodyId: 'truck', label: 'point', place: { kind: 'on-vehicle', forwardM: 2.15, leftM: 0.45, heightM: 0.55 } },
      { id: 'p3', bodyId: 'second', label: 'second', place: { kind: 'on-trunk', heightM: 0.5 } },
    ],
    chains: [
      {
        id: 'c1',
        from: { kind: 'point', pointId: 'p1' },
        pieces: [
          { id: 'strap-1', role: 'tree-strap', gearId: 'TS-heavy', hitch: 'basket' },
          { id: 'shackle-1', role: 'connector', gearId: 'SS-1' },
          { id: 'ring', role: 'pulley', gearId: 'RR-1' },
        ],
      },
      {
        id: 'c2',
        from: { kind: 'point', pointId: 'p2' },
        pieces: [
          { id: 'vp', role: 'point', gearId: 'VP-1' },
          { id: 'shackle-2', role: 'connector', gearId: 'SS-2' },
          { id: 'block', role: 'pulley', gearId: 'SB-1' },
        ],
      },
      {
        id: 'c3',
        from: { kind: 'point', pointId: 'p3' },
        pieces: [
          { id: 'strap-2', role: 'tree-strap', gearId: 'TS-2', hitch: 'basket' },
          { id: 'shackle-3', role: 'connector', gearId: 'SS-3' },
          { id: 'end', role: 'line-end', gearId: 'CL-1' },
        ],
      },
    ],
    lines: [
      {
        id: 'line',
        drive: { kind: 'winch', pointId: 'fairlead', use: { id: 'winch', role: 'winch', gearId: 'W-1' } },
        ropes: [{ id: 'rope', role: 'winch-line', gearId: 'L-1' }],
        via: [
          { kind: 'pulley', chainId: 'c1' },
          { kind: 'pulley', chainId: 'c2' },
        ],
        to: { kind: 'chain', chainId: 'c3' },
      },
    ],
    dampers: [],
    answers: {},
  };
  return { ...plain, rig, gear: [...gear.filter(({ id }) => id !== 'L-1'), ...spare] };
}

const towards = (from: Vec3, to: Vec3, size: number) => scale(unit(subtract(to, from)) as Vec3, size);

describe('an uneven three-part line, written by hand, through the same entry', () => {
  const report = judge(unevenTriple());
  const strands = report.strands;
  const at = (index: number) => strands[index] ?? { from: { x: 0, y: 0, z: 0 }, to: { x: 0, y: 0, z: 0 }, plannedN: 0 };
  const load = (id: string) => report.places.find((place) => place.id === id)?.plannedN ?? Number.NaN;

  it('carries on each chain the sum of its strands, found separately', () => {
    const sums = [
      add(towards(at(0).to, at(0).from, at(0).plannedN ?? 0), towards(at(1).from, at(1).to, at(1).plannedN ?? 0)),
      add(towards(at(1).to, at(1).from, at(1).plannedN ?? 0), towards(at(2).from, at(2).to, at(2).plannedN ?? 0)),
      towards(at(2).to, at(2).from, at(2).plannedN ?? 0),
    ];
    for (const [index, [chainId, placeId]] of [
      ['c1', 'shackle-1:body'],
      ['c2', 'shackle-2:body'],
      ['c3', 'shackle-3:body'],
    ].entries()) {
      const sum = sums[index] as Vec3;
      const pulley = report.pulleys.find((entry) => entry.chainId === chainId);
      if (!pulley) throw new Error('no chain');
      expect(load(placeId as string) / norm(sum)).toBeCloseTo(1, 9);
      // The chain lies along its load.
      expect(norm(cross(unit(sum) as Vec3, unit(subtract(pulley.at, pulley.root)) as Vec3))).toBeLessThan(1e-9);
    }
  });

  it('gives the load its pull: the three parts on the vehicle, along its way up the slope', () => {
    const way = unit({ x: 1, y: 0, z: Math.tan(0.12) * Math.sin(1.1) }) as Vec3;
    const onVehicle = [
      towards(at(0).from, at(0).to, at(0).plannedN ?? 0),
      towards(at(1).to, at(1).from, at(1).plannedN ?? 0),
      towards(at(2).from, at(2).to, at(2).plannedN ?? 0),
    ].reduce(add);
    expect((onVehicle.x * way.x + onVehicle.y * way.y + onVehicle.z * way.z) / (report.pullN ?? Number.NaN)).toBeCloseTo(1, 9);
    expect(report.advantage?.hauling).toBeGreaterThan(2.2);
    expect(report.advantage?.hauling).toBeLessThan(report.advantage?.frictionless ?? 0);
  });

  it('loses tension by the wrap at each bend: ring 0.88, ball-bearing block 0.96 a half turn', () => {
    const wrap = (a: number, b: number) => {
      const [u, v] = [unit(subtract(at(a).to, at(a).from)) as Vec3, unit(subtract(at(b).to, at(b).from)) as Vec3];
      return Math.atan2(norm(cross(u, v)), u.x * v.x + u.y * v.y + u.z * v.z);
    };
    expect((at(1).plannedN ?? 0) / (at(0).plannedN ?? 1)).toBeCloseTo(0.88 ** (wrap(0, 1) / Math.PI), 9);
    expect((at(2).plannedN ?? 0) / (at(1).plannedN ?? 1)).toBeCloseTo(0.96 ** (wrap(1, 2) / Math.PI), 9);
  });

  it('holds every chain at its own length and counts the rope that is out', () => {
    const lengths = report.pulleys.map(({ root, at: tip }) => distance(root, tip));
    expect(lengths[1]).toBeCloseTo(0.14 + 0.11, 9);
    expect(report.drum.lineOutM).toBeCloseTo(
      strands.reduce((sum, strand) => sum + distance(strand.from, strand.to), 0),
      9,
    );
  });

  it('walks its load path in order', () => {
    expect(report.places.filter(({ kind }) => kind !== 'bend').map(({ id }) => id.replace(/:.*/, ''))).toEqual([
      'winch',
      'rope',
      'rope',
      'ring',
      'shackle-1',
      'strap-1',
      'first',
      'block',
      'shackle-2',
      'vp',
      'end',
      'shackle-3',
      'strap-2',
      'second',
    ]);
  });
});

it('neither solver nor judgement knows a layout by name', () => {
  const core = resolve(import.meta.dirname, '..');
  for (const folder of ['statics', 'judgement', 'judgement/rules']) {
    for (const file of readdirSync(resolve(core, folder)).filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts')))
      expect(readFileSync(resolve(core, folder, file), 'utf8'), file).not.toMatch(/\b(single|doubled?)\b/i);
  }
});
