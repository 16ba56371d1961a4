import type { Body, Line } from '../rig/rig.ts';
import type { Layout } from './layout.ts';
import { atHeight, chainOf, held, lineOf, onFrame, onTrunk, type Scene, sceneOf, treeAt, truck, winchAt } from './scene.ts';

const crew = (xM: number, yM: number, people = 6): Body => ({ id: 'crew', kind: 'crew', label: 'Crew', xM, yM, people });
const small = (x: number, y: number, heading: number) =>
  truck('otter', x, y, heading, { massKg: 900, lengthM: 3.4, widthM: 1.5, wheelbaseM: 2.1, trackM: 1.3 });

type Compound = 'hand' | 'winch' | 'far-anchor' | 'one-rope';

const COMPOUND_NAMES: { readonly [K in Compound]: string } = {
  hand: 'Compound hauled by hand from the ground',
  winch: 'Compound driven by the winch of the load',
  'far-anchor': 'Compound with both fixed ends at a separate anchor',
  'one-rope': 'Compound with one rope and two grips',
};

/** Two blocks, two ropes: the hauled one takes hold of the other's end, which runs over a block at the anchor. */
function compound(kind: Exclude<Compound, 'far-anchor'>): Scene {
  const one = kind === 'one-rope';
  const winched = kind === 'winch';
  return sceneOf({
    name: COMPOUND_NAMES[kind],
    rig: {
      bodies: [small(0, 0, 82), treeAt('oak', 22, 3, 0.7), ...(winched ? [] : [crew(-1, -3.5)])],
      points: [
        onFrame('left', 'otter', 1.7, 0.35, 0.5),
        onTrunk('on-oak', 'oak', 0.4),
        onFrame('right', 'otter', 1.7, -0.35, 0.5),
        winched ? onFrame('fairlead', 'otter', 1.75, 0, 0.6) : atHeight('hands', 'crew', 1.1),
      ],
      joints: [{ id: 'travelling', label: 'travelling block' }],
      chains: [
        chainOf('far-block', 'on-oak', ['TS-A', 'SS-B', 'SB-A']),
        chainOf('travelling-block', { joint: 'travelling' }, [one ? 'PL-A' : 'CL-B', 'SS-C', 'RR-A']),
        chainOf('first-end', 'left', ['VP-A', 'SS-A', 'CL-A']),
        chainOf('second-end', 'right', ['VP-B', 'SS-D', one ? 'PL-B' : 'CL-C']),
      ],
      lines: compoundLines(
        winched ? winchAt('fairlead', 'W-C') : { kind: 'hand', pointId: 'hands' },
        winched ? 'L-D' : 'HR-1',
        winched ? 'L-A' : one ? 'HR-1' : 'HR-2',
      ),
      load: { bodyId: 'otter', travel: 'ahead', travelM: 2 },
    },
  });
}

function compoundLines(drive: Line['drive'], hauled: string, carried: string): readonly Line[] {
  return [
    lineOf({ id: 'hauled', drive, ropes: [hauled], via: ['travelling-block'], to: 'second-end' }),
    lineOf({
      id: 'carried',
      drive: { kind: 'held', end: { kind: 'joint', jointId: 'travelling' }, lengthM: 26 },
      ropes: [carried],
      via: ['far-block'],
      to: 'first-end',
    }),
  ];
}

/** The same turned round: the load hangs on the far block, both fixed ends at the anchor. */
function compoundAtAnchor(): Scene {
  return sceneOf({
    name: COMPOUND_NAMES['far-anchor'],
    rig: {
      bodies: [small(0, 0, 82), treeAt('oak', 22, 3, 0.7), crew(27, -1)],
      points: [
        onFrame('left', 'otter', 1.7, 0.35, 0.5),
        onTrunk('on-oak', 'oak', 0.4),
        onTrunk('on-oak-too', 'oak', 0.55),
        atHeight('hands', 'crew', 1.1),
      ],
      joints: [{ id: 'travelling', label: 'travelling block' }],
      chains: [
        chainOf('far-block', 'left', ['VP-A', 'SS-A', 'SB-A']),
        chainOf('travelling-block', { joint: 'travelling' }, ['CL-B', 'SS-C', 'RR-A']),
        chainOf('first-end', 'on-oak', ['TS-A', 'SS-B', 'CL-C']),
        chainOf('second-end', 'on-oak-too', ['TS-B', 'SS-D', 'CL-D']),
      ],
      lines: compoundLines({ kind: 'hand', pointId: 'hands' }, 'HR-1', 'HR-2'),
      load: { bodyId: 'otter', travel: 'ahead', travelM: 2 },
    },
  });
}

