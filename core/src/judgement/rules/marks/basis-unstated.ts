import { force, rich } from '../../../quantity/format.ts';
import { answerUses, chosenUses, openPiece, pieceName, type Rule } from '../../rule.ts';

export const basisUnstated: Rule = {
  code: 'basis-unstated',
  severity: 'caution',
  softenable: true,
  why: 'A bare number may be a working limit or a breaking strength; it is read as breaking strength, the unfavourable way.',
  needs: 'basis of every mark',
  check: (assessment) =>
    answerUses(chosenUses(assessment), ({ use, piece }) => {
      const limit = assessment.limits.get(use.id);
      if (limit?.kind !== 'rated' || !limit.limit.basisUnstated) return undefined;
      const written = piece.marks.find(({ basis }) => basis === 'unstated')?.asWritten ?? '';
      return {
        title: rich`${pieceName(piece)}: the mark “${written}” does not say what it means`,
        detail: rich`Read as breaking strength: ${force(limit.limit.mbsN)}. If the maker’s paper says working load limit, record that.`,
        fixes: [openPiece(piece, 'State the basis')],
      };
    }),
};
