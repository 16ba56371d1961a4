import type { TypeOf } from '../codec/codec.ts';
import { choice, day, flag, id, numeric, text } from '../codec/scalars.ts';
import { dictionary, list, optional, record, tagged } from '../codec/structures.ts';
import { bearing, situationCodec, taskCodec } from '../effort/situation.ts';
import { pointKinds, winchFaces } from '../gear/classes/materials.ts';
import { roles } from '../gear/classes/roles.ts';
import { plainBends } from '../policy/policy.ts';
import { judgedStrengthCodec } from '../rating/judged-strength.ts';
import {
  animalBody,
  coordinate,
  crewBody,
  deadmanBody,
  groundAnchorBody,
  looseBody,
  personBody,
  picketsBody,
  rockBody,
  treeBody,
  vehicleBody,
} from './bodies.ts';

const height = numeric({ min: -20, max: 50 });
const pointCodec = record({
  id,
  bodyId: id,
  label: text({ maxLength: 80 }),
  place: tagged({
    /** On a body with a heading: a vehicle or a loose load. */
    'on-vehicle': record({ kind: choice(['on-vehicle']), forwardM: coordinate, leftM: coordinate, heightM: height }),
    'on-trunk': record({ kind: choice(['on-trunk']), heightM: height }),
    /** On any other body, at a height above the ground. */
    'at-height': record({ kind: choice(['at-height']), heightM: height }),
  }),
});

/** What a vehicle's own point is, by whom and when; a last resort names who of the owner's side knows the risk and agreed. */
const namedPointCodec = record({
  pointKind: optional(choice(pointKinds)),
  /** It was not made for recovery: a steady short pull only. */
  lastResort: flag,
  person: text(),
  on: day,
  agreedBy: optional(text()),
});

const useCodec = record({
  id,
  role: choice(roles),
  /** The piece of the register; missing while nobody has chosen. */
  gearId: optional(id),
  hitch: optional(choice(['in-line', 'basket', 'choke'])),
  /** Shackles: angle of the load off the bow's axis, in its plane, rad. */
  bowAngleRad: optional(numeric({ min: 0, max: Math.PI })),
  axis: optional(choice(['major', 'minor'])),
  /** What a vehicle's own point is that no piece of the register stands for, as a person names it, with who of the owner's side agreed. */
  named: optional(namedPointCodec),
  /** A person's own working and failing number for an unmarked vehicle point, in place of marks. */
  judged: optional(judgedStrengthCodec),
});

const toChain = record({ kind: choice(['chain']), chainId: id });
const toJoint = record({ kind: choice(['joint']), jointId: id });

const chainCodec = record({
  id,
  from: tagged({ point: record({ kind: choice(['point']), pointId: id }), joint: toJoint }),
  /** Where its outer end goes; missing where it holds a line's bend or end. */
  to: optional(tagged({ joint: toJoint, grip: record({ kind: choice(['grip']), gripId: id }) })),
  /** From the body outwards; the last one holds the pulley, the line's end, the joint or the grip. */
  pieces: list(useCodec, { min: 1, max: 50 }),
});

const lineCodec = record({
  id,
  drive: tagged({
    /** The winch that drives it, and the point where the line leaves (the fairlead). */
    winch: record({ kind: choice(['winch']), pointId: id, use: useCodec, faces: optional(choice(winchFaces)) }),
    /** People who haul by hand, at their crew's point. */
    hand: record({ kind: choice(['hand']), pointId: id }),
    /** A vehicle that drives off with the line on a chain of its own: steady, or with a run-up. */
    tow: record({
      kind: choice(['tow']),
      chainId: id,
      manner: choice(['steady', 'run-up']),
      /** Speed at which the rope comes tight, the slack laid back for it, and in how many rising attempts; missing: as is proposed. */
      runUp: optional(
        record({
          speedMPerS: numeric({ above: 0, max: 20 }),
          slackM: numeric({ min: 0, max: 200 }),
        }),
      ),
      attempts: optional(numeric({ min: 1, max: 5, integer: true })),
    }),
    /** No drive: both ends are held, and the rope between them is so long. */
    held: record({
      kind: choice(['held']),
      end: tagged({ chain: toChain, joint: toJoint }),
      lengthM: numeric({ above: 0, max: 1000 }),
    }),
  }),
  /** The line, then extensions joined to its end. */
  ropes: list(useCodec, { min: 1, max: 10 }),
  /** Bends between drive and end. */
  via: list(
    tagged({
      pulley: record({ kind: choice(['pulley']), chainId: id }),
      /** A plain bend over something that stands still: an edge, a trunk, a roller. */
      edge: record({ kind: choice(['edge']), pointId: id, bend: choice(plainBends), radiusM: optional(numeric({ above: 0, max: 10 })) }),
    }),
    { max: 40 },
  ),
  to: tagged({ chain: toChain, joint: toJoint }),
});

export const purposes = ['recover', 'lower', 'hold', 'respool'] as const;
const gripCodec = record({
  id,
  lineId: id,
  /** Which strand it sits on, the drive's being 0, counted without the grips. */
  strand: numeric({ min: 0, max: 100, integer: true }),
  /** Rope between the grip and the line's last end. */
  toEndM: numeric({ above: 0, max: 1000 }),
});

