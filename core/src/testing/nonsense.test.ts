import { describe, expect, it } from 'vitest';
import { wordsOf } from '../judgement/finding-words.ts';
import { judge } from '../judgement/judge.ts';
import { readRigFile } from '../rig/case.ts';
import type { Network, NetworkNode } from '../statics/network.ts';
import { solveNetwork } from '../statics/solve-network.ts';
import { vec3 } from '../statics/vec3.ts';
import { layouts } from './layouts.ts';

// biome-ignore lint/suspicious/noExplicitAny: files under test are damaged on purpose
type Loose = any;
const file = (name: string): Loose => {
  const found = layouts.find((entry) => entry.file === name);
  return JSON.parse(JSON.stringify({ format: 'wainrope.rig', version: 3, case: found?.build() }));
};
const faults = (name: string, damage: (rig: Loose) => void): readonly string[] => {
  const content = file(name);
  damage(content.case.rig);
  const read = readRigFile(content);
  return read.ok ? [] : read.faults.map(({ path }) => path.replace('case.rig.', ''));
};

describe('nonsense is refused with its path', () => {
  const cases: readonly (readonly [string, string, string, (rig: Loose) => void])[] = [
    ['a mass of a thousand million tonnes', 'two-winches', 'bodies[2].massKg', (rig) => Object.assign(rig.bodies[2], { massKg: 1e12 })],
    ['a place that is no number', 'two-winches', 'bodies[0].xM', (rig) => Object.assign(rig.bodies[0], { xM: Number.NaN })],
    ['a rope of no length', 'compound-by-hand', 'lines[1].drive.lengthM', (rig) => Object.assign(rig.lines[1].drive, { lengthM: 0 })],
    [
      'five hundred pulleys',
      'triple-line',
      'lines[0].via',
      (rig) => Object.assign(rig.lines[0], { via: Array.from({ length: 500 }, () => ({ kind: 'pulley', chainId: 'at-larch' })) }),
    ],
    [
      'a chain to its own joint',
      'running-bridle',
      'chains[2].to.jointId',
      (rig) => Object.assign(rig.chains[2], { to: { kind: 'joint', jointId: 'apex' } }),
    ],
    [
      'a chain that holds two bends',
      'triple-line',
      'lines[0].via[1].chainId',
      (rig) => Object.assign(rig.lines[0].via[1], { chainId: 'at-larch' }),
    ],
    ['a line without a drive', 'compound-by-hand', 'lines', (rig) => rig.lines.shift()],
    ['a hand at a tree', 'compound-by-hand', 'lines', (rig) => Object.assign(rig.lines[0].drive, { pointId: 'on-oak' })],
    [
      'a point on a tree as on a vehicle',
      'triple-line',
      'points[1].place',
      (rig) => Object.assign(rig.points[1], { place: { kind: 'on-vehicle', forwardM: 0, leftM: 0, heightM: 1 } }),
    ],
    [
      'a person as an anchor',
      'single-line-to-a-vehicle',
      'points[2].bodyId',
      (rig) => {
        rig.bodies.push({ id: 'pim', kind: 'person', label: 'Pim', xM: 0, yM: 0, duty: 'helper' });
        rig.points.push({ id: 'p', bodyId: 'pim', label: 'p', place: { kind: 'at-height', heightM: 1 } });
      },
    ],
    ['a tree as the load', 'triple-line', 'load.bodyId', (rig) => Object.assign(rig.load, { bodyId: 'larch' })],
    ['a grip on a strand that is not there', 'held-by-a-grip', 'grips[0].strand', (rig) => Object.assign(rig.grips[0], { strand: 9 })],
    [
      'a grip on a line that is not there',
      'held-by-a-grip',
      'grips[0].lineId',
      (rig) => Object.assign(rig.grips[0], { lineId: 'nowhere' }),
    ],
    [
      'a back-anchor at a tree’s point',
      'back-anchored-to-a-tree',
      'backAnchors[0].vehiclePointId',
      (rig) => Object.assign(rig.backAnchors[0], { vehiclePointId: 'on-oak' }),
    ],
    [
      'a lanyard for a piece that is not there',
      'lanyard-to-a-fixed-anchor',
      'lanyards[0].useId',
      (rig) => Object.assign(rig.lanyards[0], { useId: 'ghost' }),
    ],
    [
      'a share for a line that is not there',
      'two-winches',
      'sharing.shares[1].lineId',
      (rig) =>
        Object.assign(rig, {
          sharing: {
            statedBy: 'Test',
            shares: [
              { lineId: 'first', share: 1 },
              { lineId: 'third', share: 1 },
            ],
          },
        }),
    ],
    ['a field nobody knows', 'two-winches', 'lines[0].colour', (rig) => Object.assign(rig.lines[0], { colour: 'red' })],
  ];
  it.each(cases)('%s', (_words, name, path, damage) => {
    expect(faults(name, damage)).toContain(path);
    expect(faults(name, () => undefined)).toEqual([]);
  });
});

