import { asDegrees, type Degrees } from '../measures/index.js';
import {
  CLOSE,
  cutBy,
  depthOf,
  extentOf,
  boxGap,
  gapOf,
  isBox,
  massOf,
  movedBody,
  prism,
  type Convex,
  type Face,
  type Plane,
} from './convex.js';
import { convexPieces, type Profile } from './profile.js';
import { dot, minus, plus, scaled, turned, type Vector } from './vector.js';

/** Where something lies: its origin, and three directions square to each other, right-handed (n = u × v). */
export interface Placing {
  readonly origin: Vector;
  readonly u: Vector;
  readonly v: Vector;
  readonly n: Vector;
}

/** A profile swept through a thickness, its ends cut by planes, somewhere at some angle; mm. */
export interface Form {
  readonly profile: Profile;
  readonly thickness: number;
  /** In its own u, v and n; what lies beyond one is cut off. */
  readonly cuts: readonly Plane[];
  readonly placing: Placing;
}

/** A form as it is in space: convex bodies beside each other. */
export interface Solid {
  readonly bodies: readonly Convex[];
  readonly form: Form;
}

/**
 * Where a point of a form lies in the piece.
 * @example placeOf({ origin: [1, 2, 3], u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] }, [10, 0, 0]) // [11, 2, 3]
 */
export function placeOf({ origin, u, v, n }: Placing, [a, b, c]: Vector): Vector {
  return plus(origin, plus(plus(scaled(u, a), scaled(v, b)), scaled(n, c)));
}

/** The solid of a form. @example solidOf(CUBE.form).bodies.length // 1 */
export function solidOf(form: Form): Solid {
  const { profile, thickness, cuts, placing } = form;
  const raw = convexPieces(profile).map((polygon) => prism(polygon, thickness, (u, v, n) => [u, v, n]));
  const cut = cuts.reduce<Convex[]>((bodies, plane) => bodies.flatMap((b) => cutBy(b, plane) ?? []), raw);
  const moved = (v: Vector) => placeOf(placing, v);
  const turnedTo = ({ u, v, n }: Placing, [a, b, c]: Vector) => plus(plus(scaled(u, a), scaled(v, b)), scaled(n, c));
  const put = (face: Face): Face => ({ corners: face.corners.map(moved), normal: turnedTo(placing, face.normal) });
  return { form, bodies: cut.map(({ faces }) => ({ faces: faces.map(put) })) };
}

/** Its volume, mm³, and the middle of its mass. @example volumeOf(CUBE).volume // 1000 */
export const volumeOf = ({ bodies }: Solid) => massOf(bodies);

/** The least and the greatest of a solid along a direction of length 1, mm. @example reachOf(CUBE, [1, 0, 0]) // [0, 10] */
export function reachOf({ bodies }: Solid, direction: Vector): readonly [least: number, greatest: number] {
  const all = bodies.map((b) => extentOf(b, direction));
  return [Math.min(...all.map(([a]) => a)), Math.max(...all.map(([, b]) => b))];
}

/**
 * By how much two solids are in each other, mm: the most of any two of their convex bodies; 0 where they are apart.
 * Where one of them bulges inwards it may take more than that to bring them apart.
 * @example overlapOf(CUBE, CUBE_ON) // 6
 */
export function overlapOf(a: Solid, b: Solid): number {
  return Math.max(...a.bodies.flatMap((p) => b.bodies.map((q) => depthOf(p, q))));
}

/** How far two solids are apart at least, mm; 0 where they meet. @example apartOf(CUBE, CUBE_ON) // 0 */
export function apartOf(a: Solid, b: Solid): number {
  const pairs: { readonly p: Convex; readonly q: Convex; readonly least: number }[] = [];
  let apart = Infinity;
  for (const p of a.bodies)
    for (const q of b.bodies) {
      const least = boxGap(p, q);
      if (isBox(p) && isBox(q)) apart = Math.min(apart, least);
      else pairs.push({ p, q, least });
      if (apart === 0) return 0;
    }
  // The nearest first: what is further off by its box alone is no nearer.
  for (const { p, q, least } of pairs.sort((x, y) => x.least - y.least)) {
    if (apart === 0 || least >= apart) break;
    apart = Math.min(apart, gapOf(p, q));
  }
  return apart;
}

/** A movement of what belongs together: along a line, or about one. */
export type Motion =
  | { readonly kind: 'slide'; readonly along: Vector; readonly by: number }
  | { readonly kind: 'turn'; readonly at: Vector; readonly axis: Vector; readonly degrees: Degrees };

/**
 * Where a place comes to by a part of a motion, from 0 to 1.
 * @example movedBy({ kind: 'slide', along: [0, 0, 1], by: 250 }, 0.5, [0, 0, 0]) // [0, 0, 125]
 */
export function movedBy(motion: Motion, part: number, place: Vector): Vector {
  return motion.kind === 'slide'
    ? plus(place, scaled(motion.along, motion.by * part))
    : turned(place, motion.at, motion.axis, asDegrees(motion.degrees * part));
}

/**
 * A placing after a part of a motion: rigid, so that its directions turn with it.
 * @example placingAfter({ kind: 'slide', along: [0, 0, 1], by: 250 }, 1, { ...CUBE.form.placing, origin: [0, 0, 0] }).origin // [0, 0, 250]
 */
export function placingAfter(motion: Motion, part: number, { origin, u, v, n }: Placing): Placing {
  const there = movedBy(motion, part, origin);
  const way = (d: Vector) => minus(movedBy(motion, part, plus(origin, d)), there);
  return { origin: there, u: way(u), v: way(v), n: way(n) };
}

/** A solid after a part of a motion. @example solidAfter({ kind: 'slide', along: [1, 0, 0], by: 4 }, 1, CUBE).bodies // CUBE_ON.bodies */
export function solidAfter(motion: Motion, part: number, { form, bodies }: Solid): Solid {
  const move = (p: Vector) => movedBy(motion, part, p);
  const turn = (d: Vector) => minus(move(d), move([0, 0, 0]));
  return {
    form: { ...form, placing: placingAfter(motion, part, form.placing) },
    bodies: bodies.map((body) => movedBody(body, move, turn)),
  };
}

/** Whether a place lies in a solid, its faces counted in, or so deep in one of its convex bodies, mm. @example isIn(CUBE, [5, 5, 5]) // true */
export function isIn({ bodies }: Solid, place: Vector, deep = -CLOSE): boolean {
  return bodies.some(({ faces }) => faces.every(({ normal, corners }) => dot(normal, minus(place, corners[0] as Vector)) <= -deep));
}
