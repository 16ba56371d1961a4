import type { Edit } from '../rig/edits.ts';
import type { Line, Rig, RigPoint, VehicleBody } from '../rig/rig.ts';
import { freeIdIn } from './rigging.ts';

export type EdgeBend = Extract<Line['via'][number], { readonly kind: 'edge' }>;

/** A plain edge of a line with the point where it lies and its place among the line's bends. */
export interface PlainEdge {
  readonly line: Line;
  readonly order: number;
  readonly bend: EdgeBend;
  readonly point: RigPoint;
}

/** Every plain edge that a line of the rig runs over. */
export const plainEdges = (rig: Rig): readonly PlainEdge[] =>
  rig.lines.flatMap((line) =>
    line.via.flatMap((bend, order) => {
      const point = bend.kind === 'edge' ? rig.points.find(({ id }) => id === bend.pointId) : undefined;
      return bend.kind === 'edge' && point ? [{ line, order, bend, point }] : [];
    }),
  );

/** What is known of a part that a line touches; metres in the vehicle's frame. */
export interface TouchedPart {
  readonly name: string;
  readonly forwardM?: number | undefined;
  readonly leftM?: number | undefined;
  readonly heightM?: number | undefined;
  readonly radiusM?: number | undefined;
}

/** Height of a part under a vehicle that nobody has measured, metres above the ground; it is changed at its point. */
const UNDER_HEIGHT_M = 0.35;

/**
 * Edits that lead a line over a part of a vehicle, after the edges that it runs over there already and before its first pulley.
 * How round the part is stays unsaid until somebody says it.
 */
export function leadOver(rig: Rig, line: Line, body: VehicleBody, part: TouchedPart): readonly Edit[] {
  const firstPulley = line.via.findIndex(({ kind }) => kind === 'pulley');
  const at = firstPulley < 0 ? line.via.length : firstPulley;
  const id = freeIdIn(rig, `${body.id}-edge`);
  const { forwardM = 0, leftM = 0, heightM = UNDER_HEIGHT_M, radiusM } = part;
  const point: RigPoint = { id, bodyId: body.id, label: part.name.slice(0, 80), place: { kind: 'on-vehicle', forwardM, leftM, heightM } };
  const bend: EdgeBend = { kind: 'edge', pointId: id, bend: 'synthetic-on-steel', ...(radiusM !== undefined && { radiusM }) };
  return [
    { kind: 'put', list: 'points', entry: point },
    { kind: 'put', list: 'lines', entry: { ...line, via: [...line.via.slice(0, at), bend, ...line.via.slice(at)] } },
    ...dampersMoved(rig, line, at, 1),
  ];
}

/** Edits that state what an edge is like. */
export const changeEdge = ({ line, order }: PlainEdge, bend: EdgeBend): readonly Edit[] => [
  { kind: 'put', list: 'lines', entry: { ...line, via: line.via.map((old, index) => (index === order ? bend : old)) } },
];

/** Edits that lead a line past an edge; dampers on the strands behind it stay with theirs. */
export function takeOffEdge(rig: Rig, { line, order, point }: PlainEdge): readonly Edit[] {
  return [
    { kind: 'put', list: 'lines', entry: { ...line, via: line.via.filter((_, index) => index !== order) } },
    ...dampersMoved(rig, line, order, -1),
    { kind: 'remove', list: 'points', id: point.id },
  ];
}

/** Dampers on the strands behind a bend count on or back by one; one on a strand that is bent stays on its far part. */
const dampersMoved = (rig: Rig, line: Line, bend: number, by: 1 | -1): readonly Edit[] =>
  rig.dampers.flatMap((damper): Edit[] =>
    damper.lineId === line.id && damper.strand > bend - (by === 1 ? 1 : 0)
      ? [{ kind: 'put', list: 'dampers', entry: { ...damper, strand: damper.strand + by } }]
      : [],
  );
