import { rich, smallLength } from '../../quantity/format.ts';
import { fallsShort } from '../../quantity/tolerance.ts';
import { pinOf } from '../places-of-rig.ts';
import { answerUses, chooseAnother, neighbours, pieceName, type Rule, usesOfClass } from '../rule.ts';

export const thinPin: Rule = {
  code: 'thin-pin',
  severity: 'fix',
  softenable: true,
  why: 'A rope’s eye on a pin thinner than the rope loses about a third of its strength.',
  needs: 'pin and rope diameters',
  check: (assessment) =>
    answerUses(usesOfClass(assessment, 'line-extension'), ({ use, piece }) => {
      const { inner, outer } = neighbours(assessment, use);
      const rope = piece.attributes.ropeDiameterM;
      const thin = [inner, outer].find((other) => other && rope !== undefined && fallsShort(pinOf(other.piece) ?? rope, rope));
      if (!thin || rope === undefined) return undefined;
      return {
        title: rich`${pieceName(thin.piece)} is thinner than ${pieceName(piece)}`,
        detail: rich`Pin ${smallLength(pinOf(thin.piece) ?? 0)}, rope ${smallLength(rope)}. Use a thicker connector.`,
        fixes: [chooseAnother(thin.use)],
      };
    }),
};
