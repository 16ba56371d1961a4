import { isPulley, isRope, type RunningRope } from '../../../gear/traits.ts';
import { type ChosenUse, isChosen } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';

/** A rope meeting a pulley. */
export interface RopeOnPulley {
  readonly pulley: ChosenUse;
  readonly rope: RunningRope;
}

/** Every pulley of every line with the rope that runs over it first. */
export function ropesOnPulleys({ lines }: ResolvedRig): readonly RopeOnPulley[] {
  return lines.flatMap(({ ropes: [first], stops }) => {
    const rope = first?.piece;
    return stops.flatMap(({ kind, chain }) => {
      const pulley = kind === 'pulley' ? chain?.last : undefined;
      return isChosen(pulley) && isPulley(pulley.piece) && isRope(rope) ? [{ pulley, rope }] : [];
    });
  });
}
