import type { Body, Case, GearFacts, PieceUse, Rig } from '@wainrope/core';
import { applyEdit, depths, gearIdsOf, grades, holdGrounds, readRigFile, surfaces, usesOf } from '@wainrope/core';
import { mark, piece } from '../core/src/testing/example-case.ts';
import { kitGear } from '../core/src/testing/kit-gear.ts';
import { layouts } from '../core/src/testing/layouts.ts';

/** A small generator of its own, so that a run can be repeated (xorshift, seed other than 0); numbers from 0 up to 1. */
export function generator(seed: number): () => number {
  let state = seed | 0;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
}

/** Pieces that no layout asks for, so that what speaks against them is heard too. */
const STRANGE: readonly GearFacts[] = [
  piece({
    id: 'CB-X',
    kind: 'carabiner',
    marks: [mark('MBS 40 kN', 'stamped')],
    attributes: { treadDiameterM: 0.012, reachM: 0.09, minorAxisBreakingN: 9000, massKg: 0.2 },
  }),
  piece({
    id: 'HK-X',
    kind: 'winch-hook',
    marks: [mark('WLL 4 t', 'stamped')],
    attributes: { throatM: 0.018, reachM: 0.12, latch: 'sprung', massKg: 1 },
  }),
  piece({
    id: 'HK-Y',
    kind: 'winch-hook',
    marks: [mark('WLL 13 ton', 'stamped')],
    attributes: { throatM: 0.03, reachM: 0.12, latch: 'none', massKg: 1 },
  }),
  piece({
    id: 'LS-X',
    kind: 'load-securing-strap',
    marks: [mark('MBS 5 t')],
    attributes: { lengthM: 5, thicknessM: 0.003, material: 'polyester' },
  }),
  piece({
    id: 'WS-X',
    kind: 'winch-line-steel',
    marks: [mark('MBS 6 t')],
    attributes: { ropeDiameterM: 0.009, lengthM: 28, endTermination: 'thimble-pressed-sleeve' },
  }),
  piece({
    id: 'WL-X',
    kind: 'winch-line-synthetic',
    marks: [mark('MBS 31,700 lb')],
    attributes: { ropeDiameterM: 0.012, lengthM: 28, endTermination: 'bowline', material: 'hmpe' },
  }),
  piece({ id: 'VP-X', kind: 'recovery-point', marks: [], attributes: { pointKind: 'factory-hook', boreDiameterM: 0.03 } }),
  piece({ id: 'VP-Y', kind: 'recovery-point', marks: [], attributes: { pointKind: 'tow-ball' } }),
  piece({
    id: 'VP-Z',
    kind: 'recovery-point',
    marks: [mark('WLL 3 t')],
    attributes: { pointKind: 'frame-slot', boreDiameterM: 0.03, thicknessM: 0.05 },
  }),
  piece({
    id: 'SH-X',
    kind: 'steel-shackle',
    marks: [mark('WLL 8.5 t', 'stamped'), mark('MBS 28 t')],
    attributes: { bowDiameterM: 0.028, pinDiameterM: 0.008, insideWidthM: 0.05, reachM: 0.07, massKg: 2 },
  }),
  piece({
    id: 'TS-X',
    kind: 'tree-strap',
    marks: [mark('MBS basket 24 t')],
    madeOn: '2014-05-01',
    attributes: { lengthM: 1.2, thicknessM: 0.006, material: 'polyamide' },
  }),
  piece({
    id: 'KR-X',
    kind: 'stretch-rope',
    marks: [mark('MBS 3 t')],
    attributes: { form: 'strap', lengthM: 9, pullsAllowed: 40, pullsUsed: 41 },
  }),
  piece({ id: 'KR-Y', kind: 'stretch-rope', marks: [mark('MBS 60 t')], attributes: { form: 'rope', lengthM: 9, ropeDiameterM: 0.04 } }),
  piece({
    id: 'RM-X',
    kind: 'receiver-mount',
    marks: [mark('WLL 4 t')],
    attributes: { boreDiameterM: 0.025, thicknessM: 0.03, edgeRadiusM: 0.001, reachM: 0.2, massKg: 3 },
  }),
  piece({ id: 'RP-X', kind: 'rope-lock-plate', marks: [mark('MBS 12 t')], attributes: { boreDiameterM: 0.02, reachM: 0.1, massKg: 0.5 } }),
  piece({ id: 'PT-X', kind: 'line-fitting', marks: [], attributes: { massKg: 0.1 } }),
  piece({ id: 'JK-X', kind: 'lifting-jack', marks: [mark('WLL 2 t')], attributes: { liftM: 1 } }),
];

