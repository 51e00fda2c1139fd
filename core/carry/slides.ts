import type { Body } from '../piece/index.js';
import type { Carried } from './carry.js';
import { stateOf, type State } from './verdict.js';

/** What a body that runs on a pair of slides weighs against the rating of the pair at full extension, kg. */
export interface OnSlides {
  readonly name: string;
  readonly rating: number | null;
  /** What is in it; null where something has no mass. */
  readonly contents: number | null;
  readonly self: number;
  /** What all of it is of the rating; null where it is not judged. */
  readonly used: number | null;
  readonly state: State;
}

/** What a body weighs itself and with what stands in it, cells and all, against its slides; null for one that runs on none. */
export function onSlides({ members, runsOn }: Body, carried: Carried): OnSlides | null {
  if (runsOn.kind !== 'slide') return null;
  const parts = members.flatMap((id) => carried.members.get(id) ?? []);
  const self = parts.reduce((sum, c) => sum + c.selfKg, 0);
  const known = !parts.some((c) => c.missing?.startsWith('the mass of'));
  const contents = known ? parts.reduce((sum, c) => sum + c.standing.reduce((kg, s) => kg + s.kg, 0), 0) : null;
  const { name, rating } = runsOn;
  if (rating === null || contents === null) return { name, rating, contents, self, used: null, state: 'not judged' };
  const used = (contents + self) / rating;
  return { name, rating, contents, self, used, state: stateOf(used, 1) };
}
