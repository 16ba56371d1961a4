import type { Policy } from '../policy/policy.ts';
import type { JudgedStrength } from '../rating/judged-strength.ts';

type RowOf<T> = keyof T & string;
type Anchors = Policy['anchors'];

interface Named {
  readonly label: string;
  readonly judged?: JudgedStrength | undefined;
}

/** A tree as an anchor: trunk at the strap, its wood, what it stands in, how it stands. */
export interface Tree extends Named {
  readonly kind: 'tree';
  readonly trunkDiameterM: number;
  readonly wood: RowOf<Policy['tree']['bendingStrengthPa']>;
  readonly footing: RowOf<Policy['tree']['footing']>;
  readonly state: 'live' | 'dead' | 'rotten';
  readonly leanRad: number;
}

/** Something whose strength somebody judges. */
export interface JudgedAnchor extends Named {
  readonly kind: 'rock' | 'structure';
}

export interface GroundAnchor extends Named {
  readonly kind: 'ground-anchor';
  readonly soil: RowOf<Anchors['groundAnchorSoil']>;
}

export interface Pickets extends Named {
  readonly kind: 'pickets';
  readonly pattern: RowOf<Anchors['picketsFailingN']>;
  readonly soil: RowOf<Anchors['picketSoil']>;
  readonly lines: number;
}

/** A buried log: bearing face and mean depth of its centre, metres. */
export interface Deadman extends Named {
  readonly kind: 'deadman';
  readonly lengthM: number;
  readonly faceHeightM: number;
  readonly depthM: number;
}

export type AnchorBody = Tree | JudgedAnchor | GroundAnchor | Pickets | Deadman;

const KINDS: { readonly [K in AnchorBody['kind']]: true } = {
  tree: true,
  rock: true,
  structure: true,
  'ground-anchor': true,
  pickets: true,
  deadman: true,
};

/** Bodies whose own strength is in question; vehicles are asked whether they slide instead. */
export function isAnchor<B extends { readonly kind: string }>(body: B): body is Extract<B, { readonly kind: AnchorBody['kind'] }> {
  return body.kind in KINDS;
}
