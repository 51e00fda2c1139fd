import type { StockProperties } from '../stock/index.js';

/** A layer of a section: a rectangle of one material, measured from the top face of the section down to its own top. */
export interface Layer {
  /** Modulus of elasticity, MPa. */
  readonly E: number;
  readonly width: number;
  readonly height: number;
  /** From the top of the section to the top of the layer, mm. */
  readonly top: number;
}

/** Second moment of area of a rectangle about its own middle, mm⁴: b t³ / 12. @example rectangleSecondMoment(40, 60) // 720_000 */
export function rectangleSecondMoment(width: number, height: number): number {
  return (width * height ** 3) / 12;
}

/**
 * Where the neutral axis of layers glued into one is, from the top of the section, mm.
 * @example gluedNeutral([{ E: 10, width: 40, height: 20, top: 0 }, { E: 10, width: 40, height: 20, top: 20 }]) // 20
 */
export function gluedNeutral(layers: readonly Layer[]): number {
  const axial = layers.reduce((sum, l) => sum + l.E * l.width * l.height, 0);
  return layers.reduce((sum, l) => sum + l.E * l.width * l.height * (l.top + l.height / 2), 0) / axial;
}

/**
 * Bending stiffness of layers glued into one, N mm²: the transformed section about its own
 * neutral axis (parallel axis theorem), each layer with its own E.
 * @example MDF 3500 MPa 300 x 18 with a 9000 MPa strip 18 x 45 on edge, tops flush: 2,699,272,809
 */
export function gluedStiffness(layers: readonly Layer[]): number {
  const middle = (l: Layer) => l.top + l.height / 2;
  const neutral = gluedNeutral(layers);
  return layers.reduce(
    (sum, l) => sum + l.E * (rectangleSecondMoment(l.width, l.height) + l.width * l.height * (middle(l) - neutral) ** 2),
    0,
  );
}

/** Modulus of elasticity over shear modulus: 16 for solid wood, 50 for sheets, whose plies and chips roll over each other (typical). */
const SHEAR_RATIO = { solid: 16, sheet: 50, metal: 2.6 } as const;

/**
 * The shear modulus of a stock, MPa: G = E / 16 for solid wood, E / 50 for sheets.
 * @example shearModulus(PROPERTIES) / (PROPERTIES.elastic * 1000) // 0.02
 */
export function shearModulus({ elastic, material }: StockProperties): number {
  return (elastic * 1000) / SHEAR_RATIO[material.form];
}

/** Shear stiffness κ G A of a rectangle, N, with κ 5/6. @param G in MPa @example shearStiffness(600, 300, 18) // 2_700_000 */
export function shearStiffness(G: number, width: number, height: number): number {
  return (5 / 6) * G * width * height;
}
