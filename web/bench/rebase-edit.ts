import { findSpace, type Piece, type PieceEdit, type PiecePatch, type Space } from '../../core/piece/index.js';
import { rebase } from '../data/rebase.js';

/** A whole value that an edit puts into a space, brought onto what that space has there now. */
function inSpace<T>(seen: Piece, now: Piece, id: string, next: T, valueOf: (space: Space) => T | undefined): T {
  const [before, after] = [findSpace(seen.interior, id), findSpace(now.interior, id)].map((path) => path && valueOf(path.space));
  return before === undefined || after === undefined ? next : rebase(before, next, after);
}

/**
 * An edit that was made on an earlier state of a piece, such as a field that was left while the one before it was
 * still on its way, as it is to be applied to the piece now. Edits that put whole values keep what others changed in those.
 */
export function rebaseEdit(edit: PieceEdit, seen: Piece, now: Piece): PieceEdit {
  if (seen === now) return edit;
  switch (edit.kind) {
    case 'piece': {
      const field = (piece: Piece, key: string) => (piece as unknown as Record<string, unknown>)[key];
      const patch = Object.entries(edit.patch).map(([key, value]) => [key, rebase<unknown>(field(seen, key), value, field(now, key))]);
      return { ...edit, patch: Object.fromEntries(patch) as PiecePatch };
    }
    case 'making':
      return { ...edit, making: inSpace(seen, now, edit.space, edit.making, (s) => s.split?.making) };
    case 'filling':
      return { ...edit, filling: inSpace(seen, now, edit.space, edit.filling, (s) => s.filling) };
    case 'things':
      return { ...edit, things: inSpace(seen, now, edit.space, edit.things, (s) => s.things) };
    case 'rule':
      return { ...edit, rule: inSpace(seen, now, edit.space, edit.rule, (s) => s.rule) };
    default:
      return edit;
  }
}
