import type { Term } from '../../explanation/term.ts';
import type { Assessment, LoadState } from '../../moment/assessment.ts';
import { chainForce, spanPull } from '../../moment/rig-forces.ts';
import { ratio } from '../../quantity/format.ts';
import type { LineWalk } from '../../resolved/rig-network.ts';
import { pointOfChain } from '../../rig/site-geometry.ts';
import type { Motion } from '../../statics/network.ts';
import { dot, norm, type Vec3 } from '../../statics/vec3.ts';
import { spanTerm } from './span-terms.ts';

const ONE: Term = { label: 'one newton at the drive', figure: ratio(1) };

/** What one newton of the first drive gives at the load: each strand and chain on it, by its tension and its direction. */
export function advantageTerm(assessment: Assessment, motion: Motion): Term {
  const { rig, solved } = assessment;
  const label = '÷ what one newton of line pull gives at the load';
  const reason = motion === 'frictionless' ? 'friction left out' : motion === 'lowering' ? 'friction helps to hold' : 'friction counted';
  const equilibrium = motion === 'lowering' ? solved?.lowering : solved?.[motion];
  if (solved === undefined || equilibrium === undefined) return { label, reason, figure: ratio(0) };
  const state: LoadState = { motion, state: equilibrium, scale: 1 };
  const backwards = rig.purpose === 'lower' || rig.purpose === 'hold';
  const along = (force: Vec3) => {
    const size = norm(force);
    const cosine = size > 0 ? dot(force, assessment.travel) / size : 0;
    return backwards ? -cosine : cosine;
  };
  const of = forcesOnLoad(assessment, state).map(({ tension, force }): Term => {
    const cosine = along(force);
    return {
      label: tension.label,
      figure: ratio(tension.figure.si * cosine),
      how: {
        operation: 'product',
        of: [
          { ...tension, figure: ratio(tension.figure.si) },
          { label: '× cosine to the travel', figure: ratio(cosine) },
        ],
      },
    };
  });
  const figure = ratio(of.reduce((sum, entry) => sum + entry.figure.si, 0));
  return { label, reason, figure, how: { operation: 'sum', of } };
}

interface OnLoad {
  readonly tension: Term;
  readonly force: Vec3;
}

/** Every strand that ends on the load or on a chain of it, and every chain that joins it to the air. */
function forcesOnLoad(assessment: Assessment, load: LoadState): readonly OnLoad[] {
  const { rig, network } = assessment;
  const onLoad = new Set(rig.points.filter(({ bodyId }) => bodyId === rig.load.bodyId).map(({ id }) => id));
  const strands = network.lines.flatMap((walk) =>
    walk.stops.flatMap((_, stop) => {
      const point = pointAtStop(assessment, walk, stop);
      return point !== undefined && onLoad.has(point) ? strandsAtStop(assessment, walk, stop, load) : [];
    }),
  );
  const counted = new Set<number>();
  const chains = network.chains.flatMap((place): OnLoad[] => {
    const point = pointOfChain(rig, place.chain);
    if (place.chain.to === undefined || point === undefined || !onLoad.has(point.id) || counted.has(place.link)) return [];
    counted.add(place.link);
    const force = chainForce(network, place, load.state);
    return [{ tension: { label: `Chain ${place.chain.id}, found from the balance of forces`, figure: ratio(norm(force)) }, force }];
  });
  return [...strands, ...chains];
}

/** The point of a body that holds a line at one of its stops; undefined where a joint or a grip does. */
function pointAtStop({ rig, network }: Assessment, { line, stops }: LineWalk, index: number): string | undefined {
  const stop = stops[index];
  const chain = stop?.chainId === undefined ? undefined : network.chains.find((place) => place.chain.id === stop.chainId);
  if (chain) return pointOfChain(rig, chain.chain)?.id;
  const bend = line.via[stop?.via ?? -1];
  if (bend?.kind === 'edge') return bend.pointId;
  return index === 0 && 'pointId' in line.drive ? line.drive.pointId : undefined;
}

function strandsAtStop(assessment: Assessment, walk: LineWalk, stop: number, load: LoadState): readonly OnLoad[] {
  const strand = (span: number, side: 0 | 1): OnLoad => ({
    tension: spanTerm(assessment, walk, span, load, ONE),
    force: spanPull(walk, span, side, load.state),
  });
  return [...(stop > 0 ? [strand(stop - 1, 1)] : []), ...(stop < walk.spans.length ? [strand(stop, 0)] : [])];
}
