import type { Act } from '../../pull/act.ts';
import type { Track } from '../../pull/margins.ts';
import type { Release } from '../../release/release.ts';
import type { Told } from './told.ts';

/** What the rules are asked about: the act of a rig, and what happens if a line parts. */
export interface Judged extends Act {
  readonly release: Release;
  /** What the act kept of the energy of each line. */
  readonly energies: readonly Track[];
  /** What the act kept of a rule's margins, by its code. */
  readonly tracksOf: (code: string) => readonly Track[];
  /** The margins that a rule was asked for, by its code. */
  readonly askedOf: (code: string) => { readonly tell: (tracks: readonly Track[], told: Told[]) => void } | undefined;
  /** Set where nobody has drawn the load's way and the verdict depends on it: which of the two this is. */
  readonly pathAsked?: 'along-heading' | 'along-force';
}
