import type { QuickCheck } from '../core/formats/index.js';

/** The quick check of a piece, put in here ready made when the server is built; none when it runs from its sources. */
export const pieceCheck: QuickCheck | null = null;
