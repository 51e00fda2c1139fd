import type { Piece } from '../../core/piece/index.js';
import type { Box } from '../shared/picture-choice.js';
import { givenSize, sizes, type FillingWay, type OnHand, type Usual, type UsualSizes } from './means.js';

/** Something that builders make of a kind, by their own words for it. */
export interface Idea {
  readonly name: string;
  /** Other words for it, which are found as well. */
  readonly words?: string;
  /** Its usual width, height and depth; those of the kind where they are left out. */
  readonly sizes?: readonly [width: Usual, height: Usual, depth: Usual];
  /** It fills a place, which is measured. */
  readonly inOpening?: true;
  /** What it is usually made of, where that is not as the kind has it. */
  readonly usual?: UsualSizes;
  /** What else is usual for it. */
  readonly made?: (piece: Piece) => Piece;
}

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
  /** What is otherwise where the things in it decide its sizes, so that it may stand anywhere. */
  readonly roundThings?: (piece: Piece) => Piece;
  /** What builders make of it. */
  readonly ideas: readonly Idea[];
}

/** The piece that an idea of a kind begins with, with nothing in it yet. */
export function begunAs({ begin }: Card, idea: Idea | null, onHand: OnHand): Piece {
  const piece = begin(onHand);
  const s = sizes(onHand.unit);
  const [width, height, depth] = idea?.sizes?.map((usual) => givenSize(s(...usual))) ?? [piece.width, piece.height, piece.depth];
  const sized = { ...piece, width, height, depth } as Piece;
  return idea?.made?.(sized) ?? sized;
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
