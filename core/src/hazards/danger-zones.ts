import type { StrandAt } from '../judgement/drawing-facts.ts';
import type { Vec3 } from '../statics/vec3.ts';

/** A level circle to be kept clear, metres. */
export interface DangerCircle {
  readonly centre: Vec3;
  readonly radiusM: number;
}

/**
 * Around every end and pulley of a line a circle of `factor` × the longer strand that meets there (policy: 1.5).
 * Practice, not physics: parts of a broken rig have been found beyond it.
 */
export function dangerCircles(strands: readonly StrandAt[], factor: number): readonly DangerCircle[] {
  const ordered = [...strands].sort((a, b) => a.index - b.index);
  const nodes = ordered.flatMap((strand, index) => (index === 0 ? [strand.from, strand.to] : [strand.to]));
  return nodes.map((centre, index) => {
    const longest = Math.max(ordered[index - 1]?.lengthM ?? 0, ordered[index]?.lengthM ?? 0);
    return { centre, radiusM: factor * longest };
  });
}
