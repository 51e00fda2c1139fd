import type { Sentence } from '../figure/index.js';
import type { TSchema } from '@sinclair/typebox';
import type { Length } from '../length/index.js';
import type { Check } from '../finding/index.js';
import type { Carried } from '../carry/index.js';
import type { Member, Named, Piece, PieceEdit, Shape, StockUse } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import type { Asked, Candidate } from '../remedies/index.js';
import type { Placement } from '../things/index.js';

/**
 * All that belongs to one kind of shell alone: nothing else in the code names it. Its functions
 * are methods, so that kinds stand in one list: each is only ever given pieces of its own.
 */
export interface ShellKind<P extends Piece = Piece> {
  readonly kind: P['shell'];
  /** What its inside is called in a heading. */
  readonly inside: string;
  /** Why nothing can be built in its inside; left out where something can. */
  readonly keptFree?: string;
  /** The fields that it has besides those of every piece. */
  readonly fields: Readonly<Record<string, TSchema>>;
  /** The stock that it is made of, by its uses. */
  uses(piece: P): readonly StockUse[];
  /** The records that its fields refer to besides. */
  names(piece: P): readonly Named[];
  /** Which space of which other piece it is made to fit; left out, or null, where it is made to fit none. */
  tiedTo?(piece: P): { readonly piece: string; readonly space: string } | null;
  /** What stands on it besides what stands in its spaces. */
  placed(piece: P): readonly Placement[];
  shape(piece: P, workshop: Workshop): Shape;
  /** What keeps it from leaning over sideways, or hangs it. */
  racking(piece: P, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[];
  /** What else is checked of it alone, such as whether its lid opens. */
  checks?(piece: P, shape: Shape, carried: Carried): readonly Check[];
  /** The edit that makes a member of the shell itself of another stock; null where there is none. */
  withStock(piece: P, member: Member, stock: string): PieceEdit | null;
  /** The piece with other things in a space that the shell makes besides its inside, such as the room on its top; left out where it makes none. */
  withThings?(piece: P, space: string, things: readonly Placement[]): P | null;
  /** What sets its feet so much further out at a side, in words and as an edit; left out, or null, where that is not for it to say. */
  standingWider?(
    piece: P,
    to: 'front' | 'rear' | 'left' | 'right',
    by: Length,
  ): { readonly says: Sentence; readonly edit: PieceEdit } | null;
  /** What might make a member of the shell itself pass. */
  remedies(piece: P, asked: Asked): readonly Candidate[];
  /** What of the shell might make a member inside it pass. */
  remediesWithin?(piece: P, asked: Asked): readonly Candidate[];
}
