import type { Vec3 } from './vec3.ts';

/**
 * The pure mechanical problem: nodes joined by massless links of fixed length and by ropes that run over nodes.
 * Held nodes stand still (points of bodies); all others are free and find their place from equilibrium.
 */
export interface Network {
  readonly nodes: readonly NetworkNode[];
  readonly links: readonly Link[];
  readonly ropes: readonly Rope[];
}

export interface NetworkNode {
  readonly id: string;
  /** Where the node stands when `held`, else a first guess, metres. */
  readonly at: Vec3;
  readonly held: boolean;
}

/** A chain of gear between two nodes: length in metres, above 0; carries tension only. */
export interface Link {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly lengthM: number;
}

/** What a bend does to the tension that passes it. */
export type BendFriction =
  /** A pulley: tension keeps `efficiency180` over half a turn, and that to the power φ/π over a wrap of φ. 0 < efficiency ≤ 1. */
  | { readonly kind: 'by-wrap'; readonly efficiency180: number }
  /** A fixed share a pulley, whatever the wrap. */
  | { readonly kind: 'flat'; readonly efficiency: number }
  /** A plain bend: e^(−μφ). μ ≥ 0. */
  | { readonly kind: 'plain'; readonly friction: number }
  | { readonly kind: 'frictionless' };

/** What sets a rope's tension at its first node: a drive, or its own length between its two ends (metres, above 0). */
export type RopePull = { readonly kind: 'driven'; readonly tension: number } | { readonly kind: 'length'; readonly lengthM: number };

/** A rope from its first end over nodes to its last, with a friction for every node between. Without `pull` it is driven at 1. */
export interface Rope {
  readonly id: string;
  readonly nodes: readonly number[];
  readonly bends: readonly BendFriction[];
  readonly pull?: RopePull;
}

/** Hauling: friction takes from the tension on its way from a rope's first end. Lowering: it adds. */
export type Motion = 'hauling' | 'frictionless' | 'lowering';

/** Tensions in the unit of the drive tensions given (one newton each unless told otherwise). */
export interface Equilibrium {
  readonly kind: 'solved';
  readonly positions: readonly Vec3[];
  /** For each rope, the tension of each strand, first end first. */
  readonly strandTensions: readonly (readonly number[])[];
  /** For each link, its tension; 0 where slack. */
  readonly linkTensions: readonly number[];
  readonly slackLinks: readonly number[];
  readonly slackRopes: readonly number[];
  readonly iterations: number;
  /** Largest unbalanced force at a free node, per unit of the largest drive tension. */
  readonly residual: number;
}

export type StaticsFailure =
  /** Something can move without resistance. */
  | { readonly kind: 'mechanism'; readonly nodes: readonly string[] }
  /** More members hold this than equilibrium can tell apart. */
  | { readonly kind: 'redundant'; readonly nodes: readonly string[] }
  /** Nothing holds these nodes in tension. */
  | { readonly kind: 'slack'; readonly nodes: readonly string[] }
  /** A place, a length or a tension that is no number, or less than nothing. */
  | { readonly kind: 'not-a-number'; readonly nodes: readonly string[] }
  /** Two nodes of a strand stand on one spot. */
  | { readonly kind: 'coincident'; readonly nodes: readonly string[] }
  | { readonly kind: 'not-converged'; readonly residual: number; readonly nodes: readonly string[] };

export type StaticsOutcome = Equilibrium | StaticsFailure;
