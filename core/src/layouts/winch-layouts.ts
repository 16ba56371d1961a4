import type { Layout } from './layout.ts';
import { atHeight, chainOf, held, lineOf, onFrame, onTrunk, type Scene, sceneOf, toJoint, treeAt, truck, useOf, winchAt } from './scene.ts';

const ahead = (bodyId: string, travelM = 4) => ({ bodyId, travel: 'ahead' as const, travelM });
const winching = (x = 0, y = 0, heading = 80) => truck('heron', x, y, heading, { ...held, massKg: 2900 });
const stuck = (x: number, y: number, heading: number) => truck('otter', x, y, heading, { massKg: 1800, lengthM: 3.9, widthM: 1.7 });
const fairlead = onFrame('fairlead', 'heron', 2.3, 0, 0.75);
const end = (id: string, from: string, first: string, link: string) => chainOf(id, from, [first, 'SS-B', link]);

function selfRecovery(layout: 'straight' | 'back' | 'triple'): Scene {
  const bodies = [truck('heron', 0, 0, 75), treeAt('larch', 15, 3.5), treeAt('beech', 13, 7)];
  const points = [fairlead, onTrunk('on-larch', 'larch'), onFrame('left', 'heron', 2.25, 0.5, 0.55), onTrunk('on-beech', 'beech', 0.4)];
  const atTree = chainOf('at-larch', 'on-larch', layout === 'straight' ? ['TS-A', 'SS-A', 'CL-A'] : ['TS-A', 'SS-A', 'RR-A']);
  const atLeft = layout === 'triple' ? chainOf('at-left', 'left', ['VP-A', 'SS-B', 'SB-A']) : end('at-left', 'left', 'VP-A', 'CL-A');
  const atBeech = chainOf('at-beech', 'on-beech', ['TS-B', 'SS-C', 'CL-A']);
  const via = { straight: [], back: ['at-larch'], triple: ['at-larch', 'at-left'] }[layout];
  const to = { straight: 'at-larch', back: 'at-left', triple: 'at-beech' }[layout];
  const kept = [...via, to];
  const chains = [atTree, atLeft, atBeech].filter(({ id }) => kept.includes(id));
  const used = points.filter(({ id }) => id === 'fairlead' || chains.some(({ from }) => from.kind === 'point' && from.pointId === id));
  return sceneOf({
    name: `Self-recovery, ${{ straight: 'single line', back: 'double line', triple: 'triple line' }[layout]}`,
    rig: {
      bodies: layout === 'triple' ? bodies : bodies.slice(0, 2),
      points: used,
      chains,
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: [layout === 'triple' ? 'L-C' : 'L-A'], via, to })],
      load: ahead('heron'),
    },
    situation: { surface: 'shallow-mud' },
    slopeDeg: 3,
    uphillDeg: 70,
  });
}

function singleToOther(): Scene {
  return sceneOf({
    name: 'Single line to a stuck vehicle',
    rig: {
      bodies: [winching(), stuck(16, 3.5, 255)],
      points: [fairlead, onFrame('nose', 'otter', 1.9, 0.1, 0.5)],
      chains: [end('at-otter', 'nose', 'VP-A', 'CL-A')],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], to: 'at-otter' })],
      load: ahead('otter'),
    },
    situation: { surface: 'shallow-mud' },
  });
}

function doubleToOther(separate: boolean): Scene {
  const back = separate ? chainOf('at-end', 'on-oak', ['TS-A', 'SS-B', 'CL-A']) : chainOf('at-end', 'left', ['VP-B', 'SS-B', 'CL-A']);
  return sceneOf({
    name: `Double line to another vehicle, end back ${separate ? 'at a separate anchor' : 'on the winching vehicle'}`,
    rig: {
      bodies: [winching(), stuck(12, 2.5, 258), ...(separate ? [treeAt('oak', 1, 5.5)] : [])],
      points: [
        fairlead,
        onFrame('nose', 'otter', 1.9, 0.1, 0.5),
        separate ? onTrunk('on-oak', 'oak', 0.35) : onFrame('left', 'heron', 2.2, 0.55, 0.6),
      ],
      chains: [chainOf('at-otter', 'nose', ['VP-A', 'SS-A', 'RR-A']), back],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], via: ['at-otter'], to: 'at-end' })],
      load: ahead('otter'),
    },
    situation: { surface: 'bog' },
    slopeDeg: 2,
    uphillDeg: 200,
  });
}

