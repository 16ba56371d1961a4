import type { HoldFigures } from '../hold/vehicle-hold.ts';
import type { PulledVehicle, ResolvedDrive } from '../resolved/parts.ts';
import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Equilibrium, Motion, Network, StaticsFailure } from '../statics/network.ts';
import type { Vec3 } from '../statics/vec3.ts';
import type { DrumState } from './drum-state.ts';
import type { At, LoadPose } from './poses.ts';

/** The forces of one balance, in the unit of its drive tensions; three numbers a vector, by index. */
export interface Forces {
  /** Tension of every span of every line. */
  readonly spans: Float64Array;
  readonly spanLengthsM: Float64Array;
  /** With what every chain pulls where it starts, and how hard. */
  readonly chains: Float64Array;
  readonly chainSizes: Float64Array;
  /** What pulls on every point of a body: chains at their points, lines at their fairleads and edges. */
  readonly points: Float64Array;
}

/** The rig in balance with its drives at their shares of one newton, by the way the friction acts. */
export interface Balance {
  readonly motion: Motion;
  /** Running bridles run the other way. */
  readonly bridlesBack: boolean;
  readonly equilibrium: Equilibrium;
  readonly forces: Forces;
}

export interface Balances {
  readonly hauling: Balance;
  readonly frictionless: Balance;
  /** Only where the rig lowers or holds. */
  readonly lowering?: Balance;
  /** Hauling, with running bridles running the other way; only where there are any. */
  readonly bridlesBack?: Balance;
}

/** One balance of the rig and what its forces are multiplied with. */
export interface LoadState {
  readonly balance: Balance;
  readonly scale: number;
}

/** The states that the two checks look at; a place's load is its largest over the states of a list. */
export interface LoadStates {
  readonly unit: readonly LoadState[];
  readonly planned: readonly LoadState[];
  /** In which vehicles have to stand: the planned ones, and the planned pull without friction. */
  readonly stands: readonly LoadState[];
  readonly greatest: readonly LoadState[];
}

/** What one newton at the first drive, with the others at their shares, gives at the load along its travel. */
export interface Advantages {
  readonly hauling: number;
  readonly frictionless: number;
  readonly lowering?: number;
}

/** A drive in the rig's balance. */
export interface DriveState {
  readonly drive: ResolvedDrive;
  /** Its tension as a share of the first drive's. */
  readonly share: number;
  /** Winches only. */
  readonly drum: DrumState;
  /** What it can give in order, newtons; undefined where unknown. */
  readonly ratedN: number | undefined;
  /** What it can get to, newtons; undefined where unknown. */
  readonly greatestN: number | undefined;
}

/** How a pulled vehicle stands at the planned and at the greatest pull. */
export interface HoldState {
  readonly vehicle: PulledVehicle;
  readonly planned?: HoldFigures;
  readonly greatest?: HoldFigures;
  /** The least that it has in hand: what its back-anchors leave of the push on its wheels, and what holds those where that is known. Newtons. */
  readonly plannedStays?: Stays;
  readonly greatestStays?: Stays;
  /** Share of the greatest pull from which it slides, and from which it tips; missing where it does neither. */
  readonly slidesFrom?: number;
  readonly tipsFrom?: number;
}

export interface Stays {
  readonly acrossN: number;
  readonly holdN: number | undefined;
}

/** Tensions of back-anchors by their index, for each state of `stands` (with the margin of the policy) and of `greatest`. Newtons. */
export interface TieForces {
  readonly planned: readonly Float64Array[];
  readonly greatest: readonly Float64Array[];
}

/** Loads and capacities of every place by its index; NaN where there is none. */
export interface PlaceLoads {
  /** 0 where a joined rope does not lie over this bend. */
  readonly present: Uint8Array;
  readonly plannedN: Float64Array;
  readonly greatestN: Float64Array;
  /** Largest load per newton of the first drive, over hauling and no friction (and lowering, where it lowers). */
  readonly perPullN: Float64Array;
  readonly wllN: Float64Array;
  readonly mbsN: Float64Array;
  /** What the line-pull limit goes by: the working limit, or what makes a place give way before it. */
  readonly limitN: Float64Array;
}

/** What is kept of the moment before the one before: enough to see where things are heading. */
export interface Trail {
  readonly travelM: number;
  readonly hauling: Equilibrium;
  readonly frictionless: Equilibrium;
}

/** What is true of a rig at one metre of its load's travel. */
export interface Moment {
  readonly rig: ResolvedRig;
  readonly travelM: number;
  /** The moment with which the act began; missing in that one. */
  readonly first: Moment | undefined;
  /** The balances of the moment before it; missing where it was begun from nothing. */
  readonly trail: Trail | undefined;
  /** How its ropes were set anew on the way; see `At`. */
  readonly at: At;
  readonly pose: LoadPose;
  /** Under the peak of a run-up: its tensions, and whether it is within what is proposed, which meets a limit by design. */
  readonly runUp?: { readonly plannedN: number; readonly greatestN: number; readonly proposed: boolean } | undefined;
  /** Where every point stands, metres, and the way the load is to go. */
  readonly positions: readonly Vec3[];
  readonly travel: Vec3;
  /** Its equations with everything in place. */
  readonly network: Network;
  /** What is to be given along that way here, newtons; undefined where it is not known. */
  readonly pullN: number | undefined;
  readonly balances: Balances | undefined;
  /** Why the rig has no balance, or none with every drive at its greatest, where it has none. */
  readonly failure: StaticsFailure | undefined;
  readonly advantage: Advantages | undefined;
  /** Every line that has a drive. */
  readonly drives: readonly DriveState[];
  readonly states: LoadStates;
  /** The state in which the planned pull is shown: the first that is planned, hauling where nothing is. */
  readonly shown: LoadState | undefined;
  /** Of the first drive, newtons; the others are in `drives`. */
  readonly plannedPullN: number | undefined;
  readonly greatestPullN: number | undefined;
  readonly places: PlaceLoads;
  readonly holds: readonly HoldState[];
  /** What back-anchors take. */
  readonly ties: TieForces;
}
