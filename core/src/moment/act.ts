import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Moment } from './moment.ts';
import type { WinchWork } from './winch-work.ts';

/** What is known of the whole of a pull; so far its start is the only step. */
export interface Act {
  readonly rig: ResolvedRig;
  readonly start: Moment;
  /** What every electric winch has to do. */
  readonly work: readonly WinchWork[];
}
