/** What a piece does at its place; the picker and the rules read it. */
export const roles = [
  'winch',
  'winch-line',
  'extension',
  'tree-strap',
  'strap',
  'connector',
  'pulley',
  'line-end',
  'point',
  'grip',
  'anchor',
  'chain',
  /** The rope or strap of a tow; the rope of a line that no winch drives. */
  'tow-rope',
  'rope',
] as const;
export type Role = (typeof roles)[number];

export const roleWords: { readonly [R in Role]: string } = {
  winch: 'winch',
  'winch-line': 'winch line',
  extension: 'extension',
  'tree-strap': 'tree strap',
  strap: 'strap',
  connector: 'connector',
  pulley: 'ring or block',
  'line-end': 'line end',
  point: 'recovery point',
  grip: 'grip',
  anchor: 'ground anchor',
  chain: 'chain',
  'tow-rope': 'tow rope',
  rope: 'rope',
};
