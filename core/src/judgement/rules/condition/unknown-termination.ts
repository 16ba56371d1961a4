import { isRope } from '../../../gear/traits.ts';
import { percent, rich } from '../../../quantity/format.ts';
import { rigRule } from '../../ask/rule.ts';
import { aboutUse, chosenUses, openPiece, pieceName, undecided } from '../../ask/speak.ts';

export const unknownTermination = rigRule({
  code: 'unknown-termination',
  severity: 'caution',
  softenable: true,
  why: 'How an end is made decides how much of the rope’s strength reaches it.',
  needs: ['use.piece', 'gear.endTermination', 'policy'],
  asks: 'How is the end made up?',
  subjects: chosenUses,
  about: aboutUse,
  answer: ({ policy }, { piece }) => {
    if (!isRope(piece)) return undefined;
    const end = piece.attributes.endTermination;
    if (end !== undefined && end !== 'unknown') return undefined;
    return undecided({ name: pieceName(piece), share: policy.terminations.unknown.value }, openPiece(piece, 'Enter its end'));
  },
  title: ({ name, share }) => rich`How is the end of ${name} made? Until somebody looks, ${percent(share)} of its strength counts there.`,
  detail: () => rich``,
});
