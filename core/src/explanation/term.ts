import type { Figure } from '../quantity/format.ts';

/** One line of how a figure was worked out. A leaf states a value; a figure with `how` follows from its terms. */
export interface Term {
  readonly label: string;
  /** Why this factor, in the reader's words: grade and date, the ratio, the school. */
  readonly reason?: string;
  readonly figure: Figure;
  readonly source?: string;
  readonly how?: { readonly operation: Operation; readonly of: readonly Term[] };
}

export type Operation =
  | 'product'
  | 'quotient'
  | 'sum'
  | 'difference'
  | 'least'
  | 'greatest'
  | 'same'
  | 'size'
  | 'power'
  | 'root'
  | 'vector-sum';

/**
 * Recomputes a figure from its explanation alone. A `quotient` divides its first term by all the others, a `difference`
 * takes them from it; `size` drops its sign, `power` raises it to the second, `root` is its square root.
 * A `vector-sum` takes two tensions and the angle between their strands: √(T₁² + T₂² + 2 T₁ T₂ cos β).
 */
export function evaluate(term: Term): number {
  if (term.how === undefined) return term.figure.si;
  const values = term.how.of.map(evaluate);
  switch (term.how.operation) {
    case 'product':
      return values.reduce((total, value) => total * value, 1);
    case 'quotient':
      return values.slice(1).reduce((total, value) => total / value, values[0] ?? Number.NaN);
    case 'sum':
      return values.reduce((total, value) => total + value, 0);
    case 'difference':
      return values.slice(1).reduce((total, value) => total - value, values[0] ?? Number.NaN);
    case 'size':
      return Math.abs(values[0] ?? Number.NaN);
    case 'power':
      return (values[0] ?? Number.NaN) ** (values[1] ?? Number.NaN);
    case 'root':
      return Math.sqrt(values[0] ?? Number.NaN);
    case 'least':
      return Math.min(...values);
    case 'greatest':
      return Math.max(...values);
    case 'same':
      return values[0] ?? Number.NaN;
    case 'vector-sum': {
      const [first = Number.NaN, second = Number.NaN, angle = Number.NaN] = values;
      return Math.sqrt(first * first + second * second + 2 * first * second * Math.cos(angle));
    }
    default: {
      const never: never = term.how.operation;
      return never;
    }
  }
}
