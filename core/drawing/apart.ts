/** A word on a drawing: its middle, and how much room it takes. */
export interface Word {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
}

/** So often words are pushed; most lie free of each other after a few. */
const ROUNDS = 60;

/** Less than this is none at all. */
const SAME = 1e-6;

/**
 * The middles of words moved as little as it takes for none to lie over another: those that do are pushed away from each
 * other, each by half, along the way on which less is missing.
 * @param words in any unit
 * @returns their middles in the same order and unit
 * @example apart([{ x: 0, y: 0, wide: 4, high: 2 }, { x: 1, y: 0, wide: 4, high: 2 }]) // [[0, -1], [1, 1]]
 */
export function apart(words: readonly Word[]): readonly (readonly [x: number, y: number])[] {
  const at = words.map(({ x, y }) => ({ x, y }));
  for (let round = 0; round < ROUNDS; round += 1) {
    let moved = false;
    for (const [i, a] of words.entries())
      for (const [j, b] of words.entries()) {
        if (j <= i) continue;
        const [p, q] = [at[i] as { x: number; y: number }, at[j] as { x: number; y: number }];
        const across = (a.wide + b.wide) / 2 - Math.abs(q.x - p.x);
        const up = (a.high + b.high) / 2 - Math.abs(q.y - p.y);
        if (across <= SAME || up <= SAME) continue;
        moved = true;
        const key = up <= across ? 'y' : 'x';
        const by = (Math.min(up, across) / 2) * (q[key] < p[key] ? -1 : 1);
        p[key] -= by;
        q[key] += by;
      }
    if (!moved) break;
  }
  return at.map(({ x, y }) => [x, y]);
}
