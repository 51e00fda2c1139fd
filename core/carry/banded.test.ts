import fc from 'fast-check';
import { factor, solveBanded } from './banded.js';
import { runs } from '../testing/runs.js';

/** Gaussian elimination on the full matrix: the other way to the same answer. */
function solveFull(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const a = matrix.map((row, i) => [...row, right[i] as number]);
  const n = a.length;
  for (let k = 0; k < n; k += 1) {
    for (let i = k + 1; i < n; i += 1) {
      const by = (a[i]?.[k] as number) / (a[k]?.[k] as number);
      for (let j = k; j <= n; j += 1) (a[i] as number[])[j] = (a[i]?.[j] as number) - by * (a[k]?.[j] as number);
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = a[i]?.[n] as number;
    for (let j = i + 1; j < n; j += 1) sum -= (a[i]?.[j] as number) * (x[j] as number);
    x[i] = sum / (a[i]?.[i] as number);
  }
  return x;
}

const HALF = 3;

/** A symmetric banded matrix with a heavy diagonal, by rows and in full. */
function matrices(values: readonly number[], size: number) {
  const full = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  const band = new Array<number>(size * (HALF + 1)).fill(0);
  let next = 0;
  for (let row = 0; row < size; row += 1) {
    for (let d = 0; d <= Math.min(HALF, row); d += 1) {
      const value = d === 0 ? 20 + Math.abs(values[next] ?? 0) : (values[next] ?? 0);
      next += 1;
      band[row * (HALF + 1) + d] = value;
      (full[row] as number[])[row - d] = value;
      (full[row - d] as number[])[row] = value;
    }
  }
  return { full, band };
}

test('the banded solution is that of full elimination', () => {
  const numbers = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 48, maxLength: 48 });
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      numbers,
      fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 12, maxLength: 12 }),
      (size, values, loads) => {
        const { full, band } = matrices(values, size);
        const right = loads.slice(0, size);
        expect(factor(band, size, HALF)).toBe(true);
        const x = solveBanded(band, right, size, HALF);
        solveFull(full, right).forEach((expected, i) => expect(x[i]).toBeCloseTo(expected, 9));
      },
    ),
    { numRuns: runs(60) },
  );
});

test('a matrix that is not positive definite is told', () => {
  expect(factor([0, 0, 0, 0], 1, HALF)).toBe(false);
  expect(factor([1, 0, 0, 0, 1, 1, 0, 0], 2, HALF)).toBe(false);
});
