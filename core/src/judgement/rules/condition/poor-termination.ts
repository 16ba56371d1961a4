import { isRope } from '../../../moment/drum-state.ts';
import { percent, rich } from '../../../quantity/format.ts';
import { answerUses, chooseAnother, chosenUses, pieceName, type Rule } from '../../rule.ts';

const POOR = ['short-or-blunt-bury', 'figure-eight', 'bowline', 'other-knot'];

export const poorTermination: Rule = {
  code: 'poor-termination',
  severity: 'fix',
  softenable: false,
  why: 'A knot or a short bury gives away a third to more than half of a rope’s strength.',
  needs: 'how the end of each rope is made',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      const end = isRope(piece) ? piece.attributes.endTermination : undefined;
      if (end === undefined || !POOR.includes(end)) return undefined;
      const place = assessment.places.find(({ id }) => id === `${use.id}:end`);
      return {
        title: rich`${pieceName(piece)} ends in a ${end.replaceAll('-', ' ')}`,
        detail: rich`${percent(place?.locals[0]?.factor ?? 0)} of its strength is left there. A long tapered splice is needed.`,
        fixes: [chooseAnother(use)],
      };
    }),
};
