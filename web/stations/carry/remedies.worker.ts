import type { Letters, Piece } from '../../../core/piece/index.js';
import type { Workshop } from '../../../core/project/index.js';
import { remediesFor, solve, type Remedy } from '../../../core/solution/index.js';

/** A member of a piece that changes are to be tried for. */
export interface RemediesAsked {
  readonly piece: Piece;
  readonly workshop: Workshop;
  readonly letters: Letters;
  readonly member: string;
}

self.onmessage = ({ data: { piece, workshop, letters, member } }: MessageEvent<RemediesAsked>) => {
  const reply: readonly Remedy[] = remediesFor(solve(piece, workshop, letters), workshop, letters, member);
  self.postMessage(reply);
};