type Next = () => number;
const pick = <T>(next: Next, list: readonly T[]): T => list[Math.floor(next() * list.length)] as T;
const chance = (next: Next, share: number): boolean => next() < share;
const about = (next: Next, size: number): number => (next() * 2 - 1) * size;

/**
 * Random cases from a seed: every layout of the trade with its bodies and points pushed about, other pieces in its places, pieces
 * with sizes, marks and inspections missing or changed, people and obstacles about, answers given and not. All of them read as files do.
 */
export function* randomCases(seed: number, wanted: number): Generator<Case> {
  const next = generator(seed);
  for (let made = 0; made < wanted; ) {
    const subject = randomCase(next);
    const file = { format: 'wainrope.rig', version: 3, case: subject };
    if (!readRigFile(JSON.parse(JSON.stringify(file))).ok) continue;
    made++;
    yield subject;
  }
}

function randomCase(next: Next): Case {
  const layout = pick(next, layouts);
  const subject = layout.build();
  let rig = pushedAbout(next, subject.rig);
  const gear = [...kitGear, ...STRANGE].map((entry) => (chance(next, 0.25) ? changed(next, entry) : structuredClone(entry)));
  rig = otherPieces(next, rig, gear);
  rig = situated(next, rig);
  rig = peopled(next, rig);
  rig = beside(next, rig);
  rig = elsewhere(next, rig);
  const used = new Set(gearIdsOf(rig));
  return { ...subject, rig, gear: gear.filter(({ id }) => used.has(id)), policy: policyOf(next, subject.policy) };
}

function policyOf(next: Next, policy: Case['policy']): Case['policy'] {
  if (!chance(next, 0.2)) return policy;
  const school = pick(next, ['by-wrap', 'flat', 'none'] as const);
  const stretch = { ...policy.stretch, allowed: chance(next, 0.5) };
  const severities: Case['policy']['severities'] = chance(next, 0.5) ? { 'no-damper': 'note', 'near-limit': 'fix' } : {};
  return { ...policy, friction: { ...policy.friction, school }, stretch, severities };
}

function pushedAbout(next: Next, rig: Rig): Rig {
  const [far, turn] = chance(next, 0.3) ? [4, 0.5] : [1.2, 0.12];
  const bodies = rig.bodies.map((body) => {
    const at = { xM: body.xM + about(next, far), yM: body.yM + about(next, far) };
    const moved = { ...body, ...at };
    if (moved.kind === 'tree' && chance(next, 0.2)) return { ...moved, trunkDiameterM: 0.1 + next() * 0.5, leanRad: next() * 0.4 };
    if (moved.kind === 'vehicle' && chance(next, 0.3)) {
      const brakes = pick(next, ['all', 'parking-rear', 'parking-front', 'park-only', 'none'] as const);
      return { ...moved, headingRad: moved.headingRad + about(next, turn), stance: { ground: pick(next, holdGrounds), brakes } };
    }
    return 'headingRad' in moved ? { ...moved, headingRad: moved.headingRad + about(next, turn) } : moved;
  }) as Body[];
  const points = rig.points.map((point) => ({
    ...point,
    place: { ...point.place, heightM: Math.max(0, point.place.heightM + about(next, 0.25)) },
  }));
  const ground = chance(next, 0.6) ? { slopeRad: next() * 0.3, uphillRad: next() * 6.2 } : rig.ground;
  return { ...rig, bodies, points, ground };
}

function changed(next: Next, piece: GearFacts): GearFacts {
  const attributes = Object.fromEntries(
    Object.entries(piece.attributes).flatMap(([key, value]) => {
      if (chance(next, 0.2)) return [];
      return [[key, typeof value === 'number' && chance(next, 0.2) ? value * (0.5 + next()) : value]];
    }),
  );
  const marks = chance(next, 0.1) ? [] : piece.marks.map((mark) => (chance(next, 0.15) ? { ...mark, source: 'advert' as const } : mark));
  const unsure = marks.map((mark) => (chance(next, 0.1) && mark.basis !== 'rated-pull' ? { ...mark, basis: 'unstated' as const } : mark));
  const { inspection: _inspection, ...rest } = piece;
  const inspection = { on: '2026-01-10', grade: pick(next, grades), nextDue: pick(next, ['2026-05-01', '2026-06-01', '2027-01-10']) };
  return {
    ...(chance(next, 0.3) ? rest : { ...piece, inspection }),
    ...(chance(next, 0.3) && { firstUsedOn: pick(next, ['2010-03-01', '2016-06-01', '2025-12-01']) }),
    attributes,
    marks: unsure,
    state: chance(next, 0.1) ? 'quarantined' : piece.state,
  } as GearFacts;
}

function withUse(rig: Rig, use: PieceUse): Rig {
  return applyEdit(rig, { kind: 'change-use', useId: use.id, use }).rig;
}

