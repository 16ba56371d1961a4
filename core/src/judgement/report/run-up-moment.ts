import type { Rig } from '../../rig/rig.ts';
import type { RunInstant } from '../../shock/run-at.ts';
import { scale, type Vec3 } from '../../statics/vec3.ts';
import type { MomentReport, MovedBody, Report, RunUpCurves } from './report.ts';

/** What a drawing shows at an instant of a run-up. */
export type RunUpMoment = Pick<MomentReport, 'moved' | 'strands' | 'pulleys' | 'pointLoads' | 'loadForce'>;

/**
 * Both vehicles, what hangs on them and the forces at an instant of a run-up. The line keeps its direction, so that every force is to its
 * size at the peak as the tension is to the peak; each vehicle goes its own way along the line. Undefined where no peak is known.
 */
export function runUpMoment(
  rig: Rig,
  report: Pick<Report, 'plannedPullN' | 'strands' | 'pulleys' | 'pointLoads' | 'loadForce'>,
  { towingId, way }: Pick<RunUpCurves, 'towingId' | 'way'>,
  { towedM, movedM, tensionN }: RunInstant,
): RunUpMoment | undefined {
  const { plannedPullN: peakN, loadForce } = report;
  if (peakN === undefined || !(peakN > 0)) return undefined;
  const share = tensionN / peakN;
  const gone = (bodyId: string | undefined) => (bodyId === towingId ? towedM : bodyId === rig.load.bodyId ? movedM : 0);
  const on = (place: Vec3, byM: number): Vec3 => ({ ...place, x: place.x + way.xM * byM, y: place.y + way.yM * byM });
  return {
    moved: rig.bodies.flatMap((body): readonly MovedBody[] => {
      const byM = gone(body.kind === 'person' && body.inVehicleId !== undefined ? body.inVehicleId : body.id);
      return byM === 0 ? [] : [{ bodyId: body.id, xM: body.xM + way.xM * byM, yM: body.yM + way.yM * byM, turnRad: 0 }];
    }),
    strands: report.strands.map(({ greatestN: _, ...strand }) => ({
      ...strand,
      // The strand at the drive begins at the vehicle that tows; whatever is further along goes with the other.
      from: on(strand.from, strand.index === 0 ? towedM : movedM),
      to: on(strand.to, movedM),
      plannedN: strand.plannedN === undefined ? undefined : strand.plannedN * share,
    })),
    pulleys: report.pulleys.map(({ forceN, ...pulley }) => {
      const byM = gone(bodyOfChain(rig, pulley.chainId));
      return { ...pulley, root: on(pulley.root, byM), at: on(pulley.at, byM), ...(forceN && { forceN: scale(forceN, share) }) };
    }),
    pointLoads: report.pointLoads.map((load) => ({ ...load, forceN: scale(load.forceN, share), sizeN: load.sizeN * share })),
    loadForce: loadForce && {
      forceN: scale(loadForce.forceN, share),
      alongN: loadForce.alongN * share,
      sidewaysN: loadForce.sidewaysN * share,
      upwardN: loadForce.upwardN * share,
    },
  };
}

/** The body that a chain hangs on. */
function bodyOfChain(rig: Rig, chainId: string): string | undefined {
  const from = rig.chains.find(({ id }) => id === chainId)?.from;
  return from?.kind === 'point' ? rig.points.find(({ id }) => id === from.pointId)?.bodyId : undefined;
}
