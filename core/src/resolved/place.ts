import type { AnchorQuestion } from '../anchors/anchor-capacity.ts';
import type { AnchorCapacity } from '../anchors/capacity.ts';
import type { swings } from '../gear/classes/materials.ts';
import type { Derate } from '../rating/derates.ts';
import type { ResolvedBody, ResolvedDrive, ResolvedLine, ResolvedUse } from './parts.ts';

/** Where on a piece a load acts. */
export type PlaceKind = 'drum' | 'rope' | 'bend' | 'end' | 'legs' | 'body' | 'anchor';

/** Which force of a balance a place carries. Lines, spans of a line, chains, bodies and ties by their index. */
export type LoadSource =
  | { readonly kind: 'span'; readonly line: number; readonly span: number }
  /** The larger of the two spans that meet at a bend. */
  | { readonly kind: 'bend'; readonly line: number; readonly span: number }
  /** Where a joined rope begins, which the lengths of the moment tell: the span before the first bend that lies in it. */
  | { readonly kind: 'joined'; readonly line: number; readonly order: number }
  /** A share of the force in a chain: one leg of a basket, one of several like straps. */
  | { readonly kind: 'chain'; readonly chain: number; readonly share: number }
  /** All that pulls on a body together, as vectors, back-anchors with it. */
  | { readonly kind: 'body'; readonly body: number }
  /** All that pulls on one point of a vehicle together, likewise. */
  | { readonly kind: 'point'; readonly point: number }
  /** What a back-anchor has to hold. */
  | { readonly kind: 'back-anchor'; readonly tie: number; readonly share: number };

export type Owner =
  /** `point`: a vehicle's own point that somebody judged, which the register need not have. */
  | { readonly kind: 'use'; readonly use: ResolvedUse; readonly point?: string }
  | { readonly kind: 'body'; readonly bodyId: string; readonly label: string };

/** A rope bent over a pulley or an edge; the wrap is the moment's. */
export interface RopeBend {
  readonly line: ResolvedLine;
  readonly stop: number;
  readonly treadDiameterM: number;
  readonly ropeDiameterM: number;
  readonly steelWire: boolean;
  /** Strength that it leaves from full wrap on. */
  readonly full: number;
  /** What it is bent over, in words. */
  readonly over: string;
}

/** A steel shackle in a vehicle's point: how far off its bow it is pulled follows from the load's way and how the point lets it swing. */
export interface ShackleInPoint {
  readonly use: ResolvedUse;
  readonly seat: Extract<ResolvedUse['seat'], { kind: 'chain' | 'back-anchor' }>;
  readonly on: ResolvedBody;
  readonly swing: (typeof swings)[number] | undefined;
}

/** What an anchor is asked at one of its points; where the pull's rise does not matter its capacity is known for good. */
export interface AnchorPoint {
  readonly question: Omit<AnchorQuestion, 'riseRad'>;
  /** The point whose force rises; undefined where the pull of a back-anchor is taken as level. */
  readonly point: number | undefined;
  readonly capacity: AnchorCapacity | 'with-the-rise' | undefined;
}

/** What a place stands with, newtons; what follows from geometry or load is the moment's. */
export type PlaceStrength =
  /** The piece's limit with condition and wet in; `factor` the product of this place's own factors. */
  | { readonly kind: 'rated'; readonly wllN: number; readonly mbsN: number; readonly factor: number }
  | { readonly kind: 'judged'; readonly wllN: number; readonly mbsN: number }
  | { readonly kind: 'drum'; readonly drive: ResolvedDrive }
  /** As strong as at its weakest point. */
  | { readonly kind: 'anchor'; readonly points: readonly AnchorPoint[] }
  /** Nothing on record says. */
  | { readonly kind: 'unrated' };

/** A place on a piece with its own load; the factors of different places never multiply. */
export interface Place {
  readonly index: number;
  /** `<use or body id>:<kind>[:<where>]`, stable while the rig keeps its ids. */
  readonly id: string;
  /** The line or back-anchor that it is part of. */
  readonly part: string;
  readonly kind: PlaceKind;
  readonly owner: Owner;
  /** In words: “bend at RR-02”, “end”; a drum's layer is said with the moment. */
  readonly where: string;
  readonly load: LoadSource;
  readonly strength: PlaceStrength;
  /** Where a rope is bent over something of known size, its strength follows from the wrap of the moment. */
  readonly bend: RopeBend | undefined;
  /** Where a shackle sits in a vehicle's point and nobody states its angle, its strength follows from that of the moment. */
  readonly shackle: ShackleInPoint | undefined;
  /** Factors that hold at this place only, the bend's apart. */
  readonly locals: readonly Derate[];
  /** A grip's slip load, where it is on record; newtons. */
  readonly slipsN: number | undefined;
  /** A winch line on its own winch has margins of its own. */
  readonly ownLine: boolean;
  readonly judged: boolean;
  /** Nothing was chosen for it. */
  readonly empty: boolean;
  /** Spans that pull here, where the load is their sum; numbered through all lines. Those of a rope follow from its load. */
  readonly spans: readonly number[];
  /** Only where the rope of this order covers the bend; undefined where the place is always there. */
  readonly onlyWhere: { readonly line: ResolvedLine; readonly order: number; readonly stop: number } | undefined;
}

export const ownerPiece = ({ owner }: Place) => (owner.kind === 'use' ? owner.use.piece : undefined);

/** A place before it has its number, which comes with its place in the load path. */
export type OpenPlace = { -readonly [K in keyof Place]: Place[K] };
