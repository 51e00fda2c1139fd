import type { Piece } from '../../core/piece/index.js';
import type { Box } from '../shared/picture-choice.js';
import type { FillingWay, OnHand } from './means.js';

/** What a piece is begun from in the shed. */
export interface Card {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** Boxes of a picture 60 by 48. */
  readonly picture: readonly Box[];
  /** What its inside is filled with at once; null for nothing. */
  readonly filling: FillingWay | null;
  /** The piece with nothing in it yet, in sizes that what is on hand has. */
  readonly begin: (onHand: OnHand) => Piece;
}

/** Boxes one above the other. */
export const rows = (count: number, x: number, width: number, height: number, gap: number, top = 4): Box[] =>
  Array.from({ length: count }, (_, i) => [x, top + i * (height + gap), width, height]);

/** The outside of a case. */
export const frame: readonly Box[] = [
  [6, 2, 3, 44],
  [51, 2, 3, 44],
  [6, 2, 48, 3],
  [6, 43, 48, 3],
];
