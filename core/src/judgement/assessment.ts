import type { AnchorCapacity } from '../anchors/tree-capacity.ts';
import type { EffortOutcome } from '../effort/estimate-pull.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { invariant } from '../invariant.ts';
import type { Policy } from '../policy/policy.ts';
import type { Derate } from '../rating/derates.ts';
import type { Case } from '../rig/case.ts';
import type { Line, PieceUse, Rig } from '../rig/rig.ts';
import type { GearIndex, RigNetwork } from '../rig/rig-network.ts';
import type { Equilibrium, StaticsOutcome } from '../statics/network.ts';
import type { Vec3 } from '../statics/vec3.ts';
import type { DrumReport } from './drum-report.ts';
import type { PieceLimit } from './piece-limit.ts';

/** Where on a piece a load acts. */
export type PlaceKind = 'drum' | 'rope' | 'bend' | 'end' | 'legs' | 'body' | 'anchor';

/** A place on a piece with its own load; the factors of different places never multiply. */
export interface Place {
  /** `<use or body id>:<kind>[:<where>]`, stable while the rig keeps its ids. */
  readonly id: string;
  readonly kind: PlaceKind;
  /** The use of a piece, or the body, that it belongs to. */
  readonly owner: Owner;
  /** In words: “bend at RR-02”, “end”. */
  readonly where: string;
  /** Load per newton of drive tension, hauling by the school in force and without friction. */
  readonly unitLoads: { readonly hauling: number; readonly frictionless: number };
  /** Factors that hold at this place only. */
  readonly locals: readonly Derate[];
  /** WLL and breaking strength here, all factors in, newtons; undefined where unrated. 0 where worth nothing. */
  readonly capacity: { readonly wllN: number; readonly mbsN: number } | undefined;
  /** A winch line on its own winch has margins of its own. */
  readonly ownLine: boolean;
  readonly judged: boolean;
  /** The strands that pull here, where the load is their sum. */
  readonly strands: readonly StrandRef[];
  /** Share of the chain's force that this place carries, for a strap's legs. */
  readonly share: number;
}

export type Owner =
  | { readonly kind: 'use'; readonly use: PieceUse; readonly piece: GearFacts | undefined }
  | { readonly kind: 'body'; readonly bodyId: string; readonly label: string };

export interface ChosenUse {
  readonly use: PieceUse;
  readonly piece: GearFacts;
}

export interface StrandRef {
  readonly line: number;
  readonly strand: number;
}

export interface Solved {
  readonly hauling: Equilibrium;
  readonly frictionless: Equilibrium;
}

/** Everything that is known before the rules speak. */
export interface Assessment {
  readonly subject: Case;
  readonly rig: Rig;
  readonly policy: Policy;
  readonly gear: GearIndex;
  /** Every use that has a piece, in the rig's order. */
  readonly uses: readonly ChosenUse[];
  readonly effort: EffortOutcome;
  /** The pull planned on: a person's choice, else the estimate's; undefined where there is none. */
  readonly pullN: number | undefined;
  readonly network: RigNetwork;
  readonly solved: Solved | undefined;
  readonly failure: Exclude<StaticsOutcome, Equilibrium> | undefined;
  readonly travel: Vec3;
  readonly advantage: { readonly hauling: number; readonly frictionless: number } | undefined;
  readonly drum: DrumReport;
  readonly plannedPullN: number | undefined;
  readonly greatestPullN: number | undefined;
  /** In load-path order. */
  readonly places: readonly Place[];
  readonly limits: ReadonlyMap<string, PieceLimit>;
  readonly anchors: ReadonlyMap<string, AnchorCapacity>;
}

/** The one line of a rig. The reader of rigs admits exactly one until several drives are solved together. */
export function driveLine(rig: Rig): Line {
  const line = rig.lines[0];
  invariant(line !== undefined, 'a rig without a line');
  return line;
}
