import { asDegrees, radians, asNewtons, asKg, type Kilograms, type Newtons } from '../measures/index.js';
import { GRAVITY } from './gravity.js';

/** Something with a mass and where its middle is: up from the floor and out from the rear, mm. */
export interface Heap {
  readonly kg: Kilograms;
  readonly y: number;
  readonly z: number;
}

/** Someone who leans or sits on what lies on top: with how much, and where, out from the rear, mm. */
export interface Down {
  readonly is: 'leant on' | 'sat on';
  readonly newtons: Newtons;
  readonly at: number;
}

/** A free-standing piece with what is in it, and where it tips about: to the front, or turned so that any other side is. */
export interface Freestanding {
  readonly heaps: readonly Heap[];
  /** Where its front feet are, from the rear, mm. */
  readonly foot: number;
  /** Where someone pulls, up from the floor, mm. */
  readonly pullAt: number;
  /** Where a drawer that is open is leaned on, out from the rear, mm; null where none is open. */
  readonly lean: number | null;
  readonly downs?: readonly Down[];
  /** Things are kept in it, so that a child pulls and climbs; a table or a bench where it does not. */
  readonly keeps?: boolean;
}

export interface Tipping {
  /** How far the middle of the mass is behind the front feet, mm; below zero it falls by itself. */
  readonly margin: number;
  /** The pull forward at the top that lifts its back, and what it should stand there, N. */
  readonly pull: Newtons;
  readonly should: Newtons;
  /** Whether that is the pull of a child, or a push of a tenth of its weight. */
  readonly asks: 'child' | 'push';
  /** The mass on the open drawer that lifts it, kg; null where none is open or it reaches no further than the feet. */
  readonly onDrawer: Kilograms | null;
  /** Who leans or sits furthest past the feet, against what lifts it there, N; null where nobody does. */
  readonly down: { readonly by: Down; readonly lifts: Newtons } | null;
  /** What it stands over what it should, of all that is asked the least; below 1 it tips. */
  readonly stands: number;
  /** How it stands against all that. */
  readonly state: 'fine' | 'fails';
}

/** The pull that what things are kept in should stand: 10 lbf, and the mass on an open drawer: 60 lb, a child (ASTM F2057-23). */
export const PASS = { pull: asNewtons(44.5), onDrawer: asKg(27.2), highest: 1422 } as const;

/** What every piece should stand at its top: a tenth of its weight, and no less than this, N. */
const PUSH = { part: 0.1, least: asNewtons(20) } as const;

/** How far a piece leans forward on carpet, degrees. */
export const CARPET = 1;

/**
 * What tips a piece forward about its front feet: moments of the masses about them, with the
 * piece leaning forward by some degrees.
 * @example tippingOf({ heaps: [{ kg: 10, y: 500, z: 100 }], foot: 300, pullAt: 1000, lean: null, keeps: true }, 0).pull // 19.62
 */
export function tippingOf({ heaps, foot, pullAt, lean, downs = [], keeps = false }: Freestanding, degrees = CARPET): Tipping {
  const angle = radians(asDegrees(degrees));
  const arm = ({ y, z }: Pick<Heap, 'y' | 'z'>) => (foot - z) * Math.cos(angle) - y * Math.sin(angle);
  const kg = heaps.reduce((sum, h) => sum + h.kg, 0);
  const holding = heaps.reduce((sum, h) => sum + h.kg * arm(h), 0);
  const lifting = holding * GRAVITY;
  const push = { asks: 'push' as const, should: Math.max(PUSH.least, PUSH.part * kg * GRAVITY), at: pullAt };
  const child = { asks: 'child' as const, should: PASS.pull, at: Math.min(pullAt, PASS.highest) };
  const spareOf = (by: typeof push | typeof child) => lifting / (by.should * by.at);
  // A child is told before a push, unless it is the push alone that tips it.
  const told = keeps && (spareOf(child) < 1 || spareOf(push) >= 1) ? child : push;
  const { asks, should, at } = told;
  const past = (out: number) => (out - foot) * Math.cos(angle);
  const onDrawer = lean !== null && past(lean) > 0 ? asKg(holding / past(lean)) : null;
  const worst = downs.filter((d) => past(d.at) > 0).sort((a, b) => b.newtons * past(b.at) - a.newtons * past(a.at))[0];
  const down = worst ? { by: worst, lifts: asNewtons(lifting / past(worst.at)) } : null;
  const stands = Math.min(
    spareOf(push),
    keeps ? spareOf(child) : Infinity,
    keeps && onDrawer !== null ? onDrawer / PASS.onDrawer : Infinity,
    down ? down.lifts / down.by.newtons : Infinity,
  );
  return {
    margin: kg > 0 ? holding / kg : 0,
    pull: asNewtons(lifting / at),
    should: asNewtons(should),
    asks,
    onDrawer,
    down,
    stands,
    state: stands >= 1 ? 'fine' : 'fails',
  };
}
