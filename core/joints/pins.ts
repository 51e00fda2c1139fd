import { negative, toMm, type Length } from '../length/index.js';
import type { Feature, Member } from '../piece/index.js';
import { PIN } from './ends.js';

type Hole = Extract<Feature, { kind: 'hole' }>;

const isPin = (f: Feature): f is Hole => f.kind === 'hole' && f.diameter === PIN.diameter && f.depth === PIN.depth;

/** How far the pin holes of one face go in behind those of the other, where the two would meet. */
const ASIDE = (2 * PIN.diameter) as Length;

/** Whether two pin holes from both faces of a member come into each other. */
function meet(a: Hole, b: Hole, thickness: Length): boolean {
  if (a.face === b.face || a.depth + b.depth < thickness) return false;
  return Math.hypot(toMm(a.at.u) - toMm(b.at.u), toMm(a.at.v) - toMm(b.at.v)) < toMm(PIN.diameter);
}

/** Whether two holes of one face are too near each other for the wood between them to hold a pin. */
const crowd = (a: Hole, b: Hole) => a !== b && a.face === b.face && Math.hypot(a.at.u - b.at.u, a.at.v - b.at.v) < ASIDE;

/** Holes that nothing is in yet are left out where they would crowd one that is used, or another that comes before them. */
function uncrowded(features: readonly Feature[]): readonly Feature[] {
  const pins = features.filter(isPin);
  if (!pins.some((p) => p.spare)) return features;
  const kept = pins.filter((p) => !p.spare);
  for (const p of pins) if (p.spare && !kept.some((other) => crowd(p, other))) kept.push(p);
  const stays = new Set<Feature>(kept);
  return features.filter((f) => !isPin(f) || stays.has(f));
}

const rowOf = ({ mate, at }: Hole) => `${mate} ${at.v}`;

/**
 * A member whose pin holes keep clear of each other: rows of the lower face go aside, away from the nearer edge,
 * wherever one of them would meet a hole of the upper face.
 * @example pinsApart(SHELF) // SHELF
 */
export function pinsApart(member: Member): Member {
  const thickness = member.thickness.value;
  const clear = uncrowded(member.features);
  const pins = clear.filter(isPin);
  const upper = pins.filter((p) => p.face === 'up');
  const meets = new Set(pins.filter((p) => p.face !== 'up' && upper.some((u) => meet(u, p, thickness))).map(rowOf));
  const features = clear.map((f): Feature => {
    if (!isPin(f) || f.face === 'up' || !meets.has(rowOf(f))) return f;
    const inwards = f.at.v * 2 < member.width.value ? ASIDE : negative(ASIDE);
    return { ...f, at: { ...f.at, v: (f.at.v + inwards) as Length } };
  });
  return clear !== member.features || meets.size > 0 ? { ...member, features } : member;
}

/**
 * Pins that come through: their holes are as deep as the member is thick, or come into each other from both faces.
 * @example pinsThrough(SHELF) // null
 */
export function pinsThrough(member: Member): { readonly kind: 'pierce' | 'meet'; readonly count: number } | null {
  const holes = member.features.filter(isPin);
  const thickness = member.thickness.value;
  const pierce = holes.filter((h) => h.depth >= thickness);
  if (pierce.length > 0) return { kind: 'pierce', count: pierce.length };
  const met = holes.filter((h) => holes.some((other) => meet(h, other, thickness)));
  return met.length > 0 ? { kind: 'meet', count: met.length } : null;
}
