import { isRope } from '../../../gear/traits.ts';
import { rich } from '../../../quantity/format.ts';
import type { ChosenUse } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, pieceName } from '../../ask/speak.ts';

export const pieceUsedTwice = rigRule({
  code: 'piece-used-twice',
  severity: 'stop',
  softenable: false,
  why: 'One piece cannot be in two places of one rig.',
  needs: ['use.piece'],
  subjects: usedAgain,
  about: aboutUse,
  answer: (_, use) => found({ name: pieceName(use.piece) }, chooseAnother(use)),
  title: ({ name }) => rich`${name} is used twice`,
  detail: () => rich`Choose another for one of its places.`,
});

/** Uses whose piece is in a place before; one rope may serve as two where a grip parts it, and several may hang on one point. */
function usedAgain({ chosen }: ResolvedRig): readonly ChosenUse[] {
  const parted = chosen.some(({ use }) => use.role === 'grip');
  const seen = new Set<string>();
  return chosen.filter(({ piece, use }) => {
    const again = seen.has(piece.id) && !(parted && isRope(piece)) && use.role !== 'point';
    seen.add(piece.id);
    return again;
  });
}
