import type { Role } from '../gear/classes/roles.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { servesAs } from '../gear/traits.ts';
import type { FactoredUse, Policy } from '../policy/policy.ts';
import { type Condition, conditionDerate, type Derate, wetDerate } from './derates.ts';
import { usualUse } from './usual-use.ts';
import { type Limit, workingLimit } from './working-limit.ts';

/** What a piece may carry as it stands today, before anything that belongs to a place on it. */
export type PieceLimit =
  | {
      readonly kind: 'rated';
      readonly limit: Limit;
      readonly condition: Condition;
      readonly globals: readonly Derate[];
      readonly wllN: number;
      readonly mbsN: number;
    }
  /** An unmarked vehicle point that its vehicle's weight speaks for. */
  | { readonly kind: 'judged'; readonly workingN: number; readonly failingN: number; readonly reason: string; readonly source: string }
  | { readonly kind: 'unrated' }
  /** The class is never judged by a working limit of its own: dampers, tools, winches, pull tabs, ground anchors. */
  | { readonly kind: 'carries-nothing' };

/** The row of the design-factor table a piece takes in this role: the same rope is a winch line on its drum and an extension elsewhere. */
export function factoredUseIn(piece: GearFacts, role: Role): FactoredUse | undefined {
  const usual = usualUse(piece.kind);
  const isLine = servesAs(piece, 'winch-line');
  return isLine && role !== 'winch-line' ? 'soft-good' : usual;
}

export interface LimitContext {
  readonly policy: Policy;
  readonly asOf: string;
  readonly wet: boolean;
}

/** WLL and breaking strength with condition and wet factors in; newtons. */
export function pieceLimit(piece: GearFacts, use: FactoredUse | undefined, { policy, asOf, wet }: LimitContext): PieceLimit {
  if (use === undefined) return { kind: 'carries-nothing' };
  const limit = workingLimit(piece.marks, use, policy);
  if (limit.kind === 'unrated') return { kind: 'unrated' };
  const condition = conditionDerate(piece, policy, asOf);
  const globals = [condition.derate, wetDerate(piece, wet, policy)].filter((derate) => derate !== undefined);
  const factor = globals.reduce((total, derate) => total * derate.factor, 1);
  return { kind: 'rated', limit, condition, globals, wllN: limit.wllN * factor, mbsN: limit.mbsN * factor };
}
