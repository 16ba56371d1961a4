import type { Body, Chain, Rig } from './rig.ts';

/** The body on which a piece's chain begins, or whose drive a line belongs to; nothing for a chain that hangs in the air. */
export function bodyOfUse(rig: Rig, useId: string): Body | undefined {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === useId));
  if (chain) return bodyOfPoint(rig, pointIdOf(chain));
  const back = rig.backAnchors?.find(({ pieces }) => pieces.some(({ id }) => id === useId));
  // The pieces of a back-anchor go from what holds to the vehicle, whose own point is the last.
  if (back) return bodyOfPoint(rig, isVehiclesOwn(back, useId) ? back.vehiclePointId : back.anchorPointId);
  const line = rig.lines.find(
    ({ drive, ropes }) => (drive.kind === 'winch' && drive.use.id === useId) || ropes.some(({ id }) => id === useId),
  );
  if (!line) return undefined;
  if (line.drive.kind === 'winch' || line.drive.kind === 'hand') return bodyOfPoint(rig, line.drive.pointId);
  return undefined;
}

function isVehiclesOwn({ pieces }: NonNullable<Rig['backAnchors']>[number], useId: string): boolean {
  const last = pieces.at(-1);
  return pieces.length > 1 && last?.id === useId && last.role === 'point';
}

const pointIdOf = ({ from }: Chain): string | undefined => (from.kind === 'point' ? from.pointId : undefined);

function bodyOfPoint(rig: Rig, pointId: string | undefined): Body | undefined {
  const point = rig.points.find(({ id }) => id === pointId);
  return rig.bodies.find(({ id }) => id === point?.bodyId);
}
