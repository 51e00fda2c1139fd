import type { Blank } from './blanks.js';

/**
 * What is written on a blank: the letter of its part, with the piece's number where several are cut together, and which strip it is.
 * @example markOf(BLANKS[0], [{ id: 'case' }]) // 'A'
 */
export function markOf({ part, piece, strip, spare, test }: Blank, pieces: readonly { readonly id: string }[]): string {
  if (test) return 'test';
  const of = pieces.length > 1 ? `${pieces.findIndex((p) => p.id === piece.id) + 1}` : '';
  return `${of}${part.letter}${strip ? `.${strip.nth + 1}` : ''}${spare ? '*' : ''}`;
}
