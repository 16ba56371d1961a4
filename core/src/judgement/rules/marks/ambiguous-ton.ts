import { force, rich } from '../../../quantity/format.ts';
import { answerUses, chosenUses, openPiece, pieceName, type Rule } from '../../rule.ts';

export const ambiguousTon: Rule = {
  code: 'ambiguous-ton',
  severity: 'caution',
  softenable: true,
  why: 'A bare “ton” may be 907, 1 000 or 1 016 kg; a strength takes the smallest, a winch’s greatest pull the largest.',
  needs: 'units of every mark',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ piece }) => {
      const mark = piece.marks.find(({ readings }) => readings.length > 1);
      if (mark === undefined) return undefined;
      const [least, most] = [mark.readings[0]?.forceN ?? 0, mark.readings.at(-1)?.forceN ?? 0];
      return {
        title: rich`${pieceName(piece)}: “${mark.asWritten}” does not say which ton`,
        detail: rich`Between ${force(least)} and ${force(most)}; the unfavourable one is used.`,
        fixes: [openPiece(piece, 'Say which ton')],
      };
    }),
};