function otherPieces(next: Next, rig: Rig, gear: readonly GearFacts[]): Rig {
  let after = rig;
  for (const { use } of usesOf(rig)) {
    after = withUse(after, otherPiece(next, use, gear));
    if (use.hitch !== undefined && chance(next, 0.1)) spreadLegs(next, rig, gear, use);
  }
  return after;
}

function otherPiece(next: Next, use: PieceUse, gear: readonly GearFacts[]): PieceUse {
  const lot = next();
  const { gearId: _gone, ...empty } = use;
  if (lot < 0.04) return empty;
  if (lot < 0.1) return { ...use, gearId: pick(next, gear).id };
  if (lot > 0.2 && use.role !== 'point') return use;
  return inItsRole(next, use, empty);
}

function inItsRole(next: Next, use: PieceUse, empty: PieceUse): PieceUse {
  const around = ['in-line', 'basket', 'choke'] as const;
  if (use.hitch !== undefined) return { ...use, gearId: pick(next, [use.gearId ?? 'TS-X', 'TS-X']), hitch: pick(next, around) };
  switch (use.role) {
    case 'connector':
      return { ...use, gearId: pick(next, ['SH-A', 'SH-X', 'CB-X']), bowAngleRad: next() * 2, axis: pick(next, ['major', 'minor']) };
    case 'winch-line':
      return { ...use, gearId: 'WS-X' };
    case 'point': {
      const judged = { workingN: 20_000, failingN: 50_000, person: 'Una Ferrow', on: '2026-05-30', reason: 'looked at' };
      if (chance(next, 0.1)) return { ...empty, judged };
      return chance(next, 0.3) ? { ...use, gearId: pick(next, ['VP-X', 'VP-Y', 'VP-Z', 'RM-X']) } : use;
    }
    default:
      return use;
  }
}

/** Makes a strap so long that it hardly goes round its trunk, or does with its legs wide apart. */
function spreadLegs(next: Next, { bodies }: Rig, gear: readonly GearFacts[], { gearId }: PieceUse): void {
  const trunk = bodies.find(({ kind }) => kind === 'tree');
  const strap = gear.find(({ id }) => id === gearId);
  if (trunk?.kind !== 'tree' || strap === undefined || !('lengthM' in strap.attributes)) return;
  Object.assign(strap.attributes, { lengthM: Math.PI * trunk.trunkDiameterM * (0.9 + next() * 0.6) });
}

function situated(next: Next, rig: Rig): Rig {
  const { load } = rig;
  const situation = {
    ...rig.situation,
    surface: pick(next, surfaces),
    depth: pick(next, depths),
    wet: chance(next, 0.3),
    lockedShare: chance(next, 0.2) ? next() : 0,
    wheelsTurned: chance(next, 0.2),
  };
  const pull = { pullN: 5_000 + next() * 60_000, person: 'Una Ferrow', reason: 'felt like it' };
  const limiter = { pullN: 8_000 + next() * 30_000, statedBy: 'Una Ferrow' };
  return {
    ...rig,
    situation,
    load: { ...load, travelM: chance(next, 0.5) ? next() * 12 : load.travelM, travel: chance(next, 0.05) ? 'astern' : load.travel },
    ...(chance(next, 0.4) && { chosenPull: pull }),
    ...(chance(next, 0.15) && { limiter }),
    ...(chance(next, 0.05) && { purpose: pick(next, ['lower', 'hold', 'recover'] as const) }),
  };
}

/** Log anchors, bends over edges, several straps side by side, stretch ropes behind each other, jacks. */
function elsewhere(next: Next, rig: Rig): Rig {
  let after = rig;
  if (chance(next, 0.05)) {
    const log = { lengthM: 1.5, faceHeightM: 0.3, depthM: 0.5 + next() * 1.5 };
    const tree = rig.bodies.find(({ kind }) => kind === 'tree');
    if (tree) {
      const bodies = rig.bodies.map((body) =>
        body === tree ? { id: tree.id, kind: 'deadman' as const, label: tree.label, xM: tree.xM, yM: tree.yM, ...log } : body,
      );
      const points = rig.points.map((point) =>
        point.bodyId === tree.id ? { ...point, place: { kind: 'at-height' as const, heightM: 0 } } : point,
      );
      after = { ...after, bodies, points };
    }
  }
  if (chance(next, 0.06)) {
    const [line, ...lines] = after.lines;
    const point = pick(next, after.points);
    if (line && after.lines.length > 0)
      after = {
        ...after,
        lines: [{ ...line, via: [...line.via, { kind: 'edge', pointId: point.id, bend: 'synthetic-on-bark' }] }, ...lines],
      };
  }
  const [leg] = after.chains.filter(({ to }) => to?.kind === 'joint');
  if (leg && chance(next, 0.2)) {
    const twin = { ...leg, id: `${leg.id}-twin`, pieces: leg.pieces.map((use) => ({ ...use, id: `${use.id}-twin` })) };
    after = { ...after, chains: [...after.chains, twin] };
  }
  if (chance(next, 0.05)) after = { ...after, ground: { slopeRad: 0.7 + next() * 0.3, uphillRad: next() * 6.2 } };
  const [first] = after.lines;
  if (first?.drive.kind === 'tow' && chance(next, 0.5)) {
    const more = (id: string, gearId: string): PieceUse => ({ id, role: 'tow-rope', gearId });
    const ropes = [
      ...first.ropes,
      { id: 'between', role: 'connector' as const, gearId: pick(next, ['SH-X', 'SS-A']) },
      more('second', 'KR-A'),
    ];
    after = { ...after, lines: [{ ...first, ropes }, ...after.lines.slice(1)] };
  }
  const back = after.backAnchors?.[0];
  if (back && chance(next, 0.3))
    after = { ...after, backAnchors: [{ ...back, pieces: [...back.pieces, { id: 'back-stretch', role: 'strap', gearId: 'KR-A' }] }] };
  return chance(next, 0.05) ? { ...after, tools: ['JK-X'] } : after;
}

