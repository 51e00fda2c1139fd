import type { Letters } from '../piece/index.js';

/** The letters of the nth part: A to Z, then AA, AB and on. */
export function letterAt(index: number): string {
  const last = String.fromCharCode(65 + (index % 26));
  return index < 26 ? last : `${letterAt(Math.floor(index / 26) - 1)}${last}`;
}

/**
 * The ledger with a letter for every part. A part that had a letter keeps it, and a letter
 * that was ever given is not given again, even when its part is gone.
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
