import type { Edit } from '../rig/edits.ts';
import type { Body, Rig } from '../rig/rig.ts';
import { pointPosition } from '../rig/site-geometry.ts';
import type { Vec3 } from '../statics/vec3.ts';
import { freeIdIn } from './rigging.ts';
import { mayHold, placeTowards, usesAt } from './route-line.ts';

/** A grip sits no nearer to an end of its strand than this share of the strand's length. */
const GRIP_RIM = 0.05;
/** It is set so far before the place nearest to its anchor that it comes taut as the line moves, metres. */
const GRIP_BEFORE_M = 0.6;

/**
 * The last strand of a line held by a grip, on a chain from something that stands still: it keeps what has been won. The rope
 * behind the grip keeps its length, the drive pulls on what is before it.
 */
export function addGrip(rig: Rig, lineId: string, anchor: Body): readonly Edit[] {
  const line = rig.lines.find(({ id }) => id === lineId);
  if (!line || !mayHold(anchor)) return [];
  const [start, end] = lastStrand(rig, line);
  if (!start || !end) return [];
  const long = Math.hypot(start.x - end.x, start.y - end.y);
  if (long === 0) return [];
  const along = ((anchor.xM - end.x) * (start.x - end.x) + (anchor.yM - end.y) * (start.y - end.y)) / long;
  const toEndM = Math.round(Math.min(Math.max(along - GRIP_BEFORE_M, GRIP_RIM * long), (1 - GRIP_RIM) * long) * 100) / 100;
  const [gripId, chainId] = [freeIdIn(rig, 'grip'), freeIdIn(rig, 'holding')];
  const pointId = freeIdIn(rig, `${chainId}-on-${anchor.id}`);
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  return [
    { kind: 'put', list: 'grips', entry: { id: gripId, lineId, strand: line.via.length, toEndM } },
    {
      kind: 'put',
      list: 'points',
      entry: { id: pointId, bodyId: anchor.id, label: anchor.label, place: placeTowards(anchor, load, 0.5) },
    },
    {
      kind: 'put',
      list: 'chains',
      entry: { id: chainId, from: { kind: 'point', pointId }, to: { kind: 'grip', gripId }, pieces: usesAt(chainId, anchor, 'grip') },
    },
  ];
}

/** Where the last strand of a line begins and ends, by the points that its chains start from; what hangs in the air has none. */
function lastStrand(rig: Rig, { drive, via, to }: Rig['lines'][number]): readonly [Vec3 | undefined, Vec3 | undefined] {
  const at = (pointId: string | undefined) => {
    const point = rig.points.find(({ id }) => id === pointId);
    return point && pointPosition(rig, point);
  };
  const root = (chainId: string) => {
    const from = rig.chains.find(({ id }) => id === chainId)?.from;
    return from?.kind === 'point' ? at(from.pointId) : undefined;
  };
  const bend = via.at(-1);
  const before = bend
    ? bend.kind === 'pulley'
      ? root(bend.chainId)
      : at(bend.pointId)
    : 'pointId' in drive
      ? at(drive.pointId)
      : undefined;
  return [before, to.kind === 'chain' ? root(to.chainId) : undefined];
}
