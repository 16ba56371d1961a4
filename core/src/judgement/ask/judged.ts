import type { Act } from '../../moment/act.ts';
import type { Release } from '../../release/release.ts';

/** What the rules are asked about: the act of a rig, and what happens if a line parts. */
export interface Judged extends Act {
  readonly release: Release;
}
