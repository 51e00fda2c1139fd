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

/**
 * A member whose pin holes keep clear of each other: those of the lower face go aside, away from the nearer edge,
 * wherever they would meet one of the upper face.
 */
export function pinsApart(member: Member): Member {
  const thickness = member.thickness.value;
  const upper = member.features.filter((f): f is Hole => isPin(f) && f.face === 'up');
  if (upper.length === 0) return member;
  const features = member.features.map((f): Feature => {
    if (!isPin(f) || f.face === 'up' || !upper.some((u) => meet(u, f, thickness))) return f;
    const inwards = f.at.v * 2 < member.width.value ? ASIDE : negative(ASIDE);
    return { ...f, at: { ...f.at, v: (f.at.v + inwards) as Length } };
  });
  return features.some((f, i) => f !== member.features[i]) ? { ...member, features } : member;
}

/** Pins that come through: their holes are as deep as the member is thick, or come into each other from both faces. */
export function pinsThrough(member: Member): { readonly kind: 'pierce' | 'meet'; readonly count: number } | null {
  const holes = member.features.filter(isPin);
  const thickness = member.thickness.value;
  const pierce = holes.filter((h) => h.depth >= thickness);
  if (pierce.length > 0) return { kind: 'pierce', count: pierce.length };
  const met = holes.filter((h) => holes.some((other) => meet(h, other, thickness)));
  return met.length > 0 ? { kind: 'meet', count: met.length } : null;
}
