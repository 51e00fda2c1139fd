import { findSpace, type Piece, type Space } from '../piece/index.js';

/** An edit that names something the piece does not have. */
export class EditError extends Error {}

/** A space of a piece by its id. @throws EditError where it has none of that id */
export function spaceOf(piece: Piece, id: string): Space {
  const path = findSpace(piece.interior, id);
  if (!path) throw noSpace(piece, id);
  return path.space;
}

const noSpace = (piece: Piece, id: string) => new EditError(`there is no space ${id} in ${piece.name}`);

/** A copy of a space and of what it lies in, with all that does not lie on the way there shared; null where it is not in it. */
function opened(from: Space, id: string, change: (space: Space) => void): Space | null {
  if (from.id === id) {
    const space = { ...from };
    change(space);
    return space;
  }
  for (const [i, part] of from.split?.spaces.entries() ?? []) {
    const changed = opened(part, id, change);
    if (changed && from.split) return { ...from, split: { ...from.split, spaces: from.split.spaces.with(i, changed) } };
  }
  return null;
}

/** The piece with one of its spaces changed, and all else of it shared: most edits are this, and are tried at every key. */
export function withSpace(piece: Piece, id: string, change: (space: Space) => void): Piece {
  const interior = opened(piece.interior, id, change);
  if (!interior) throw noSpace(piece, id);
  return { ...piece, interior };
}
