import { type Depth, type Policy, type Surface, surfaces } from '../policy/policy.ts';
import { estimatePull, type StuckVehicle } from './estimate-pull.ts';
import type { Situation } from './situation.ts';

export type ActionId = 'dig' | 'boards' | 'straighten-wheels' | 'air-down' | 'free-driveline' | 'uncouple-trailer' | 'low-gear';

export interface CheaperAction {
  readonly id: ActionId;
  readonly label: string;
  readonly after: Situation;
  /** What it takes off the planned pull, newtons; never below 0. */
  readonly savesN: number;
}

const ROUGHNESS: readonly Surface[] = surfaces;

/** The next firmer surface of the table; the firmest stays. */
function firmer(surface: Surface): Surface {
  return ROUGHNESS[Math.max(0, ROUGHNESS.indexOf(surface) - 1)] ?? surface;
}

function shallower(depth: Depth): Depth {
  return depth === 'roof' ? 'sills' : depth === 'sills' ? 'hubs' : 'none';
}

function candidates(situation: Situation): readonly Omit<CheaperAction, 'savesN'>[] {
  const { trailer, ...uncoupled } = situation;
  const soft = ROUGHNESS.indexOf(situation.surface) >= ROUGHNESS.indexOf('soft-dry-sand');
  const { contactAreaM2: _dug, ...dug } = situation;
  const list: (Omit<CheaperAction, 'savesN'> | false)[] = [
    situation.depth !== 'none' && { id: 'dig', label: 'Dig out one step', after: { ...dug, depth: shallower(situation.depth) } },
    soft && { id: 'boards', label: 'Boards under the wheels', after: { ...situation, surface: 'grass' } },
    situation.wheelsTurned && { id: 'straighten-wheels', label: 'Straighten the wheels', after: { ...situation, wheelsTurned: false } },
    soft && { id: 'air-down', label: 'Let the tyres down', after: { ...situation, surface: firmer(situation.surface) } },
    (situation.drivelineLocked || situation.lockedShare > 0) && {
      id: 'free-driveline',
      label: 'Free the wheels and driveline',
      after: { ...situation, drivelineLocked: false, lockedShare: 0 },
    },
    { id: 'low-gear', label: 'Low gear, slow wheels (its own drive never lowers the planned pull)', after: situation },
    trailer !== undefined && { id: 'uncouple-trailer', label: 'Uncouple the trailer', after: uncoupled },
  ];
  return list.filter((entry) => entry !== false);
}

/**
 * What can be done before pulling and what each takes off the planned pull, the greatest saving first. Each changes inputs only:
 * digging one step of depth, boards to the figures of grass, less tyre pressure to the next firmer surface.
 */
export function cheaperActions(vehicle: StuckVehicle, policy: Policy): readonly CheaperAction[] {
  const before = estimatePull(vehicle, policy);
  if (before.kind !== 'estimated') return [];
  const actions = candidates(vehicle.situation).map((action) => {
    const after = estimatePull({ ...vehicle, situation: action.after }, policy);
    return { ...action, savesN: after.kind === 'estimated' ? Math.max(0, before.plannedN - after.plannedN) : 0 };
  });
  return [...actions].sort((a, b) => b.savesN - a.savesN);
}
