/** Fibres of soft goods. */
export const fibres = ['hmpe', 'polyester', 'polyamide', 'aramid'] as const;

/** What a point of a vehicle is. */
export const pointKinds = [
  'maker-rated',
  'factory-hook',
  'tie-down-eye',
  'tow-ball',
  'receiver-pin',
  'safety-chain-hole',
  'bumper-or-bar-hole',
  'axle-tube',
  'thin-arm',
  'thick-suspension-arm',
  'frame-cross-member',
  'frame-slot',
] as const;
export type PointKind = (typeof pointKinds)[number];

/** Which way a winch faces on its vehicle: the line leaves its fairlead that way. */
export const winchFaces = ['ahead', 'astern', 'left', 'right'] as const;

/** How a shackle may follow its load in a point: to the sides, up and down, or both. */
export const swings = ['level', 'upright', 'free'] as const;

/** What keeps a spliced eye from drawing out while it is slack. */
export const eyeLocks = ['passed-through', 'locked-splice', 'stitched', 'bury-alone'] as const;

/** How a line lies on its drum. */
export const spoolStates = ['under-tension', 'slack', 'stacked'] as const;

/** How the end of a rope is made up, by whoever looked at it. */
export const seenTerminations = [
  'makers-assembly',
  'long-tapered-bury',
  'thimble-pressed-sleeve',
  'wire-rope-grips',
  'short-or-blunt-bury',
  'figure-eight',
  'bowline',
  'other-knot',
] as const;
/** How the end of a rope is made up, for all that is known. */
export const terminationKinds = [...seenTerminations, 'unknown'] as const;

/** Kinds of rope that stretch by a law of their own. */
export const ropeLaws = ['stretch-rope', 'stretch-strap', 'static-polyester', 'hmpe', 'steel-wire', 'chain'] as const;
export type RopeLawKind = (typeof ropeLaws)[number];

/** Kinds of pulley that pass tension by an efficiency of their own. */
export const pulleyKinds = ['ball-or-roller-block', 'plain-bush-block', 'ring', 'carabiner'] as const;
export type PulleyKind = (typeof pulleyKinds)[number];
