import type { Term } from '../explanation/term.ts';
import type { GearFacts } from '../gear/gear-facts.ts';
import { basisWords, sourceWords } from '../gear/mark.ts';
import type { FactoredUse } from '../policy/policy.ts';
import { force, ratio } from '../quantity/format.ts';
import type { Derate } from './derates.ts';
import { type LimitContext, type PieceLimit, pieceLimit } from './piece-limit.ts';
import { useWords } from './usual-use.ts';
import type { Deciding, Limit } from './working-limit.ts';

function markTerm({ mark, readingN }: Deciding): Term {
  const unstated = mark.basis === 'unstated' ? 'basis not stated, taken as breaking strength' : basisWords[mark.basis];
  const shared = mark.readings.length > 1 ? ', smallest of the possible tons' : '';
  const halved = mark.basis === 'basket-mbs' || mark.basis === 'proof' ? ', halved' : '';
  return {
    label: `Marked “${mark.asWritten}”`,
    reason: `${unstated}${shared}${halved}`,
    source: sourceWords[mark.source],
    figure: force(readingN),
  };
}

/** The breaking strength before any derate. */
function breakingTerm(limit: Limit): Term {
  if (limit.markedMbs) return markTerm(limit.markedMbs);
  const marked = limit.markedWll;
  const factor = limit.inferredBy ?? 1;
  const figure = force(limit.mbsN);
  if (!marked) return { label: 'Breaking strength', figure };
  const of = [markTerm(marked), { label: '× maker’s usual factor', figure: ratio(factor), reason: 'breaking strength inferred' }];
  return { label: 'Breaking strength, inferred', figure, how: { operation: 'product', of } };
}

/** The working limit before any derate. */
function baseTerm(limit: Limit, source: string): Term {
  const quotient: Term = {
    label: 'Breaking strength ÷ design factor',
    figure: force(limit.mbsN / limit.designFactor),
    how: {
      operation: 'quotient',
      of: [breakingTerm(limit), { label: '÷ design factor', figure: ratio(limit.designFactor), reason: useWords[limit.use], source }],
    },
  };
  if (!limit.markedWll) return { ...quotient, label: 'Before condition' };
  if (limit.wllN > quotient.figure.si * (1 + 1e-12))
    return { label: 'Working limit as marked', figure: force(limit.wllN), how: { operation: 'same', of: [markTerm(limit.markedWll)] } };
  return { label: 'Before condition', figure: force(limit.wllN), how: { operation: 'least', of: [markTerm(limit.markedWll), quotient] } };
}

export function derateTerm({ name, factor, reason, source }: Derate): Term {
  return { label: `× ${name}`, reason, source, figure: ratio(factor) };
}

/** How a working limit was worked out: marks, design factor, condition, wet, then the factors of one place. */
export function explainRatedLimit(
  rated: Extract<PieceLimit, { kind: 'rated' }>,
  designFactorSource: string,
  locals: readonly Derate[] = [],
): Term {
  const factors = [...rated.globals, ...locals];
  const figure = force(locals.reduce((total, { factor }) => total * factor, rated.wllN));
  const base = baseTerm(rated.limit, designFactorSource);
  if (factors.length === 0) return { ...base, label: 'Working limit' };
  return { label: 'Working limit', figure, how: { operation: 'product', of: [base, ...factors.map(derateTerm)] } };
}

/** How a breaking strength was worked out, with all factors of its place. */
export function explainRatedBreaking(rated: Extract<PieceLimit, { kind: 'rated' }>, locals: readonly Derate[] = []): Term {
  const factors = [...rated.globals, ...locals];
  const figure = force(locals.reduce((total, { factor }) => total * factor, rated.mbsN));
  const base = breakingTerm(rated.limit);
  if (factors.length === 0) return base;
  return { label: 'Breaking strength', figure, how: { operation: 'product', of: [base, ...factors.map(derateTerm)] } };
}

/** The limit of a piece in one use, explained; undefined where it has none. */
export function explainLimit(piece: GearFacts, use: FactoredUse, context: LimitContext): Term | undefined {
  const rated = pieceLimit(piece, use, context);
  return rated.kind === 'rated' ? explainRatedLimit(rated, context.policy.designFactors[use].source) : undefined;
}
