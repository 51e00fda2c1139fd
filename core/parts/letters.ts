import type { Letters } from '../piece/index.js';

/** The letters of the nth part: A to Z, then AA, AB and on. @example letterAt(27) // 'AB' */
export function letterAt(index: number): string {
  const last = String.fromCharCode(65 + (index % 26));
  return index < 26 ? last : `${letterAt(Math.floor(index / 26) - 1)}${last}`;
}

/** The place of a letter among all letters, from 0: the inverse of `letterAt`. */
function placeOf(text: string): number {
  return [...text].reduce((place, c) => place * 26 + c.charCodeAt(0) - 64, 0) - 1;
}

/**
 * Letters as builders note them: three and more in a row as a range.
 * @example lettersText(['A', 'C', 'D', 'E', 'G']) // 'A, C–E, G'
 */
export function lettersText(letters: readonly string[], between = ', '): string {
  const places = letters.map(placeOf).sort((a, b) => a - b);
  const runs: [number, number][] = [];
  for (const place of places) {
    const last = runs.at(-1);
    if (last && place === last[1] + 1) last[1] = place;
    else runs.push([place, place]);
  }
  return runs
    .flatMap(([from, to]) => {
      if (to - from >= 2) return [`${letterAt(from)}–${letterAt(to)}`];
      return Array.from({ length: to - from + 1 }, (_, i) => letterAt(from + i));
    })
    .join(between);
}

/**
 * The ledger with a letter for every part. A part that had a letter keeps it, and a letter
 * that was ever given is not given again, even when its part is gone.
 * @example letter(['b', 'c'], { b: 'A' }) // { b: 'A', c: 'B' }
 */
export function letter(partIds: readonly string[], ledger: Letters): Letters {
  const missing = partIds.filter((id) => ledger[id] === undefined);
  if (missing.length === 0) return ledger;
  const next = { ...ledger };
  let index = Object.keys(ledger).length;
  for (const id of missing) {
    next[id] = letterAt(index);
    index += 1;
  }
  return next;
}
