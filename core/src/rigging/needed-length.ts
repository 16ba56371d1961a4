import { joinedLengthM } from '../gear/traits.ts';
import type { Line, PieceUse, Rig } from '../rig/rig.ts';
import { pointOfChain, pointPosition } from '../rig/site-geometry.ts';
import { distance, type Vec3 } from '../statics/vec3.ts';
import type { FactsById } from './goes-in.ts';

/** Wraps that are left on a drum when a line is chosen for it, before the rules count them by its sizes. */
const WRAPS_LEFT = 10;
/** Rope in one of them on a usual drum, metres. */
const WRAP_M = 0.27;

/**
 * How long a piece has to be in its place so that its line or back-anchor reaches, metres, by where points stand at the start; joints in
 * the air count where the way is longest. Undefined where no length is asked for there. This is for choosing before a rig is judged.
 */
export function neededLengthM(rig: Rig, use: PieceUse, byId: FactsById): number | undefined {
  const line = rig.lines.find(({ ropes }) => ropes.some(({ id }) => id === use.id));
  if (line) return neededInLine(rig, line, use, byId);
  const back = rig.backAnchors?.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  if (!back || use.role === 'connector' || use.role === 'point') return undefined;
  const [from, to] = [back.anchorPointId, back.vehiclePointId].map((id) => positionOf(rig, id));
  return from && to && distance(from, to) - lengthOfOthers(back.pieces, use, byId);
}

function neededInLine(rig: Rig, line: Line, use: PieceUse, byId: FactsById): number | undefined {
  if (use.role === 'connector') return undefined;
  const reserveM = line.drive.kind === 'winch' ? WRAPS_LEFT * WRAP_M : 0;
  const wayM = line.drive.kind === 'held' ? line.drive.lengthM : wayOf(rig, line);
  const paidOutM = line.drive.kind === 'winch' && rig.purpose === 'lower' ? paidOutPerM(line) * (rig.load?.travelM ?? 0) : 0;
  return wayM === undefined ? undefined : wayM + paidOutM + reserveM - lengthOfOthers(line.ropes, use, byId);
}

const lengthOfOthers = (uses: readonly PieceUse[], use: PieceUse, byId: FactsById): number =>
  uses.reduce((sum, other) => {
    const facts = other.id === use.id ? undefined : byId(other.gearId);
    return sum + ((facts && joinedLengthM(facts)) ?? 0);
  }, 0);

/** How much line a lowering winch pays out for a metre of the load's way, at most: one for each part of the line. */
const paidOutPerM = (line: Line): number => line.via.length + 1;

/** The way of a line from stop to stop, metres. */
function wayOf(rig: Rig, line: Line): number | undefined {
  const stops = [
    startOf(rig, line),
    ...line.via.map((bend) => (bend.kind === 'edge' ? single(positionOf(rig, bend.pointId)) : ofChain(rig, bend.chainId))),
    ofEnd(rig, line.to),
  ];
  let [wayM, here] = [0, stops[0]?.[0]];
  for (const next of stops.slice(1)) {
    const from = here;
    if (from === undefined || next.length === 0) return undefined;
    const far = next.reduce((most, at) => (distance(from, at) > distance(from, most) ? at : most), next[0] as Vec3);
    wayM += distance(from, far);
    here = far;
  }
  return wayM;
}

const single = (at: Vec3 | undefined): readonly Vec3[] => (at ? [at] : []);

function positionOf(rig: Rig, pointId: string): Vec3 | undefined {
  const point = rig.points.find(({ id }) => id === pointId);
  return point && pointPosition(rig, point);
}

function startOf(rig: Rig, { drive }: Line): readonly Vec3[] {
  if (drive.kind === 'winch' || drive.kind === 'hand') return single(positionOf(rig, drive.pointId));
  return drive.kind === 'tow' ? ofChain(rig, drive.chainId) : ofEnd(rig, drive.end);
}

const ofEnd = (rig: Rig, end: Line['to']): readonly Vec3[] =>
  end.kind === 'chain' ? ofChain(rig, end.chainId) : ofJoint(rig, end.jointId);

function ofChain(rig: Rig, chainId: string): readonly Vec3[] {
  const chain = rig.chains.find(({ id }) => id === chainId);
  if (!chain) return [];
  const point = pointOfChain(rig, chain);
  if (point) return [pointPosition(rig, point)];
  return chain.from.kind === 'joint' ? ofJoint(rig, chain.from.jointId) : [];
}

/** Where a joint in the air may be: at the points that its legs come from, or that a line which ends in it runs over. */
function ofJoint(rig: Rig, jointId: string): readonly Vec3[] {
  const legs = rig.chains
    .filter(({ to }) => to?.kind === 'joint' && to.jointId === jointId)
    .flatMap((chain) => single(positionOf(rig, pointOfChain(rig, chain)?.id ?? '')));
  const lines = rig.lines.filter(({ drive, to }) =>
    [drive.kind === 'held' ? drive.end : undefined, to].some((end) => end?.kind === 'joint' && end.jointId === jointId),
  );
  const over = lines.flatMap(({ via }) =>
    via.flatMap((bend) => {
      const chain = bend.kind === 'pulley' ? rig.chains.find(({ id }) => id === bend.chainId) : undefined;
      return single(chain && positionOf(rig, pointOfChain(rig, chain)?.id ?? ''));
    }),
  );
  return [...legs, ...over];
}

/** The length of the like leg of the same bridle, where one is chosen; a bridle's legs are alike. Metres. */
export function likeLegM(rig: Rig, use: PieceUse, byId: FactsById): number | undefined {
  const own = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  if (own?.to?.kind !== 'joint' || use.role !== 'strap') return undefined;
  const { jointId } = own.to;
  const others = rig.chains.filter(({ to, id }) => id !== own.id && to?.kind === 'joint' && to.jointId === jointId);
  const straps = others.flatMap(({ pieces }) => pieces.filter(({ role }) => role === 'strap').map(({ gearId }) => byId(gearId)));
  return straps.flatMap((facts) => (facts && joinedLengthM(facts)) ?? [])[0];
}

/** Whether a place is a leg of a bridle whose other leg is still to be chosen: it wants one of which there are two. */
export function isFirstLeg(rig: Rig, use: PieceUse, byId: FactsById): boolean {
  const own = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === use.id));
  if (own?.to?.kind !== 'joint' || use.role !== 'strap' || likeLegM(rig, use, byId) !== undefined) return false;
  const { jointId } = own.to;
  return rig.chains.some(
    ({ id, to, pieces }) => id !== own.id && to?.kind === 'joint' && to.jointId === jointId && pieces.some(({ role }) => role === 'strap'),
  );
}

/** Whether a place is the rope of a pull with a run-up, which wants one that stretches. */
export const isRunUpRope = (rig: Rig, use: PieceUse): boolean =>
  use.role === 'tow-rope' &&
  rig.lines.some(({ drive, ropes }) => drive.kind === 'tow' && drive.manner === 'run-up' && ropes.some(({ id }) => id === use.id));
