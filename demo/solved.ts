import { workshopOf } from '../core/formats/index.js';
import { applyEdit } from '../core/kinds/index.js';
import type { PieceEdit } from '../core/piece/index.js';
import { workshopFor, type Workshop } from '../core/project/index.js';
import { solve, type Solution } from '../core/solution/index.js';
import { PRINT_SHED } from './print-shed.js';

const readings = Object.values(PRINT_SHED.readings ?? {});
const made = Object.values(PRINT_SHED.made ?? {});

/** What a piece of the print shed is solved with. */
export const shopOf = (id: string): Workshop => workshopFor(workshopOf(PRINT_SHED), readings, id, made);

/**
 * A piece of the print shed, solved as it is or after some edits.
 * @throws Error where there is no such piece
 */
export function solved(id: string, ...edits: readonly PieceEdit[]): Solution {
  const kept = PRINT_SHED.pieces[id];
  if (!kept) throw new Error(`there is no ${id} in the shed`);
  return solve(edits.reduce(applyEdit, kept.piece), shopOf(id), {});
}
