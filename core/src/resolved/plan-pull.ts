import { type EffortOutcome, estimatePull, type Held } from '../effort/estimate-pull.ts';
import { taskPull } from '../effort/load-tasks.ts';
import { respoolPull } from '../effort/respool.ts';
import type { Situation, Task } from '../effort/situation.ts';
import type { Policy } from '../policy/policy.ts';
import { loadWay } from '../rig/load-way.ts';
import type { Rig } from '../rig/rig.ts';
import { holdsBack, loadBody } from '../rig/site-geometry.ts';
import { slopeAlong } from '../statics/ground.ts';
import type { Vec3 } from '../statics/vec3.ts';

/** What is planned on one leg of the load's way, newtons: while it breaks away, and once it rolls. */
export interface LegPull {
  readonly breaksAwayN: number;
  readonly rollsN: number;
}

export interface PlannedPull {
  /** Of the way as it begins. */
  readonly effort: EffortOutcome;
  /** A person's choice, else the estimate's; undefined where there is none. Newtons. */
  readonly pullN: number | undefined;
  /** For every leg of the way; undefined where there is none. */
  readonly legs: readonly (LegPull | undefined)[];
}

/** The pull that a rig is planned for: of a stuck vehicle, a dragged, righted or decked load, or of a line being spooled. */
export function planPull(rig: Rig, policy: Policy): PlannedPull {
  const ways = loadWay(rig, loadBody(rig)).legs;
  const outcomes = ways.map(({ along }) => effortAlong(rig, policy, along, rig.situation));
  const effort = outcomes[0] ?? effortAlong(rig, policy, { x: 0, y: 1, z: 0 }, rig.situation);
  return {
    effort,
    pullN: rig.chosenPull?.pullN ?? plannedOf(effort),
    legs: ways.map(({ along }, index) => legPull(rig, policy, { along, breaking: outcomes[index] ?? effort })),
  };
}

const plannedOf = (effort: EffortOutcome): number | undefined => (effort.kind === 'estimated' ? effort.plannedN : undefined);

interface Leg {
  readonly along: Vec3;
  readonly breaking: EffortOutcome;
}

/** A pull that a person chose stays as it is, unless that person says what it is once the load rolls. */
function legPull(rig: Rig, policy: Policy, { along, breaking }: Leg): LegPull | undefined {
  const { chosenPull, situation } = rig;
  if (chosenPull !== undefined) {
    const { pullN, rollingN = pullN } = chosenPull;
    return { breaksAwayN: pullN, rollsN: Math.min(pullN, rollingN) };
  }
  const breaksAwayN = plannedOf(breaking);
  if (breaksAwayN === undefined) return undefined;
  if (situation.depth === 'none' && (situation.trailer?.depth ?? 'none') === 'none') return { breaksAwayN, rollsN: breaksAwayN };
  const rollsN = plannedOf(effortAlong(rig, policy, along, outOfItsHole(situation))) ?? breaksAwayN;
  if (!holdsBack(rig)) return { breaksAwayN, rollsN: Math.min(breaksAwayN, rollsN) };
  // What is held back may run harder once it is free of its hole: it is held for the larger all the way.
  const mostN = Math.max(breaksAwayN, rollsN);
  return { breaksAwayN: mostN, rollsN: mostN };
}

/** The same surface without a depth. */
function outOfItsHole({ contactAreaM2: _area, easedBy: _done, trailer, ...situation }: Situation): Situation {
  return { ...situation, depth: 'none', ...(trailer && { trailer: { ...trailer, depth: 'none' } }) };
}

function effortAlong(rig: Rig, policy: Policy, along: Vec3, situation: Situation): EffortOutcome {
  const load = loadBody(rig);
  const held: Held = holdsBack(rig) ? 'held-back' : 'pulled';
  const slopeRad = rig.load.task?.kind === 'deck' ? rig.load.task.rampRad : slopeAlong(rig.ground, along);
  if (rig.purpose === 'respool') return respoolPull(policy);
  const task: Task | undefined = load.kind === 'load' ? (rig.load.task ?? { kind: 'drag', bearingRad: load.headingRad }) : rig.load.task;
  if (task !== undefined && task.kind !== 'deck') return taskPull({ massKg: load.massKg, slopeRad, task }, policy, held);
  return estimatePull({ ...load, slopeRad, situation }, policy, held);
}
