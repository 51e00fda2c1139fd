import type { Figure } from '../figure/index.js';
import { ZERO, type Length } from '../length/index.js';
import type { Stock } from '../stock/index.js';

/** A place in a piece: x across from the outside left, y up from the floor, z out from the back. */
export interface Place {
  readonly x: Length;
  readonly y: Length;
  readonly z: Length;
}

/** A direction; unit length. */
export type Direction = readonly [x: number, y: number, z: number];

/**
 * A rigid frame: an origin, the direction `u` along the member, `v` across it, and `n`
 * through its thickness, right-handed (n = u × v).
 */
export interface Frame {
  readonly origin: Place;
  readonly u: Direction;
  readonly v: Direction;
  readonly n: Direction;
}

/** A point on a face, in the member's own u and v. */
export interface Point {
  readonly u: Length;
  readonly v: Length;
}

/** One side of an outline: a straight line to a point, or an arc to it that bulges by `bulge` (tangent of a quarter of its angle, left positive). */
export type OutlineSide =
  { readonly kind: 'line'; readonly to: Point } | { readonly kind: 'arc'; readonly to: Point; readonly bulge: number };

/** A closed outline in u and v. */
export interface Outline {
  readonly start: Point;
  readonly sides: readonly OutlineSide[];
}

/** A plane in a member's own u, v and n: what lies further along `normal`, of length 1, than `at` is cut off. */
export interface End {
  readonly normal: Direction;
  readonly at: Length;
}

/** So many outlines are kept: boards of one size have the very same. */
const MOST = 4000;

let kept = 0;
const rectangles = new Map<Length, Map<Length, Outline>>();

/** A rectangular outline with a corner at the origin. @example rectangle(mm(600), mm(300)).sides[1].to // { u: mm(600), v: mm(300) } */
export function rectangle(length: Length, width: Length): Outline {
  const known = rectangles.get(length)?.get(width);
  if (known) return known;
  if (kept >= MOST) {
    rectangles.clear();
    kept = 0;
  }
  const outline = outlined(length, width);
  const ofLength = rectangles.get(length) ?? new Map<Length, Outline>();
  rectangles.set(length, ofLength.set(width, outline));
  kept += 1;
  return outline;
}

function outlined(length: Length, width: Length): Outline {
  const at = (u: Length, v: Length): OutlineSide => ({ kind: 'line', to: { u, v } });
  return { start: { u: ZERO, v: ZERO }, sides: [at(length, ZERO), at(length, width), at(ZERO, width), at(ZERO, ZERO)] };
}

/** A region of a face between two values of u and two of v. */
export interface Region {
  readonly u0: Length;
  readonly u1: Length;
  readonly v0: Length;
  readonly v1: Length;
}

/** Which broad face: `up` is the one that n points out of, `down` the other. */
export type Face = 'up' | 'down';

/** What is cut into a member. */
export type Feature =
  | {
      /** A notch goes right through, from an edge. */
      readonly kind: 'housing' | 'groove' | 'rebate' | 'notch';
      readonly face: Face;
      readonly region: Region;
      /** How far it goes on along the member for each step across it, where it lies aslant: its region is the least round it. */
      readonly slant?: number;
      readonly depth: Length;
      /** The member that goes in. */
      readonly mate: string;
    }
  | {
      readonly kind: 'hole';
      readonly face: Face;
      readonly at: Point;
      readonly diameter: Length;
      readonly depth: Length;
      readonly mate: string;
      /** It takes the head of a screw and a plug over it. */
      readonly plugged?: true;
      /** Nothing is in it until what it is for is moved there. */
      readonly spare?: true;
    };

/** What becomes of an edge. */
export type EdgeTreatment = 'square' | 'eased' | 'banded';

/** The four edges of a member: at the start and end of u, and the start and end of v. */
export interface Edges {
  readonly u0: EdgeTreatment;
  readonly u1: EdgeTreatment;
  readonly v0: EdgeTreatment;
  readonly v1: EdgeTreatment;
}

export const SQUARE_EDGES: Edges = { u0: 'square', u1: 'square', v0: 'square', v1: 'square' };

