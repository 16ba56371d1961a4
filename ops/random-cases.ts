import type { Body, Case, GearFacts, PieceUse, Rig } from '@wainrope/core';
import { applyEdit, depths, gearIdsOf, grades, holdGrounds, readRigFile, surfaces, usesOf } from '@wainrope/core';
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
  const gear = kitGear.map((piece) => (chance(next, 0.25) ? changed(next, piece) : piece));
  rig = otherPieces(next, rig, gear);
  rig = situated(next, rig);
  rig = peopled(next, rig);
  rig = beside(next, rig);
  const used = new Set(gearIdsOf(rig));
  return { ...subject, rig, gear: gear.filter(({ id }) => used.has(id)), policy: policyOf(next, subject.policy) };
}

function policyOf(next: Next, policy: Case['policy']): Case['policy'] {
  if (!chance(next, 0.2)) return policy;
  const school = pick(next, ['by-wrap', 'flat', 'none'] as const);
  const severities = chance(next, 0.5) ? ({ 'no-damper': 'note', 'near-limit': 'fix' } as const) : {};
  return { ...policy, friction: { ...policy.friction, school }, severities };
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
    if (chance(next, 0.05)) {
      const { gearId: _gone, ...empty } = use;
      after = withUse(after, empty);
    } else if (chance(next, 0.08)) after = withUse(after, { ...use, gearId: pick(next, gear).id });
    else if (use.hitch !== undefined && chance(next, 0.1)) after = withUse(after, { ...use, hitch: pick(next, ['in-line', 'basket', 'choke'] as const) });
    else if (chance(next, 0.04)) after = withUse(after, { ...use, bowAngleRad: next() * 2 });
    else if (chance(next, 0.04)) after = withUse(after, { ...use, axis: 'minor' });
    else if (use.role === 'point' && chance(next, 0.05)) {
      const { gearId: _gone, ...empty } = use;
      const judged = { workingN: 20_000, failingN: 50_000, person: 'Una Ferrow', on: '2026-05-30', reason: 'looked at' };
      after = withUse(after, { ...empty, judged });
    }
  }
  return after;
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

const DUTIES = ['operator', 'signaller', 'drum-watcher', 'driver', 'helper', 'bystander'] as const;

function peopled(next: Next, rig: Rig): Rig {
  const vehicles = rig.bodies.filter(({ kind }) => kind === 'vehicle');
  const people = Array.from({ length: Math.floor(next() * 4) }, (_, index): Body => {
    const seat = chance(next, 0.3) && vehicles.length > 0 ? { inVehicleId: pick(next, vehicles).id } : {};
    const shelter = chance(next, 0.15) ? { shelter: 'a thick ash' } : {};
    const practised = chance(next, 0.5) ? { practised: chance(next, 0.5) } : {};
    const at = { xM: about(next, 40), yM: about(next, 40) };
    return { id: `person-${index}`, kind: 'person', label: `Person ${index}`, ...at, duty: pick(next, DUTIES), ...seat, ...shelter, ...practised };
  });
  const animals: readonly Body[] = chance(next, 0.1) ? [{ id: 'ewe', kind: 'animal', label: 'Ewe', xM: about(next, 20), yM: about(next, 20) }] : [];
  return { ...rig, bodies: [...rig.bodies, ...people, ...animals] };
}

function beside(next: Next, rig: Rig): Rig {
  const kind = pick(next, ['obstacle', 'edge'] as const);
  const features = [{ id: 'feature', kind, label: 'Old wall', points: [0, 1, 2].map(() => ({ xM: about(next, 15), yM: about(next, 15) })) }];
  const dampers = rig.dampers.filter(() => !chance(next, 0.3));
  const answers = Object.fromEntries(
    ['engine-off.rig', 'no-chocks.rig', 'held-on-park.rig', 'cut-off-out-of-reach.rig', 'owner-not-told.rig', 'operator-not-placed.rig']
      .filter(() => chance(next, 0.6))
      .map((id) => [id, chance(next, 0.8) ? ('yes' as const) : ('no' as const)]),
  );
  const uses = usesOf(rig).map(({ use }) => use);
  const tied = rig.points.length > 0 && uses.length > 0 && chance(next, 0.15);
  const lanyard = { id: 'extra', ...(chance(next, 0.7) && { gearId: 'LY-1' }), useId: pick(next, uses).id, to: { kind: 'point', pointId: pick(next, rig.points).id } } as const;
  return {
    ...rig,
    dampers,
    answers: { ...rig.answers, ...answers },
    ...(chance(next, 0.25) && { features }),
    ...(tied && { lanyards: [...(rig.lanyards ?? []), lanyard] }),
  };
}
