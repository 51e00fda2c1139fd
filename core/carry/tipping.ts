import { asDegrees, radians, asNewtons, asKg, type Kilograms, type Newtons } from '../measures/index.js';
import { GRAVITY } from './gravity.js';

/** Something with a mass and where its middle is: up from the floor and out from the rear, mm. */
export interface Heap {
  readonly kg: Kilograms;
  readonly y: number;
  readonly z: number;
}

/** A free-standing piece with what is in it, and where it tips about. */
export interface Freestanding {
  readonly heaps: readonly Heap[];
  /** Where its front feet are, from the rear, mm. */
  readonly foot: number;
  /** Where someone pulls, up from the floor, mm. */
  readonly pullAt: number;
  /** Where a drawer that is open is leaned on, out from the rear, mm; null where none is open. */
  readonly lean: number | null;
}

export interface Tipping {
  /** How far the middle of the mass is behind the front feet, mm; below zero it falls by itself. */
  readonly margin: number;
  /** The pull forward at the top that lifts its back, N. */
  readonly pull: Newtons;
  /** The mass on the open drawer that lifts it, kg; null where none is open or it reaches no further than the feet. */
  readonly onDrawer: Kilograms | null;
  /** How it stands against the pull and the mass of a small child. */
  readonly state: 'fine' | 'fails';
}

/** The pull that a piece should stand: 10 lbf, and the mass on an open drawer: 60 lb, a child (ASTM F2057-23). */
export const PASS = { pull: asNewtons(44.5), onDrawer: asKg(27.2), highest: 1422 } as const;

/** How far a piece leans forward on carpet, degrees. */
export const CARPET = 1;

/**
 * What tips a piece forward about its front feet: moments of the masses about them, with the
 * piece leaning forward by some degrees.
 * @example tippingOf({ heaps: [{ kg: 10, y: 500, z: 100 }], foot: 300, pullAt: 1000, lean: null }, 0).pull // 19.62
 */
export function tippingOf({ heaps, foot, pullAt, lean }: Freestanding, degrees = CARPET): Tipping {
  const angle = radians(asDegrees(degrees));
  const arm = ({ y, z }: Pick<Heap, 'y' | 'z'>) => (foot - z) * Math.cos(angle) - y * Math.sin(angle);
  const kg = heaps.reduce((sum, h) => sum + h.kg, 0);
  const holding = heaps.reduce((sum, h) => sum + h.kg * arm(h), 0);
  const at = Math.min(pullAt, PASS.highest);
  const pull = (holding * GRAVITY) / at;
  const out = lean === null ? 0 : (lean - foot) * Math.cos(angle);
  const onDrawer = out > 0 ? asKg(holding / out) : null;
  const fine = pull >= PASS.pull && (onDrawer === null || onDrawer >= PASS.onDrawer);
  return { margin: kg > 0 ? holding / kg : 0, pull: asNewtons(pull), onDrawer, state: fine ? 'fine' : 'fails' };
}