function redirect(kind: 'corner' | 'road' | 'high'): Scene {
  const high = kind === 'high';
  const bodies = [
    winching(0, 0, high ? 85 : 40),
    stuck(high ? 20 : 14, high ? 1.5 : -3, { corner: 335, road: 8, high: 262 }[kind]),
    treeAt('ash', high ? 10 : 9, high ? 1.2 : 9.5, 0.6),
    ...(kind === 'road' ? [treeAt('oak', 16, 12, 0.55)] : []),
  ];
  const chains = [
    chainOf('at-ash', 'on-ash', ['TS-A', 'SS-A', 'SB-A']),
    ...(kind === 'road' ? [chainOf('at-oak', 'on-oak', ['TS-B', 'SS-C', 'RR-A'])] : []),
    end('at-otter', 'nose', 'VP-A', 'CL-A'),
  ];
  return sceneOf({
    name: { corner: 'Redirect round a corner', road: 'Redirect along a road, two trees', high: 'Redirect through a high pulley' }[kind],
    rig: {
      bodies,
      points: [
        fairlead,
        onTrunk('on-ash', 'ash', high ? 3.2 : 0.3),
        ...(kind === 'road' ? [onTrunk('on-oak', 'oak', 0.3)] : []),
        onFrame('nose', 'otter', 1.9, 0, 0.5),
      ],
      chains,
      lines: [
        lineOf({
          drive: winchAt('fairlead', 'W-A'),
          ropes: ['L-C'],
          via: kind === 'road' ? ['at-ash', 'at-oak'] : ['at-ash'],
          to: 'at-otter',
        }),
      ],
      load: ahead('otter'),
    },
    situation: { surface: 'gravel' },
  });
}

function redirectPlusDouble(): Scene {
  return sceneOf({
    name: 'Redirect plus double',
    rig: {
      bodies: [winching(0, 0, 30), stuck(16, 1, 318), treeAt('ash', 6, 10, 0.6), treeAt('oak', 4, 13, 0.55)],
      points: [fairlead, onTrunk('on-ash', 'ash'), onTrunk('on-oak', 'oak'), onFrame('nose', 'otter', 1.9, 0, 0.5)],
      chains: [
        chainOf('at-ash', 'on-ash', ['TS-A', 'SS-A', 'SB-A']),
        chainOf('at-otter', 'nose', ['VP-A', 'SS-B', 'RR-A']),
        chainOf('at-oak', 'on-oak', ['TS-B', 'SS-C', 'CL-A']),
      ],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-C'], via: ['at-ash', 'at-otter'], to: 'at-oak' })],
      load: ahead('otter', 3),
    },
    situation: { surface: 'shallow-mud' },
    slopeDeg: 4,
    uphillDeg: 330,
  });
}

function withExtension(where: 'anchor' | 'return'): Scene {
  const inAnchor = where === 'anchor';
  const far = inAnchor ? 27 : 19;
  return sceneOf({
    name: `Double line with an extension in the ${where} leg`,
    rig: {
      bodies: [truck('heron', 0, 0, 78), treeAt('larch', far, far * 0.22, 0.55)],
      points: [fairlead, onTrunk('on-larch', 'larch'), onFrame('left', 'heron', 2.25, 0.5, 0.55)],
      chains: [
        chainOf('at-larch', 'on-larch', inAnchor ? ['TS-A', 'SS-A', 'LX-1', 'SS-C', 'RR-A'] : ['TS-A', 'SS-A', 'RR-A']),
        end('at-left', 'left', 'VP-A', 'CL-A'),
      ],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: inAnchor ? ['L-A'] : ['L-A', 'LX-1'], via: ['at-larch'], to: 'at-left' })],
      load: ahead('heron', 3),
    },
    situation: { surface: 'shallow-mud' },
  });
}

function underVehicle(): Scene {
  return sceneOf({
    name: 'Front winch led under the vehicle to pull it backwards',
    rig: {
      bodies: [truck('heron', 0, 0, 90), treeAt('larch', -15, -1.5, 0.5)],
      points: [
        fairlead,
        { ...onFrame('round-fairlead', 'heron', 2.34, 0, 0.66), label: 'the fairlead’s lower lip' },
        onTrunk('on-larch', 'larch'),
      ],
      chains: [chainOf('at-larch', 'on-larch', ['TS-B', 'SS-B', 'CL-A'])],
      lines: [
        lineOf({
          drive: winchAt('fairlead', 'W-A'),
          ropes: ['L-A'],
          // Out through the fairlead, round its lower lip and back under the vehicle.
          via: [{ kind: 'edge', pointId: 'round-fairlead', bend: 'synthetic-on-aluminium', radiusM: 0.04 }],
          to: 'at-larch',
        }),
      ],
      load: { bodyId: 'heron', travel: 'astern', travelM: 3 },
    },
    situation: { surface: 'gravel' },
  });
}

