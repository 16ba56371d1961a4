import { handAndTowLayouts } from './hand-and-tow-layouts.ts';
import type { Scene } from './scene.ts';
import { winchLayouts } from './winch-layouts.ts';

export const layoutGroups = ['self', 'other', 'redirect', 'hands', 'tow', 'hold', 'special'] as const;
export type LayoutGroup = (typeof layoutGroups)[number];

/** A layout of the work, with a scene that shows it. */
export interface Layout {
  readonly id: string;
  /** What it is called, in the trade’s words. */
  readonly label: string;
  readonly group: LayoutGroup;
  readonly build: () => Scene;
}

/** Every layout of the work. */
export const layouts: readonly Layout[] = [...winchLayouts, ...handAndTowLayouts];
