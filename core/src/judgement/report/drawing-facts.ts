import type { Assessment, Gathered, LoadState } from '../../moment/assessment.ts';
import { loadIn } from '../../moment/place-check.ts';
import { chainForce, pointForces, spanLengthM, stopAt, wrapAtStop } from '../../moment/rig-forces.ts';
import { add, norm, scale, type Vec3 } from '../../statics/vec3.ts';

/** A strand as a drawing shows it: ends in metres, tensions in newtons. */
export interface StrandAt {
  readonly lineId: string;
  /** Place in its line, the drive's strand being 0. */
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
  /** Force on the chain at the planned pull, newtons; a zero vector where it hangs slack. */
  readonly forceN?: Vec3;
  readonly slack?: true;
}

/** The force on a point of a body at the planned pull. */
export interface PointLoad {
  readonly pointId: string;
  readonly forceN: Vec3;
  readonly sizeN: number;
}

/** What the ropes do to the load at the planned pull, newtons. */
export interface LoadForce {
  readonly forceN: Vec3;
  /** Along its travel; across it, level; and upwards. */
  readonly alongN: number;
  readonly sidewaysN: number;
  readonly upwardN: number;
}

/** The state in which the planned pull is shown: the first that is planned, hauling where nothing is. */
export function shownState({ states, solved }: Gathered): LoadState | undefined {
  return states.planned[0] ?? (solved && { motion: 'hauling', state: solved.hauling, scale: 1 });
}

export function strandsAt(assessment: Assessment): readonly StrandAt[] {
  const shown = shownState(assessment)?.state;
  if (shown === undefined) return [];
  const { network, states } = assessment;
  return network.lines.flatMap((walk) =>
    walk.spans.map((_, span): StrandAt => {
      const source = { kind: 'span', line: walk.index, span } as const;
      const most = (list: readonly LoadState[]) =>
        list.length === 0 ? undefined : Math.max(...list.map((state) => loadIn(assessment, source, state)));
      const plannedN = most(states.planned);
      const greatestN = most(states.greatest);
      return {
        lineId: walk.line.id,
        index: span,
        from: stopAt(walk, span, shown),
        to: stopAt(walk, span + 1, shown),
        lengthM: spanLengthM(walk, span, shown),
        ...(plannedN !== undefined && { plannedN }),
        ...(greatestN !== undefined && { greatestN }),
      };
    }),
  );
}

export function pulleysAt(assessment: Assessment): readonly PulleyAt[] {
  const shown = shownState(assessment);
  if (shown === undefined) return [];
  const { network, states } = assessment;
  const angles = new Map<string, number>();
  for (const walk of network.lines)
    walk.stops.forEach(({ kind, chainId }, stop) => {
      if (kind === 'pulley' && chainId) angles.set(chainId, Math.PI - wrapAtStop(walk, stop, shown.state));
    });
  return network.chains.map((place) => {
    const force = chainForce(network, place, shown.state);
    const angle = angles.get(place.chain.id);
    const slack = place.link >= 0 && shown.state.slackLinks.includes(place.link);
    return {
      chainId: place.chain.id,
      root: shown.state.positions[place.root] as Vec3,
      at: shown.state.positions[place.tip] as Vec3,
      ...(angle !== undefined && { strandAngleRad: angle }),
      ...(states.planned.length > 0 && norm(force) > 0 && { forceN: scale(force, shown.scale * place.share) }),
      ...(slack && ({ slack: true } as const)),
    };
  });
}

/** The load on every point of every body, fairleads included. */
export function pointLoads({ rig, network, states }: Assessment): readonly PointLoad[] {
  const shown = states.planned[0];
  if (shown === undefined) return [];
  return [...pointForces(rig, network, shown.state)].map(([pointId, unitForce]) => {
    const forceN = scale(unitForce, shown.scale);
    return { pointId, forceN, sizeN: norm(forceN) };
  });
}

/** Net force of the ropes on the load, split along and across its travel. */
export function loadForce({ rig, network, states, travel }: Assessment): LoadForce | undefined {
  const shown = states.planned[0];
  if (shown === undefined) return undefined;
  const forces = pointForces(rig, network, shown.state);
  const own = rig.points.filter(({ bodyId }) => bodyId === rig.load.bodyId).map(({ id }) => forces.get(id));
  const total = own.reduce<Vec3>((sum, force) => (force ? add(sum, force) : sum), { x: 0, y: 0, z: 0 });
  const forceN = scale(total, shown.scale);
  const alongN = forceN.x * travel.x + forceN.y * travel.y + forceN.z * travel.z;
  const level = Math.hypot(travel.x, travel.y);
  const sidewaysN = level > 0 ? (forceN.y * travel.x - forceN.x * travel.y) / level : 0;
  return { forceN, alongN, sidewaysN, upwardN: forceN.z - alongN * travel.z };
}
