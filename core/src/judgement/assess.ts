import { treeCapacity } from '../anchors/tree-capacity.ts';
import { estimatePull } from '../effort/estimate-pull.ts';
import type { Case } from '../rig/case.ts';
import { loadBody, slopeAlong, travelDirection } from '../rig/places.ts';
import { usesOf } from '../rig/references.ts';
import type { Rig } from '../rig/rig.ts';
import { type GearIndex, gearOf, type RigNetwork, rigNetwork } from '../rig/rig-network.ts';
import type { Equilibrium } from '../statics/network.ts';
import { solveNetwork } from '../statics/solve-network.ts';
import { distance, dot, type Vec3 } from '../statics/vec3.ts';
import { type Assessment, type ChosenUse, driveLine, type Solved } from './assessment.ts';
import { bodyForce, pointForces } from './body-forces.ts';
import { drumReport } from './drum-report.ts';
import { factoredUseIn, type PieceLimit, pieceLimit } from './piece-limit.ts';
import { placesOfRig } from './places-of-rig.ts';

/** Below this the line does not move the load along its way at all; per newton of drive tension. */
const LEAST_ADVANTAGE = 1e-6;

/** Solves a case and gathers everything the rules read. Pure: the same case gives the same answer everywhere. */
export function assess(subject: Case): Assessment {
  const { rig, policy } = subject;
  const gear = new Map(subject.gear.map((piece) => [piece.id, piece]));
  const uses = chosenOf(rig, gear);
  const line = driveLine(rig);
  const travel = travelDirection(rig);
  const load = loadBody(rig);
  const effort = estimatePull({ ...load, slopeRad: slopeAlong(rig.ground, travel), situation: rig.situation }, policy);
  const pullN = rig.chosenPull?.pullN ?? (effort.kind === 'estimated' ? effort.plannedN : undefined);
  const network = rigNetwork(rig, gear, policy);
  const hauling = solveNetwork(network.network, 'hauling');
  const frictionless = hauling.kind === 'solved' ? solveNetwork(network.network, 'frictionless', hauling) : hauling;
  const solved: Solved | undefined = hauling.kind === 'solved' && frictionless.kind === 'solved' ? { hauling, frictionless } : undefined;
  const failure = hauling.kind !== 'solved' ? hauling : frictionless.kind !== 'solved' ? frictionless : undefined;
  const advantage = solved && {
    hauling: advantageOf(rig, network, solved.hauling, travel),
    frictionless: advantageOf(rig, network, solved.frictionless, travel),
  };
  const drum = drumReport(rig, line, gear, policy, solved && pathLengthM(network, solved.hauling));
  const moves = advantage !== undefined && advantage.hauling > LEAST_ADVANTAGE;
  const limits = limitsOfUses(subject, uses);
  const anchors = anchorsOf(subject);
  return {
    subject,
    rig,
    policy,
    gear,
    uses,
    effort,
    pullN,
    network,
    solved,
    failure,
    travel,
    advantage,
    drum,
    plannedPullN: moves && pullN !== undefined ? pullN / advantage.hauling : undefined,
    greatestPullN: drum.kind === 'no-winch' ? undefined : drum.greatestN,
    places: solved ? placesOfRig({ rig, gear, policy, network, solved, drum, limits, anchors }) : [],
    limits,
    anchors,
  };
}

/** Component of the net rope force on the load along its allowed travel, per newton of drive tension. */
function advantageOf(rig: Rig, network: RigNetwork, state: Equilibrium, travel: Vec3): number {
  return dot(bodyForce(rig, pointForces(rig, network, state), rig.load.bodyId), travel);
}

function pathLengthM(network: RigNetwork, state: Equilibrium): number {
  const nodes = network.network.ropes[0]?.nodes ?? [];
  return nodes
    .slice(1)
    .reduce((total, to, index) => total + distance(state.positions[nodes[index] as number] as Vec3, state.positions[to] as Vec3), 0);
}

function chosenOf(rig: Rig, gear: GearIndex): readonly ChosenUse[] {
  return usesOf(rig).flatMap(({ use }) => {
    const piece = gearOf(use, gear);
    return piece ? [{ use, piece }] : [];
  });
}

function limitsOfUses({ rig, policy, asOf }: Case, uses: readonly ChosenUse[]): ReadonlyMap<string, PieceLimit> {
  const context = { policy, asOf, wet: rig.situation.wet };
  return new Map(uses.map(({ use, piece }) => [use.id, pieceLimit(piece, factoredUseIn(piece, use.role), context)]));
}

function anchorsOf({ rig, policy }: Case): Assessment['anchors'] {
  const anchors = new Map<string, ReturnType<typeof treeCapacity>>();
  for (const point of rig.points) {
    const body = rig.bodies.find(({ id }) => id === point.bodyId);
    if (body?.kind === 'tree') anchors.set(point.id, treeCapacity(body, point.place.kind === 'on-trunk' ? point.place.heightM : 0, policy));
  }
  return anchors;
}
