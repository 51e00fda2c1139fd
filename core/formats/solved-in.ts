import { workshopFor } from '../project/index.js';
import { solve, tiedTo, withinOf, type Solution } from '../solution/index.js';
import { pieceIn, workshopOf, type ProjectFile } from './project-file.js';

/**
 * A piece of a project with all that follows from it, by what was read and cut of it since; null where there is no such piece.
 * @example solvedIn(FILE, 'case').parts.length // 5
 */
export function solvedIn(file: ProjectFile, id: string): Solution | null {
  const kept = pieceIn(file, id);
  if (!kept) return null;
  const shopOf = (piece: string) =>
    workshopFor(workshopOf(file), Object.values(file.readings ?? {}), piece, Object.values(file.made ?? {}));
  const shop = shopOf(id);
  const tie = tiedTo(kept.piece);
  if (!tie) return solve(kept.piece, shop, kept.letters);
  // What it is made to fit is solved by itself, so that two that fit each other are no circle.
  const other = tie.piece === id ? null : pieceIn(file, tie.piece);
  const source = other ? solve(other.piece, shopOf(tie.piece), other.letters) : null;
  return solve(kept.piece, { ...shop, within: withinOf(source, tie.space) }, kept.letters);
}
