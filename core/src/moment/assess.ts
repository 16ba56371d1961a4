import { type AnchorCapacity, type AnchorQuestion, anchorCapacity, isAnchor } from '../anchors/anchor-capacity.ts';
import { limitsOfUses } from '../rating/piece-limit.ts';
import { breaksOf } from '../release/what-leaves.ts';
import { zonesOf } from '../release/zones-of-rig.ts';
import { jointsOf } from '../resolved/fits.ts';
import { placesOfRig } from '../resolved/places-of-rig.ts';
import { planPull } from '../resolved/plan-pull.ts';
import { type GearIndex, gearOf, type RigNetwork, rigNetwork } from '../resolved/rig-network.ts';
import type { Case } from '../rig/case.ts';
import { usesOf } from '../rig/references.ts';
import type { PieceUse, Rig } from '../rig/rig.ts';
import { bodyOfPoint, isRunningBridle, travelDirection } from '../rig/site-geometry.ts';
import { otherWay } from '../statics/bend-tension.ts';
import type { Equilibrium, Motion, Network, StaticsFailure, StaticsOutcome } from '../statics/network.ts';
import { solveNetwork } from '../statics/solve-network.ts';
import { dot, type Vec3 } from '../statics/vec3.ts';
import type { Advantages, Assessment, ChosenUse, Gathered, LoadState, LoadStates, Solved } from './assessment.ts';
import { type DriveInput, type DriveReport, drivenBy, drivesAt, withShares } from './drives.ts';
import { checkPlace } from './place-check.ts';
import { bodyForce, pointForces } from './rig-forces.ts';
import { holdsOf } from './vehicle-holds.ts';
import { winchWork } from './winch-work.ts';

/** Below this the line does not move the load along its way at all; per newton of drive tension. */
const LEAST_ADVANTAGE = 1e-6;
/** Shares follow the working layers and the layers the balance; they settle at once or after a round or two. */
const SHARING_ROUNDS = 4;

/** Solves a case and gathers everything the rules read. Pure: the same case gives the same answer everywhere. */
export function assess(subject: Case): Assessment {
  const { rig, policy } = subject;
  const gear = new Map(subject.gear.map((piece) => [piece.id, piece]));
  const uses = chosenOf(rig, gear);
  const travel = travelDirection(rig);
  const { effort, pullN } = planPull(rig, policy);
  const network = rigNetwork(rig, gear, policy);
  const input: DriveInput = { rig, gear, policy, network };
  const { drives, solved, failure } = balance(input);
  const advantage = solved && advantagesOf(rig, network, solved, travel);
  const { states, failure: greatestFailure } = solved ? loadStates(input, { drives, solved, advantage, pullN }) : NO_STATES;
  const limits = limitsOfUses(subject, uses);
  const anchors = solved ? anchorsOf(input, solved.hauling) : new Map<string, AnchorCapacity | undefined>();
  const places = solved ? placesOfRig({ ...input, solved, drives, limits, anchors }) : [];
  const holds = holdsOf({ rig, policy, network, states });
  const planned = states.planned.map(({ scale }) => scale);
  const gathered: Gathered = {
    subject,
    rig,
    policy,
    gear,
    uses,
    effort,
    pullN,
    network,
    solved,
    failure: failure ?? greatestFailure,
    travel,
    advantage,
    drives,
    plannedPullN: planned.length > 0 ? Math.max(...planned) : undefined,
    greatestPullN: drives[0]?.greatestN,
    states,
    places,
    checks: places.map((place) => checkPlace({ rig, policy, network, states, holds }, place)),
    limits,
    anchors,
    holds,
  };
  return { ...gathered, joints: jointsOf(gathered), zones: zonesOf(gathered), breaks: breaksOf(gathered), work: winchWork(gathered) };
}

interface Checked {
  readonly states: LoadStates;
  /** Why the rig has no balance with every drive at its greatest, where it has none. */
  readonly failure: StaticsFailure | undefined;
}

const NO_STATES: Checked = { states: { unit: [], planned: [], greatest: [] }, failure: undefined };

interface Balance {
  readonly drives: readonly DriveReport[];
  readonly solved: Solved | undefined;
  readonly failure: StaticsFailure | undefined;
}

