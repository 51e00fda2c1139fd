import { workshopFor } from '../project/index.js';
import { solve, type Solution } from '../solution/index.js';
import { pieceIn, workshopOf, type ProjectFile } from './project-file.js';

/** A piece of a project with all that follows from it, by what was read and cut of it since; null where there is no such piece. */
export function solvedIn(file: ProjectFile, id: string): Solution | null {
  const kept = pieceIn(file, id);
  if (!kept) return null;
  const shop = workshopFor(workshopOf(file), Object.values(file.readings ?? {}), id, Object.values(file.made ?? {}));
  return solve(kept.piece, shop, kept.letters);
}
