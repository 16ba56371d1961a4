import type { BendFriction, Link, RopePull } from '../statics/network.ts';

/** One straight stretch of a line, as the equations count it. */
export interface SpanRef {
  readonly rope: number;
  readonly strand: number;
}

/** A node of the rig's equations, and where it stands or is first looked for. */
export type EquationNode =
  /** Stands on a point of a body. */
  | { readonly id: string; readonly kind: 'held'; readonly point: number }
  /** Floats; looked for near the middle of all points, spread a little so that no two first guesses coincide. */
  | { readonly id: string; readonly kind: 'floating'; readonly order: number }
  /** The free end of a chain; looked for its length away from where it starts, towards the middle. */
  | { readonly id: string; readonly kind: 'tip'; readonly point: number | undefined; readonly lengthM: number };

export interface EquationRope {
  readonly id: string;
  readonly nodes: readonly number[];
  readonly bends: readonly BendFriction[];
  readonly pull: RopePull;
}

/** The mechanical problem of a rig without positions: what a pose of its points makes into a network. */
export interface Equations {
  readonly nodes: readonly EquationNode[];
  readonly links: readonly Link[];
  readonly ropes: readonly EquationRope[];
}
