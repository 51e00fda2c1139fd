import type { Piece } from '../piece/index.js';
import type { Within } from '../project/index.js';
import { shellOf } from '../shells/index.js';
import type { Solution } from './solve.js';

/** Which space of which other piece a piece is made to fit; null where none. @example tiedTo(CASE) // null */
export function tiedTo(piece: Piece): { readonly piece: string; readonly space: string } | null {
  return shellOf(piece).tiedTo?.(piece) ?? null;
}

/** What a space of a piece measures, as another one is made to fit it; null where it is not there. @example withinOf(null, 'in') // null */
export function withinOf(source: Solution | null, space: string): Within | null {
  const found = source?.shape.spaces.get(space);
  if (!source || !found) return null;
  const { width, height, depth } = found.clear;
  return { name: `${found.label} of ${source.piece.name}`, clear: { width: width.value, height: height.value, depth: depth.value } };
}

/** The spaces of a piece that another can be made to fit: those in what slides out of it. @example drawersOf(SOLVED) // [] */
export function drawersOf({ shape }: Solution): readonly { readonly id: string; readonly label: string }[] {
  const drawn = new Set(shape.bodies.map((b) => b.id));
  return [...shape.spaces.values()].filter((s) => drawn.has(s.id)).map(({ id, label }) => ({ id, label }));
}
