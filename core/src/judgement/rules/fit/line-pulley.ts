import { isPulley, type Pulley } from '../../../gear/pulleys.ts';
import type { Assessment } from '../../../moment/assessment.ts';
import { isRope } from '../../../moment/drum-state.ts';
import { gearOf } from '../../../resolved/rig-network.ts';
import type { PieceUse } from '../../../rig/rig.ts';

/** A rope meeting a pulley. */
export interface RopeOnPulley {
  readonly use: PieceUse;
  readonly pulley: Pulley;
  readonly ropeTag: string;
  readonly steel: boolean;
  readonly ropeDiameterM: number | undefined;
}

/** Every pulley of every line with the rope that runs over it first. */
export function ropesOnPulleys({ rig, gear, network }: Assessment): readonly RopeOnPulley[] {
  return network.lines.flatMap(({ line, stops }) => {
    const rope = line.ropes[0] && gearOf(line.ropes[0], gear);
    return stops.flatMap(({ kind, chainId }) => {
      const use = kind === 'pulley' ? rig.chains.find(({ id }) => id === chainId)?.pieces.at(-1) : undefined;
      const pulley = use && gearOf(use, gear);
      if (!use || !isPulley(pulley) || !isRope(rope)) return [];
      return [{ use, pulley, ropeTag: rope.tag, steel: rope.kind === 'winch-line-steel', ropeDiameterM: rope.attributes.ropeDiameterM }];
    });
  });
}
