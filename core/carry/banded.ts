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

/** Holds some freedoms at nothing: their rows and columns become those of the identity, in place. */
export function hold(band: number[], right: number[], size: number, half: number, held: Iterable<number>): void {
  const width = half + 1;
  for (const dof of held) {
    right[dof] = 0;
    for (let d = 0; d <= half; d += 1) {
      band[dof * width + d] = d === 0 ? 1 : 0;
      if (d > 0 && dof + d < size) band[(dof + d) * width + d] = 0;
    }
  }
}

/** What is left of the force on a freedom after the structure has taken its part of it: what holds it there, upwards positive. */
export function heldBack(band: readonly number[], force: readonly number[], x: readonly number[], half: number, row: number): number {
  const width = half + 1;
  let sum = force[row] as number;
  for (let column = Math.max(0, row - half); column <= Math.min(x.length - 1, row + half); column += 1) {
    const [hi, lo] = row >= column ? [row, column] : [column, row];
    sum -= (band[hi * width + hi - lo] as number) * (x[column] as number);
  }
  return sum;
}
