import { mm, toMm, type Length } from '../length/index.js';
import type { LogEntry } from '../build/spec.js';
import type { OwnPace } from '../build/minutes.js';
import type { Phase } from '../build/step.js';
import type { Made } from '../survey/index.js';

/** How parts came out against the plan: what a saw and a tape leave. */
export interface CutTruth {
  readonly count: number;
  /** The middle of how far lengths and widths were off, and the farthest; larger than planned above zero. */
  readonly usually: Length;
  readonly farthest: Length;
}

/** How far parts that were measured were off the plan they were cut by; null where none was measured. @example cutTruth(new Map()) // null */
export function cutTruth(made: Made): CutTruth | null {
  const offs = [...made.values()]
    .flatMap((m) => [toMm(m.length) - toMm(m.planned.length), toMm(m.width) - toMm(m.planned.width)])
    .sort((a, b) => a - b);
  if (offs.length === 0) return null;
  const farthest = offs.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
  return { count: made.size, usually: mm(offs[Math.floor(offs.length / 2)] ?? 0), farthest: mm(farthest) };
}

/**
 * Phases that take this builder clearly longer or shorter than reckoned, the farthest off first.
 * @example paceLearnt({ saw: 1.3, drill: 1.05, sand: 0.5 }).map((p) => p.phase) // ['sand', 'saw']
 */
export function paceLearnt(pace: OwnPace): readonly { readonly phase: Phase; readonly times: number }[] {
  return (Object.entries(pace) as [Phase, number][])
    .map(([phase, times]) => ({ phase, times }))
    .filter(({ times }) => Math.abs(Math.log(times)) > Math.log(1.1))
    .sort((a, b) => Math.abs(Math.log(b.times)) - Math.abs(Math.log(a.times)));
}

/** Time and money that were noted in a log. @example spentIn([]) // { minutes: 0, money: 0 } */
export function spentIn(entries: readonly LogEntry[]): { readonly minutes: number; readonly money: number } {
  const sum = (of: (e: LogEntry) => number | undefined) => entries.reduce((all, e) => all + (of(e) ?? 0), 0);
  return { minutes: sum((e) => e.minutes), money: sum((e) => e.money) };
}
