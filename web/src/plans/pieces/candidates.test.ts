import {
  bestFor,
  candidatesFor,
  type GearFacts,
  layPlan,
  pieceLimit,
  relayEdits,
  teamStandard,
  usesOf,
  usualUse,
  vehicleBody,
} from '@wainrope/core';
import { describe, expect, it } from 'vitest';
import { filterPieces } from '../../gear/gear-filter.ts';
import type { RegisterPiece } from '../../register/use-register.ts';

function piece(
  gearId: string,
  kind: GearFacts['kind'],
  mbsT: number | undefined,
  extra: { readonly vehicleId?: string; readonly state?: string; readonly attributes?: object; readonly grade?: string } = {},
): RegisterPiece {
  const marks =
    mbsT === undefined
      ? []
      : [
          {
            asWritten: `MBS ${mbsT} t`,
            basis: kind === 'winch' ? 'rated-pull' : 'mbs',
            source: 'label',
            settingDecided: false,
            readings: [{ unit: 't', forceN: mbsT * 9806.65 }],
          },
        ];
  const common = {
    tag: gearId,
    name: `${kind} ${gearId}`,
    kind,
    state: extra.state ?? 'in-use',
    marks,
    attributes: extra.attributes ?? {},
    overloadsSinceInspection: 0,
    inspection: { on: '2026-01-01', grade: extra.grade ?? 'A', nextDue: '2027-01-01' },
  };
  const facts = { id: gearId, ...common } as unknown as GearFacts;
  const gear = {
    gearId,
    ...common,
    rowVersion: 1,
    factsRevision: 1,
    ...(extra.vehicleId && { vehicleId: extra.vehicleId }),
  } as unknown as RegisterPiece['gear'];
  return {
    gear,
    facts,
    limit: pieceLimit(facts, usualUse(kind), { policy: teamStandard, asOf: '2026-06-01', wet: false }),
    vehicleId: extra.vehicleId,
    kit: 'Bag',
    vehicle: '',
  };
}

const { schools: carefulSchools } = teamStandard;
const truck = { vehicleId: 'truck', name: 'Truck', massKg: 2600, lengthM: 4.5, widthM: 1.8 };
const pieces = [
  piece('W', 'winch', 4, { vehicleId: 'truck', attributes: { forwardM: 2, leftM: 0, heightM: 0.7 } }),
  piece('W2', 'winch', 6, { vehicleId: 'other', attributes: { forwardM: 3, leftM: 0, heightM: 0.9 } }),
  piece('L', 'winch-line-synthetic', 9, { vehicleId: 'truck' }),
  piece('L2', 'winch-line-synthetic', 20, { vehicleId: 'other' }),
  piece('S-small', 'soft-shackle', 8),
  piece('S-big', 'soft-shackle', 15),
  piece('S-mid', 'soft-shackle', 12),
  piece('S-bad', 'soft-shackle', 30, { state: 'quarantined' }),
  piece('S-bare', 'soft-shackle', undefined),
  piece('S-d', 'soft-shackle', 40, { grade: 'D' }),
  piece('T', 'tree-strap', 14, { attributes: { lengthM: 3 } }),
  piece('R', 'recovery-ring', 18),
  piece('C', 'closed-link', 20),
  piece('P', 'recovery-point', 20, { vehicleId: 'truck', attributes: { forwardM: 2.1, leftM: 0.4, heightM: 0.5 } }),
  piece('P2', 'recovery-point', 20, { vehicleId: 'other', attributes: { forwardM: 2.9, leftM: -0.6, heightM: 0.6 } }),
];
const vehicle = vehicleBody(truck, 1);
const tree = {
  id: 'tree',
  kind: 'tree',
  label: 'Tree',
  xM: 10,
  yM: 8,
  trunkDiameterM: 0.4,
  wood: 'softwood',
  footing: 'firm',
  state: 'live',
  leanRad: 0,
} as const;
const base = {
  ground: { slopeRad: 0, uphillRad: 0 },
  bodies: [vehicle, tree],
  load: { bodyId: 'vehicle', travel: 'ahead', travelM: 5 },
  situation: { surface: 'grass', depth: 'none', soil: 'loam', wet: false, lockedShare: 0, drivelineLocked: false, wheelsTurned: false },
  dampers: [],
  answers: {},
} as const;
const winch = pieces[0]?.facts;
if (winch?.kind !== 'winch') throw new Error('no winch');
const laid = layPlan({ base, pieces, today: '2026-06-01', layout: 'doubled-back', vehicle, tree, winch, strapHeightM: 0.3, chosen: {} });
const rig = { ...base, ...laid };
const chosen = (id: string, from = rig) => usesOf(from).find(({ use }) => use.id === id)?.use;

