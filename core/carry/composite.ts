import { gluedStiffness, rectangleSecondMoment, type Layer } from './section.js';

/** How the parts of a section are held to each other along their length. */
export type Connection =
  | { readonly kind: 'glued' }
  | { readonly kind: 'loose' }
  /** Nothing is known of it: taken a tenth of the way from loose to glued. */
  | { readonly kind: 'unknown' }
  /** Screws in rows: their spacing, mm, and slip modulus each, N/mm. */
  | { readonly kind: 'screwed'; readonly spacing: number; readonly slip: number };

/** The part of the way from loose to glued that an unknown connection is taken for. */
const UNKNOWN_SHARE = 0.1;

/**
 * Slip modulus of a screw per shear plane, N/mm: ρ^1.5 d / 23 (EN 1995-1-1 table 7.1).
 * @param density mean of the two woods, kg/m³; `diameter` in mm
 * @example slipOf(400, 4) // 1391.3
 */
export function slipOf(density: number, diameter: number): number {
  return (density ** 1.5 * diameter) / 23;
}

function looseStiffness(parts: readonly Layer[]): number {
  return parts.reduce((sum, p) => sum + p.E * rectangleSecondMoment(p.width, p.height), 0);
}

/**
 * The share of full composite action that slipping screws leave: γ of EN 1995-1-1 (B.5).
 * @example gammaOf(1_000_000, 150, 1000, 1000) // 0.4032
 */
export function gammaOf(axial: number, spacing: number, slip: number, span: number): number {
  return 1 / (1 + (Math.PI ** 2 * axial * spacing) / (slip * span ** 2));
}

/**
 * Bending stiffness of a base part with one or two parts screwed to it, N mm²: the γ method
 * of EN 1995-1-1 annex B for a simple span. The first part is the base, whose γ is 1.
 */
function screwedStiffness(parts: readonly Layer[], spacing: number, slip: number, span: number): number {
  const middle = (p: Layer) => p.top + p.height / 2;
  const gamma = parts.map((p, i) => (i === 0 ? 1 : gammaOf(p.E * p.width * p.height, spacing, slip, span)));
  const axial = parts.map((p, i) => (gamma[i] as number) * p.E * p.width * p.height);
  const total = axial.reduce((sum, a) => sum + a, 0);
  const neutral = parts.reduce((sum, p, i) => sum + (axial[i] as number) * middle(p), 0) / total;
  return looseStiffness(parts) + parts.reduce((sum, p, i) => sum + (axial[i] as number) * (middle(p) - neutral) ** 2, 0);
}

/**
 * Bending stiffness of a built-up section, N mm².
 * @param parts the base first; `span` in mm, for screwed parts
 * @example two sheets of 18, glued: 8 times one; loose: 2 times; unknown: 2.6 times
 */
export function builtUpStiffness(parts: readonly Layer[], connection: Connection, span: number): number {
  switch (connection.kind) {
    case 'glued':
      return gluedStiffness(parts);
    case 'loose':
      return looseStiffness(parts);
    case 'unknown':
      return looseStiffness(parts) + UNKNOWN_SHARE * (gluedStiffness(parts) - looseStiffness(parts));
    case 'screwed':
      return screwedStiffness(parts, connection.spacing, connection.slip, span);
  }
}

/**
 * The same section in the long term: each part's E lessened by its own creep, E / (1 + kdef).
 * @example afterCreep([{ E: 12, width: 1, height: 1, top: 0 }], [2])[0].E // 6
 */
export function afterCreep(parts: readonly Layer[], factors: readonly number[]): readonly Layer[] {
  return parts.map((p, i) => ({ ...p, E: p.E / (factors[i] as number) }));
}

/**
 * Torsion constant of a rectangle, mm⁴: w t³ (1/3 − 0.21 (t/w)(1 − t⁴/12w⁴)), t the lesser side (Roark, table 10.7).
 * @example torsionConstant(100, 10) // 31233.4
 */
export function torsionConstant(width: number, height: number): number {
  const [t, w] = width < height ? [width, height] : [height, width];
  return w * t ** 3 * (1 / 3 - 0.21 * (t / w) * (1 - t ** 4 / (12 * w ** 4)));
}

/** A strip along one edge of a panel. Sizes in mm, E in MPa, heights from the top of the panel. */
export interface EdgeStrip {
  readonly panel: { readonly E: number; readonly width: number; readonly thickness: number };
  readonly strip: Layer;
  /** How far the middle of the strip is from the middle of the panel, across it. */
  readonly aside: number;
  /** Another such strip on the other edge, so that the panel is pressed evenly. */
  readonly both: boolean;
}

/**
 * What a glued strip adds along its edge: its own bending stiffness and what it gains from
 * the panel, N mm². A strip on one edge alone also bends the panel in its own plane, so that
 * its edge gives 1 + 12 (e / b)² times as much as under an even press, and only that part of
 * the panel's breadth goes with it; two strips share the whole breadth evenly.
 * @example stripStiffness({ panel: { E: 8000, width: 300, thickness: 18 }, strip: { E: 8000, width: 18, height: 36, top: 0 }, aside: 141, both: true }) / 1e6 // 898.5
 */
export function stripStiffness({ panel, strip, aside, both }: EdgeStrip): number {
  const breadth = both ? panel.width / 2 : panel.width / (1 + 12 * (aside / panel.width) ** 2);
  const [own, going] = [strip.E * strip.width * strip.height, panel.E * breadth * panel.thickness];
  const apart = strip.top + strip.height / 2 - panel.thickness / 2;
  return strip.E * rectangleSecondMoment(strip.width, strip.height) + ((own * going) / (own + going)) * apart ** 2;
}
