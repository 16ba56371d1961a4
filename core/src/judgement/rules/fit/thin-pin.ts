import { isRope, pinOf, ropeDiameterOf } from '../../../gear/traits.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { type ChosenUse, isChosen } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName, usesOfClass } from '../../ask/speak.ts';

export const thinPin = rigRule({
  code: 'thin-pin',
  severity: 'fix',
  softenable: true,
  why: 'A rope’s eye on a pin thinner than the rope loses about a third of its strength.',
  needs: ['use.piece', 'gear.pinDiameterM', 'gear.ropeDiameterM', 'gear.treadDiameterM'],
  subjects: eyesOnPins,
  about: ({ rope }) => aboutUse(rope),
  answer: (_, { rope, pins }) => {
    const ropeM = ropeDiameterOf(rope.piece);
    if (ropeM === undefined) return undefined;
    const thin = pins.find(({ piece }) => fallsShort(pinOf(piece) ?? ropeM, ropeM));
    if (thin === undefined) return undefined;
    return found({ thin: pieceName(thin.piece), rope: pieceName(rope.piece), pinM: pinOf(thin.piece) ?? 0, ropeM }, chooseAnother(thin));
  },
  title: ({ thin, rope }) => rich`${thin} is thinner than ${rope}`,
  detail: ({ pinM, ropeM }) => rich`Pin ${smallLength(pinM)}, rope ${smallLength(ropeM)}. Use a thicker connector.`,
});

interface EyeOnPins {
  readonly rope: ChosenUse;
  readonly pins: readonly ChosenUse[];
}

/** Extensions in chains with their neighbours, and the last rope of each line with the piece that takes its end. */
function eyesOnPins(rig: ResolvedRig): readonly EyeOnPins[] {
  const inChains = usesOfClass(rig, 'line-extension').map((rope) => ({ rope, pins: [rope.inner, rope.outer].filter(isChosen) }));
  const atEnds = rig.lines.flatMap(({ ropes, stops }) => {
    const rope = ropes.at(-1);
    return isChosen(rope) && isRope(rope.piece) ? [{ rope, pins: [stops.at(-1)?.chain?.last].filter(isChosen) }] : [];
  });
  return [...inChains, ...atEnds];
}
