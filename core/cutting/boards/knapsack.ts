/**
 * The most that copies of some sizes are worth in a room, and which (bounded knapsack by
 * dynamic programming over the whole numbers up to the room, each count in powers of two).
 * @param sizes whole numbers over 0
 * @param worth of each; one of nothing is never taken
 * @param most copies of each
 * @example knapsack([3, 4], [4, 5], [2, 2], 7) // { worth: 9, takes: [1, 1] }
 */
export function knapsack(
  sizes: readonly number[],
  worth: readonly number[],
  most: readonly number[],
  room: number,
): { readonly worth: number; readonly takes: number[] } {
  const best = new Float64Array(room + 1);
  const steps: { readonly item: number; readonly count: number; readonly taken: Uint8Array }[] = [];
  sizes.forEach((size, item) => {
    const each = worth[item] as number;
    let left = Math.min(most[item] as number, Math.floor(room / size));
    if (each <= 1e-12) return;
    for (let lot = 1; left > 0; lot *= 2) {
      const count = Math.min(lot, left);
      left -= count;
      const [wide, gain] = [size * count, each * count];
      const taken = new Uint8Array(room + 1);
      for (let at = room; at >= wide; at -= 1) {
        const other = (best[at - wide] as number) + gain;
        if (other > (best[at] as number) + 1e-12) {
          best[at] = other;
          taken[at] = 1;
        }
      }
      steps.push({ item, count, taken });
    }
  });
  const takes = sizes.map(() => 0);
  let at = room;
  for (const { item, count, taken } of steps.reverse()) {
    if (taken[at] !== 1) continue;
    takes[item] = (takes[item] as number) + count;
    at -= (sizes[item] as number) * count;
  }
  return { worth: best[room] as number, takes };
}
