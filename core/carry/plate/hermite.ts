/**
 * Cubic Hermite functions on a stretch of length h: the deflection and the slope at its
 * start, then those at its end. Each row holds the coefficients of 1, s, s², s³.
 */
function coefficients(h: number): readonly (readonly [number, number, number, number])[] {
  return [
    [1, 0, -3 / h ** 2, 2 / h ** 3],
    [0, 1, -2 / h, 1 / h ** 2],
    [0, 0, 3 / h ** 2, -2 / h ** 3],
    [0, 0, -1 / h, 1 / h ** 2],
  ];
}

/** The values of the four functions, or of a derivative of them, at s. @example hermiteAt(1, 0) // [1, 0, 0, 0] */
export function hermiteAt(h: number, s: number, derivative: 0 | 1 | 2 = 0): readonly number[] {
  return coefficients(h).map(([a, b, c, d]) => {
    if (derivative === 0) return a + s * (b + s * (c + s * d));
    if (derivative === 1) return b + s * (2 * c + s * 3 * d);
    return 2 * c + 6 * d * s;
  });
}

/** Gauss points of four on [0, 1] with their weights; exact for polynomials up to the seventh degree (Abramowitz and Stegun 25.4.30). */
const GAUSS: readonly (readonly [number, number])[] = [
  [0.0694318442029737, 0.1739274225687269],
  [0.3300094782075719, 0.3260725774312731],
  [0.6699905217924281, 0.3260725774312731],
  [0.9305681557970263, 0.1739274225687269],
];

/** The integral of a function of s from one place to another, exact for cubics times cubics. */
export function integrate(from: number, to: number, f: (s: number) => readonly number[]): number[] {
  const sum: number[] = [];
  for (const [at, weight] of GAUSS) {
    f(from + (to - from) * at).forEach((value, i) => (sum[i] = (sum[i] ?? 0) + value * weight * (to - from)));
  }
  return sum;
}

/** Products of the four functions integrated over a stretch, each 4 x 4 by rows: `ij` of N N, N′N′, N″N″ and N″N. */
export interface Products {
  readonly plain: readonly number[];
  readonly slopes: readonly number[];
  readonly bends: readonly number[];
  readonly mixed: readonly number[];
}

/** The products over a stretch of length 1. */
const UNIT: Products = (() => {
  const of = (a: 0 | 1 | 2, b: 0 | 1 | 2) =>
    integrate(0, 1, (s) => {
      const [left, right] = [hermiteAt(1, s, a), hermiteAt(1, s, b)];
      return left.flatMap((l) => right.map((r) => l * r));
    });
  return { plain: of(0, 0), slopes: of(1, 1), bends: of(2, 2), mixed: of(2, 0) };
})();

/** Products over a stretch of length h: those over 1, by h for each slope and by the derivatives. */
export function productsOf(h: number): Products {
  const scaled = (unit: readonly number[], power: number) => unit.map((value, i) => value * h ** (power + ((i >> 2) & 1) + (i & 1)));
  return { plain: scaled(UNIT.plain, 1), slopes: scaled(UNIT.slopes, -1), bends: scaled(UNIT.bends, -3), mixed: scaled(UNIT.mixed, -1) };
}
