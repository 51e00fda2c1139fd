/** One element between nodes, under an even load, with the exact state at its start. */
export interface Element {
  readonly x0: number;
  readonly x1: number;
  readonly EI: number;
  readonly shear: number;
  readonly load: number;
}

/** The stiffness of a Timoshenko element (Przemieniecki, Theory of Matrix Structural Analysis, 5.6), row by row: v1, θ1, v2, θ2. */
export function stiffness({ x0, x1, EI, shear }: Element): readonly number[] {
  const L = x1 - x0;
  const phi = shear === Infinity ? 0 : (12 * EI) / (shear * L * L);
  const k = EI / (L ** 3 * (1 + phi));
  const [a, b, c, d] = [12 * k, 6 * L * k, (4 + phi) * L * L * k, (2 - phi) * L * L * k];
  return [a, b, -a, b, b, c, -b, d, -a, -b, a, -b, b, d, -b, c];
}

/** The exact deflected shape inside an element, from the state at its start. */
export interface Shape {
  readonly element: Element;
  /** Deflection at s from the start of the element, mm. */
  readonly w: (s: number) => number;
  /** Slope of the deflection at s. */
  readonly slope: (s: number) => number;
  readonly moment: (s: number) => number;
  readonly force: (s: number) => number;
}

export function shapeOf(element: Element, displacements: number[], index: number): Shape {
  const { EI, shear, load: q } = element;
  const d = [0, 1, 2, 3].map((i) => displacements[2 * index + i] as number) as [number, number, number, number];
  const L = element.x1 - element.x0;
  const k = stiffness(element);
  const end = (row: number) => d.reduce((sum, value, column) => sum + (k[4 * row + column] as number) * value, 0);
  // Forces on the element at its start, with the even load's share taken back.
  const V = end(0) - (q * L) / 2;
  const M = end(1) - (q * L * L) / 12;
  const [v0, theta0] = d;
  // EI θ' = -M + V s + q s²/2 ; w' = θ - (V + q s)/κGA, with w downwards.
  const bend = (s: number) => (-M * s + (V * s * s) / 2 + (q * s ** 3) / 6) / EI;
  const slip = shear === Infinity ? 0 : 1 / shear;
  return {
    element,
    w: (s) => v0 + theta0 * s + ((-M * s * s) / 2 + (V * s ** 3) / 6 + (q * s ** 4) / 24) / EI - slip * (V * s + (q * s * s) / 2),
    slope: (s) => theta0 + bend(s) - slip * (V + q * s),
    moment: (s) => -M + V * s + (q * s * s) / 2,
    force: (s) => V + q * s,
  };
}

/** Where the slope of a shape changes sign, found by halving between samples. */
export function turningPoints(shape: Shape): number[] {
  const L = shape.element.x1 - shape.element.x0;
  const steps = 6;
  const found = [0, L];
  for (let i = 0; i < steps; i += 1) {
    const low = (L * i) / steps;
    const high = (L * (i + 1)) / steps;
    if (shape.slope(low) * shape.slope(high) > 0) continue;
    found.push(rootBetween(shape.slope, low, high));
  }
  return found;
}

/** The root of a function between two places where its signs differ: false position, Illinois variant (Dowell and Jarratt 1971). */
function rootBetween(f: (s: number) => number, low: number, high: number): number {
  let [a, b, fa, fb] = [low, high, f(low), f(high)];
  if (fa === 0) return a;
  for (let n = 0; n < 50 && fb !== 0; n += 1) {
    const next = b - (fb * (b - a)) / (fb - fa);
    const value = f(next);
    if (Math.abs(next - b) <= 1e-12 * Math.max(1, Math.abs(next))) return next;
    if (value * fb < 0) [a, fa] = [b, fb];
    else fa /= 2;
    [b, fb] = [next, value];
  }
  return b;
}

export function momentPeaks(shape: Shape): number[] {
  const L = shape.element.x1 - shape.element.x0;
  const q = shape.element.load;
  const zero = q === 0 ? L : -shape.force(0) / q;
  return zero > 0 && zero < L ? [0, L, zero] : [0, L];
}
