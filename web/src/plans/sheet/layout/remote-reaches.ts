import { bodyOfPoint, type GearFacts, isWinch, type Policy, type Rig, remoteReachM } from '@wainrope/core';

/** How far from a winching vehicle its remote works. */
export interface RemoteReach {
  readonly lineId: string;
  readonly x: number;
  readonly y: number;
  readonly radiusM: number;
}

/** The reach of every winch's remote, where an operator stands outside that needs it. */
export function remoteReaches(rig: Rig, gear: ReadonlyMap<string, GearFacts>, policy: Policy): readonly RemoteReach[] {
  const operators = rig.bodies.flatMap((body) => (body.kind === 'person' && body.duty === 'operator' ? [body] : []));
  return rig.lines.flatMap(({ id, drive }) => {
    if (drive.kind !== 'winch') return [];
    const winch = gear.get(drive.use.gearId ?? '');
    const vehicle = bodyOfPoint(rig, drive.pointId);
    const outside = operators.some(({ inVehicleId }) => inVehicleId !== vehicle?.id);
    const radiusM = isWinch(winch) ? remoteReachM(winch, policy) : undefined;
    return vehicle && outside && radiusM !== undefined ? [{ lineId: id, x: vehicle.xM, y: vehicle.yM, radiusM }] : [];
  });
}
