/**
 * Some in groups of one key each, in the order that the keys are first met.
 * @example grouped([1, 2, 3, 4], (n) => `${n % 2}`) // [[1, 3], [2, 4]]
 */
export function grouped<T>(all: readonly T[], keyOf: (one: T) => string): T[][] {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const key = keyOf(one);
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return [...groups.values()];
}
