import type { Rig, RunInstant, RunUpCurves, ToldReport } from '@wainrope/core';
import type { SheetPlan } from '../draft/shown-plans.ts';

/** An instant of a run-up, with what it takes to draw it. */
export interface RanTo {
  readonly curves: Pick<RunUpCurves, 'towingId' | 'way'>;
  readonly instant: RunInstant;
}

type Place = ToldReport['strands'][number]['from'];

/** What the sheet draws at an instant of a run-up: both vehicles where they are by then, the line with its tension. Nothing can be moved. */
export function ranPlan(plan: SheetPlan, { curves: { towingId, way }, instant }: RanTo): SheetPlan {
  const { rig, report } = plan;
  const { towedM, movedM, tensionN } = instant;
  const stuckId = rig.load.bodyId;
  const gone = (bodyId: string | undefined) => (bodyId === towingId ? towedM : bodyId === stuckId ? movedM : 0);
  const on = (place: Place, byM: number): Place => ({ ...place, x: place.x + way.xM * byM, y: place.y + way.yM * byM });
  const share = report.plannedPullN ? tensionN / report.plannedPullN : 0;
  const weaker = ({ x, y, z }: Place): Place => ({ x: x * share, y: y * share, z: z * share });
  const strands = report.strands.map(({ from, to, greatestN: _, ...strand }) => {
    // The strand at the drive begins at the vehicle that tows; whatever is further along goes with the other.
    const [start, end] = [on(from, strand.index === 0 ? towedM : movedM), on(to, movedM)];
    const plannedN = strand.plannedN === undefined ? undefined : strand.plannedN * share;
    return { ...strand, from: start, to: end, plannedN };
  });
  const pulleys = report.pulleys.map(({ forceN, ...pulley }) => {
    const byM = gone(bodyOfChain(rig, pulley.chainId));
    return { ...pulley, root: on(pulley.root, byM), at: on(pulley.at, byM), ...(forceN && { forceN: weaker(forceN) }) };
  });
  const { loadForce } = report;
  return {
    ...plan,
    isPlayed: true,
    rig: {
      ...rig,
      bodies: rig.bodies.map((body) => {
        const byM = gone('inVehicleId' in body && body.inVehicleId !== undefined ? body.inVehicleId : body.id);
        return byM === 0 ? body : { ...body, xM: body.xM + way.xM * byM, yM: body.yM + way.yM * byM };
      }),
    },
    report: {
      ...report,
      strands,
      pulleys,
      pointLoads: report.pointLoads.map((load) => ({ ...load, forceN: weaker(load.forceN), sizeN: load.sizeN * share })),
      ...(loadForce && {
        loadForce: {
          forceN: weaker(loadForce.forceN),
          alongN: loadForce.alongN * share,
          sidewaysN: loadForce.sidewaysN * share,
          upwardN: loadForce.upwardN * share,
        },
      }),
    },
  };
}

/** The body that a chain hangs on. */
function bodyOfChain(rig: Rig, chainId: string): string | undefined {
  const from = rig.chains.find(({ id }) => id === chainId)?.from;
  return from?.kind === 'point' ? rig.points.find(({ id }) => id === from.pointId)?.bodyId : undefined;
}
