import { isPulley, type Pulley } from '../../gear/pulleys.ts';
import type { PieceUse } from '../../rig/rig.ts';
import { gearOf } from '../../rig/rig-network.ts';
import { type Assessment, driveLine } from '../assessment.ts';
import { isRope } from '../drum-report.ts';

/** A rope meeting a pulley. */
export interface RopeOnPulley {
  readonly use: PieceUse;
  readonly pulley: Pulley;
  readonly ropeTag: string;
  readonly steel: boolean;
  readonly ropeDiameterM: number | undefined;
}

/** Every bend of the line with the winch line that runs over it. */
export function ropesOnPulleys({ rig, gear }: Assessment): readonly RopeOnPulley[] {
  const line = driveLine(rig);
  const rope = line.ropes[0] && gearOf(line.ropes[0], gear);
  return line.via.flatMap(({ chainId }) => {
    const use = rig.chains.find(({ id }) => id === chainId)?.pieces.at(-1);
    const pulley = use && gearOf(use, gear);
    if (!use || !isPulley(pulley) || !isRope(rope)) return [];
    return [{ use, pulley, ropeTag: rope.tag, steel: rope.kind === 'winch-line-steel', ropeDiameterM: rope.attributes.ropeDiameterM }];
  });
}
