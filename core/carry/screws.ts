import { radians, asNewtons, type Degrees, type Newtons } from '../measures/index.js';
/**
 * Screws by NDS 2018, chapter 12: lateral yield (12.3-1 to 12.3-6), withdrawal and both
 * together. The standard is in pounds and inches, so lengths here are inches and forces
 * pounds until they are handed out.
 */

const N_PER_LBF = 4.4482216152605;
const MM_PER_INCH = 25.4;

/** A wood screw as it is sold: its number, and diameters in inches of the shank and the root (NDS appendix L3). */
export interface WoodScrew {
  readonly name: string;
  readonly shank: number;
  readonly root: number;
}

export const WOOD_SCREWS: readonly WoodScrew[] = [
  { name: 'No. 6', shank: 0.138, root: 0.113 },
  { name: 'No. 8', shank: 0.164, root: 0.131 },
  { name: 'No. 10', shank: 0.19, root: 0.152 },
  { name: 'No. 12', shank: 0.216, root: 0.171 },
  { name: 'No. 14', shank: 0.242, root: 0.196 },
];

/** The diameter of the shank of a screw, mm. @example shankOf(WOOD_SCREWS[0]) // 3.5052 */
export function shankOf({ shank }: WoodScrew): number {
  return shank * MM_PER_INCH;
}

/** The diameter of the root of a screw, under its thread, mm. @example rootOf(WOOD_SCREWS[0]) // 2.8702 */
export function rootOf({ root }: WoodScrew): number {
  return root * MM_PER_INCH;
}

/** A wood that a screw goes into or through. */
export interface ScrewedWood {
  /** Specific gravity; undefined for boards of chips and fibres. */
  readonly gravity?: number;
  readonly endGrain: boolean;
  /** For boards of chips and fibres: their own specific gravity, how thick they are, mm, whether the screw comes from the face, and whether they are of chips. */
  readonly panel?: { readonly gravity: number; readonly thick: number; readonly face: boolean; readonly chips: boolean };
}

/** A joint of one screw in single shear. Lengths in mm. */
export interface ScrewJoint {
  readonly screw: WoodScrew;
  readonly length: number;
  /** What it goes through first. */
  readonly side: { readonly thickness: number; readonly wood: ScrewedWood };
  /** What holds it, as deep as there is. */
  readonly main: { readonly thickness: number; readonly wood: ScrewedWood };
}

/** Bending yield strength of a screw by the diameter of its shank, inches; psi (NDS table I1). @example bendingYield(0.19) // 80_000 */
export function bendingYield(D: number): number {
  if (D <= 0.142) return 100_000;
  if (D <= 0.177) return 90_000;
  if (D <= 0.236) return 80_000;
  if (D <= 0.273) return 70_000;
  if (D <= 0.344) return 60_000;
  return 45_000;
}

/** Dowel bearing strength for screws under 1/4 inch: 16600 G^1.84 psi (NDS table 12.3.3, note 2). @example dowelBearing(0.5) // 4636.7 */
export function dowelBearing(gravity: number): number {
  return 16_600 * gravity ** 1.84;
}

const PSI_PER_MPA = 145.0377;

/**
 * What a wood presses a screw back with, psi: by its gravity, or for the face of a board of chips 65 d^-0.7 t^0.1 MPa (EN 1995-1-1 8.22);
 * null where nothing is published.
 * @param D in inches
 */
function bearingIn({ gravity, panel }: ScrewedWood, D: number): number | null {
  if (gravity !== undefined) return dowelBearing(gravity);
  return panel?.chips && panel.face ? 65 * (D * MM_PER_INCH) ** -0.7 * panel.thick ** 0.1 * PSI_PER_MPA : null;
}

/**
 * The reduction term for diameters under 1/4 inch: 2.2 up to 0.17, else 10 D + 0.5 (NDS table 12.3.1B).
 * @example reductionTerm(0.19) // 2.4
 */
export function reductionTerm(D: number): number {
  return D <= 0.17 ? 2.2 : 10 * D + 0.5;
}

/**
 * The six yield modes of single shear, pounds: Im, Is, II, IIIm, IIIs, IV (NDS 12.3-1 to 12.3-6).
 * @example yieldModes({ D: 0.1, main: 1, side: 1, mainBearing: 2200, sideBearing: 2200, yield: 90_000 })[0] // 100
 */
