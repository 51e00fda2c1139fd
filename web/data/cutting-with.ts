import type { Workbench } from './api.js';

/** The cutting that a piece is in, where anything was decided about one. */
export function cuttingWith(bench: Workbench, pieceId: string): Workbench['records']['cuttings'][number] | undefined {
  return bench.records.cuttings.find((c) => c.data.pieces.includes(pieceId));
}
