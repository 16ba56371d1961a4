import { unmarkedPoint } from '../anchors/unmarked-point.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import type { ChosenUse } from '../moment/assessment.ts';
import type { FactoredUse, Policy } from '../policy/policy.ts';
import type { Case } from '../rig/case.ts';
import type { Rig, Role, VehicleBody } from '../rig/rig.ts';
import { bodyOfChain } from '../rig/site-geometry.ts';
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
  const isLine = usual === 'winch-line-synthetic' || usual === 'winch-line-steel';
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

/** The limit of every chosen use, by the use's id. */
export function limitsOfUses({ rig, policy, asOf }: Case, uses: readonly ChosenUse[]): ReadonlyMap<string, PieceLimit> {
  const context = { policy, asOf, wet: rig.situation.wet };
  const limits = new Map(uses.map(({ use, piece }) => [use.id, pieceLimit(piece, factoredUseIn(piece, use.role), context)]));
  for (const { use, piece } of uses) {
    if (limits.get(use.id)?.kind !== 'unrated') continue;
    const vehicle = vehicleOfUse(rig, use.id);
    const kind = piece.kind === 'recovery-point' ? piece.attributes.pointKind : undefined;
    if (!vehicle || (kind !== 'factory-hook' && kind !== 'tie-down-eye')) continue;
    limits.set(use.id, { kind: 'judged', ...unmarkedPoint(kind, vehicle.massKg, policy, markedOn(rig, vehicle.id, limits)) });
  }
  return limits;
}

function vehicleOfUse(rig: Rig, useId: string): VehicleBody | undefined {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === useId));
  const body = chain && bodyOfChain(rig, chain);
  return body?.kind === 'vehicle' ? body : undefined;
}

/** Marked points of the same vehicle: an unmarked one is never trusted with more. */
function markedOn(rig: Rig, bodyId: string, limits: ReadonlyMap<string, PieceLimit>) {
  return rig.chains.flatMap((chain) => {
    const first = chain.pieces[0];
    const limit = first && first.role === 'point' && bodyOfChain(rig, chain)?.id === bodyId ? limits.get(first.id) : undefined;
    return limit?.kind === 'rated' ? [limit] : [];
  });
}