export function yieldModes(spec: {
  readonly D: number;
  readonly main: number;
  readonly side: number;
  readonly mainBearing: number;
  readonly sideBearing: number;
  readonly yield: number;
  /** The reduction term; that of screws where it is left out. */
  readonly reduction?: number;
}): readonly number[] {
  const { D, main: lm, side: ls, mainBearing: Fem, sideBearing: Fes, yield: Fyb } = spec;
  const Rd = spec.reduction ?? reductionTerm(D);
  const Re = Fem / Fes;
  const Rt = lm / ls;
  const k1 = (Math.sqrt(Re + 2 * Re ** 2 * (1 + Rt + Rt ** 2) + Rt ** 2 * Re ** 3) - Re * (1 + Rt)) / (1 + Re);
  const k2 = -1 + Math.sqrt(2 * (1 + Re) + (2 * Fyb * (1 + 2 * Re) * D ** 2) / (3 * Fem * lm ** 2));
  const k3 = -1 + Math.sqrt((2 * (1 + Re)) / Re + (2 * Fyb * (2 + Re) * D ** 2) / (3 * Fem * ls ** 2));
  return [
    (D * lm * Fem) / Rd,
    (D * ls * Fes) / Rd,
    (k1 * D * ls * Fes) / Rd,
    (k2 * D * lm * Fem) / ((1 + 2 * Re) * Rd),
    (k3 * D * ls * Fem) / ((2 + Re) * Rd),
    (D ** 2 / Rd) * Math.sqrt((2 * Fem * Fyb) / (3 * (1 + Re))),
  ];
}

/** What a screw may be loaded with, or why that is not said. Newtons. */
export type ScrewValue =
  { readonly judged: true; readonly newtons: Newtons; readonly basis: string } | { readonly judged: false; readonly reason: string };

const no = (reason: string): ScrewValue => ({ judged: false, reason });

/**
 * What of a screw's length is in the main part, its point counted, mm.
 * @example penetration({ length: 40, side: { thickness: 20 }, main: { thickness: 300 } }) // 20
 */
export function penetration({ length, side, main }: ScrewJoint): number {
  return Math.max(0, Math.min(length - side.thickness, main.thickness));
}

/** How deep a screw must go into the wood that holds it, and how deep for its full value, in diameters of its shank (NDS 12.1.4.6). */
export const LEAST_PENETRATION = 6;
export const FULL_PENETRATION = 10;
/** Shallower than this nothing is said of it. */
export const SHORTEST = 1.5;
const END_GRAIN = 0.67;

/**
 * A screw in shear, for permanent load (duration factor 0.9): the least of the six modes on
 * its root, less for a penetration under 10 D, 0.67 of it in end grain. One that is shorter than NDS asks goes by the
 * same modes with its true length.
 */
export function lateral(joint: ScrewJoint): ScrewValue {
  const { screw, side, main } = joint;
  const p = penetration(joint) / MM_PER_INCH;
  const D = screw.root;
  const [mainBearing, sideBearing] = [bearingIn(main.wood, D), bearingIn(side.wood, D)];
  if (mainBearing === null || sideBearing === null) return no('no values are published for screws across this sheet');
  if (p < SHORTEST * screw.shank) {
    return no(
      `only ${(p * MM_PER_INCH).toFixed(0)} mm of it is in the wood; at least ${(SHORTEST * screw.shank * MM_PER_INCH).toFixed(0)} is needed`,
    );
  }
  const modes = yieldModes({
    D,
    main: p,
    side: side.thickness / MM_PER_INCH,
    mainBearing,
    sideBearing,
    yield: bendingYield(screw.shank),
  });
  const short = p < LEAST_PENETRATION * screw.shank;
  const depth = Math.min(1, p / (FULL_PENETRATION * screw.shank));
  const grain = main.wood.endGrain ? END_GRAIN : 1;
  const pounds = Math.min(...modes) * depth * grain * PERMANENT;
  return {
    judged: true,
    newtons: asNewtons(pounds * N_PER_LBF),
    basis: short ? 'NDS 2018 12.3 with its true length, shorter than that asks, permanent load' : 'NDS 2018 12.3, permanent load',
  };
}

/** Load duration factor of a permanent load (NDS table 2.3.2). */
const PERMANENT = 0.9;

/** A cautious half of the published withdrawal values, since pilot holes and steel vary. */
const WITHDRAWAL_SHARE = 0.5;

/** About two thirds of a wood screw is threaded. */
export const THREADED = 2 / 3;