/** The balance of the rig with its drives at their shares, and the drums in that balance. */
function balance(input: DriveInput): Balance {
  let drives = withShares(drivesAt(input, undefined), input.rig);
  let driven = drivenBy(input.network, drives, ({ share }) => share);
  let hauling = solveNetwork(driven, 'hauling');
  for (let round = 0; round < SHARING_ROUNDS && hauling.kind === 'solved'; round++) {
    const next = withShares(drivesAt(input, hauling), input.rig);
    const same = next.every(({ share }, index) => share === drives[index]?.share);
    drives = next;
    if (same) break;
    driven = drivenBy(input.network, drives, ({ share }) => share);
    hauling = solveNetwork(driven, 'hauling', hauling);
  }
  if (hauling.kind !== 'solved') return { drives, solved: undefined, failure: hauling };
  const frictionless = solveNetwork(driven, 'frictionless', hauling);
  if (frictionless.kind !== 'solved') return { drives, solved: undefined, failure: frictionless };
  const back = solveWhere(runsBack(input), () => solveNetwork(withBridlesBack(input, driven), 'hauling', hauling));
  const lowering = solveWhere(motionsOf(input.rig).includes('lowering'), () => solveNetwork(driven, 'lowering', hauling));
  const failure = [back, lowering].find((outcome): outcome is StaticsFailure => outcome !== undefined && outcome.kind !== 'solved');
  if (failure !== undefined) return { drives, solved: undefined, failure };
  const more = { ...(lowering?.kind === 'solved' && { lowering }), ...(back?.kind === 'solved' && { bridlesBack: back }) };
  return { drives, solved: { hauling, frictionless, ...more }, failure: undefined };
}

const solveWhere = (needed: boolean, solve: () => StaticsOutcome): StaticsOutcome | undefined => (needed ? solve() : undefined);

/** Ropes of the network that are running bridles: held at both ends by one body, free to run over what pulls them. */
function bridleRopes({ rig, network }: DriveInput): readonly number[] {
  return network.lines.filter(({ line }) => isRunningBridle(rig, line)).flatMap(({ spans }) => spans.map(({ rope }) => rope));
}

const runsBack = (input: DriveInput): boolean => bridleRopes(input).length > 0;

/** The same network with friction in its running bridles acting the other way: either leg may be the one that holds back. */
function withBridlesBack(input: DriveInput, network: Network): Network {
  const bridles = bridleRopes(input);
  return {
    ...network,
    ropes: network.ropes.map((rope, index) => (bridles.includes(index) ? { ...rope, bends: rope.bends.map(otherWay) } : rope)),
  };
}

/** Which ways friction may act: lowering too where the rig lowers or holds. */
function motionsOf({ purpose }: Rig): readonly Motion[] {
  return purpose === 'lower' || purpose === 'hold' ? ['hauling', 'frictionless', 'lowering'] : ['hauling', 'frictionless'];
}

/** The ways in which the planned pull is given: hauling, lowering, or standing with friction either way. */
function plannedMotions({ purpose }: Rig): readonly ('hauling' | 'lowering')[] {
  if (purpose === 'lower') return ['lowering'];
  return purpose === 'hold' ? ['hauling', 'lowering'] : ['hauling'];
}

/** Component of the net rope force on the load along its travel, per newton of the first drive; against it where the rig holds back. */
function advantageOf(rig: Rig, network: RigNetwork, state: Equilibrium, travel: Vec3): number {
  const along = dot(bodyForce(rig, pointForces(rig, network, state), rig.load.bodyId), travel);
  return rig.purpose === 'lower' || rig.purpose === 'hold' ? -along : along;
}

function advantagesOf(rig: Rig, network: RigNetwork, solved: Solved, travel: Vec3): Advantages {
  return {
    hauling: advantageOf(rig, network, solved.hauling, travel),
    frictionless: advantageOf(rig, network, solved.frictionless, travel),
    ...(solved.lowering && { lowering: advantageOf(rig, network, solved.lowering, travel) }),
  };
}

interface StatesInput {
  readonly drives: readonly DriveReport[];
  readonly solved: Solved;
  readonly advantage: Advantages | undefined;
  readonly pullN: number | undefined;
}