function bridled(running: boolean): Scene {
  const bodies = [winching(), stuck(15, 3, running ? 256 : 258.5)];
  const points = [fairlead, onFrame('left', 'otter', 1.9, 0.45, 0.5), onFrame('right', 'otter', 1.9, -0.45, 0.55)];
  const pull = { drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], to: 'at-apex' };
  const common = { bodies, points, joints: [{ id: 'apex', label: 'apex of the bridle' }], load: ahead('otter') };
  if (running)
    return sceneOf({
      name: 'Running bridle on two points',
      rig: {
        ...common,
        chains: [
          chainOf('at-left', 'left', ['VP-A', 'SS-A']),
          chainOf('at-right', 'right', ['VP-B', 'SS-B']),
          chainOf('on-bridle', { joint: 'apex' }, ['SS-C', 'RR-A']),
          chainOf('at-apex', { joint: 'apex' }, ['CL-A']),
        ],
        lines: [
          lineOf(pull),
          lineOf({
            id: 'bridle',
            drive: { kind: 'held', end: { kind: 'chain', chainId: 'at-left' }, lengthM: 3.2 },
            ropes: ['LX-2'],
            via: ['on-bridle'],
            to: 'at-right',
          }),
        ],
      },
      situation: { surface: 'shallow-mud' },
    });
  return sceneOf({
    name: 'Fixed bridle on two points',
    rig: {
      ...common,
      chains: [
        chainOf('leg-left', 'left', ['VP-A', 'SS-A', 'ST-C'], toJoint('apex')),
        chainOf('leg-right', 'right', ['VP-B', 'SS-B', 'ST-D'], toJoint('apex')),
        chainOf('at-apex', { joint: 'apex' }, ['SS-C', 'CL-A']),
      ],
      lines: [lineOf(pull)],
    },
    situation: { surface: 'shallow-mud' },
  });
}

function backAnchored(to: 'tree' | 'vehicles'): Scene {
  const tree = to === 'tree';
  const slippery = { stance: { ground: 'mud', brakes: 'all' } } as const;
  return sceneOf({
    name: `Winching vehicle back-anchored to ${tree ? 'a tree' : 'two vehicles'}`,
    rig: {
      bodies: [
        truck('heron', 0, 0, 80, { massKg: 2900, ...slippery }),
        stuck(16, 3, 255),
        ...(tree
          ? [treeAt('oak', -7, -1.2, 0.6)]
          : [truck('badger', -8, -0.5, 80, { ...held, massKg: 3100 }), truck('curlew', -7, -2.7, 70, { ...held })]),
      ],
      points: [
        fairlead,
        onFrame('nose', 'otter', 1.9, 0.1, 0.5),
        onFrame('tail', 'heron', -2.2, 0, 0.5),
        tree ? onTrunk('on-oak', 'oak') : onFrame('badger-nose', 'badger', 2.2, 0, 0.5),
        ...(tree ? [] : [onFrame('tail-right', 'heron', -2.2, -0.5, 0.5), onFrame('curlew-nose', 'curlew', 2.2, 0, 0.5)]),
      ],
      chains: [end('at-otter', 'nose', 'VP-A', 'CL-A')],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], to: 'at-otter' })],
      backAnchors: [
        {
          id: 'back',
          vehiclePointId: 'tail',
          anchorPointId: tree ? 'on-oak' : 'badger-nose',
          pieces: (tree ? ['TS-B', 'SS-C', 'ST-A', 'SS-D', 'VP-B'] : ['VP-C', 'SS-C', 'ST-A', 'SS-D', 'VP-B']).map((gearId, order) =>
            useOf('back', gearId, order),
          ),
        },
        ...(tree
          ? []
          : [
              {
                id: 'second-back',
                vehiclePointId: 'tail-right',
                anchorPointId: 'curlew-nose',
                pieces: ['VP-D', 'SH-B', 'CH-1', 'SH-A', 'VP-E'].map((gearId, order) => useOf('second-back', gearId, order)),
              },
            ]),
      ],
      load: ahead('otter'),
    },
    situation: { surface: 'shallow-mud', depth: 'hubs' },
  });
}

function twoWinches(): Scene {
  return sceneOf({
    name: 'Two winches on one vehicle at a small angle',
    rig: {
      bodies: [winching(0, 0, 80), truck('badger', 1, -6, 68, { ...held, massKg: 3100 }), stuck(17, 1.5, 256)],
      points: [
        fairlead,
        onFrame('badger-lead', 'badger', 2.4, 0, 0.8),
        onFrame('left', 'otter', 1.9, 0.4, 0.5),
        onFrame('right', 'otter', 1.9, -0.4, 0.5),
      ],
      chains: [chainOf('at-left', 'left', ['VP-A', 'SS-A', 'CL-A']), chainOf('at-right', 'right', ['VP-B', 'SS-B', 'CL-B'])],
      lines: [
        lineOf({ id: 'first', drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], to: 'at-right' }),
        lineOf({ id: 'second', drive: winchAt('badger-lead', 'W-B'), ropes: ['L-B'], to: 'at-left' }),
      ],
      load: ahead('otter', 5),
    },
    situation: { surface: 'bog', depth: 'hubs' },
  });
}

