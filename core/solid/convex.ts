import type { Point } from './profile.js';
import { cross, dot, minus, plus, scaled, unit, type Vector } from './vector.js';

/** A flat face: its corners go round to the left as seen from outside, where its normal points. */
export interface Face {
  readonly corners: readonly Vector[];
  readonly normal: Vector;
}

/** A body that bulges nowhere inwards, by its faces. */
export interface Convex {
  readonly faces: readonly Face[];
}

/** A plane: what lies at `dot(normal, place) <= at` is kept by it. */
export interface Plane {
  readonly normal: Vector;
  readonly at: number;
}

/** Nearer than this is the same, mm. */
export const CLOSE = 1e-6;

/**
 * The normal of a face by its corners (Newell), so that it holds for many corners too; null where it has no area.
 * @example normalOf([[0, 0, 0], [1, 0, 0], [0, 1, 0]]) // [0, 0, 1]
 */
export function normalOf(corners: readonly Vector[]): Vector | null {
  const sum = corners.reduce<Vector>((all, p, i) => plus(all, cross(p, corners[(i + 1) % corners.length] as Vector)), [0, 0, 0]);
  return unit(sum);
}

function faceOf(corners: readonly Vector[]): Face[] {
  const normal = normalOf(corners);
  return normal && corners.length >= 3 ? [{ corners, normal }] : [];
}

/** A convex polygon swept from 0 to a thickness, put into a frame by `place`. */
export function prism(polygon: readonly Point[], thickness: number, place: (u: number, v: number, n: number) => Vector): Convex {
  const at = (n: number) => polygon.map(([u, v]) => place(u, v, n));
  const [lower, upper] = [at(0), at(thickness)];
  const next = (i: number) => (i + 1) % polygon.length;
  const walls = polygon.flatMap((_, i) =>
    faceOf([lower[i] as Vector, lower[next(i)] as Vector, upper[next(i)] as Vector, upper[i] as Vector]),
  );
  return { faces: [...faceOf(upper), ...faceOf([...lower].reverse()), ...walls] };
}

/** What of a polygon lies on the kept side of a plane, and where the plane cuts it. */
function cutPolygon(corners: readonly Vector[], { normal, at }: Plane): { readonly kept: Vector[]; readonly cut: Vector[] } {
  const kept: Vector[] = [];
  const cut: Vector[] = [];
  corners.forEach((p, i) => {
    const q = corners[(i + 1) % corners.length] as Vector;
    const [dp, dq] = [dot(normal, p) - at, dot(normal, q) - at];
    if (dp <= CLOSE) kept.push(p);
    if (Math.abs(dp) <= CLOSE) cut.push(p);
    if ((dp < -CLOSE && dq > CLOSE) || (dp > CLOSE && dq < -CLOSE)) {
      const on = plus(p, scaled(minus(q, p), dp / (dp - dq)));
      kept.push(on);
      cut.push(on);
    }
  });
  return { kept, cut };
}

/** Points of a plane in order round their middle, left as seen against the normal. */
function inOrder(points: readonly Vector[], normal: Vector): Vector[] {
  const middle = scaled(
    points.reduce((sum, p) => plus(sum, p), [0, 0, 0] as Vector),
    1 / points.length,
  );
  const first = unit(minus(points[0] as Vector, middle)) ?? [1, 0, 0];
  const second = cross(normal, first);
  const angle = (p: Vector) => Math.atan2(dot(minus(p, middle), second), dot(minus(p, middle), first));
  const sorted = [...points].sort((a, b) => angle(a) - angle(b));
  return sorted.filter((p, i) => i === 0 || dot(minus(p, sorted[i - 1] as Vector), minus(p, sorted[i - 1] as Vector)) > CLOSE * CLOSE);
}

/** What a plane leaves of a convex body; null where it leaves nothing. */
export function cutBy(body: Convex, plane: Plane): Convex | null {
  const cuts: Vector[] = [];
  const faces = body.faces.flatMap((face): Face[] => {
    const { kept, cut } = cutPolygon(face.corners, plane);
    cuts.push(...cut);
    // A face in the plane itself stays only where it looks the same way.
    const inPlane = face.corners.every((p) => Math.abs(dot(plane.normal, p) - plane.at) <= CLOSE);
    return inPlane ? [] : faceOf(kept);
  });
  if (faces.length < 3) return null;
  return { faces: cuts.length >= 3 ? [...faces, ...faceOf(inOrder(cuts, plane.normal))] : faces };
}

/**
 * Volume, mm³, and the middle of it, by tetrahedra from the origin to every face (divergence theorem).
 * @example massOf(CUBE.bodies).volume // 1000
 */
export function massOf(bodies: readonly Convex[]): { readonly volume: number; readonly middle: Vector } {
  let volume = 0;
  let moment: Vector = [0, 0, 0];
  for (const { faces } of bodies) {
    for (const { corners } of faces) {
      const a = corners[0] as Vector;
      for (let i = 1; i + 1 < corners.length; i += 1) {
        const [b, c] = [corners[i] as Vector, corners[i + 1] as Vector];
        const six = dot(a, cross(b, c));
        volume += six / 6;
        moment = plus(moment, scaled(plus(plus(a, b), c), six / 24));
      }
    }
  }
  return { volume, middle: volume > 0 ? scaled(moment, 1 / volume) : [0, 0, 0] };
}

/** The least and the greatest of a body along a direction, mm. @example extentOf(CUBE.bodies[0], [0, 1, 0]) // [0, 10] */
export function extentOf(body: Convex, [x, y, z]: Vector): readonly [least: number, greatest: number] {
  let [least, greatest] = [Infinity, -Infinity];
  for (const p of placesOf(body)) {
    const at = x * p[0] + y * p[1] + z * p[2];
    if (at < least) least = at;
    if (at > greatest) greatest = at;
  }
  return [least, greatest];
}

