import { isWinch } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, chosenUses, found, openPiece, pieceName } from '../../ask/speak.ts';

export const unrated = rigRule({
  code: 'unrated',
  severity: 'stop',
  softenable: false,
  why: 'Without a mark nobody can say what a piece may carry.',
  needs: ['use.piece', 'use.judged', 'gear.marks'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, use) => {
    const bare = (use.limit?.kind === 'unrated' && use.use.judged === undefined) || (isWinch(use.piece) && use.piece.marks.length === 0);
    return bare ? found({ name: pieceName(use.piece) }, [...chooseAnother(use), ...openPiece(use.piece, 'Enter its mark')]) : undefined;
  },
  title: ({ name }) => rich`${name} has no rating`,
  detail: () => rich`No working load limit, breaking strength or rated pull is on record. Enter what is marked on it, or use another.`,
});
