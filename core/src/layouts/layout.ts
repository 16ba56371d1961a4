import type { Scene } from './scene.ts';

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
