import { type EffortOutcome, estimatePull } from '../effort/estimate-pull.ts';
import { taskPull } from '../effort/load-tasks.ts';
import { respoolPull } from '../effort/respool.ts';
import type { Task } from '../effort/situation.ts';
import type { Policy } from '../policy/policy.ts';
import type { Rig } from '../rig/rig.ts';
import { loadBody, travelDirection } from '../rig/site-geometry.ts';
import { slopeAlong } from '../statics/ground.ts';

export interface PlannedPull {
  readonly effort: EffortOutcome;
  /** A person's choice, else the estimate's; undefined where there is none. Newtons. */
  readonly pullN: number | undefined;
}

/** The pull that a rig is planned for: of a stuck vehicle, a dragged, righted or decked load, or of a line being spooled. */
export function planPull(rig: Rig, policy: Policy): PlannedPull {
  const effort = effortOf(rig, policy);
  return { effort, pullN: rig.chosenPull?.pullN ?? (effort.kind === 'estimated' ? effort.plannedN : undefined) };
}

function effortOf(rig: Rig, policy: Policy): EffortOutcome {
  const load = loadBody(rig);
  const travel = travelDirection(rig);
  const slopeRad = rig.load.task?.kind === 'deck' ? rig.load.task.rampRad : slopeAlong(rig.ground, travel);
  if (rig.purpose === 'respool') return respoolPull(policy);
  const task: Task | undefined = load.kind === 'load' ? (rig.load.task ?? { kind: 'drag', bearingRad: load.headingRad }) : rig.load.task;
  if (task !== undefined && task.kind !== 'deck') return taskPull({ massKg: load.massKg, slopeRad, task }, policy);
  return estimatePull({ ...load, slopeRad, situation: rig.situation }, policy);
}