const lanyardCodec = record({
  id,
  gearId: optional(id),
  /** The piece that it catches. */
  useId: id,
  to: tagged({
    /** Something that stands still. */
    point: record({ kind: choice(['point']), pointId: id }),
    /** A grip on a strand that moves along with the piece. */
    strand: record({ kind: choice(['strand']), lineId: id, strand: numeric({ min: 0, max: 100, integer: true }) }),
  }),
});

const backAnchorCodec = record({
  id,
  /** The point of the vehicle that is held, and the point that holds it. */
  vehiclePointId: id,
  anchorPointId: id,
  pieces: list(useCodec, { min: 1, max: 20 }),
});

/** What the place has beside bodies, as lines on the map: a crossing of an obstacle or a lip matters to the rope, the rest is for people. */
export const featureKinds = ['obstacle', 'edge', 'water', 'track'] as const;
const featureCodec = record({
  id,
  kind: choice(featureKinds),
  label: text({ maxLength: 80 }),
  points: list(record({ xM: coordinate, yM: coordinate }), { min: 2, max: 60 }),
});

/** Where on the earth the map's origin lies, and the bearing of its y axis. */
const originCodec = record({
  latitudeDeg: numeric({ min: -90, max: 90 }),
  longitudeDeg: numeric({ min: -180, max: 180 }),
  bearingRad: bearing,
});

export const rigCodec = record({
  ground: record({ slopeRad: numeric({ min: 0, max: Math.PI / 2 }), uphillRad: bearing }),
  bodies: list(
    tagged({
      vehicle: vehicleBody,
      tree: treeBody,
      rock: rockBody,
      structure: rockBody,
      'ground-anchor': groundAnchorBody,
      pickets: picketsBody,
      deadman: deadmanBody,
      load: looseBody,
      person: personBody,
      animal: animalBody,
      crew: crewBody,
    }),
    { min: 1, max: 100 },
  ),
  points: list(pointCodec, { max: 100 }),
  /** Where chains or line ends meet in the air: the apex of a bridle, the end of another line. */
  joints: optional(list(record({ id, label: text({ maxLength: 80 }) }), { max: 40 })),
  chains: list(chainCodec, { max: 100 }),
  grips: optional(list(gripCodec, { max: 20 })),
  /** None while only the place is drawn. */
  lines: list(lineCodec, { max: 8 }),
  features: optional(list(featureCodec, { max: 60 })),
  origin: optional(originCodec),
  /** What the rig is for; missing: to recover. Lowering and holding pull against the travel of the load. */
  purpose: optional(choice(purposes)),
  /** What is to move, which way along its heading, and how far until it is free. */
  load: record({
    bodyId: id,
    travel: choice(['ahead', 'astern']),
    /** Metres along the ground; missing where nobody has said. */
    travelM: optional(numeric({ min: 0, max: 500 })),
    /** The way of its origin over the ground, corner by corner from where it stands; missing: straight on. */
    path: optional(list(record({ xM: coordinate, yM: coordinate }), { min: 1, max: 40 })),
    /** Whether its driver drives along, once the rope pulls. */
    drivesAlong: optional(flag),
    task: optional(taskCodec),
  }),
  /** How several drives share the pull, as a person states it; missing: by their rated pulls. */
  sharing: optional(
    record({ statedBy: text(), shares: list(record({ lineId: id, share: numeric({ above: 0, max: 1000 }) }), { min: 2, max: 8 }) }),
  ),
  situation: situationCodec,
  /** A pull that a person chose instead of the estimate, with the reason. */
  chosenPull: optional(
    record({
      pullN: numeric({ above: 0, max: 1e8 }),
      /** What it needs once it has broken away, where that person says; missing: the same. */
      rollingN: optional(numeric({ min: 0, max: 1e8 })),
      person: text(),
      reason: text(),
    }),
  ),
  /** Whether the engine of the winching vehicle runs, as somebody states. */
  engine: optional(record({ running: flag, person: optional(text()), on: optional(day) })),
  /** A line-pull limit that a load cell or limiter holds, stated by a named person. */
  limiter: optional(record({ pullN: numeric({ above: 0, max: 1e7 }), statedBy: text() })),
  backAnchors: optional(list(backAnchorCodec, { max: 10 })),
  /** Dampers by line and strand, the drive's strand being 0. */
  dampers: list(record({ id, lineId: id, strand: numeric({ min: 0, max: 100, integer: true }), gearId: id })),
  lanyards: optional(list(lanyardCodec, { max: 20 })),
  /** Tools of the register that are used on the spot. */
  tools: optional(list(id, { max: 40 })),
  /** Answers to questions that only somebody on the spot can give, by question id. */
  answers: dictionary(choice(['yes', 'no'])),
});

export type Rig = TypeOf<typeof rigCodec>;
export type Body = Rig['bodies'][number];
export type VehicleBody = Extract<Body, { readonly kind: 'vehicle' }>;
export type TreeBody = Extract<Body, { readonly kind: 'tree' }>;
export type LooseBody = Extract<Body, { readonly kind: 'load' }>;
/** A body that may be the load: it has a mass, a size and a heading. */
export type LoadBody = VehicleBody | LooseBody;
export type Lanyard = NonNullable<Rig['lanyards']>[number];
export type RigPoint = Rig['points'][number];
export type Chain = Rig['chains'][number];
export type Line = Rig['lines'][number];
export type Feature = NonNullable<Rig['features']>[number];
export type PieceUse = TypeOf<typeof useCodec>;
