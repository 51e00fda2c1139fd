import { asKg, type Kilograms } from '../measures/index.js';
import type { Body } from '../piece/index.js';
import type { Carried } from './carry.js';
import { stateOf, type State } from './verdict.js';

/** What a body that runs on a pair of slides weighs against the rating of the pair at full extension, kg. */
export interface OnSlides {
  readonly name: string;
  readonly rating: Kilograms | null;
  /** What is in it; null where something has no mass, or nothing is in it. */
  readonly contents: number | null;
  /** Nobody said what is in it: what a drawer of that size usually holds. */
  readonly assumed: boolean;
  readonly self: Kilograms;
  /** Nothing is said to be in it. */
  readonly empty: boolean;
  /** What all of it is of the rating; null where it is not checked. */
  readonly used: number | null;
  readonly state: State;
}

/**
 * What a body weighs itself and with what stands in it, cells and all, against its slides; null for one that runs on none.
 * @example onSlides(TRAY, SOLVED.carried) // null
 */
export function onSlides({ members, runsOn }: Body, carried: Carried): OnSlides | null {
  if (runsOn.kind !== 'slide') return null;
  const parts = members.flatMap((id) => carried.members.get(id) ?? []);
  const self = parts.reduce((sum, c) => sum + c.selfKg, 0);
  const known = parts.every((c) => c.unknown.length === 0);
  const empty = known && parts.every((c) => c.empty);
  const assumed = parts.every((c) => c.standing.every((s) => s.assumed));
  const contents = known && !empty ? parts.reduce((sum, c) => sum + c.standing.reduce((kg, s) => kg + s.kg, 0), 0) : null;
  const { name, rating } = runsOn;
  if (rating === null || contents === null)
    return { name, rating, contents, self: asKg(self), empty, assumed, used: null, state: 'not checked' };
  const used = (contents + self) / rating;
  return { name, rating, contents, self: asKg(self), empty, assumed, used, state: stateOf(used, 1) };
}