/** Screws pulled out of boards of chips and fibres, pounds: K D^0.5 (L − D/3)^1.25 G², with K by where they go in; a fifth is allowed (Wood Handbook FPL-GTR-282, 8, from memory). */
const PANEL = { face: 2655, edge: 2055, allowed: 1 / 5 } as const;

/**
 * A screw pulled straight out of a board of chips or fibres, N.
 * @param thread in inches
 * @example panelWithdrawal({ gravity: 0.75, face: true }, 0.164, 0.5) // 195.7
 */
export function panelWithdrawal(
  { gravity, face }: { readonly gravity: number; readonly face: boolean },
  D: number,
  thread: number,
): number {
  const pounds = (face ? PANEL.face : PANEL.edge) * D ** 0.5 * Math.max(0, thread - D / 3) ** 1.25 * gravity ** 2;
  return pounds * PANEL.allowed * N_PER_LBF;
}

/**
 * A wood screw pulled straight out, for permanent load (duration factor 0.9): half of 2850 G² D pounds per inch of thread in the main
 * part (NDS 12.2-2); nothing in end grain.
 * @example withdrawal({ screw: { shank: 0.164, root: 0.131 }, length: 40, side: { thickness: 20 }, main: { thickness: 300, wood: { gravity: 0.5, endGrain: false } } }).newtons // 184.2
 */
export function withdrawal(joint: ScrewJoint): ScrewValue {
  const { screw, main } = joint;
  const thread = Math.min(penetration(joint), joint.length * THREADED) / MM_PER_INCH;
  const { panel } = main.wood;
  if (panel)
    return {
      judged: true,
      newtons: asNewtons(panelWithdrawal(panel, screw.shank, thread)),
      basis: `a fifth of what the ${panel.face ? 'face' : 'edge'} of such boards holds, Wood Handbook chapter 8`,
    };
  if (main.wood.gravity === undefined) return no('no values are published for screws in this sheet');
  if (main.wood.endGrain)
    return { judged: true, newtons: asNewtons(0), basis: 'screws in end grain are not counted on to hold a pull, NDS 12.2.2.3' };
  const pounds = 2850 * main.wood.gravity ** 2 * screw.shank * thread * WITHDRAWAL_SHARE * PERMANENT;
  return { judged: true, newtons: asNewtons(pounds * N_PER_LBF), basis: 'half of NDS 12.2-2, permanent load' };
}

/**
 * A lag screw pulled straight out, N: half of 1800 G^1.5 D^0.75 pounds per inch of thread (NDS 12.2-1).
 * @param diameter in inches; `thread` in the main part, mm
 * @example lagWithdrawal(0.42, 0.25, 25.4) // 346.7
 */
export function lagWithdrawal(gravity: number, diameter: number, thread: number): number {
  return 1800 * gravity ** 1.5 * diameter ** 0.75 * (thread / MM_PER_INCH) * WITHDRAWAL_SHARE * PERMANENT * N_PER_LBF;
}

/**
 * What a screw holds under a pull at an angle: W Z / (W cos² α + Z sin² α) (NDS 12.4-1).
 * @param pull straight out, what it holds; `shear` across it; `degrees` from the surface of the wood
 * @example combined(100, 200, 90) // 100
 */
export function combined(pull: Newtons, shear: Newtons, degrees: Degrees): number {
  const angle = radians(degrees);
  return (pull * shear) / (pull * Math.cos(angle) ** 2 + shear * Math.sin(angle) ** 2);
}

/** How many screws a load in shear takes; null where one screw holds nothing. @example screwsFor(1000, 300) // 4 */
export function screwsFor(newtons: Newtons, each: Newtons): number | null {
  return each > 0 ? Math.max(1, Math.ceil(newtons / each - 1e-9)) : null;
}

/** Distances to keep with a pilot hole, in screw diameters, as wood screws are usually placed (NDS commentary table C12.1.4.7). */
export const KEEP = { edge: 2.5, endAlongGrain: 10, between: 10, betweenRows: 3 } as const;

/**
 * Whether a screw stays inside: what is left in front of its point, mm; below zero it pokes through.
 * @example leftBeforePoint({ length: 40, side: { thickness: 20 }, main: { thickness: 300 } }) // 280
 */
export function leftBeforePoint(joint: ScrewJoint): number {
  return joint.side.thickness + joint.main.thickness - joint.length;
}
