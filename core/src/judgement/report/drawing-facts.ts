import { bodyForce, spanLengthM, stopAt, vectorAt, wrapAtStop } from '../../moment/forces.ts';
import type { LoadState, Moment } from '../../moment/moment.ts';
import type { ResolvedLine } from '../../resolved/parts.ts';
import { norm, scale, type Vec3, ZERO } from '../../statics/vec3.ts';

/** A strand as a drawing shows it: ends in metres, tensions in newtons. */
export interface StrandAt {
  readonly lineId: string;
  /** Place in its line, the drive's strand being 0. */
  readonly index: number;
  readonly from: Vec3;
  readonly to: Vec3;
  readonly lengthM: number;
  readonly plannedN?: number | undefined;
  readonly greatestN?: number | undefined;
}

/** A chain's free end as a drawing shows it; β is the angle between the two strands at a pulley. */
export interface PulleyAt {
  readonly chainId: string;
  readonly root: Vec3;
  readonly at: Vec3;
  readonly strandAngleRad?: number | undefined;
  /** Force on the chain at the planned pull, newtons; a zero vector where it hangs slack. */
  readonly forceN?: Vec3 | undefined;
  readonly slack?: true | undefined;
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

/** The largest tension of a span over the states of a check, newtons; nothing where it has none. */
export function mostTensionN({ firstSpan }: ResolvedLine, span: number, list: readonly LoadState[]): number | undefined {
  if (list.length === 0) return undefined;
  return Math.max(...list.map(({ balance, scale: factor }) => factor * (balance.forces.spans[firstSpan + span] ?? 0)));
}

export function strandsAt({ rig, shown, states }: Moment): readonly StrandAt[] {
  if (shown === undefined) return [];
  const { balance } = shown;
  return rig.lines.flatMap((line) =>
    line.spans.map((_, span): StrandAt => {
      const plannedN = mostTensionN(line, span, states.planned);
      const greatestN = mostTensionN(line, span, states.greatest);
      return {
        lineId: line.line.id,
        index: span,
        from: stopAt(line, span, balance),
        to: stopAt(line, span + 1, balance),
        lengthM: spanLengthM(line, span, balance),
        plannedN,
        greatestN,
      };
    }),
  );
}

export function pulleysAt({ rig, shown, states }: Moment): readonly PulleyAt[] {
  if (shown === undefined) return [];
  const { balance } = shown;
  const { positions, slackLinks } = balance.equilibrium;
  const angles = new Map<number, number>();
  for (const line of rig.lines)
    line.stops.forEach(({ kind, chain }, stop) => {
      if (kind === 'pulley' && chain) angles.set(chain.index, Math.PI - wrapAtStop(line, stop, balance));
    });
  return rig.chains.map(({ index, chain, root, tip, link, share }) => {
    const force = vectorAt(balance.forces.chains, index);
    const angle = angles.get(index);
    return {
      chainId: chain.id,
      root: positions[root] ?? ZERO,
      at: positions[tip] ?? ZERO,
      strandAngleRad: angle,
      forceN: states.planned.length > 0 && norm(force) > 0 ? scale(force, shown.scale * share) : undefined,
      slack: link >= 0 && slackLinks.includes(link) ? true : undefined,
    };
  });
}

/** The load on every point that something pulls on, fairleads included: drives and edges line by line, then chains. */
export function pointLoads({ rig, states }: Moment): readonly PointLoad[] {
  const shown = states.planned[0];
  if (shown === undefined) return [];
  const onLines = rig.lines.flatMap(({ stops }) => stops.flatMap(({ point }) => point ?? []));
  const pulled = new Set([...onLines, ...rig.chains.flatMap(({ point }) => point ?? [])]);
  return [...pulled].map(({ index, point }) => {
    const forceN = scale(vectorAt(shown.balance.forces.points, index), shown.scale);
    return { pointId: point.id, forceN, sizeN: norm(forceN) };
  });
}

/** Net force of the ropes on the load, split along and across its travel. */
export function loadForce({ rig, states, travel }: Moment): LoadForce | undefined {
  const shown = states.planned[0];
  if (shown === undefined) return undefined;
  const forceN = scale(bodyForce(rig.load.on, shown.balance.forces), shown.scale);
  const alongN = forceN.x * travel.x + forceN.y * travel.y + forceN.z * travel.z;
  const level = Math.hypot(travel.x, travel.y);
  const sidewaysN = level > 0 ? (forceN.y * travel.x - forceN.x * travel.y) / level : 0;
  return { forceN, alongN, sidewaysN, upwardN: forceN.z - alongN * travel.z };
}