function sideways(): Scene {
  return sceneOf({
    name: 'Clearing a trunk sideways by redirect',
    rig: {
      bodies: [
        winching(0, 0, 75),
        { id: 'trunk', kind: 'load', label: 'Fallen trunk', xM: 9, yM: -4, headingRad: 1.4, massKg: 900, lengthM: 6, widthM: 0.4 },
        treeAt('ash', 10, 5, 0.6),
      ],
      points: [fairlead, onTrunk('on-ash', 'ash'), { ...onFrame('on-log', 'trunk', 1.5, 0, 0.2), label: 'round the log' }],
      chains: [chainOf('at-ash', 'on-ash', ['TS-A', 'SS-A', 'RR-A']), chainOf('round-log', 'on-log', ['ST-A', 'SS-B', 'CL-A'])],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], via: ['at-ash'], to: 'round-log' })],
      load: { bodyId: 'trunk', travel: 'ahead', travelM: 3, task: { kind: 'drag', bearingRad: 0.05 } },
    },
  });
}

function highAnchor(): Scene {
  return sceneOf({
    name: 'Single line to a rated ground anchor',
    rig: {
      bodies: [truck('heron', 0, 0, 70), { id: 'anchor', kind: 'ground-anchor', label: 'Ground anchor', xM: 14, yM: 4.5, soil: 'loam' }],
      points: [fairlead, atHeight('at-anchor', 'anchor', 0.1)],
      chains: [chainOf('holding', 'at-anchor', ['GA-1', 'SH-A', 'CL-A'])],
      lines: [lineOf({ drive: winchAt('fairlead', 'W-A'), ropes: ['L-A'], to: 'holding' })],
      load: ahead('heron', 4),
    },
    situation: { surface: 'gravel' },
  });
}

export const winchLayouts: readonly Layout[] = [
  {
    id: 'single-line-to-an-anchor',
    group: 'self',
    label: 'single line to an anchor (self-recovery)',
    build: () => selfRecovery('straight'),
  },
  { id: 'single-line-to-a-vehicle', group: 'other', label: 'single line to a stuck vehicle', build: singleToOther },
  { id: 'double-line-self-recovery', group: 'self', label: 'double line self-recovery', build: () => selfRecovery('back') },
  {
    id: 'double-line-to-a-vehicle',
    group: 'other',
    label: 'double line to another vehicle, end back to the winching vehicle',
    build: () => doubleToOther(false),
  },
  {
    id: 'double-line-to-a-separate-anchor',
    group: 'other',
    label: 'double line to another vehicle, end at a separate anchor',
    build: () => doubleToOther(true),
  },
  { id: 'triple-line', group: 'self', label: 'triple line', build: () => selfRecovery('triple') },
  { id: 'redirect-round-a-corner', group: 'redirect', label: 'redirect around a corner', build: () => redirect('corner') },
  { id: 'redirect-along-a-road', group: 'redirect', label: 'redirect along a road', build: () => redirect('road') },
  {
    id: 'redirect-through-a-high-pulley',
    group: 'redirect',
    label: 'redirect through a high pulley above an obstacle',
    build: () => redirect('high'),
  },
  { id: 'redirect-plus-double', group: 'redirect', label: 'redirect plus double', build: redirectPlusDouble },
  { id: 'extension-in-the-anchor-leg', group: 'self', label: 'with an extension in the anchor leg', build: () => withExtension('anchor') },
  { id: 'extension-in-the-return-leg', group: 'self', label: 'with an extension in the return leg', build: () => withExtension('return') },
  { id: 'led-under-the-vehicle', group: 'self', label: 'front winch led under the vehicle to pull it backwards', build: underVehicle },
  { id: 'fixed-bridle', group: 'other', label: 'bridle on two points, fixed', build: () => bridled(false) },
  { id: 'running-bridle', group: 'other', label: 'bridle on two points, running', build: () => bridled(true) },
  { id: 'back-anchored-to-a-tree', group: 'other', label: 'winching vehicle back-anchored to a tree', build: () => backAnchored('tree') },
  {
    id: 'back-anchored-to-vehicles',
    group: 'other',
    label: 'winching vehicle back-anchored to vehicles with static straps',
    build: () => backAnchored('vehicles'),
  },
  { id: 'two-winches', group: 'other', label: 'two winches on one vehicle at a small angle', build: twoWinches },
  { id: 'clearing-sideways', group: 'redirect', label: 'clearing an obstacle sideways by redirect', build: sideways },
  { id: 'ground-anchor', group: 'self', label: 'single line to a ground anchor', build: highAnchor },
];
