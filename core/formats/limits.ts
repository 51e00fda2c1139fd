import { MOST_PARTS, MOST_SPACES, spacesOf, type Piece, type Shape } from '../piece/index.js';
import type { Fault } from './faults.js';

const accepted = (most: number) => `up to ${most}; divide it into several pieces`;

/** More spaces than are worked out; found before anything is. @example spaceFaults(CASE, '/pieces/case') // [] */
export function spaceFaults(piece: Piece, path: string): readonly Fault[] {
  const spaces = [...spacesOf(piece.interior)].length;
  return spaces > MOST_SPACES
    ? [{ path: `${path}/interior`, message: `this piece has ${spaces} spaces`, accepted: accepted(MOST_SPACES) }]
    : [];
}

/**
 * More parts than are worked out; found in the shape, before loads, checks and what follows from them.
 * @example partFaults(SOLVED.shape, '/pieces/case') // []
 */
export function partFaults({ members }: Pick<Shape, 'members'>, path: string): readonly Fault[] {
  return members.length > MOST_PARTS
    ? [{ path, message: `this piece would have ${members.length} parts`, accepted: accepted(MOST_PARTS) }]
    : [];
}
