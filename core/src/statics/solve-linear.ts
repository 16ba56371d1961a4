export type LinearOutcome =
  /** `leastPivot`: the smallest pivot met, as a share of the matrix's largest entry. */
  { readonly kind: 'solved'; readonly leastPivot: number } | { readonly kind: 'singular'; readonly column: number };

/** Pivots smaller than this share of the matrix's largest entry count as none (64-bit floats leave about 1e-16). */
const PIVOT_TOLERANCE = 1e-12;

/**
 * Solves A·x = b in place by elimination with row pivoting; `b` becomes x. `matrix` holds n rows of n, row after row.
 * Answers the first column without a pivot where the matrix is singular; `matrix` and `b` are spent either way.
 */
export function solveLinear(matrix: Float64Array, b: Float64Array): LinearOutcome {
  const n = b.length;
  const most = largest(matrix);
  let smallest = most;
  for (let column = 0; column < n; column++) {
    const pivot = pivotRow(matrix, n, column);
    const size = Math.abs(matrix[pivot * n + column] as number);
    if (!(size > PIVOT_TOLERANCE * most)) return { kind: 'singular', column };
    smallest = Math.min(smallest, size);
    if (pivot !== column) swapRows(matrix, b, pivot, column);
    eliminate(matrix, b, column);
  }
  for (let row = n - 1; row >= 0; row--) {
    const line = row * n;
    let sum = b[row] as number;
    for (let column = row + 1; column < n; column++) sum -= (matrix[line + column] as number) * (b[column] as number);
    b[row] = sum / (matrix[line + row] as number);
  }
  return { kind: 'solved', leastPivot: n === 0 ? 1 : smallest / most };
}

function largest(matrix: Float64Array): number {
  let most = 0;
  for (let index = 0; index < matrix.length; index++) {
    const size = Math.abs(matrix[index] as number);
    if (size > most) most = size;
  }
  return most;
}

function pivotRow(matrix: Float64Array, n: number, column: number): number {
  let best = column;
  let most = Math.abs(matrix[column * n + column] as number);
  for (let row = column + 1; row < n; row++) {
    const size = Math.abs(matrix[row * n + column] as number);
    if (size > most) {
      most = size;
      best = row;
    }
  }
  return best;
}

function swapRows(matrix: Float64Array, b: Float64Array, low: number, high: number): void {
  const n = b.length;
  // What stands left of the pivot's column is spent and need not move.
  for (let column = high; column < n; column++) {
    const kept = matrix[low * n + column] as number;
    matrix[low * n + column] = matrix[high * n + column] as number;
    matrix[high * n + column] = kept;
  }
  const kept = b[low] as number;
  b[low] = b[high] as number;
  b[high] = kept;
}

function eliminate(matrix: Float64Array, b: Float64Array, column: number): void {
  const n = b.length;
  const from = column * n;
  const inverse = 1 / (matrix[from + column] as number);
  const right = b[column] as number;
  for (let row = column + 1; row < n; row++) {
    const line = row * n;
    const factor = (matrix[line + column] as number) * inverse;
    if (factor === 0) continue;
    for (let k = column + 1; k < n; k++) matrix[line + k] = (matrix[line + k] as number) - factor * (matrix[from + k] as number);
    b[row] = (b[row] as number) - factor * right;
  }
}
