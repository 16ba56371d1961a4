import type { Moment } from '../../../moment/moment.ts';
import { covers } from '../../../moment/places.ts';
import { type ChosenUse, isChosen, type ResolvedLine } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { aboutUse } from '../../ask/speak.ts';
import type { About } from '../../ask/told.ts';

/** A rope or strap of a line and something that it may run over. */
export interface RopeOnPulley {
  readonly pulley: ChosenUse;
  readonly rope: ChosenUse;
  readonly line: ResolvedLine;
  readonly order: number;
  readonly stop: number;
}

/** Every pulley of every line with everything that is joined into that line: which of it lies over the pulley the moment tells. */
export function ropesOnPulleys({ lines }: ResolvedRig): readonly RopeOnPulley[] {
  return lines.flatMap((line) =>
    line.stops.flatMap(({ kind, chain }, stop) => {
      const pulley = kind === 'pulley' ? chain?.last : undefined;
      return line.ropes.flatMap((rope, order) => (isChosen(pulley) && isChosen(rope) ? [{ pulley, rope, line, order, stop }] : []));
    }),
  );
}

/** Told of the pulley; what is joined into the line has a place of its own there. */
export const aboutPulley = ({ pulley, rope, order }: RopeOnPulley): About => ({
  ...aboutUse(pulley),
  ...(order > 0 && { place: `under ${rope.use.id}` }),
});

/** Whether it lies over the pulley in a moment; the one rope of a line always does. */
export const liesOver = ({ balances }: Moment, { line, order, stop }: RopeOnPulley): boolean =>
  line.ropes.length === 1 || (balances !== undefined && covers({ line, order, stop }, balances.hauling));

/** A margin that is found wherever the rope lies over the pulley: -1, undefined where a fact is missing, else as much as there is no fault. */
export const foundWhereItLies = (moment: Moment, subject: RopeOnPulley, fault: boolean | undefined): number | undefined =>
  fault === false || !liesOver(moment, subject) ? 1 : fault === true ? -1 : undefined;
