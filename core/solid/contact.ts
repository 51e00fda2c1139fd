import { CLOSE, boxGap, type Face } from './convex.js';
import type { Solid } from './solid.js';
import { cross, dot, minus, plus, scaled, unit, type Vector } from './vector.js';

/** From one place to another along a direction, mm. */
export type Stretch = readonly [from: number, to: number];

/** Where two solids lie on each other. */
export interface Contact {
  /** mm². */
  readonly area: number;
  /** The middle of it. */
  readonly middle: Vector;
  /** Out of the first into the second. */
  readonly normal: Vector;
  /** The directions in it: the longer one first, and from where to where it reaches along each, mm. */
  readonly axes: readonly [Vector, Vector];
  readonly over: readonly [Stretch, Stretch];
}

/** Faces that look at each other from so far are on each other, mm. */
const TOUCHING = 0.02;
/** The cosine from which two normals are opposite. */
const OPPOSITE = 1 - 1e-6;
/** Less than this is an edge, not a contact, mm². */
const LEAST = 0.5;

/** What two convex polygons of one plane have in common, in the order of the first. */
function commonOf(a: Face, b: Face): readonly Vector[] {
  return b.corners.reduce<readonly Vector[]>((left, p, i) => {
    const q = b.corners[(i + 1) % b.corners.length] as Vector;
    // Seen against the first face the second goes round the other way, so that its inside is on its right.
    const inward = unit(cross(minus(q, p), a.normal));
    if (!inward) return left;
    const side = (r: Vector) => dot(inward, minus(r, p));
    return left.flatMap((r, k): Vector[] => {
      const s = left[(k + 1) % left.length] as Vector;
      const [dr, ds] = [side(r), side(s)];
      const crossing = (dr > CLOSE && ds < -CLOSE) || (dr < -CLOSE && ds > CLOSE) ? [plus(r, scaled(minus(s, r), dr / (dr - ds)))] : [];
      return [...(dr >= -CLOSE ? [r] : []), ...crossing];
    });
  }, a.corners);
}

interface Patch {
  readonly corners: readonly Vector[];
  readonly normal: Vector;
  readonly area: number;
  readonly middle: Vector;
}

function patchOf(corners: readonly Vector[], normal: Vector): Patch | null {
  const a = corners[0];
  if (!a || corners.length < 3) return null;
  let area = 0;
  let moment: Vector = [0, 0, 0];
  for (let i = 1; i + 1 < corners.length; i += 1) {
    const [b, c] = [corners[i] as Vector, corners[i + 1] as Vector];
    const part = dot(normal, cross(minus(b, a), minus(c, a))) / 2;
    area += part;
    moment = plus(moment, scaled(plus(plus(a, b), c), part / 3));
  }
  return area > LEAST / 10 ? { corners, normal, area, middle: scaled(moment, 1 / area) } : null;
}

/** The directions in a plane along which some patches reach furthest and least: of all their edges the one with the least breadth. */
function axesOf(patches: readonly Patch[], normal: Vector): Pick<Contact, 'axes' | 'over'> {
  const points = patches.flatMap((p) => p.corners);
  const overOf = (d: Vector): Stretch => {
    const along = points.map((p) => dot(d, p));
    return [Math.min(...along), Math.max(...along)];
  };
  const spanOf = (d: Vector) => {
    const [from, to] = overOf(d);
    return to - from;
  };
  const edges = patches.flatMap(({ corners }) =>
    corners.flatMap((p, i): Vector[] => {
      const d = unit(minus(corners[(i + 1) % corners.length] as Vector, p));
      return d ? [d] : [];
    }),
  );
  const best = edges.reduce<{ d: Vector; across: number } | null>((found, d) => {
    const across = spanOf(cross(normal, d));
    return !found || across < found.across - CLOSE ? { d, across } : found;
  }, null);
  const long = best?.d ?? [1, 0, 0];
  const short = cross(normal, long);
  const axes: readonly [Vector, Vector] = spanOf(long) >= spanOf(short) ? [long, short] : [short, long];
  return { axes, over: [overOf(axes[0]), overOf(axes[1])] };
}

/** What two faces that look at each other have in common; null where that is nothing. */
function patchBetween(f: Face, g: Face): Patch | null {
  if (dot(f.normal, g.normal) > -OPPOSITE) return null;
  if (Math.abs(dot(f.normal, minus(g.corners[0] as Vector, f.corners[0] as Vector))) > TOUCHING) return null;
  return patchOf(commonOf(f, g), f.normal);
}

/**
 * Where two solids lie on each other: each plane in which faces of both meet is one contact, largest first.
 * What only meets along an edge or at a corner is none.
 * @example contactsOf(CUBE, CUBE_ON).length // 0
 */
export function contactsOf(a: Solid, b: Solid): readonly Contact[] {
  // Most bodies of two solids are nowhere near each other.
  const near = a.bodies.flatMap((p) => b.bodies.flatMap((q) => (boxGap(p, q) <= TOUCHING ? [[p, q] as const] : [])));
  const patches = near.flatMap(([p, q]) => p.faces.flatMap((f) => q.faces.flatMap((g) => patchBetween(f, g) ?? [])));
  const planes: Patch[][] = [];
  for (const patch of patches) {
    const known = planes.find(([p]) => {
      const first = p as Patch;
      return dot(first.normal, patch.normal) > OPPOSITE && Math.abs(dot(first.normal, minus(patch.middle, first.middle))) <= TOUCHING;
    });
    if (known) known.push(patch);
    else planes.push([patch]);
  }
  return planes
    .flatMap((all): Contact[] => {
      const area = all.reduce((sum, p) => sum + p.area, 0);
      if (area < LEAST) return [];
      const middle = scaled(
        all.reduce((sum, p) => plus(sum, scaled(p.middle, p.area)), [0, 0, 0] as Vector),
        1 / area,
      );
      const { normal } = all[0] as Patch;
      return [{ area, middle, normal, ...axesOf(all, normal) }];
    })
    .sort((p, q) => q.area - p.area);
}
