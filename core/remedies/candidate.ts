import type { Sentence } from '../figure/index.js';
import type { Carried } from '../carry/index.js';
import type { Member, Piece, PieceEdit, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';

/** A change that might make a member pass. */
export interface Candidate {
  readonly label: Sentence;
  readonly edit: PieceEdit;
  /** What one sees of it, and what it does to use. */
  readonly looks: Sentence;
  /** Of candidates of one sort, the least first, the first that passes is enough. */
  readonly sort?: string;
}

/** A member that something might be done about, with all that is known of its piece. */
export interface Asked {
  readonly piece: Piece;
  readonly workshop: Workshop;
  readonly shape: Shape;
  readonly carried: Carried;
  readonly member: Member;
}
