/** Numbers from 0 to 1 that a seed makes again (mulberry32). */
export function randomOf(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** One of some. @throws RangeError where there is none */
export function oneOf<T>(all: readonly T[], random: () => number): T {
  const item = all[Math.floor(random() * all.length)];
  if (item === undefined) throw new RangeError('there is nothing to choose from');
  return item;
}
