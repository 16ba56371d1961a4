import type { GearFacts } from '../../gear/gear-facts.ts';
import { rich, smallLength } from '../../quantity/format.ts';
import { fallsShort } from '../../quantity/tolerance.ts';
import { gearOf } from '../../rig/rig-network.ts';
import { type Assessment, type ChosenUse, driveLine } from '../assessment.ts';
import { isRope } from '../drum-report.ts';
import { pinOf } from '../places-of-rig.ts';
import { answerUses, chooseAnother, type Fault, neighbours, pieceName, type Rule, usesOfClass } from '../rule.ts';

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
    ...answerUses(lastRopes(assessment), ({ piece }) => {
      const ending = assessment.rig.chains.find(({ id }) => id === driveLine(assessment.rig).to.chainId)?.pieces.at(-1);
      const pin = ending && gearOf(ending, assessment.gear);
      return ending && pin ? thinFault(piece, [{ use: ending, piece: pin }]) : undefined;
    }),
  ],
};

/** The rope whose end the line's last piece takes. */
function lastRopes(assessment: Assessment) {
  const use = driveLine(assessment.rig).ropes.at(-1);
  const piece = use && gearOf(use, assessment.gear);
  return use && isRope(piece) ? [{ use, piece }] : [];
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
