/**
 * Nails and brads across a load by EN 1995-1-1 8.2.2 and 8.3, in solid wood and sheets, not predrilled, without the rope effect; with
 * the length that is truly in the wood. Lengths in mm, MPa and N.
 */

/** What a nail is in: what it presses back with, MPa (8.3.1.1, 8.3.1.3), and how much of the nail is in it. */
export interface NailedWood {
  readonly embedment: number;
  readonly deep: number;
}

/**
 * The embedment strength of wood under a nail that is not predrilled, MPa: 0.082 ρ d^-0.3 for solid wood (8.15), 0.11 ρ d^-0.3 for
 * plywood (8.20), 30 d^-0.3 t^0.6 for hardboard (8.21), 65 d^-0.7 t^0.1 for boards of chips (8.22).
 * @param density characteristic, kg/m³
 * @example nailEmbedment({ kind: 'solid', density: 310 }, 2) // 20.65
 */
export function nailEmbedment(
  wood: { readonly kind: 'solid' | 'plywood'; readonly density: number } | { readonly kind: 'chips' | 'hardboard'; readonly thick: number },
  d: number,
): number {
  switch (wood.kind) {
    case 'solid':
      return 0.082 * wood.density * d ** -0.3;
    case 'plywood':
      return 0.11 * wood.density * d ** -0.3;
    case 'hardboard':
      return 30 * d ** -0.3 * wood.thick ** 0.6;
    case 'chips':
      return 65 * d ** -0.7 * wood.thick ** 0.1;
  }
}

/** Wire of nails and brads, MPa (EN 14592, the least). */
const WIRE = 600;

/** What a round nail bends at, N mm: 0.3 fu d^2.6 (8.14). @example nailMoment(2) // 1091.3 */
export const nailMoment = (d: number): number => 0.3 * WIRE * d ** 2.6;

/**
 * What one nail holds across it in single shear, characteristic, N: the least of the six ways it yields (8.6 a to f).
 * @example nailModes({ d: 2, side: { embedment: 20, deep: 10 }, main: { embedment: 20, deep: 30 } })[0] // 400
 */
export function nailModes({
  d,
  side,
  main,
}: {
  readonly d: number;
  readonly side: NailedWood;
  readonly main: NailedWood;
}): readonly number[] {
  const [f, t1, t2] = [side.embedment, side.deep, main.deep];
  const beta = main.embedment / f;
  const M = nailMoment(d);
  const r = t2 / t1;
  const root = (long: number, inside: number) => long * (Math.sqrt(inside) - beta);
  return [
    f * t1 * d,
    main.embedment * t2 * d,
    ((f * t1 * d) / (1 + beta)) * (Math.sqrt(beta + 2 * beta ** 2 * (1 + r + r ** 2) + beta ** 3 * r ** 2) - beta * (1 + r)),
    1.05 * root((f * t1 * d) / (2 + beta), 2 * beta * (1 + beta) + (4 * beta * (2 + beta) * M) / (f * d * t1 ** 2)),
    1.05 * root((f * t2 * d) / (1 + 2 * beta), 2 * beta ** 2 * (1 + beta) + (4 * beta * (1 + 2 * beta) * M) / (f * d * t2 ** 2)),
    1.15 * Math.sqrt((2 * beta) / (1 + beta)) * Math.sqrt(2 * M * f * d),
  ];
}
