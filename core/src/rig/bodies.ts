import type { TypeOf } from '../codec/codec.ts';
import { choice, flag, id, numeric, text } from '../codec/scalars.ts';
import { optional, record } from '../codec/structures.ts';
import { bearing } from '../effort/situation.ts';
import { stanceCodec } from '../hold/stance.ts';
import { anchorSoils, footings, picketPatterns, picketSoils, woods } from '../policy/policy.ts';
import { judgedStrengthCodec } from '../rating/judged-strength.ts';

export const coordinate = numeric({ min: -1000, max: 1000 });
const label = text({ maxLength: 80 });
const at = { xM: coordinate, yM: coordinate } as const;

export const vehicleBody = record({
  id,
  kind: choice(['vehicle']),
  label,
  /** The register's vehicle, where it is one. */
  vehicleId: optional(id),
  ...at,
  headingRad: bearing,
  massKg: numeric({ above: 0, max: 200_000 }),
  lengthM: numeric({ above: 0, max: 30 }),
  widthM: numeric({ above: 0, max: 5 }),
  wheelbaseM: optional(numeric({ above: 0, max: 20 })),
  trackM: optional(numeric({ above: 0, max: 4 })),
  /** Inside width of its hitch receiver. */
  receiverM: optional(numeric({ above: 0, max: 0.5 })),
  /** Share of the mass on the front axle on level ground. */
  frontShare: optional(numeric({ above: 0, max: 1 })),
  stance: optional(stanceCodec),
});

export const treeBody = record({
  id,
  kind: choice(['tree']),
  label,
  ...at,
  trunkDiameterM: numeric({ above: 0, max: 5 }),
  wood: choice(woods),
  footing: choice(footings),
  state: choice(['live', 'dead', 'rotten']),
  leanRad: numeric({ min: 0, max: Math.PI / 2 }),
  judged: optional(judgedStrengthCodec),
});

/** A rock or a structure: its strength is what somebody judges it to be. */
export const rockBody = record({
  id,
  kind: choice(['rock', 'structure']),
  label,
  ...at,
  /** Where a strap goes round it. */
  diameterM: optional(numeric({ above: 0, max: 20 })),
  judged: optional(judgedStrengthCodec),
});

export const groundAnchorBody = record({
  id,
  kind: choice(['ground-anchor']),
  label,
  ...at,
  soil: choice(anchorSoils),
  judged: optional(judgedStrengthCodec),
});

export const picketsBody = record({
  id,
  kind: choice(['pickets']),
  label,
  ...at,
  pattern: choice(picketPatterns),
  soil: choice(picketSoils),
  lines: numeric({ min: 1, max: 20, integer: true }),
  judged: optional(judgedStrengthCodec),
});

export const deadmanBody = record({
  id,
  kind: choice(['deadman']),
  label,
  ...at,
  /** Bearing face of the buried log. */
  lengthM: numeric({ above: 0, max: 20 }),
  faceHeightM: numeric({ above: 0, max: 3 }),
  /** Mean depth of the face's centre. */
  depthM: numeric({ above: 0, max: 10 }),
  judged: optional(judgedStrengthCodec),
});

/** Something loose that is to be moved or stands in the way: a trunk, a lying vehicle, a boulder. */
export const looseBody = record({
  id,
  kind: choice(['load']),
  label,
  ...at,
  headingRad: bearing,
  massKg: numeric({ above: 0, max: 200_000 }),
  lengthM: numeric({ above: 0, max: 30 }),
  widthM: numeric({ above: 0, max: 10 }),
});

export const duties = ['operator', 'signaller', 'drum-watcher', 'driver', 'helper', 'road-guard', 'bystander'] as const;

export const personBody = record({
  id,
  kind: choice(['person']),
  label,
  ...at,
  duty: choice(duties),
  /** The vehicle in whose cab this person sits. */
  inVehicleId: optional(id),
  /** The shelter behind which this person stands, by name. */
  shelter: optional(text({ maxLength: 80 })),
  /** Whether the records show that this person has practised the layout. */
  practised: optional(flag),
});
export type PersonBody = TypeOf<typeof personBody>;

export const animalBody = record({ id, kind: choice(['animal']), label, ...at });

/** People who pull a rope by hand, standing on the ground. */
export const crewBody = record({ id, kind: choice(['crew']), label, ...at, people: numeric({ min: 1, max: 100, integer: true }) });
