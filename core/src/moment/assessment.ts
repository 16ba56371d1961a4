import type { AnchorCapacity } from '../anchors/anchor-capacity.ts';
import type { EffortOutcome } from '../effort/estimate-pull.ts';
import type { Joint } from '../gear/fit.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import type { Policy } from '../policy/policy.ts';
import type { Derate } from '../rating/derates.ts';
import type { PieceLimit } from '../rating/piece-limit.ts';
import type { BreakFigures } from '../release/what-leaves.ts';
import type { LineZones } from '../release/zones-of-rig.ts';
import type { GearIndex, RigNetwork } from '../resolved/rig-network.ts';
import type { Case } from '../rig/case.ts';
import type { PieceUse, Rig } from '../rig/rig.ts';
import type { Equilibrium, Motion, StaticsFailure } from '../statics/network.ts';
import type { Vec3 } from '../statics/vec3.ts';
import type { DriveReport } from './drives.ts';
import type { PlaceCheck } from './place-check.ts';
import type { VehicleHold } from './vehicle-holds.ts';
import type { WinchWork } from './winch-work.ts';

/** Where on a piece a load acts. */
export type PlaceKind = 'drum' | 'rope' | 'bend' | 'end' | 'legs' | 'body' | 'anchor';

/** Which force of the solved rig a place carries. Lines and spans count from 0, spans from the drive. */
export type LoadSource =
  | { readonly kind: 'span'; readonly line: number; readonly span: number }
  /** The larger of the two spans that meet at a bend. */
  | { readonly kind: 'bend'; readonly line: number; readonly span: number }
  /** A share of the force in a chain: one leg of a basket, one of several like straps. */
  | { readonly kind: 'chain'; readonly chain: number; readonly share: number }
  /** All that pulls on a body together, as vectors. */
  | { readonly kind: 'body'; readonly bodyId: string }
  /** What a back-anchor has to hold. */
  | { readonly kind: 'back-anchor'; readonly backAnchorId: string; readonly share: number };

/** A place on a piece with its own load; the factors of different places never multiply. */
export interface Place {
  /** `<use or body id>:<kind>[:<where>]`, stable while the rig keeps its ids. */
  readonly id: string;
  /** The line or back-anchor that it is part of. */
  readonly part: string;
  readonly kind: PlaceKind;
  /** The use of a piece, or the body, that it belongs to. */
  readonly owner: Owner;
  /** In words: “bend at RR-02”, “end”. */
  readonly where: string;
  readonly load: LoadSource;
  /** Factors that hold at this place only. */
  readonly locals: readonly Derate[];
  /** WLL and breaking strength here, all factors in, newtons; undefined where unrated. 0 where worth nothing. */
  readonly capacity: { readonly wllN: number; readonly mbsN: number } | undefined;
  /** A winch line on its own winch has margins of its own. */
  readonly ownLine: boolean;
  readonly judged: boolean;
  /** The spans that pull here, where the load is their sum; numbered through all lines. */
  readonly strands: readonly number[];
}

export type Owner =
  /** `point`: a vehicle's own point that somebody judged, which the register need not have. */
  | { readonly kind: 'use'; readonly use: PieceUse; readonly piece: GearFacts | undefined; readonly point?: string }
  | { readonly kind: 'body'; readonly bodyId: string; readonly label: string };

export interface ChosenUse {
  readonly use: PieceUse;
  readonly piece: GearFacts;
}

/** The rig in balance with its drives at their shares of one newton, by the way the friction acts. */
export interface Solved {
  readonly hauling: Equilibrium;
  readonly frictionless: Equilibrium;
  /** Only where the rig lowers or holds. */
  readonly lowering?: Equilibrium;
  /** Hauling, with running bridles running the other way; only where there are any. */
  readonly bridlesBack?: Equilibrium;
}

/** One balance of the rig and what its forces are multiplied with. */
export interface LoadState {
  readonly motion: Motion;
  /** Running bridles run the other way in this state. */
  readonly bridlesBack?: true;
  readonly state: Equilibrium;
  readonly scale: number;
}

/** The states that the two checks look at; a place's load is its largest over the states of a list. */
export interface LoadStates {
  readonly unit: readonly LoadState[];
  readonly planned: readonly LoadState[];
  readonly greatest: readonly LoadState[];
}

export interface Advantages {
  readonly hauling: number;
  readonly frictionless: number;
  readonly lowering?: number;
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
  readonly failure: StaticsFailure | undefined;
  readonly travel: Vec3;
  /** What one newton at the first drive, with the others at their shares, gives at the load along its travel. */
  readonly advantage: Advantages | undefined;
  /** Every line that has a drive. */
  readonly drives: readonly DriveReport[];
  /** Of the first drive; the others are in `drives`. */
  readonly plannedPullN: number | undefined;
  readonly greatestPullN: number | undefined;
  readonly states: LoadStates;
  /** In load-path order. */
  readonly places: readonly Place[];
  readonly checks: readonly PlaceCheck[];
  readonly limits: ReadonlyMap<string, PieceLimit>;
  /** Capacity by the id of the point that stands on the anchor; undefined where nothing gives one. */
  readonly anchors: ReadonlyMap<string, AnchorCapacity | undefined>;
  /** How every pulled vehicle stands that is not the load. */
  readonly holds: readonly VehicleHold[];
  /** How every two pieces meet. */
  readonly joints: readonly Joint[];
  /** What is to be kept clear, line by line. */
  readonly zones: readonly LineZones[];
  /** What every line lets go. */
  readonly breaks: readonly BreakFigures[];
  /** What every electric winch has to do. */
  readonly work: readonly WinchWork[];
}

/** What is known of a rig before its joints, zones, breaks and work are gathered from it. */
export type Gathered = Omit<Assessment, 'joints' | 'zones' | 'breaks' | 'work'>;
