import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Moment } from './moment.ts';
import { momentAt } from './moment-at.ts';
import { type WinchWork, winchWork } from './winch-work.ts';

/** What is known of the whole of a pull; so far its start is the only step. */
export interface Act {
  readonly rig: ResolvedRig;
  readonly start: Moment;
  /** What every electric winch has to do. */
  readonly work: readonly WinchWork[];
}

/** Runs the act of a rig, which today is its first moment. */
export function runAct(rig: ResolvedRig): Act {
  const start = momentAt(rig, 0);
  return { rig, start, work: winchWork(start) };
}
