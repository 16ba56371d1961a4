import type { FitKind, Joint } from '../../../gear/fit.ts';
import type { Assessment } from '../../../moment/assessment.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { type Answer, chooseAnother, notFound, openPiece, pieceName, useSubject } from '../../rule.ts';

export interface FitWords {
  /** What goes in, and what it goes into: “pin”, “hole”. */
  readonly inner: string;
  readonly opening: string;
}

/** One answer for every joint of a kind: it fits, it does not, or a size is not on record. */
export function fitAnswers(assessment: Assessment, kind: FitKind, words: FitWords): readonly Answer[] {
  return assessment.joints.filter((joint) => joint.kind === kind).map((joint) => answer(joint, words));
}

function answer({ inner, outer, sizeM, openingM, fits }: Joint, { inner: what, opening }: FitWords): Answer {
  const subject = useSubject(inner.use);
  if (fits === true) return notFound(subject);
  const taker = outer ?? inner;
  if (fits === undefined || sizeM === undefined || openingM === undefined)
    return {
      kind: 'undecided',
      subject,
      question: rich`Does the ${what} of ${pieceName(inner.piece)} go into the ${opening} of ${pieceName(taker.piece)}? One of the two sizes is not on record.`,
      fixes: [openPiece(sizeM === undefined ? inner.piece : taker.piece, 'Enter the size')],
    };
  return {
    kind: 'found',
    subject,
    title: rich`${pieceName(inner.piece)} does not fit ${pieceName(taker.piece)}`,
    detail: rich`Its ${what} is ${smallLength(sizeM)}, the ${opening} ${smallLength(openingM)}.`,
    fixes: [chooseAnother(inner.use)],
  };
}
