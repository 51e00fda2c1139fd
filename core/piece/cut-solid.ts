import { toMm } from '../length/index.js';
import { dot, plus, scaled, without, type Convex, type Plane, type Vector } from '../solid/index.js';
import type { Feature, Member } from './member.js';
import { placingOf, solidOfMember } from './solid.js';

/** The planes round the room that a recess takes of its member, in the piece. */
function planesOf(feature: Exclude<Feature, { kind: 'hole' }>, member: Member): readonly Plane[] {
  const { origin, u, v, n } = placingOf(member);
  const { region, slant = 0, face } = feature;
  const [u0, u1, v0, v1] = [region.u0, region.u1, region.v0, region.v1].map(toMm) as [number, number, number, number];
  const thick = toMm(member.thickness.value);
  const deep = Math.min(thick, toMm(feature.depth));
  const [low, high] = face === 'up' ? [thick - deep, thick] : [0, deep];
  // Aslant, its ends go along with it, and the region is the least round it.
  const over = slant * (v1 - v0);
  const end = plus(u, scaled(v, -slant));
  const plane = (normal: Vector, at: number): Plane => ({ normal, at: at + dot(normal, origin) });
  return [
    plane(end, u1 - Math.max(0, over) - slant * v0),
    plane(scaled(end, -1), -(u0 - Math.min(0, over) - slant * v0)),
    plane(v, v1),
    plane(scaled(v, -1), -v0),
    plane(n, high),
    plane(scaled(n, -1), -low),
  ];
}

/** Members never change, so that what is left of each is worked out once. */
const known = new WeakMap<Member, readonly Convex[]>();

/**
 * A member with its grooves, housings, rebates and notches cut, as convex bodies, mm; holes are left out.
 * @example cutBodiesOf(SHELF).length // 1
 */
export function cutBodiesOf(member: Member): readonly Convex[] {
  let bodies = known.get(member);
  if (!bodies) {
    bodies = member.features.reduce<readonly Convex[]>(
      (left, f) => (f.kind === 'hole' ? left : without(left, planesOf(f, member))),
      solidOfMember(member).bodies,
    );
    known.set(member, bodies);
  }
  return bodies;
}
