import type { Length } from '../length/index.js';

/** Something to saw from, so many of it as there are. */
export interface Board {
  readonly id: string;
  readonly length: Length;
  /** How many there are; Infinity for what can be bought. */
  readonly count: number;
  /** What one costs that is opened: money for what is bought, next to nothing for what lies there. */
  readonly cost: number;
}

/** What the saw takes. */
export interface Blade {
  /** What every cut turns to dust. */
  readonly kerf: Length;
  /** What is taken off each end, or each edge, of what is bought before anything is measured from it; its own kerf is in it. */
  readonly trim: Length;
}

/** A bound on what any layout costs, and how it was come by. */
export interface Bound {
  /** No layout opens fewer. */
  readonly count: number;
  /** No layout costs less. */
  readonly cost: number;
}

/**
 * A repeatable source of numbers from 0 to under 1 (mulberry32), so that the same input is laid out in the same way.
 * @example seeded(7)() === seeded(7)() // true
 */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
