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

/** Times a piece of work so many times after so many rounds to warm up. */
export function timed(work: () => void, rounds: number, warm = Math.ceil(rounds / 2)): Spread {
  for (let i = 0; i < warm; i += 1) work();
  const times: number[] = [];
  for (let i = 0; i < rounds; i += 1) {
    const start = performance.now();
    work();
    times.push(performance.now() - start);
  }
  return spreadOf(times);
}

/** Prints one figure beside what it should be. */
export function print(name: string, figure: string, target: string): void {
  console.log(`${name.padEnd(58)} ${figure.padStart(16)}   ${target}`);
}

export const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`;
