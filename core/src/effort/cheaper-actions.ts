import { type Depth, type Policy, type Surface, surfaces } from '../policy/policy.ts';
import { airsOutOf, estimatePull, type StuckVehicle } from './estimate-pull.ts';
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
  const list: (Omit<CheaperAction, 'savesN'> | false)[] = [
    ...(situation.depth === 'none' ? rolling(situation) : stuck(situation)),
    situation.wheelsTurned && { id: 'straighten-wheels', label: 'Straighten the wheels', after: { ...situation, wheelsTurned: false } },
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

type Candidate = Omit<CheaperAction, 'savesN'>;

/** Dug free or on boards, it sits one step less deep; both together are still one step. Tyres let down help in sand and shallow mud. */
function stuck(situation: Situation): readonly Candidate[] {
  const { contactAreaM2: _held, ...freed } = situation;
  const depth = shallower(situation.depth);
  const step: readonly Candidate[] =
    situation.easedBy === undefined
      ? [
          { id: 'dig', label: 'Dig wheels and belly free (one step shallower)', after: { ...freed, depth, easedBy: 'digging' } },
          { id: 'boards', label: 'Boards under the driven wheels (one step shallower)', after: { ...freed, depth, easedBy: 'boards' } },
        ]
      : [];
  const airs = airsOutOf(situation.surface) && situation.airedDown !== true;
  return [
    ...step,
    ...(airs ? [{ id: 'air-down' as const, label: 'Let the tyres down (a guess)', after: { ...situation, airedDown: true } }] : []),
  ];
}

/** Rolling, boards count as grass and less tyre pressure as the next firmer surface. */
function rolling(situation: Situation): readonly Candidate[] {
  if (ROUGHNESS.indexOf(situation.surface) < ROUGHNESS.indexOf('soft-dry-sand')) return [];
  return [
    { id: 'boards', label: 'Boards under the wheels', after: { ...situation, surface: 'grass' } },
    { id: 'air-down', label: 'Let the tyres down', after: { ...situation, surface: firmer(situation.surface) } },
  ];
}

/**
 * What can be done before pulling and what each takes off the planned pull, the greatest saving first. Each changes inputs only:
 * stuck, digging or boards one step of depth; rolling, boards to the figures of grass, less tyre pressure to the next firmer surface.
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
