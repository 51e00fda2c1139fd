import { add, mm, scale, type Length } from '../length/index.js';
import type { Person } from './records.js';

/** What counts of a person for what they use. */
export type Measured = 'reach' | 'elbow' | 'hollow' | 'lap' | 'lapWide' | 'sitting';

/**
 * Parts of the height of a person (Drillis and Contini 1966, as in Winter, Biomechanics and Motor Control of Human
 * Movement; the reach, the thickness of the thigh and the breadth of the lap are typical): what people differ by is a tenth either way.
 */
const PARTS: Readonly<Record<Measured, number>> = { reach: 1.21, elbow: 0.63, hollow: 0.25, lap: 0.335, lapWide: 0.24, sitting: 0.52 };

/** Soles, which what is measured from the floor has under it. */
const SHOES = mm(25);
const IN_SHOES: ReadonlySet<Measured> = new Set(['elbow', 'hollow', 'lap']);

/**
 * A measure of a person: as it was taken, or by their height.
 * @example of someone of 1680 the elbow: 0.63 × 1680 + 25 = 1083.4
 */
export function measureOf(person: Person, measure: Measured): Length {
  const taken = person[measure];
  if (taken !== undefined) return taken;
  const part = scale(person.height, PARTS[measure]);
  return IN_SHOES.has(measure) ? add(part, SHOES) : part;
}
