/**
 * Solves a small dense linear system in place by elimination with row pivoting.
 * @param matrix n rows of n + 1 numbers, the last column being the right-hand side
 * @returns the n unknowns
 */
export function solveLinear(matrix: Float64Array[]): Float64Array {
  const n = matrix.length;
  for (let column = 0; column < n; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < n; row += 1) {
      if (Math.abs(matrix[row][column]) > Math.abs(matrix[pivot][column])) pivot = row;
    }
    [matrix[column], matrix[pivot]] = [matrix[pivot], matrix[column]];
    const head = matrix[column];
    for (let row = column + 1; row < n; row += 1) {
      const line = matrix[row];
      const factor = line[column] / head[column];
      if (factor === 0) continue;
      for (let k = column; k <= n; k += 1) line[k] -= factor * head[k];
    }
  }
  const unknowns = new Float64Array(n);
  for (let row = n - 1; row >= 0; row -= 1) {
    let sum = matrix[row][n];
    for (let k = row + 1; k < n; k += 1) sum -= matrix[row][k] * unknowns[k];
    unknowns[row] = sum / matrix[row][row];
  }
  return unknowns;
}
