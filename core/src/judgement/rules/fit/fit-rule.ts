import type { FitKind } from '../../../gear/fit.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { type RuleHead, rigRule } from '../../ask/rule.ts';
import { aboutUse, chooseAnother, found, openPiece, pieceName, undecided } from '../../ask/speak.ts';

interface FitRow extends Pick<RuleHead, 'code' | 'why' | 'needs' | 'asks'> {
  readonly kind: FitKind;
  /** What goes in, and what it goes into: “pin”, “hole”. */
  readonly inner: string;
  readonly opening: string;
}

/** The rule of one kind of joint: it fits, it does not, or a size is not on record. */
export const fitRule = ({ kind, inner: what, opening, ...head }: FitRow) =>
  rigRule({
    ...head,
    severity: 'stop',
    softenable: false,
    subjects: ({ fits }) => fits.filter((fit) => fit.kind === kind),
    about: ({ inner, outer }) => ({ ...aboutUse(inner), place: outer?.use.id ?? 'round' }),
    answer: (_, { inner, outer, sizeM, openingM, fits }) => {
      if (fits === true) return undefined;
      const taker = outer ?? inner;
      const names = { name: pieceName(inner.piece), taker: pieceName(taker.piece) };
      if (fits === undefined || sizeM === undefined || openingM === undefined)
        return undecided({ ...names, sizeM: 0, openingM: 0 }, openPiece(sizeM === undefined ? inner.piece : taker.piece, 'Enter the size'));
      return found({ ...names, sizeM, openingM }, chooseAnother(inner));
    },
    title: ({ name, taker }) => rich`${name} does not fit ${taker}`,
    detail: ({ sizeM, openingM }) => rich`Its ${what} is ${smallLength(sizeM)}, the ${opening} ${smallLength(openingM)}.`,
    question: ({ name, taker }) =>
      rich`Does the ${what} of ${name} go into the ${opening} of ${taker}? One of the two sizes is not on record.`,
  });
