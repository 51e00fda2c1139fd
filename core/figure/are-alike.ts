import { Figure, type Unit } from './figure.js';

/** Figures that were found to be alike: many values have the same ones, and long sums behind them. */
export type Seen = Map<Figure<Unit>, unknown>;

const isFigure = (a: object): a is Figure<Unit> => a instanceof Figure;

/**
 * Whether two plain values are alike in all that is in them, figures with the sums behind them.
 * @param seen the figures that were found to be alike so far, where many values are compared
 * @example areAlike({ way: [0, 1], by: undefined }, { by: undefined, way: [0, 1] }) // true
 */
export function areAlike(a: unknown, b: unknown, seen: Seen = new Map()): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a)) {
    if (!Array.isArray(b) || a.length !== b.length) return false;
    for (let i = 0; i < a.length; i += 1) if (!areAlike(a[i], b[i], seen)) return false;
    return true;
  }
  if (Array.isArray(b)) return false;
  if (!isFigure(a)) return fieldsAlike(a as Fields, b as Fields, seen);
  if (seen.get(a) === b) return true;
  if (!isFigure(b) || a.amount !== b.amount || !fieldsAlike(a as unknown as Fields, b as unknown as Fields, seen)) return false;
  seen.set(a, b);
  return true;
}

type Fields = Readonly<Record<string, unknown>>;

function fieldsAlike(ones: Fields, others: Fields, seen: Seen): boolean {
  let count = 0;
  for (const key in ones) {
    const one = ones[key];
    if (one === undefined ? !(key in others) || others[key] !== undefined : !areAlike(one, others[key], seen)) return false;
    count += 1;
  }
  return Object.keys(others).length === count;
}
