import type { TypeOf } from '../codec/codec.ts';
import { choice, flag, numeric } from '../codec/scalars.ts';
import { optional, record, tagged } from '../codec/structures.ts';
import { depths, soils, surfaces } from '../policy/policy.ts';

/** How a vehicle is stuck: what it stands on and in, what does not turn, what is in its way or behind it. */
export const situationCodec = record({
  surface: choice(surfaces),
  depth: choice(depths),
  soil: choice(soils),
  wet: flag,
  /** Share of the mass on wheels that do not turn, 0…1. */
  lockedShare: numeric({ min: 0, max: 1 }),
  drivelineLocked: flag,
  wheelsTurned: flag,
  /** The depth stands one step lower than it was found, since this was done: digging it free or boards under its driven wheels, or both. */
  easedBy: optional(choice(['digging', 'boards'])),
  /** Its tyres were let down where it is stuck. */
  airedDown: optional(flag),
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
export type Situation = TypeOf<typeof situationCodec>;

/** Bearing clockwise from north (the y axis), rad. */
export const bearing = numeric({ min: -7, max: 7 });

/** What the load asks for where it is more than a stuck vehicle that is to drive on. */
export const taskCodec = tagged({
  drag: record({ kind: choice(['drag']), bearingRad: bearing, friction: optional(numeric({ min: 0, max: 5 })) }),
  /** Setting upright: lever of the weight and height of the line about the edge it turns on. */
  right: record({
    kind: choice(['right']),
    bearingRad: bearing,
    leverM: numeric({ above: 0, max: 10 }),
    lineHeightM: numeric({ above: 0, max: 10 }),
  }),
  /** Up a ramp on to a deck. */
  deck: record({ kind: choice(['deck']), rampRad: numeric({ min: 0, max: Math.PI / 4 }) }),
});
export type Task = TypeOf<typeof taskCodec>;
