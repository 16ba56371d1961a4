import type { GearClass } from '../gear/classes/gear-classes.ts';

export const terrains = ['sand', 'snow', 'woods', 'open-ground', 'small-machines'] as const;
export type Terrain = (typeof terrains)[number];

/** So many pieces of a class that a kit should hold, each good for at least a working limit (N) where one is asked. */
export interface Wanted {
  readonly kind: GearClass;
  readonly count: number;
  readonly leastWllN?: number;
}

const KN = 1000;

/** What goes along whatever the ground. */
const always: readonly Wanted[] = [
  { kind: 'gloves', count: 1 },
  { kind: 'eye-protection', count: 1 },
  { kind: 'damper', count: 2 },
  { kind: 'chocks', count: 1 },
  { kind: 'shovel', count: 1 },
  { kind: 'tool', count: 1 },
];

/** What each terrain decides, beside what always goes along; a team changes it kit by kit. */
export const terrainLists: { readonly [T in Terrain]: readonly Wanted[] } = {
  sand: [...always, { kind: 'traction-boards', count: 1 }, { kind: 'stretch-rope', count: 1 }, { kind: 'soft-shackle', count: 3 }],
  snow: [
    ...always,
    { kind: 'traction-boards', count: 1 },
    { kind: 'tree-strap', count: 1 },
    { kind: 'stretch-rope', count: 1 },
    { kind: 'soft-shackle', count: 3 },
  ],
  woods: [
    ...always,
    { kind: 'tree-strap', count: 2, leastWllN: 20 * KN },
    { kind: 'recovery-ring', count: 1, leastWllN: 30 * KN },
    { kind: 'soft-shackle', count: 4, leastWllN: 20 * KN },
    { kind: 'line-extension', count: 1 },
  ],
  'open-ground': [
    ...always,
    { kind: 'ground-anchor', count: 1 },
    { kind: 'line-extension', count: 1 },
    { kind: 'recovery-ring', count: 1 },
    { kind: 'soft-shackle', count: 3 },
  ],
  'small-machines': [
    ...always.slice(0, 4),
    { kind: 'tree-strap', count: 1 },
    { kind: 'recovery-ring', count: 1 },
    { kind: 'soft-shackle', count: 2 },
  ],
};