function progressCapture(): Scene {
  return sceneOf({
    name: 'Double line held by a grip on the strand',
    rig: {
      bodies: [small(0, 0, 85), treeAt('oak', 16, 1.5, 0.6), treeAt('rowan', 15, -3, 0.4), crew(-2, -3)],
      points: [
        onFrame('nose', 'otter', 1.7, 0, 0.5),
        onTrunk('on-oak', 'oak'),
        onTrunk('on-rowan', 'rowan'),
        atHeight('hands', 'crew', 1.1),
      ],
      grips: [{ id: 'grip', lineId: 'line', strand: 1, toEndM: 12.4 }],
      chains: [
        chainOf('at-oak', 'on-oak', ['TS-A', 'SS-A', 'RR-A']),
        chainOf('holding', 'on-rowan', ['TS-B', 'SS-B', 'PL-A'], { kind: 'grip', gripId: 'grip' }),
        chainOf('at-nose', 'nose', ['VP-A', 'SS-C', 'CL-A']),
      ],
      lines: [lineOf({ drive: { kind: 'hand', pointId: 'hands' }, ropes: ['HR-1'], via: ['at-oak'], to: 'at-nose' })],
      load: { bodyId: 'otter', travel: 'ahead', travelM: 1 },
    },
    situation: { surface: 'hard-road' },
  });
}

function tow(kind: 'static' | 'one' | 'two'): Scene {
  const manner = kind === 'static' ? 'steady' : 'run-up';
  const ropes = { static: ['TR-1'], one: ['KR-A'], two: ['KR-A', 'SS-C', 'KR-B'] }[kind];
  const away = { static: 12.4, one: 13.4, two: 19.4 }[kind];
  return sceneOf({
    name: { static: 'Static tow without run-up', one: 'Stretch-rope pull with one rope', two: 'Stretch-rope pull with two ropes joined' }[
      kind
    ],
    rig: {
      bodies: [truck('heron', away, away * 0.16, 80, { ...held, massKg: 2900 }), truck('otter', 0, 0, 78, { massKg: 2300 })],
      points: [onFrame('tail', 'heron', -2.25, 0.1, 0.6), onFrame('nose', 'otter', 2.2, -0.1, 0.5)],
      chains: [chainOf('at-heron', 'tail', ['VP-A', 'SS-A']), chainOf('at-otter', 'nose', ['VP-B', 'SS-B'])],
      lines: [lineOf({ drive: { kind: 'tow', chainId: 'at-heron', manner }, ropes, to: 'at-otter' })],
      load: { bodyId: 'otter', travel: 'ahead', travelM: 5 },
    },
    situation: { surface: kind === 'static' ? 'grass' : 'soft-dry-sand' },
  });
}

function onSlope(purpose: 'hold' | 'lower'): Scene {
  return sceneOf({
    name: purpose === 'hold' ? 'Holding on a slope with the line as a safety' : 'Lowering down a slope on the winch',
    rig: {
      bodies: [
        truck('heron', 0, 16, 180, { ...held, massKg: 3100 }),
        truck('otter', 1, 0, 178, { massKg: 2200 }),
        treeAt('oak', 5, 22, 0.6),
      ],
      points: [
        onFrame('fairlead', 'heron', 2.3, 0, 0.75),
        onFrame('tail', 'otter', -2.1, 0.1, 0.5),
        onTrunk('on-oak', 'oak'),
        onFrame('right', 'heron', 2.2, -0.6, 0.6),
      ],
      chains: [chainOf('at-otter', 'tail', ['VP-A', 'SS-A', 'RR-A']), chainOf('at-right', 'right', ['VP-B', 'SS-B', 'CL-A'])],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-C'], via: ['at-otter'], to: 'at-right' })],
      purpose,
      load: { bodyId: 'otter', travel: 'ahead', travelM: purpose === 'hold' ? 0 : 3 },
    },
    situation: { surface: 'grass' },
    slopeDeg: 16,
    uphillDeg: 5,
  });
}

function righting(): Scene {
  return sceneOf({
    name: 'Righting a vehicle that lies on its side',
    rig: {
      bodies: [
        truck('heron', 0, 0, 88, { ...held, massKg: 2900 }),
        truck('otter', 14, 0.6, 6, { massKg: 1800, lengthM: 3.9, widthM: 1.6 }),
      ],
      points: [onFrame('fairlead', 'heron', 2.3, 0, 0.75), onFrame('upper-sill', 'otter', 0.1, 0.6, 1.55)],
      chains: [chainOf('at-otter', 'upper-sill', ['VP-A', 'SS-A', 'ST-A', 'CL-A'])],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], to: 'at-otter' })],
      load: { bodyId: 'otter', travel: 'ahead', travelM: 1.5, task: { kind: 'right', bearingRad: -1.6, leverM: 0.75, lineHeightM: 1.55 } },
    },
  });
}