describe('a rig that cannot be worked out is named, with what is concerned', () => {
  const failureOf = (name: string, change: (rig: Loose) => void) => {
    const content = file(name);
    change(content.case.rig);
    const read = readRigFile(content);
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const report = judge(read.value.case);
    expect(report.verdict).toBe('stop');
    expect(JSON.parse(JSON.stringify(report))).toEqual(report);
    const found = report.findings.find(({ code }) => code === 'not-solved');
    return found && wordsOf(found).detail.join('');
  };
  it('two bodies on one spot', () => {
    expect(
      failureOf('single-line-to-a-vehicle', (rig) => {
        const fairlead = rig.points.find((point: Loose) => point.id === 'fairlead');
        rig.points.find((point: Loose) => point.id === 'nose').place = { ...fairlead.place };
        Object.assign(rig.bodies[1], { xM: rig.bodies[0].xM, yM: rig.bodies[0].yM, headingRad: rig.bodies[0].headingRad });
        rig.chains[0].pieces = rig.chains[0].pieces.slice(0, 1);
      }),
    ).toMatch(/stand on one spot/);
  });
  it('a rope too short to reach', () => {
    expect(failureOf('running-bridle', (rig) => Object.assign(rig.lines[1].drive, { lengthM: 0.2 }))).toMatch(
      /more pieces hold it|no balance/,
    );
  });
  it('lines that hold each other in a ring', () => {
    expect(
      failureOf('compound-by-hand', (rig) => {
        rig.joints.push({ id: 'other', label: 'other' });
        rig.chains.push({
          id: 'ring-1',
          from: { kind: 'joint', jointId: 'travelling' },
          to: { kind: 'joint', jointId: 'other' },
          pieces: [{ id: 'ring-1.0', role: 'strap', gearId: 'SS-C' }],
        });
        rig.chains.push({
          id: 'ring-2',
          from: { kind: 'joint', jointId: 'other' },
          to: { kind: 'joint', jointId: 'travelling' },
          pieces: [{ id: 'ring-2.0', role: 'strap', gearId: 'SS-D' }],
        });
      }),
    ).toBeDefined();
  });
});

describe('networks of nonsense', () => {
  const node = (id: string, x: number, y: number, held = true): NetworkNode => ({ id, at: vec3(x, y, 0), held });
  const none = { kind: 'frictionless' } as const;
  it.each<readonly [string, Network, string]>([
    [
      'a link between two things that stand still',
      {
        nodes: [node('a', 0, 0), node('b', 3, 0), node('c', 9, 0)],
        links: [{ id: 'strut', from: 0, to: 1, lengthM: 3 }],
        ropes: [{ id: 'line', nodes: [0, 2], bends: [] }],
      },
      'redundant',
    ],
    [
      'a node that nothing touches',
      {
        nodes: [node('a', 0, 0), node('b', 3, 0), node('lost', 1, 1, false)],
        links: [],
        ropes: [{ id: 'line', nodes: [0, 1], bends: [] }],
      },
      'slack',
    ],
    [
      'a pulley that only hangs on its own line',
      {
        nodes: [node('a', 0, 0), node('p', 3, 1, false), node('b', 6, 0)],
        links: [],
        ropes: [{ id: 'line', nodes: [0, 1, 2], bends: [none] }],
      },
      'mechanism',
    ],
    [
      'a place that is no number',
      { nodes: [node('a', Number.NaN, 0), node('b', 3, 0)], links: [], ropes: [{ id: 'line', nodes: [0, 1], bends: [] }] },
      'not-a-number',
    ],
    [
      'a rope over one node twice in a row',
      { nodes: [node('a', 0, 0), node('b', 3, 0)], links: [], ropes: [{ id: 'line', nodes: [0, 1, 1], bends: [none] }] },
      'coincident',
    ],
  ])('%s: %o', (_words, network, kind) => {
    const outcome = solveNetwork(network, 'hauling');
    expect(outcome.kind).toBe(kind);
    if (outcome.kind !== 'solved') expect(outcome.nodes.length).toBeGreaterThan(0);
  });
});
