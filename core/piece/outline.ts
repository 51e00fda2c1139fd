import { ZERO, add, scale, type Length } from '../length/index.js';
import type { Outline, OutlineSide, Point } from './member.js';

/** What becomes of a corner: rounded by a radius, or cut off as far along both edges. */
export interface CornerCut {
  readonly is: 'round' | 'cut';
  readonly by: Length;
}

/** The corners of a rectangle by where they are: at the start or the end of u, and of v. */
export type CornerAt = 'u0v0' | 'u1v0' | 'u1v1' | 'u0v1';
export type Corners = Partial<Readonly<Record<CornerAt, CornerCut>>>;

/** The bulge of a quarter of a circle. */
const QUARTER = Math.tan(Math.PI / 8);

type Way = readonly [u: -1 | 0 | 1, v: -1 | 0 | 1];

/** In the order in which one goes round to the left: which way from each corner its cut begins, and which way it ends. */
const ROUND: readonly { readonly at: CornerAt; readonly from: Way; readonly to: Way }[] = [
  { at: 'u1v0', from: [-1, 0], to: [0, 1] },
  { at: 'u1v1', from: [0, -1], to: [-1, 0] },
  { at: 'u0v1', from: [1, 0], to: [0, -1] },
  { at: 'u0v0', from: [0, 1], to: [1, 0] },
];

/**
 * A rectangle with some of its corners rounded or cut off.
 * @param end in place of the edge at the end of v, with its corners: from the end of u back to its start
 * @example corneredOutline(mm(600), mm(300), {}) // SHELF.outline
 */
export function corneredOutline(length: Length, width: Length, corners: Corners, end: readonly Point[] = []): Outline {
  // No cut goes past the far end of an edge, whatever was asked for.
  const byOf = (cut: CornerCut): Length => Math.min(cut.by, length, width) as Length;
  const sides = ROUND.flatMap(({ at, from, to }): OutlineSide[] => {
    if (end.length > 0 && at.endsWith('v1')) return at === 'u1v1' ? end.map((point) => ({ kind: 'line', to: point })) : [];
    const corner = { u: at.startsWith('u1') ? length : ZERO, v: at.endsWith('v1') ? width : ZERO };
    const cut = corners[at];
    if (!cut) return [{ kind: 'line', to: corner }];
    const off = ([u, v]: Way): Point => ({ u: add(corner.u, scale(byOf(cut), u)), v: add(corner.v, scale(byOf(cut), v)) });
    return [
      { kind: 'line', to: off(from) },
      cut.is === 'round' ? { kind: 'arc', to: off(to), bulge: QUARTER } : { kind: 'line', to: off(to) },
    ];
  });
  return { start: { u: corners.u0v0 ? byOf(corners.u0v0) : ZERO, v: ZERO }, sides };
}
