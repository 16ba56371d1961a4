import type { GearFacts } from '../../../gear/gear-facts.ts';
import { pinOf } from '../../../gear/pin-of.ts';
import type { Assessment, ChosenUse } from '../../../moment/assessment.ts';
import { isRope } from '../../../moment/drum-state.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { fallsShort } from '../../../quantity/tolerance.ts';
import { gearOf } from '../../../resolved/rig-network.ts';
import { answerUses, chooseAnother, type Fault, neighbours, pieceName, type Rule, usesOfClass } from '../../rule.ts';

export const thinPin: Rule = {
  code: 'thin-pin',
  severity: 'fix',
  softenable: true,
  why: 'A rope’s eye on a pin thinner than the rope loses about a third of its strength.',
  needs: 'pin and rope diameters',
  check: (assessment) => [
    ...answerUses(usesOfClass(assessment, 'line-extension'), ({ use, piece }) => {
      const { inner, outer } = neighbours(assessment, use);
      return thinFault(
        piece,
        [inner, outer].filter((other) => other !== undefined),
      );
    }),
    ...answerUses(lastRopes(assessment), ({ use, piece }) => {
      const to = assessment.rig.lines.find(({ ropes }) => ropes.at(-1)?.id === use.id)?.to;
      const ending = to?.kind === 'chain' ? assessment.rig.chains.find(({ id }) => id === to.chainId)?.pieces.at(-1) : undefined;
      const pin = ending && gearOf(ending, assessment.gear);
      return ending && pin ? thinFault(piece, [{ use: ending, piece: pin }]) : undefined;
    }),
  ],
};

/** The ropes whose ends the lines' last pieces take. */
function lastRopes({ rig, gear }: Assessment) {
  return rig.lines.flatMap(({ ropes }) => {
    const use = ropes.at(-1);
    const piece = use && gearOf(use, gear);
    return use && isRope(piece) ? [{ use, piece }] : [];
  });
}

function thinFault(rope: GearFacts, others: readonly ChosenUse[]): Fault | undefined {
  const diameterM = isRope(rope) ? rope.attributes.ropeDiameterM : undefined;
  if (diameterM === undefined) return undefined;
  const thin = others.find(({ piece }) => fallsShort(pinOf(piece) ?? diameterM, diameterM));
  if (!thin) return undefined;
  return {
    title: rich`${pieceName(thin.piece)} is thinner than ${pieceName(rope)}`,
    detail: rich`Pin ${smallLength(pinOf(thin.piece) ?? 0)}, rope ${smallLength(diameterM)}. Use a thicker connector.`,
    fixes: [chooseAnother(thin.use)],
  };
}
