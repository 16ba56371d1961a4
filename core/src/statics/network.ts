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

/** A rope from its drive over nodes to its end, with a friction for every node between the first and the last. */
export interface Rope {
  readonly id: string;
  readonly nodes: readonly number[];
  readonly bends: readonly BendFriction[];
}

/** Hauling: friction takes from the tension on its way from the drive. Lowering: it adds. */
export type Motion = 'hauling' | 'frictionless' | 'lowering';

/** Everything per newton of drive tension. */
export interface Equilibrium {
  readonly kind: 'solved';
  readonly positions: readonly Vec3[];
  /** For each rope, the tension of each strand, drive first. */
  readonly strandTensions: readonly (readonly number[])[];
  /** For each link, its tension; 0 where slack. */
  readonly linkTensions: readonly number[];
  readonly slackLinks: readonly number[];
  readonly iterations: number;
  /** Largest unbalanced force at a free node. */
  readonly residual: number;
}

export type StaticsOutcome =
  | Equilibrium
  /** Something can move without resistance. */
  | { readonly kind: 'mechanism'; readonly nodes: readonly string[] }
  /** Nothing holds these nodes in tension. */
  | { readonly kind: 'slack'; readonly nodes: readonly string[] }
  /** Two nodes of a strand stand on one spot. */
  | { readonly kind: 'coincident'; readonly nodes: readonly string[] }
  | { readonly kind: 'not-converged'; readonly residual: number; readonly nodes: readonly string[] };
