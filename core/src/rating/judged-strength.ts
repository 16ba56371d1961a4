import type { TypeOf } from '../codec/codec.ts';
import { day, numeric, text } from '../codec/scalars.ts';
import { record } from '../codec/structures.ts';

/** A person's own working and failing number, newtons, in place of marks or formulas. */
export const judgedStrengthCodec = record({
  workingN: numeric({ above: 0, max: 1e7 }),
  failingN: numeric({ above: 0, max: 1e7 }),
  person: text(),
  on: day,
  reason: text(),
});
export type JudgedStrength = TypeOf<typeof judgedStrengthCodec>;