function loadStates(input: DriveInput, { drives, solved, advantage, pullN }: StatesInput): Checked {
  const of = (motion: Motion): Equilibrium => (motion === 'lowering' ? (solved.lowering ?? solved.hauling) : solved[motion]);
  const back = solved.bridlesBack;
  const ways: readonly { readonly state: LoadState; readonly gain: number | undefined }[] = [
    ...plannedMotions(input.rig).map((motion) => ({ state: { motion, state: of(motion), scale: 1 }, gain: advantage?.[motion] })),
    ...(back ? [{ state: { motion: 'hauling', state: back, scale: 1, bridlesBack: true } as const, gain: advantage?.hauling }] : []),
  ];
  const planned = ways.flatMap(({ state, gain }): LoadState[] =>
    pullN === undefined || gain === undefined || gain <= LEAST_ADVANTAGE ? [] : [{ ...state, scale: pullN / gain }],
  );
  const unit: readonly LoadState[] = [
    ...motionsOf(input.rig).map((motion) => ({ motion, state: of(motion), scale: 1 })),
    ...(back ? [{ motion: 'hauling', state: back, scale: 1, bridlesBack: true } as const] : []),
  ];
  const { greatest, failure } = greatestStates(input, drives, unit);
  return { states: { unit, planned, greatest }, failure };
}

interface Greatest {
  readonly greatest: readonly LoadState[];
  readonly failure: StaticsFailure | undefined;
}

/** All drives at their greatest together. Several share differently there, which moves the rig: it is solved anew. */
function greatestStates(input: DriveInput, drives: readonly DriveReport[], unit: readonly LoadState[]): Greatest {
  const first = drives[0]?.greatestN;
  if (first === undefined || drives.some(({ greatestN }) => greatestN === undefined)) return { greatest: [], failure: undefined };
  if (drives.length === 1) return { greatest: unit.map((entry) => ({ ...entry, scale: first })), failure: undefined };
  const together: Network = drivenBy(input.network, drives, ({ greatestN }) => (greatestN as number) / first);
  const greatest: LoadState[] = [];
  for (const entry of unit) {
    const network = entry.bridlesBack ? withBridlesBack(input, together) : together;
    const outcome = solveNetwork(network, entry.motion, entry.state);
    if (outcome.kind !== 'solved') return { greatest: [], failure: outcome };
    greatest.push({ ...entry, state: outcome, scale: first });
  }
  return { greatest, failure: undefined };
}

function chosenOf(rig: Rig, gear: GearIndex): readonly ChosenUse[] {
  return usesOf(rig).flatMap(({ use }) => {
    const piece = gearOf(use, gear);
    return piece ? [{ use, piece }] : [];
  });
}

/** What the anchor at a point is asked: how high, how steep the pull, with which piece. */
export function anchorQuestions(input: DriveInput, state: Equilibrium): ReadonlyMap<string, AnchorQuestion> {
  const { rig, network, gear } = input;
  const questions = new Map<string, AnchorQuestion>();
  const ask = (pointId: string, pieces: readonly PieceUse[], force: Vec3 | undefined) => {
    const body = bodyOfPoint(rig, pointId);
    if (body === undefined || !isAnchor(body)) return;
    const own = pieces.find(({ role }) => role === 'anchor');
    const riseRad = force ? Math.atan2(force.z, Math.hypot(force.x, force.y)) : 0;
    const heightM = rig.points.find(({ id }) => id === pointId)?.place.heightM ?? 0;
    questions.set(pointId, { body, heightM, riseRad, piece: own && gearOf(own, gear) });
  };
  const forces = pointForces(rig, network, state);
  for (const { chain } of network.chains)
    if (chain.from.kind === 'point') ask(chain.from.pointId, chain.pieces, forces.get(chain.from.pointId));
  for (const { anchorPointId, pieces } of rig.backAnchors ?? []) ask(anchorPointId, pieces, undefined);
  return questions;
}

function anchorsOf(input: DriveInput, state: Equilibrium): Assessment['anchors'] {
  return new Map([...anchorQuestions(input, state)].map(([pointId, question]) => [pointId, anchorCapacity(question, input.policy)]));
}