describe('laying a plan from the register', () => {
  it('fills every place with the strongest usable piece, each piece once', () => {
    expect(
      ['winch', 'winch-line', 'tree-strap', 'anchor-connector', 'pulley', 'return-point-piece', 'return-connector', 'line-end'].map(
        (id) => chosen(id)?.gearId,
      ),
    ).toEqual(['W', 'L', 'T', 'S-big', 'R', 'P', 'S-mid', 'C']);
    expect(rig.points.find(({ id }) => id === 'return-point')?.place).toMatchObject({ forwardM: 2.1, leftM: 0.4 });
  });
  it('offers usable pieces first, the strongest on top, and says why the others are not', () => {
    const use = chosen('return-connector');
    if (!use) throw new Error('no place');
    const offered = candidatesFor(pieces, { rig, use, today: '2026-06-01', vehicleId: 'truck' }, carefulSchools);
    expect(offered.slice(0, 2).map(({ piece: { gear } }) => gear.tag)).toEqual(['S-mid', 'S-small']);
    expect(Object.fromEntries(offered.slice(2).map(({ piece: { gear }, whyNot }) => [gear.tag, whyNot]))).toEqual({
      'S-big': 'already in this rig',
      C: 'already in this rig',
      'S-bad': 'quarantined: must not be planned with',
      'S-d': 'graded D: out of use',
      'S-bare': 'no rating on record',
    });
    expect(bestFor(pieces, { rig, use, today: '2026-06-01', vehicleId: 'truck' })).toBe('S-mid');
  });
  it('never leads with what carries nothing', () => {
    const use = chosen('return-connector');
    if (!use) throw new Error('no place');
    const weak = pieces.map((piece) =>
      piece.gear.tag === 'S-mid' && piece.limit.kind === 'rated' ? { ...piece, limit: { ...piece.limit, wllN: 0 } } : piece,
    );
    const offered = candidatesFor(weak, { rig, use, today: '2026-06-01', vehicleId: 'truck' }, carefulSchools);
    expect(offered.slice(0, 2).map(({ piece: { gear } }) => gear.tag)).toEqual(['S-small', 'S-mid']);
  });
  it('lays it again for another vehicle with that one’s winch, line and points, keeping loose pieces', () => {
    const edits = relayEdits({ rig, pieces, today: '2026-06-01', vehicle: { ...truck, vehicleId: 'other', name: 'Other' } });
    const lines = edits?.find((edit) => edit.kind === 'lay-lines');
    if (lines?.kind !== 'lay-lines') throw new Error('not laid');
    const next = { ...rig, ...lines };
    expect(['winch', 'winch-line', 'return-point-piece', 'tree-strap'].map((id) => chosen(id, next)?.gearId)).toEqual([
      'W2',
      'L2',
      'P2',
      'T',
    ]);
    expect(relayEdits({ rig, pieces, today: '2026-06-01', vehicle: { ...truck, vehicleId: 'none' } })).toBeUndefined();
  });
});

describe('searching the register', () => {
  it('wants every word, wherever it stands, and the chosen class and state', () => {
    const none = { search: '', kind: '', state: '', kit: '' };
    const tags = (filter: object) => filterPieces(pieces, { ...none, ...filter }).map(({ gear }) => gear.tag);
    expect(tags({ search: 'mbs 15 soft' })).toEqual(['S-big']);
    expect(tags({ kind: 'winch' })).toEqual(['W', 'W2']);
    expect(tags({ state: 'quarantined' })).toEqual(['S-bad']);
    expect(tags({ search: 'nothing like it' })).toEqual([]);
  });
});

