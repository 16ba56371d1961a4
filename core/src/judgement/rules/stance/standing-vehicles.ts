import type { PulledVehicle } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';

/** What has to stand where it is: not the load, and not what tows, whose grip another rule asks for. */
export const standingVehicles = ({ vehicles, drives }: ResolvedRig): readonly PulledVehicle[] =>
  vehicles.filter(({ isLoad, on }) => !isLoad && !drives.some((drive) => drive.kind === 'tow' && drive.on === on));