export type Role =
  | 'side'
  | 'top'
  | 'bottom'
  | 'divider'
  | 'shelf'
  | 'shelf layer'
  | 'shelf strip'
  | 'partition'
  | 'rail'
  | 'back'
  | 'wall board'
  | 'fin'
  | 'toe board'
  | 'plinth rail'
  | 'plinth end'
  | 'bearer'
  | 'drawer front'
  | 'drawer side'
  | 'drawer end'
  | 'drawer bottom'
  | 'muntin'
  | 'runner'
  | 'runner board'
  | 'packing upright'
  | 'board'
  | 'slat'
  | 'slat support'
  | 'ladder upright'
  | 'ladder support'
  | 'post'
  | 'deck'
  | 'cross piece'
  | 'corner block'
  | 'brace'
  | 'gusset'
  | 'cleat'
  | 'bumper'
  | 'stop'
  | 'stiffener'
  | 'splice plate'
  | 'leg'
  | 'foot'
  | 'pivot bar'
  | 'seat bar'
  | 'stretcher';

/**
 * Whether a part closes what stands before it: the back of a case, or a board that fins stand out from.
 * @example isBack({ role: 'wall board' }) // true
 */
export const isBack = ({ role }: { readonly role: Role }): boolean => role === 'back' || role === 'wall board';

/** What may lie or stand in its place without anything that holds it. */
export const MAY_LIE: ReadonlySet<Role> = new Set<Role>(['shelf', 'shelf layer', 'shelf strip', 'board', 'partition', 'divider']);

/** How a cutting size is brought to the shop precision: what goes between is rounded down, what covers or is trimmed in place is rounded up. */
export type Purpose = 'between' | 'covers' | 'trimmed';

/** A piece of wood in its place. */
export interface Member {
  /** Node, role and instance; also the id of its part. */
  readonly id: string;
  /** The node of the piece that it comes from. */
  readonly node: string;
  readonly role: Role;
  readonly label: string;
  readonly stockId: string;
  readonly stock: Stock;
  readonly outline: Outline;
  /** Holes right through it, by their outlines; none where it is left out. */
  readonly holes?: readonly Outline[];
  /** Planes that cut its ends and edges off aslant, in its own u, v and n; none where it is left out. */
  readonly ends?: readonly End[];
  readonly frame: Frame;
  /** Along u, across v and through n. */
  readonly length: Figure;
  readonly width: Figure;
  readonly thickness: Figure;
  readonly purpose: { readonly length: Purpose; readonly width: Purpose };
  readonly features: readonly Feature[];
  readonly edges: Edges;
  /** The face that looks inside what it is a wall of; none for what is no wall. */
  readonly inner?: Face;
  /** The member whose housing takes it too, such as the shelf that it is a layer of. */
  readonly housedWith?: string;
  /** What of its height the screws in its ends keep out of, from its foot and from its head, so that they pass those of what meets there. */
  readonly screwsClear?: { readonly foot: Length; readonly head: Length };
  /** Across its length, in v and n, where it is no rectangle there: a rod, a rebated bar. */
  readonly section?: Outline;
  /** Held so that it may move across its grain. */
  readonly slides?: true;
  /** So many more of it are cut, to spare. */
  readonly spares?: number;
  /** How much longer, and wider, it is cut than it is in the end. */
  readonly over?: { readonly length: Length; readonly width: Length };
}

/** A box in the piece, square to its axes. */
export interface Box {
  readonly x0: Length;
  readonly x1: Length;
  readonly y0: Length;
  readonly y1: Length;
  readonly z0: Length;
  readonly z1: Length;
}

/**
 * A frame for a panel that stands upright, front to back: u up, v out from the back, n to the right.
 * @example uprightFrame({ x: mm(0), y: mm(0), z: mm(0) }).u // [0, 1, 0]
 */
export function uprightFrame(origin: Place): Frame {
  return { origin, u: [0, 1, 0], v: [0, 0, 1], n: [1, 0, 0] };
}

/**
 * A frame for a panel that lies flat: u to the right, v towards the back, n up. The
 * origin is the front left corner of its lower face.
 * @example flatFrame({ x: mm(0), y: mm(0), z: mm(0) }).n // [0, 1, 0]
 */
export function flatFrame(origin: Place): Frame {
  return { origin, u: [1, 0, 0], v: [0, 0, -1], n: [0, 1, 0] };
}

/**
 * A frame for a panel that faces the front, its length to the right: u right, v up, n out from the back.
 * @example facingFrame({ x: mm(0), y: mm(0), z: mm(0) }).n // [0, 0, 1]
 */
export function facingFrame(origin: Place): Frame {
  return { origin, u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] };
}

/**
 * A frame for a board on edge that runs front to back: u out from the back, v up, n to the left.
 * @example onEdgeFrame({ x: mm(20), y: mm(0), z: mm(0) }).u // [0, 0, 1]
 */
export function onEdgeFrame(origin: Place): Frame {
  return { origin, u: [0, 0, 1], v: [0, 1, 0], n: [-1, 0, 0] };
}
