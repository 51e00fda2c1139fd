/** The middle of some times, and the one that 95 of 100 stay under, ms. */
export interface Spread {
  readonly median: number;
  readonly p95: number;
}

export function spreadOf(times: readonly number[]): Spread {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (part: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? NaN;
  return { median: at(0.5), p95: at(0.95) };
}

/**
 * Times a piece of work so many times after so many rounds to warm up.
 * @param each how many of it are timed together: the clock itself takes part of a microsecond, so that shorter work wants a hundred
 */
export function timed(work: () => void, rounds: number, warm = Math.ceil(rounds / 2), each = 1): Spread {
  for (let i = 0; i < warm * each; i += 1) work();
  const times: number[] = [];
  for (let i = 0; i < rounds; i += 1) {
    const start = performance.now();
    for (let n = 0; n < each; n += 1) work();
    times.push((performance.now() - start) / each);
  }
  return spreadOf(times);
}

/** Prints one figure beside what it should be. */
export function print(name: string, figure: string, target: string): void {
  console.log(`${name.padEnd(58)} ${figure.padStart(16)}   ${target}`);
}

export const ms = (value: number) => (value < 0.1 ? `${(value * 1000).toFixed(1)} µs` : `${value.toFixed(value < 10 ? 2 : 0)} ms`);
