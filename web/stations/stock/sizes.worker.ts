import { sizesTried, type PieceGiven, type Measure, type SizeTried } from '../../../core/layout/sizes.js';
import type { Cutting } from '../../../core/layout/spec.js';

/** Which size of which piece is to be tried, with what is cut together with it. */
export interface SizesAsked {
  readonly pieces: readonly PieceGiven[];
  readonly about: string;
  readonly measure: Measure;
  readonly cutting: Cutting;
}

/** The sizes that are tried so far. */
export interface SizesSaid {
  readonly tried: readonly SizeTried[];
  readonly done: boolean;
}

self.onmessage = ({ data: { pieces, about, measure, cutting } }: MessageEvent<SizesAsked>) => {
  const tried: SizeTried[] = [];
  for (const one of sizesTried(pieces, about, measure, cutting)) {
    tried.push(one);
    self.postMessage({ tried: [...tried], done: false } satisfies SizesSaid);
  }
  self.postMessage({ tried, done: true } satisfies SizesSaid);
};
