import { distance, norm, scale, type Vec3 } from '../statics/vec3.ts';
import type { Assessment } from './assessment.ts';
import { strandForces } from './body-forces.ts';
import { wrapAt } from './places-of-rig.ts';

/** A strand as a drawing shows it: ends in metres, tensions in newtons. */
export interface StrandAt {
  readonly lineId: string;
  readonly index: number;
  readonly from: Vec3;
  readonly to: Vec3;
  readonly lengthM: number;
  readonly plannedN?: number;
  readonly greatestN?: number;
}

/** A chain's free end as a drawing shows it; β is the angle between the two strands at a pulley. */
export interface PulleyAt {
  readonly chainId: string;
  readonly root: Vec3;
  readonly at: Vec3;
  readonly strandAngleRad?: number;
  /** Force on the chain at the planned pull, newtons. */
  readonly forceN?: Vec3;
}

export function strandsAt({ rig, network, solved, plannedPullN, greatestPullN }: Assessment): readonly StrandAt[] {
  const line = rig.lines[0];
  const nodes = network.network.ropes[0]?.nodes ?? [];
  if (!line || !solved) return [];
  return nodes.slice(1).map((node, index) => {
    const from = solved.hauling.positions[nodes[index] as number] as Vec3;
    const to = solved.hauling.positions[node] as Vec3;
    const hauling = solved.hauling.strandTensions[0]?.[index] ?? 0;
    const most = Math.max(hauling, solved.frictionless.strandTensions[0]?.[index] ?? 0);
    return {
      lineId: line.id,
      index,
      from,
      to,
      lengthM: distance(from, to),
      ...(plannedPullN === undefined ? {} : { plannedN: hauling * plannedPullN }),
      ...(greatestPullN === undefined ? {} : { greatestN: most * greatestPullN }),
    };
  });
}

export function pulleysAt(assessment: Assessment): readonly PulleyAt[] {
  const { rig, network, solved, plannedPullN } = assessment;
  if (!solved) return [];
  const forces = strandForces(network, solved.hauling);
  return network.chains.map(({ chain, root, tip }) => {
    const bend = rig.lines[0]?.via.findIndex(({ chainId }) => chainId === chain.id) ?? -1;
    const force = forces[tip] as Vec3;
    return {
      chainId: chain.id,
      root: solved.hauling.positions[root] as Vec3,
      at: solved.hauling.positions[tip] as Vec3,
      ...(bend < 0 ? {} : { strandAngleRad: Math.PI - wrapAt({ network, solved }, bend) }),
      ...(plannedPullN === undefined || norm(force) === 0 ? {} : { forceN: scale(force, plannedPullN) }),
    };
  });
}
