/**
 * Factors a symmetric positive definite banded matrix in place (Cholesky), stored by rows:
 * `band[row * (half + 1) + d]` holds the entry of `row` and `row - d`.
 * @returns false when the matrix is not positive definite
 */
export function factor(band: number[], size: number, half: number): boolean {
  const width = half + 1;
  const at = (row: number, column: number) => row * width + (row - column);
  for (let row = 0; row < size; row += 1) {
    const first = Math.max(0, row - half);
    const start = band[at(row, row)] as number;
    for (let column = first; column <= row; column += 1) {
      let sum = band[at(row, column)] as number;
      for (let k = Math.max(first, column - half); k < column; k += 1) {
        sum -= (band[at(row, k)] as number) * (band[at(column, k)] as number);
      }
      if (column < row) band[at(row, column)] = sum / (band[at(column, column)] as number);
      else {
        if (!(sum > 1e-12 * Math.abs(start))) return false;
        band[at(row, row)] = Math.sqrt(sum);
      }
    }
  }
  return true;
}

/** Solves with a matrix that `factor` has factored; the right-hand side is not changed. */
export function solveBanded(band: number[], right: number[], size: number, half: number): number[] {
  const width = half + 1;
  const at = (row: number, column: number) => row * width + (row - column);
  const x = right.slice();
  for (let row = 0; row < size; row += 1) {
    let sum = x[row] as number;
    for (let k = Math.max(0, row - half); k < row; k += 1) sum -= (band[at(row, k)] as number) * (x[k] as number);
    x[row] = sum / (band[at(row, row)] as number);
  }
  for (let row = size - 1; row >= 0; row -= 1) {
    let sum = x[row] as number;
    for (let k = row + 1; k <= Math.min(size - 1, row + half); k += 1) sum -= (band[at(k, row)] as number) * (x[k] as number);
    x[row] = sum / (band[at(row, row)] as number);
  }
  return x;
}