const DUTIES = ['operator', 'signaller', 'drum-watcher', 'driver', 'helper', 'bystander'] as const;

function peopled(next: Next, rig: Rig): Rig {
  const vehicles = rig.bodies.filter(({ kind }) => kind === 'vehicle');
  const people = Array.from({ length: Math.floor(next() * 4) }, (_, index): Body => {
    const seat = chance(next, 0.3) && vehicles.length > 0 ? { inVehicleId: pick(next, vehicles).id } : {};
    const shelter = chance(next, 0.15) ? { shelter: 'a thick ash' } : {};
    const practised = chance(next, 0.5) ? { practised: chance(next, 0.5) } : {};
    const at = { xM: about(next, 40), yM: about(next, 40) };
    return {
      id: `person-${index}`,
      kind: 'person',
      label: `Person ${index}`,
      ...at,
      duty: pick(next, DUTIES),
      ...seat,
      ...shelter,
      ...practised,
    };
  });
  const animals: readonly Body[] = chance(next, 0.1)
    ? [{ id: 'ewe', kind: 'animal', label: 'Ewe', xM: about(next, 20), yM: about(next, 20) }]
    : [];
  return { ...rig, bodies: [...rig.bodies, ...people, ...animals] };
}

const LOOKED_AT = ['pin-side', 'knot-placement', 'hook-opening', 'strap-twisted', 'soft-on-sharp-edge'];
const OF_STRANDS = ['line-over-lip', 'line-under-vehicle'];

function beside(next: Next, rig: Rig): Rig {
  const kind = pick(next, ['obstacle', 'edge'] as const);
  const features = [
    { id: 'feature', kind, label: 'Old wall', points: [0, 1, 2].map(() => ({ xM: about(next, 15), yM: about(next, 15) })) },
  ];
  const dampers = rig.dampers.filter(() => !chance(next, 0.3));
  const answers = Object.fromEntries(
    [
      'no-chocks.rig',
      'held-on-park.rig',
      'cut-off-out-of-reach.rig',
      'owner-not-told.rig',
      'operator-not-placed.rig',
      'jack-without-stand.rig',
      'rest-too-short.rig',
      'line-over-edge.on-oak',
    ]
      .filter(() => chance(next, 0.6))
      .map((id) => [id, chance(next, 0.8) ? ('yes' as const) : ('no' as const)]),
  );
  const uses = usesOf(rig).map(({ use }) => use);
  const looked = [
    ...LOOKED_AT.flatMap((code) => uses.map(({ id }) => `${code}.${id}`)),
    ...OF_STRANDS.flatMap((code) => rig.lines.flatMap(({ id }) => [0, 1, 2].map((strand) => `${code}.${id}.${strand}`))),
  ];
  for (const id of looked) if (chance(next, 0.3)) Object.assign(answers, { [id]: chance(next, 0.7) ? 'yes' : 'no' });
  const tied = rig.points.length > 0 && uses.length > 0 && chance(next, 0.15);
  const lanyard = {
    id: 'extra',
    ...(chance(next, 0.7) && { gearId: 'LY-1' }),
    useId: pick(next, uses).id,
    to: { kind: 'point', pointId: pick(next, rig.points).id },
  } as const;
  return {
    ...rig,
    dampers,
    answers: { ...rig.answers, ...answers },
    ...(chance(next, 0.25) && { features }),
    ...(tied && { lanyards: [...(rig.lanyards ?? []), lanyard] }),
  };
}
