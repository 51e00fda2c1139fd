import type { Letters, Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import { solve, waysCompared, type Way, type WayCosts } from '../../core/solution/index.js';

/** A piece and other ways to make something of it. */
export interface WaysAsked {
  readonly piece: Piece;
  readonly workshop: Workshop;
  readonly letters: Letters;
  readonly ways: readonly Way[];
}

self.onmessage = ({ data: { piece, workshop, letters, ways } }: MessageEvent<WaysAsked>) => {
  const reply: readonly WayCosts[] = waysCompared(solve(piece, workshop, letters), workshop, letters, ways);
  self.postMessage(reply);
};
