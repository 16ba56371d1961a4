import type { Basket } from '../anchors/strap-basket.ts';
import type { Fit } from '../gear/fit.ts';
import type { GearFacts, GearOf } from '../gear/gear-facts.ts';
import type { Standing } from '../hold/vehicle-hold.ts';
import type { PieceLimit } from '../rating/piece-limit.ts';
import type { Body, Chain, Lanyard, Line, PieceUse, RigPoint, VehicleBody } from '../rig/rig.ts';
import type { SpanRef } from './equations.ts';
import type { WinchSizes } from './winch-sizes.ts';

export interface ResolvedBody {
  readonly index: number;
  readonly body: Body;
  readonly points: readonly ResolvedPoint[];
}

export interface ResolvedPoint {
  readonly index: number;
  readonly point: RigPoint;
  readonly on: ResolvedBody;
}

/** Where a piece sits: the thing itself, with its place in it. */
export type Seat =
  | { readonly kind: 'drive'; readonly line: ResolvedLine }
  | { readonly kind: 'rope'; readonly line: ResolvedLine; readonly order: number }
  | { readonly kind: 'chain'; readonly chain: ResolvedChain; readonly order: number }
  | { readonly kind: 'back-anchor'; readonly tie: ResolvedTie; readonly order: number };

/** One place of the rig for a piece, with the piece that is chosen for it. */
export interface ResolvedUse {
  readonly index: number;
  readonly use: PieceUse;
  readonly piece: GearFacts | undefined;
  /** What the piece may carry as it stands today, before anything that belongs to a place on it. */
  readonly limit: PieceLimit | undefined;
  readonly seat: Seat;
  /** Its neighbours in a chain or a back-anchor, on the body's side and on the line's. */
  readonly inner: ResolvedUse | undefined;
  readonly outer: ResolvedUse | undefined;
  /** What it starts from goes round, where it does: a trunk, a rock; the basket of a strap laid so. */
  readonly round: { readonly diameterM: number; readonly basket: Basket | undefined } | undefined;
  /** It has a length in its chain which is not on record; counted as nothing. */
  readonly lengthUnknown: boolean;
}

/** A use whose piece is chosen. */
export type ChosenUse = ResolvedUse & { readonly piece: GearFacts };
export const isChosen = (use: ResolvedUse | undefined): use is ChosenUse => use?.piece !== undefined;

export interface ResolvedChain {
  readonly index: number;
  readonly chain: Chain;
  /** From the body outwards. */
  readonly uses: readonly ResolvedUse[];
  readonly first: ResolvedUse | undefined;
  readonly last: ResolvedUse | undefined;
  /** Where it starts, unless that is a joint in the air. */
  readonly point: ResolvedPoint | undefined;
  /** The node where it starts, and the node that holds the line; equal for a chain without length. */
  readonly root: number;
  readonly tip: number;
  /** Its link; −1 for a chain without length. */
  readonly link: number;
  readonly lengthM: number;
  /** Share of the link's force that it is judged for: less than 1 where like straps lie side by side. */
  readonly share: number;
  /** It lies beside a like strap before it: their one link pulls once. */
  readonly twin: boolean;
}

/** What a line meets on its way: node by node, its first end first. */
export interface ResolvedStop {
  readonly kind: 'start' | 'pulley' | 'edge' | 'grip' | 'end';
  readonly node: number;
  /** The chain that holds the line here. */
  readonly chain: ResolvedChain | undefined;
  /** The point it leaves from or bends over, where no chain holds it. */
  readonly point: ResolvedPoint | undefined;
  /** The bend of the line, for pulleys and edges. */
  readonly bend: Line['via'][number] | undefined;
}

/** Which stretch of the line's path a rope covers, measured back from the line's end, metres. */
export interface RopeReach {
  readonly rope: ResolvedUse;
  readonly fromEndM: number;
  readonly toEndM: number;
}

/** A line with its stops: spans[i] runs from stops[i] to stops[i + 1]. */
export interface ResolvedLine {
  readonly index: number;
  readonly line: Line;
  readonly drive: ResolvedDrive | undefined;
  readonly ropes: readonly ResolvedUse[];
  readonly reaches: readonly RopeReach[];
  readonly stops: readonly ResolvedStop[];
  readonly spans: readonly SpanRef[];
  /** Number of its first span, counted through all lines. */
  readonly firstSpan: number;
  /** No drive, both ends on one body, free to run over what pulls it. */
  readonly runningBridle: boolean;
  /** Whether a damper that counts hangs on each span; `unknown`: one hangs there whose mass is not on record. */
  readonly damped: readonly Damped[];
  /** Whether anything hangs there at all. */
  readonly hung: readonly boolean[];
}

/** What drives a line. */
export type ResolvedDrive = {
  readonly index: number;
  readonly line: ResolvedLine;
  /** The body that it sits on. */
  readonly on: ResolvedBody | undefined;
} & (
  | {
      readonly kind: 'winch';
      readonly use: ResolvedUse;
      readonly point: ResolvedPoint;
      readonly winch: GearOf<'winch'> | undefined;
      readonly sizes: WinchSizes;
    }
  | { readonly kind: 'hand'; readonly point: ResolvedPoint; readonly ratedN: number; readonly greatestN: number }
  /** `towing` is missing where no vehicle starts the chain; then nothing is known of its pull. */
  | {
      readonly kind: 'tow';
      readonly towing: VehicleBody | undefined;
      readonly ratedN: number | undefined;
      readonly greatestN: number | undefined;
    }
);
export type WinchDrive = Extract<ResolvedDrive, { kind: 'winch' }>;

/** What ties a vehicle back to an anchor. */
export interface ResolvedTie {
  readonly index: number;
  readonly id: string;
  readonly vehicle: ResolvedPoint;
  readonly anchor: ResolvedPoint;
  /** From what holds to the vehicle. */
  readonly uses: readonly ResolvedUse[];
  /** How far its pieces reach from what holds to the vehicle, metres; those of unknown length counted as nothing. */
  readonly lengthM: number;
  /** Like straps between the same points are solved as one: the number of the first of them, and the share that each is judged for. */
  readonly likeTie: number;
  readonly share: number;
}

/** A point on a vehicle: metres ahead of its middle and above the ground. */
export interface Mount {
  readonly point: number;
  readonly forwardM: number;
  readonly heightM: number;
}

/** A vehicle with points that something may pull on. */
export interface PulledVehicle {
  readonly index: number;
  readonly on: ResolvedBody;
  readonly body: VehicleBody;
  readonly isLoad: boolean;
  /** What ties it back. */
  readonly ties: readonly ResolvedTie[];
  readonly standing: Standing;
  /** Its points that sit on it, each with where. */
  readonly mounts: readonly Mount[];
}

export type Damped = 'yes' | 'no' | 'unknown';

export interface ResolvedDamper {
  readonly lineId: string;
  readonly strand: number;
  readonly piece: GearFacts | undefined;
  readonly counts: Damped;
  /** Why it does not count. */
  readonly whyNot: string | undefined;
}

export interface ResolvedLanyard {
  readonly lanyard: Lanyard;
  /** What it catches, and what it is. */
  readonly use: ResolvedUse;
  readonly piece: GearFacts | undefined;
  /** Where it is tied to something that stands still, or to the load. */
  readonly point: ResolvedPoint | undefined;
}

/** How two pieces meet, or a piece and a trunk. */
export interface ResolvedFit extends Fit {
  readonly inner: ChosenUse;
  readonly outer: ChosenUse | undefined;
}