/** The corners of a body, each once, and which of them those of each face are. */
interface Places {
  readonly all: readonly Vector[];
  readonly byFace: readonly (readonly number[])[];
}

/** Bodies never change, so that their corners, which several faces share, are gathered once. */
const places = new WeakMap<Convex, Places>();

function gathered(body: Convex): Places {
  let known = places.get(body);
  if (!known) {
    const all: Vector[] = [];
    const indexOf = (p: Vector) => {
      const at = all.findIndex((q) => isAt(p, q));
      return at >= 0 ? at : all.push(p) - 1;
    };
    known = { all, byFace: body.faces.map(({ corners }) => corners.map(indexOf)) };
    places.set(body, known);
  }
  return known;
}

/** The corners of a body, each once. @example placesOf(CUBE.bodies[0]).length // 8 */
export const placesOf = (body: Convex): readonly Vector[] => gathered(body).all;

/** A body moved as a whole: its corners, and by `turn` the normals of its faces. */
export function movedBody(body: Convex, move: (place: Vector) => Vector, turn: (way: Vector) => Vector): Convex {
  const { all, byFace } = gathered(body);
  const at = all.map(move);
  const faces = body.faces.map(({ normal }, i): Face => ({
    corners: (byFace[i] as readonly number[]).map((k) => at[k] as Vector),
    normal: turn(normal),
  }));
  const moved: Convex = { faces };
  places.set(moved, { all: at, byFace });
  return moved;
}

const isAt = (p: Vector, q: Vector) => Math.abs(p[0] - q[0]) < CLOSE && Math.abs(p[1] - q[1]) < CLOSE && Math.abs(p[2] - q[2]) < CLOSE;

/** The directions of the edges of a body, each once. */
export function edgesOf({ faces }: Convex): readonly Vector[] {
  const found: Vector[] = [];
  for (const { corners } of faces)
    corners.forEach((p, i) => {
      const d = unit(minus(corners[(i + 1) % corners.length] as Vector, p));
      if (d && !found.some((e) => Math.abs(dot(d, e)) > 1 - 1e-9)) found.push(d);
    });
  return found;
}

const AXES: readonly Vector[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** Bodies never change, so that what they reach along the axes of the piece is worked out once. */
const reaches = new WeakMap<Convex, readonly (readonly [number, number])[]>();

function reachesOf(body: Convex): readonly (readonly [number, number])[] {
  let known = reaches.get(body);
  if (!known) {
    known = AXES.map((axis) => extentOf(body, axis));
    reaches.set(body, known);
  }
  return known;
}

/** Bodies that fill the least box round them, square to the piece. */
const filled = new WeakMap<Convex, boolean>();

export function isBox(body: Convex): boolean {
  let known = filled.get(body);
  if (known === undefined) {
    known = body.faces.length === 6 && body.faces.every(({ normal }) => normal.filter((c) => Math.abs(c) < 1e-12).length === 2);
    filled.set(body, known);
  }
  return known;
}

/** Whether the least boxes of two bodies, square to the piece, have room in common. */
function mayMeet(a: Convex, b: Convex): boolean {
  const others = reachesOf(b);
  return reachesOf(a).every(([a0, a1], i) => {
    const [b0, b1] = others[i] as readonly [number, number];
    return a0 < b1 && b0 < a1;
  });
}

/**
 * By how much two convex bodies are in each other, mm: the least way that brings them apart, over
 * the normals of both and what is square to an edge of each (separating axes); 0 where they are apart.
 * @example depthOf(CUBE.bodies[0], CUBE_ON.bodies[0]) // 6
 */
export function depthOf(a: Convex, b: Convex): number {
  if (!mayMeet(a, b)) return 0;
  let least = Infinity;
  for (const d of separating(a, b)) {
    least = Math.min(least, sharedAlong(a, b, d));
    if (least <= 0) return 0;
  }
  return least;
}

/** How far two convex bodies are apart at least, mm: the widest gap along any direction that may separate them; 0 where they meet. */
export function gapOf(a: Convex, b: Convex): number {
  let widest = boxGap(a, b);
  for (const d of separating(a, b)) widest = Math.max(widest, -sharedAlong(a, b, d));
  return widest;
}

/** How far the least boxes of two bodies are apart along an axis of the piece, mm: no more than the bodies are; 0 where they meet. */
export function boxGap(a: Convex, b: Convex): number {
  const [own, others] = [reachesOf(a), reachesOf(b)];
  let most = 0;
  for (let i = 0; i < 3; i += 1) {
    const [p, q] = [own[i], others[i]] as [readonly [number, number], readonly [number, number]];
    most = Math.max(most, p[0] - q[1], q[0] - p[1]);
  }
  return most;
}

/** What two bodies have in common along a direction, mm; below zero it is the gap between them. */
function sharedAlong(a: Convex, b: Convex, d: Vector): number {
  const [a0, a1] = extentOf(a, d);
  const [b0, b1] = extentOf(b, d);
  return Math.min(a1 - b0, b1 - a0);
}

/** The directions that may separate two convex bodies: the normals of both, and what is square to an edge of each. */
function* separating(a: Convex, b: Convex): Generator<Vector> {
  // Those of the plainer one first: most that are apart are so along one of them.
  const [few, many] = a.faces.length <= b.faces.length ? [a, b] : [b, a];
  for (const { normal } of [...few.faces, ...many.faces]) yield normal;
  const others = edgesOf(b);
  for (const e of edgesOf(a))
    for (const f of others) {
      const d = unit(cross(e, f));
      if (d) yield d;
    }
}
