import type { Body, Rig } from '@wainrope/core';

/** The vehicle whose winch pulls, of the first line that one drives. */
export function winchingBody(rig: Rig): Body | undefined {
  const drive = rig.lines.find((line) => line.drive.kind === 'winch')?.drive;
  const bodyId = drive && 'pointId' in drive ? rig.points.find(({ id }) => id === drive.pointId)?.bodyId : undefined;
  return rig.bodies.find(({ id }) => id === bodyId);
}
