import { rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, chosenUses, found, openPiece, pieceName } from '../../ask/speak.ts';

export const advertOnly = rigRule({
  code: 'advert-only',
  severity: 'fix',
  softenable: true,
  why: 'An advert is a claim, not a rating.',
  needs: ['use.piece', 'gear.marks'],
  subjects: chosenUses,
  about: aboutUse,
  answer: (_, use) => {
    if (use.limit?.kind !== 'rated' || !use.limit.limit.advertOnly) return undefined;
    return found({ name: pieceName(use.piece) }, [...chooseAnother(use), ...openPiece(use.piece, 'Record a better source')]);
  },
  title: ({ name }) => rich`Nothing but an advert rates ${name}`,
  detail: () => rich`Look for a stamp, a label or the maker’s paper, or use another piece.`,
});
