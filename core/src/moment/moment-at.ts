import type { ResolvedRig } from '../resolved/resolved-rig.ts';
import type { Rig } from '../rig/rig.ts';
import { holdsBack } from '../rig/site-geometry.ts';
import type { StaticsFailure } from '../statics/network.ts';
import { dot, type Vec3 } from '../statics/vec3.ts';
import { balanceRig, greatestStates, motionsOf } from './balance.ts';
import { bodyForce } from './forces.ts';
import { holdsOf } from './holds.ts';
import type { Advantages, Balance, Balances, LoadState, LoadStates, Moment } from './moment.ts';
import { placesAt } from './places.ts';
import { type At, type LoadPose, loadPose, networkAt, pointsAt } from './poses.ts';
import { trailOf, warmStart } from './warm-start.ts';

/** Below this the line does not move the load along its way at all; per newton of drive tension. */
const LEAST_ADVANTAGE = 1e-6;

const NO_STATES: LoadStates = { unit: [], planned: [], stands: [], greatest: [] };

/**
 * What is true of a rig at one moment of its act: balances, drums, loads and capacities, how vehicles stand. A neighbouring
 * moment to begin from makes it quicker and changes nothing but the last bits.
 */
export function momentAt(rig: ResolvedRig, at: At, before?: Moment): Moment {
  const pose = loadPose(rig, at);
  const travel = pose.along;
  const positions = pointsAt(rig, at, pose);
  const network = networkAt(rig, positions, at, before?.network);
  const { drives, balances, failure } = balanceRig(rig, network, warmStart(before, at.travelM));
  const advantage = balances && advantagesOf(rig, balances, travel);
  const pullN = pullAt(rig, at.travelM, pose);
  const ways = balances && advantage ? statesOf(rig, { balances, advantage, pullN }) : NO_STATES;
  const { greatest, failure: greatestFailure } = balances
    ? greatestStates(rig, network, drives, ways.unit)
    : { greatest: [], failure: undefined as StaticsFailure | undefined };
  return momentWith({
    rig,
    travelM: at.travelM,
    first: before?.first ?? before,
    trail: trailOf(before),
    at,
    pose,
    positions,
    network,
    travel,
    pullN,
    balances,
    failure: failure ?? greatestFailure,
    advantage,
    drives,
    states: { ...ways, greatest },
    greatestPullN: drives[0]?.greatestN,
  });
}

/** A moment under given states of its two checks: what they do to places and vehicles. */
export function momentWith(parts: Omit<Moment, 'shown' | 'plannedPullN' | 'places' | 'holds' | 'ties'>): Moment {
  const { rig, balances, drives, states, positions, pose } = parts;
  const { holds, ties } = holdsOf({ rig, positions, states, leg: pose.turnRad === 0 ? undefined : pose.leg });
  return {
    ...parts,
    shown: states.planned[0] ?? (balances && { balance: balances.hauling, scale: 1 }),
    plannedPullN: states.planned.length > 0 ? Math.max(...states.planned.map(({ scale }) => scale)) : undefined,
    places: placesAt({ rig, hauling: balances?.hauling, drives, states, positions, pose, ties }),
    holds,
    ties,
  };
}

/** What a load asks for: as it breaks away it falls, over some way, to what it asks for rolling. Newtons. */
function pullAt({ legs, policy, rig, way }: ResolvedRig, travelM: number, { leg }: LoadPose): number | undefined {
  const pull = legs[leg]?.pull;
  if (pull === undefined) return undefined;
  // As it comes upright its weight stands nearer to the edge: its lever shrinks with the cosine at the least.
  if (way.edgeHeightM !== undefined && rig.chosenPull === undefined)
    return pull.breaksAwayN * Math.max(0, Math.cos(travelM / way.edgeHeightM));
  const left = Math.max(0, 1 - travelM / policy.pull.breakawayM.value);
  return rig.purpose === 'respool' ? pull.breaksAwayN : pull.rollsN + (pull.breaksAwayN - pull.rollsN) * left;
}

/** The ways in which the planned pull is given: hauling, lowering, or standing with friction either way. */
function plannedMotions({ purpose }: Rig): readonly ('hauling' | 'lowering')[] {
  if (purpose === 'lower') return ['lowering'];
  return purpose === 'hold' ? ['hauling', 'lowering'] : ['hauling'];
}

function advantagesOf(rig: ResolvedRig, { hauling, frictionless, lowering }: Balances, travel: Vec3): Advantages {
  /** Component of the net rope force on the load along its travel, per newton of the first drive; against it where the rig holds back. */
  const of = ({ forces }: Balance): number => {
    const along = dot(bodyForce(rig.load.on, forces), travel);
    return holdsBack(rig.rig) ? -along : along;
  };
  return { hauling: of(hauling), frictionless: of(frictionless), ...(lowering && { lowering: of(lowering) }) };
}

interface StatesInput {
  readonly balances: Balances;
  readonly advantage: Advantages;
  readonly pullN: number | undefined;
}

function statesOf(rig: ResolvedRig, { balances, advantage, pullN }: StatesInput): LoadStates {
  const back = balances.bridlesBack;
  const planned: LoadState[] = [];
  const plan = (balance: Balance, gain: number | undefined) => {
    if (pullN !== undefined && gain !== undefined && gain > LEAST_ADVANTAGE) planned.push({ balance, scale: pullN / gain });
  };
  for (const motion of plannedMotions(rig.rig)) plan(balances[motion] ?? balances.hauling, advantage[motion]);
  if (back) plan(back, advantage.hauling);
  const unit = motionsOf(rig.rig).map((motion): LoadState => ({ balance: balances[motion] ?? balances.hauling, scale: 1 }));
  const free = advantage.frictionless;
  const freely = pullN !== undefined && free > LEAST_ADVANTAGE ? [{ balance: balances.frictionless, scale: pullN / free }] : [];
  return { unit: back ? [...unit, { balance: back, scale: 1 }] : unit, planned, stands: [...planned, ...freely], greatest: [] };
}
