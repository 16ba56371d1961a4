import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Act } from './act.ts';
import { momentAt } from './moment-at.ts';
import { winchWork } from './winch-work.ts';

/** Runs the act of a rig, which today is its first moment. */
export function runAct(rig: ResolvedRig): Act {
  const start = momentAt(rig, 0);
  return { rig, start, work: winchWork(start) };
}
