import { force, rich } from '../../../quantity/format.ts';
import { answerUses, chosenUses, openPiece, pieceName, type Rule } from '../../rule.ts';

export const settingDecided: Rule = {
  code: 'setting-decided',
  severity: 'note',
  softenable: true,
  why: 'One mark before three digits may part thousands or decimals; the team’s setting decided.',
  needs: 'the words of every mark',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ piece }) => {
      const mark = piece.marks.find((entry) => entry.settingDecided);
      if (mark === undefined) return undefined;
      return {
        title: rich`${pieceName(piece)}: “${mark.asWritten}” was read as ${force(mark.readings[0]?.forceN ?? 0)}`,
        detail: rich`Check it against the tag.`,
        fixes: [openPiece(piece, 'Check the mark')],
      };
    }),
};