describe('the best piece for a place', () => {
  const steel = (id: string, boreDiameterM: number) => piece(id, 'closed-link', 20, { attributes: { boreDiameterM } });
  const soft = (id: string, mbsT: number, ropeDiameterM: number) => piece(id, 'soft-shackle', mbsT, { attributes: { ropeDiameterM } });
  const chain = (gearId: string) => ({
    id: 'c',
    from: { kind: 'joint', jointId: 'j' },
    pieces: [
      { id: 'first', role: 'connector', gearId },
      { id: 'second', role: 'connector' },
    ],
  });
  const rigWith = (gearId: string) =>
    ({ bodies: [], points: [], chains: [chain(gearId)], lines: [], dampers: [] }) as unknown as Parameters<typeof bestFor>[1]['rig'];
  const use = { id: 'second', role: 'connector' } as const;
  const bag = [steel('wide', 0.04), steel('narrow', 0.02), soft('thick', 15, 0.014), soft('thin', 8, 0.01)];

  it('goes into its neighbour, though a stronger one would not', () => {
    const best = (first: string) => bestFor(bag, { rig: rigWith(first), use, today: '2026-06-01', vehicleId: undefined });
    expect(best('wide')).not.toBe('thin');
    expect(best('narrow')).toBe('thin');
  });
  it('is the strongest where nothing goes in, so that the finding says what does not fit', () => {
    const only = bag.filter(({ gear }) => gear.gearId !== 'thin');
    const rig = rigWith('narrow');
    const offered = bestFor(only, { rig, use, today: '2026-06-01', vehicleId: undefined });
    expect(offered).toBeDefined();
  });
  it('is never a point that must not be pulled on, nor a last resort without consent', () => {
    const own = { vehicleId: 'truck' } as const;
    const points = [
      piece('ball', 'recovery-point', 90, { ...own, attributes: { pointKind: 'tow-ball' } }),
      piece('slot', 'recovery-point', 80, { ...own, attributes: { pointKind: 'frame-slot' } }),
      piece('rated', 'recovery-point', 20, { ...own, attributes: { pointKind: 'maker-rated' } }),
    ];
    const context = { rig: rigWith('wide'), use: { id: 'p', role: 'point' }, today: '2026-06-01', vehicleId: 'truck' } as const;
    expect(bestFor(points, context)).toBe('rated');
    const listed = candidatesFor(points, context, carefulSchools);
    expect(listed.find(({ piece: { gear } }) => gear.gearId === 'ball')?.whyNot).toBe('never: a tow ball shears off and flies');
    expect(listed.find(({ piece: { gear } }) => gear.gearId === 'slot')?.whyNot).toBeUndefined();
  });
  it('offers what this team takes as a last resort, and does not choose it', () => {
    const own = { vehicleId: 'truck' } as const;
    const bag = [
      piece('axle', 'recovery-point', 90, { ...own, attributes: { pointKind: 'axle-tube' } }),
      piece('hole', 'recovery-point', 90, { ...own, attributes: { pointKind: 'safety-chain-hole' } }),
      piece('ratchet', 'load-securing-strap', 30, { attributes: { lengthM: 9 } }),
      piece('short', 'static-strap', 8, { attributes: { lengthM: 2 } }),
    ];
    const why = (role: 'point' | 'strap', schools: object) => {
      const context = { rig: rigWith('wide'), use: { id: 'p', role }, today: '2026-06-01', vehicleId: 'truck' } as const;
      const listed = candidatesFor(bag, context, { ...carefulSchools, ...schools });
      return Object.fromEntries(listed.map(({ piece: { gear }, whyNot }) => [gear.gearId, whyNot?.split(':')[0]]));
    };
    expect(why('point', {})).toEqual({ axle: 'never', hole: 'never' });
    expect(why('point', { axleAsLastResort: true })).toEqual({ axle: undefined, hole: 'never' });
    expect(why('strap', {})).toEqual({ ratchet: 'never', short: undefined });
    expect(why('strap', { securingStrapAsLastResort: true })).toEqual({ ratchet: undefined, short: undefined });
    const strap = { rig: rigWith('wide'), use: { id: 'p', role: 'strap' }, today: '2026-06-01', vehicleId: 'truck' } as const;
    expect(bestFor(bag, strap)).toBe('short');
    expect(bestFor(bag.slice(0, 3), strap)).toBeUndefined();
  });
  it('is none for the point of a vehicle that is not the team’s', () => {
    const points = [piece('RM', 'receiver-mount', 18), piece('VP', 'recovery-point', 20, { vehicleId: 'truck' })];
    const at = (vehicleId: string | undefined) =>
      bestFor(points, { rig: rigWith('wide'), use: { id: 'p', role: 'point' }, today: '2026-06-01', vehicleId });
    expect(at(undefined)).toBeUndefined();
    expect(at('truck')).toBe('VP');
  });
});
