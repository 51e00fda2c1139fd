import type { Sentence } from '../../figure/index.js';
import type { PieceEdit } from '../../piece/index.js';

/** A change that might make a member pass. */
export interface Candidate {
  readonly label: Sentence;
  readonly edit: PieceEdit;
  /** What one sees of it, and what it does to use. */
  readonly looks: Sentence;
}
