import type { TypeOf } from '../codec/codec.ts';
import { choice, day, flag, id, numeric, text } from '../codec/scalars.ts';
import { dictionary, list, optional, record, tagged } from '../codec/structures.ts';
import { depths, footings, soils, surfaces, woods } from '../policy/policy.ts';

const coordinate = numeric({ min: -1000, max: 1000 });
/** Bearing clockwise from north (the y axis), rad. */
const bearing = numeric({ min: -7, max: 7 });

const vehicleBody = record({
  id,
  kind: choice(['vehicle']),
  label: text({ maxLength: 80 }),
  /** The register's vehicle, where it is one. */
  vehicleId: optional(id),
  xM: coordinate,
  yM: coordinate,
  headingRad: bearing,
  massKg: numeric({ above: 0, max: 200_000 }),
  lengthM: numeric({ above: 0, max: 30 }),
  widthM: numeric({ above: 0, max: 5 }),
});

const judgement = record({
  workingN: numeric({ above: 0, max: 1e7 }),
  failingN: numeric({ above: 0, max: 1e7 }),
  person: text(),
  on: day,
  reason: text(),
});

const treeBody = record({
  id,
  kind: choice(['tree']),
  label: text({ maxLength: 80 }),
  xM: coordinate,
  yM: coordinate,
  trunkDiameterM: numeric({ above: 0, max: 5 }),
  wood: choice(woods),
  footing: choice(footings),
  state: choice(['live', 'dead', 'rotten']),
  leanRad: numeric({ min: 0, max: Math.PI / 2 }),
  /** A person's own working and failing number, in place of the formula's. */
  judged: optional(judgement),
});

const pointCodec = record({
  id,
  bodyId: id,
  label: text({ maxLength: 80 }),
  place: tagged({
    'on-vehicle': record({ kind: choice(['on-vehicle']), forwardM: coordinate, leftM: coordinate, heightM: numeric({ min: 0, max: 50 }) }),
    'on-trunk': record({ kind: choice(['on-trunk']), heightM: numeric({ min: 0, max: 50 }) }),
  }),
});

/** What a piece does at its place; the picker and the rules read it. */
export const roles = ['winch', 'winch-line', 'extension', 'tree-strap', 'strap', 'connector', 'pulley', 'line-end', 'point'] as const;
export type Role = (typeof roles)[number];

const useCodec = record({
  id,
  role: choice(roles),
  /** The piece of the register; missing while nobody has chosen. */
  gearId: optional(id),
  hitch: optional(choice(['in-line', 'basket', 'choke'])),
  /** Shackles: angle of the load off the bow's axis, in its plane, rad. */
  bowAngleRad: optional(numeric({ min: 0, max: Math.PI })),
  axis: optional(choice(['major', 'minor'])),
  /** A person's own working and failing number for an unmarked vehicle point, in place of marks. */
  judged: optional(judgement),
});

const chainCodec = record({
  id,
  from: tagged({ point: record({ kind: choice(['point']), pointId: id }) }),
  /** From the body outwards; the last one holds the pulley or the line's end. */
  pieces: list(useCodec, { min: 1, max: 50 }),
});

const lineCodec = record({
  id,
  /** The winch that drives it, and the point where the line leaves (the fairlead). */
  drive: tagged({ winch: record({ kind: choice(['winch']), pointId: id, use: useCodec }) }),
  /** The winch line, then extensions joined to its end. */
  ropes: list(useCodec, { min: 1, max: 10 }),
  /** Bends between drive and end. */
  via: list(tagged({ pulley: record({ kind: choice(['pulley']), chainId: id }) }), { max: 40 }),
  to: tagged({ chain: record({ kind: choice(['chain']), chainId: id }) }),
});

const situationCodec = record({
  surface: choice(surfaces),
  depth: choice(depths),
  soil: choice(soils),
  wet: flag,
  /** Share of the mass on wheels that do not turn, 0…1. */
  lockedShare: numeric({ min: 0, max: 1 }),
  drivelineLocked: flag,
  wheelsTurned: flag,
  /** Contact area for the suction term, where it was measured. */
  contactAreaM2: optional(numeric({ above: 0, max: 100 })),
  ledge: optional(
    record({
      heightM: numeric({ above: 0, max: 5 }),
      wheelRadiusM: numeric({ above: 0, max: 2 }),
      axleShare: numeric({ above: 0, max: 1 }),
    }),
  ),
  trailer: optional(
    record({ massKg: numeric({ above: 0, max: 100_000 }), depth: choice(depths), contactAreaM2: numeric({ min: 0, max: 100 }) }),
  ),
});

export const rigCodec = record({
  ground: record({ slopeRad: numeric({ min: 0, max: Math.PI / 2 }), uphillRad: bearing }),
  bodies: list(tagged({ vehicle: vehicleBody, tree: treeBody }), { min: 1, max: 50 }),
  points: list(pointCodec, { max: 100 }),
  chains: list(chainCodec, { max: 100 }),
  /** One driven line; several drives at once share the pull and will come with their own sharing rule. */
  lines: list(lineCodec, { min: 1, max: 1 }),
  /** What is to move, which way along its heading, and how far until it is free. */
  load: record({ bodyId: id, travel: choice(['ahead', 'astern']), travelM: numeric({ min: 0, max: 500 }) }),
  situation: situationCodec,
  /** A pull that a person chose instead of the estimate, with the reason. */
  chosenPull: optional(record({ pullN: numeric({ above: 0, max: 1e8 }), person: text(), reason: text() })),
  /** A line-pull limit that a load cell or limiter holds, stated by a named person. */
  limiter: optional(record({ pullN: numeric({ above: 0, max: 1e7 }), statedBy: text() })),
  /** Dampers by line and strand, the drive's strand being 0. */
  dampers: list(record({ id, lineId: id, strand: numeric({ min: 0, max: 100, integer: true }), gearId: id })),
  /** Answers to questions that only somebody on the spot can give, by question id. */
  answers: dictionary(choice(['yes', 'no'])),
});

export type Rig = TypeOf<typeof rigCodec>;
export type Body = Rig['bodies'][number];
export type VehicleBody = Extract<Body, { readonly kind: 'vehicle' }>;
export type TreeBody = Extract<Body, { readonly kind: 'tree' }>;
export type RigPoint = Rig['points'][number];
export type Chain = Rig['chains'][number];
export type Line = Rig['lines'][number];
export type PieceUse = TypeOf<typeof useCodec>;
export type Situation = Rig['situation'];