function deck(): Scene {
  return sceneOf({
    name: 'Loading a rolling vehicle on a deck by an off-centre tow eye',
    rig: {
      bodies: [
        truck('carrier', 0, 0, 260, { ...held, massKg: 5200, lengthM: 6.2, widthM: 2.2, wheelbaseM: 3.8, trackM: 1.8 }),
        truck('otter', 11, 1.9, 260, { massKg: 1500, lengthM: 4, widthM: 1.7 }),
      ],
      points: [onFrame('deck-lead', 'carrier', 1.8, 0, 1.2), onFrame('tow-eye', 'otter', 1.95, -0.5, 0.4)],
      chains: [chainOf('at-eye', 'tow-eye', ['VP-A', 'SS-A', 'CL-A'])],
      // It sits at the head of the deck and looks back along it.
      lines: [lineOf({ drive: { ...winchAt('deck-lead', 'W-B'), faces: 'astern' }, ropes: ['L-B'], to: 'at-eye' })],
      load: { bodyId: 'otter', travel: 'ahead', travelM: 6, task: { kind: 'deck', rampRad: 0.21 } },
    },
    situation: { surface: 'hard-road' },
  });
}

function respool(): Scene {
  return sceneOf({
    name: 'Line stretched and spooled again under tension',
    rig: {
      bodies: [truck('heron', 0, 20, 178, { ...held, massKg: 2900 }), truck('badger', 0.5, 2, 2, { massKg: 3100 })],
      points: [onFrame('fairlead', 'heron', 2.3, 0, 0.75), onFrame('nose', 'badger', 2.2, 0.1, 0.5)],
      chains: [chainOf('at-badger', 'nose', ['VP-A', 'SS-A', 'CL-A'])],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], to: 'at-badger' })],
      purpose: 'respool',
      load: { bodyId: 'badger', travel: 'ahead', travelM: 12 },
    },
    situation: { surface: 'hard-road', lockedShare: 0.1 },
    slopeDeg: 4,
    uphillDeg: 0,
  });
}

function lanyarded(moving: boolean): Scene {
  return sceneOf({
    name: moving ? 'Lanyard by a grip on the moving line' : 'Lanyard to a fixed anchor',
    rig: {
      bodies: [
        truck('heron', 0, 0, 80, { ...held, massKg: 2900 }),
        truck('otter', 13, 2.4, 258, { massKg: 1800 }),
        treeAt('oak', 2, 6, 0.6),
        treeAt('ash', 4.5, 7, 0.5),
      ],
      points: [
        onFrame('fairlead', 'heron', 2.3, 0, 0.75),
        onFrame('nose', 'otter', 2.2, 0, 0.5),
        onTrunk('on-oak', 'oak'),
        onTrunk('low-on-oak', 'oak', 0.2),
      ],
      chains: [chainOf('at-otter', 'nose', ['VP-A', 'SS-A', 'SB-A']), chainOf('at-oak', 'on-oak', ['TS-A', 'SS-B', 'CL-A'])],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], via: ['at-otter'], to: 'at-oak' })],
      lanyards: [
        moving
          ? { id: 'lanyard', gearId: 'LY-1', useId: 'at-otter.2', to: { kind: 'strand', lineId: 'line', strand: 1 } }
          : { id: 'lanyard', gearId: 'LY-1', useId: 'at-oak.2', to: { kind: 'point', pointId: 'low-on-oak' } },
      ],
      load: { bodyId: 'otter', travel: 'ahead', travelM: 3 },
    },
    situation: { surface: 'shallow-mud' },
  });
}

export const handAndTowLayouts: readonly Layout[] = [
  { id: 'compound-by-hand', group: 'hands', label: 'compound of two blocks hauled by hand from the ground', build: () => compound('hand') },
  { id: 'compound-by-winch', group: 'hands', label: 'compound driven by the winch of the load itself', build: () => compound('winch') },
  {
    id: 'compound-at-a-separate-anchor',
    group: 'hands',
    label: 'compound with both fixed ends at a separate anchor',
    build: compoundAtAnchor,
  },
  { id: 'compound-with-one-rope', group: 'hands', label: 'compound with one rope and grips', build: () => compound('one-rope') },
  { id: 'held-by-a-grip', group: 'hands', label: 'progress capture by a grip on the strand', build: progressCapture },
  { id: 'static-tow', group: 'tow', label: 'static tow without run-up', build: () => tow('static') },
  { id: 'stretch-pull', group: 'tow', label: 'stretch-rope pull with one strap', build: () => tow('one') },
  { id: 'stretch-pull-joined', group: 'tow', label: 'stretch-rope pull with two joined', build: () => tow('two') },
  { id: 'holding-on-a-slope', group: 'hold', label: 'holding on a slope with the line as a safety', build: () => onSlope('hold') },
  { id: 'lowering-down-a-slope', group: 'hold', label: 'lowering on a slope', build: () => onSlope('lower') },
  { id: 'righting', group: 'special', label: 'righting a vehicle that lies on its side', build: righting },
  { id: 'loading-on-a-deck', group: 'special', label: 'loading a rolling vehicle on a deck by an off-centre tow eye', build: deck },
  { id: 'spooling-under-tension', group: 'special', label: 'line stretched and re-spooled under tension', build: respool },
  { id: 'lanyard-to-a-fixed-anchor', group: 'special', label: 'safety lanyard to a fixed anchor', build: () => lanyarded(false) },
  { id: 'lanyard-on-a-moving-line', group: 'special', label: 'safety lanyard by a grip on a moving line', build: () => lanyarded(true) },
];
