export type LinearOutcome = { readonly kind: 'solved' } | { readonly kind: 'singular'; readonly column: number };

/** Pivots smaller than this share of the matrix's largest entry count as none (64-bit floats leave about 1e-16). */
const PIVOT_TOLERANCE = 1e-12;

/**
 * Solves A·x = b in place by elimination with row pivoting; `b` becomes x. `matrix` holds n rows of n, row after row.
 * Answers the first column without a pivot where the matrix is singular; `matrix` and `b` are spent either way.
 */
export function solveLinear(matrix: Float64Array, b: Float64Array): LinearOutcome {
  const n = b.length;
  const least = PIVOT_TOLERANCE * largest(matrix);
  for (let column = 0; column < n; column++) {
    const pivot = pivotRow(matrix, n, column);
    if (!(Math.abs(matrix[pivot * n + column] as number) > least)) return { kind: 'singular', column };
    if (pivot !== column) swapRows(matrix, b, n, pivot, column);
    eliminate(matrix, b, n, column);
  }
  for (let row = n - 1; row >= 0; row--) {
    let sum = b[row] as number;
    for (let column = row + 1; column < n; column++) sum -= (matrix[row * n + column] as number) * (b[column] as number);
    b[row] = sum / (matrix[row * n + row] as number);
  }
  return { kind: 'solved' };
}

function largest(matrix: Float64Array): number {
  let most = 0;
  for (const entry of matrix) if (Math.abs(entry) > most) most = Math.abs(entry);
  return most;
}

function pivotRow(matrix: Float64Array, n: number, column: number): number {
  let best = column;
  for (let row = column + 1; row < n; row++) {
    if (Math.abs(matrix[row * n + column] as number) > Math.abs(matrix[best * n + column] as number)) best = row;
  }
  return best;
}

function swapRows(matrix: Float64Array, b: Float64Array, n: number, a: number, c: number): void {
  for (let column = 0; column < n; column++) {
    const kept = matrix[a * n + column] as number;
    matrix[a * n + column] = matrix[c * n + column] as number;
    matrix[c * n + column] = kept;
  }
  const kept = b[a] as number;
  b[a] = b[c] as number;
  b[c] = kept;
}

function eliminate(matrix: Float64Array, b: Float64Array, n: number, column: number): void {
  const pivot = matrix[column * n + column] as number;
  for (let row = column + 1; row < n; row++) {
    const factor = (matrix[row * n + column] as number) / pivot;
    if (factor === 0) continue;
    for (let k = column; k < n; k++) matrix[row * n + k] = (matrix[row * n + k] as number) - factor * (matrix[column * n + k] as number);
    b[row] = (b[row] as number) - factor * (b[column] as number);
  }
}
