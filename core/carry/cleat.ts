import { asDegrees, radians, asNewtons, type Kilograms, type Newtons } from '../measures/index.js';
import { GRAVITY } from './gravity.js';

/** What hangs on a bevelled cleat, forces in N, lengths in mm. */
export interface Hung {
  readonly kg: Kilograms;
  /** How far the middle of its mass is from the wall. */
  readonly out: number;
  /** From the cleat down to the bumper. */
  readonly drop: number;
  /** Angle of friction between the bevels, degrees; none is counted on where it is left out. */
  readonly friction?: number;
}

export interface CleatForces {
  /** Straight down. */
  readonly shear: Newtons;
  /** Pulled outward by the mass hanging off the wall: V e / h. */
  readonly moment: Newtons;
  /** Pushed outward by the bevel: V tan(45° − friction). */
  readonly wedge: Newtons;
  /** The greater of the two, to be designed for. */
  readonly pull: Newtons;
}

/**
 * What a bevelled cleat of 45° has to hold.
 * @example 38 kg, 120 out, 520 down: shear 372.8, moment pull 86.0, wedge pull 372.8 frictionless
 */
export function cleatForces({ kg, out, drop, friction = 0 }: Hung): CleatForces {
  const shear = kg * GRAVITY;
  const moment = (shear * out) / drop;
  const wedge = shear * Math.tan(radians(asDegrees(45 - friction)));
  return { shear: asNewtons(shear), moment: asNewtons(moment), wedge: asNewtons(wedge), pull: asNewtons(Math.max(moment, wedge)) };
}

/**
 * The wide and narrow faces of a cleat cut down the middle of a board at 45°, kerf square to the blade, mm.
 * @example cleatFaces(120, 18, 3) // { wide: (138 - 3 * Math.SQRT2) / 2, narrow: (102 - 3 * Math.SQRT2) / 2 }
 */
export function cleatFaces(width: number, thickness: number, kerf: number): { readonly wide: number; readonly narrow: number } {
  const taken = kerf * Math.SQRT2;
  return { wide: (width + thickness - taken) / 2, narrow: (width - thickness - taken) / 2 };
}

/**
 * How many studs a cleat of a length is sure to cross, and at best, at a spacing.
 * @example studsCrossed(1000, 450) // { sure: 2, most: 3 }
 */
export function studsCrossed(length: number, spacing: number): { readonly sure: number; readonly most: number } {
  return { sure: Math.floor(length / spacing), most: Math.floor(length / spacing) + 1 };
}

/**
 * How much of all a stud's screws are designed for, since studs do not share evenly: one
 * and a half even shares, and all of it where there is one.
 * @example shareOfStud(3) // 0.5
 */
export function shareOfStud(studs: number): number {
  return studs < 2 ? 1 : Math.min(1, 1.5 / studs);
}
