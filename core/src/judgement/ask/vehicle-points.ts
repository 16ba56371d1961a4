import type { ResolvedUse } from '../../resolved/parts.ts';
import type { ResolvedRig } from '../../resolved/resolved-rig.ts';
import { pieceName } from './speak.ts';

/** Every place for a vehicle's point, whether a piece of the register or a person's word stands for it. */
export const pointUses = ({ uses }: ResolvedRig): readonly ResolvedUse[] =>
  uses.filter(
    ({ use, piece }) => use.role === 'point' && (piece === undefined ? use.named !== undefined || use.judged !== undefined : true),
  );

/** What a point is called: by its piece, else by its name on the vehicle. */
export function pointName({ piece, seat }: ResolvedUse): string {
  if (piece !== undefined) return pieceName(piece);
  return (seat.kind === 'chain' ? seat.chain.point?.point.label : undefined) ?? 'the point';
}
