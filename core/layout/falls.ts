import type { Sawn } from '../cutting/laid.js';
import type { Length } from '../length/index.js';
import { keysIn } from './plan.js';

/** So many marks of a piece that is cut on are told. */
const MARKS = 6;

/**
 * What falls by a cut: a part by its mark, a piece to cut on by the marks of what comes out of it, or what is left over, each with its size.
 * @param marks what is written on each blank, by its key
 * @example fallsText(null, new Map(), String) // 'dust'
 */
export function fallsText(sawn: Sawn | null, marks: ReadonlyMap<string, string>, write: (length: Length) => string): string {
  if (!sawn) return 'dust';
  const size = `${write(sawn.length)} × ${write(sawn.width)}`;
  if (sawn.kind === 'left') return `${sawn.flaw ? 'knot or split, not used' : 'left over'}, ${size}`;
  const letters = keysIn(sawn).map((key) => marks.get(key) ?? '?');
  if (sawn.kind === 'part') return `${letters[0]}, ${size}`;
  return `${letters.slice(0, MARKS).join(', ')}${letters.length > MARKS ? ` and ${letters.length - MARKS} more` : ''}, ${size}`;
}
