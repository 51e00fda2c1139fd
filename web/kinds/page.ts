import type { ComponentType } from 'react';
import type { Reach } from '../../core/survey/index.js';
import type { Piece, PlacedSpace } from '../../core/piece/index.js';
import type { Card } from './card.js';
import type { FillingWay } from './means.js';

/** What the page knows of one kind of shell. */
export interface ShellPage {
  readonly kind: string;
  /** How it is made. */
  readonly Form: ComponentType<{ piece: Piece }>;
  /** What is said at Measure where no opening decides its sizes. */
  readonly unmeasured: (piece: Piece) => { readonly title: string; readonly text: string };
  /** Where an overall size is said otherwise: it is of something else, or follows from how the piece is made. */
  readonly outside?: (piece: Piece) => Partial<Readonly<Record<Reach, { readonly of: string } | { readonly follows: string }>>>;
  readonly cards: readonly Card[];
}

/** What the page knows of one kind of interior. */
export interface InteriorPage {
  readonly kind: string;
  /** How one space of it is made; null where the piece says that for all of them. */
  readonly Form: ComponentType<{ space: PlacedSpace }> | null;
  /** How all of it in a piece is made, and where that is asked; null where each space says that. */
  readonly onPiece: { readonly Form: ComponentType; readonly inUse: (piece: Piece) => boolean } | null;
  /** The ways of filling an open space with it. */
  readonly fillings: readonly FillingWay[];
  readonly cards: readonly Card[];
}
