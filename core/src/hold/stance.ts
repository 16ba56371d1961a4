import type { TypeOf } from '../codec/codec.ts';
import { choice, numeric, text } from '../codec/scalars.ts';
import { optional, record } from '../codec/structures.ts';
import { holdGrounds } from '../policy/policy.ts';

/** What a vehicle stands on and what holds it there, each as far as somebody has said it; the ground is else that of the site. */
export const stanceCodec = record({
  ground: optional(choice(holdGrounds)),
  /** Which wheels are braked: the foot brake all, the parking brake those of its axle; `park-only` a selector alone. */
  brakes: optional(choice(['all', 'parking-rear', 'parking-front', 'park-only', 'none'])),
  /** What chocks or dug-in wheels add, newtons, as a person judges it. */
  extra: optional(record({ holdN: numeric({ min: 0, max: 1e6 }), person: text(), reason: text() })),
});
export type Stance = TypeOf<typeof stanceCodec>;
