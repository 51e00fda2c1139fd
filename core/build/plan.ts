import type { Hours } from './spec.js';
import type { Step } from './step.js';

/** A stretch of work on one step. Times are minutes from the first midnight of the plan, in local time. */
export interface Session {
  readonly step: string;
  readonly from: number;
  readonly to: number;
}

/** When everything is done, in the hours that there are. */
export interface Plan {
  readonly sessions: readonly Session[];
  /** When each step's work ends, and when what waits after it is over, minutes. */
  readonly ends: ReadonlyMap<string, { readonly work: number; readonly ready: number }>;
  /** When the last wait is over; null where there are no hours to do it in. */
  readonly done: number | null;
  /** The steps that the end hangs on: none of them can be late without it. */
  readonly chain: readonly string[];
}

/** Why there is no plan. */
export class NoHours extends Error {}

export const DAY = 24 * 60;

/** Less than this is no time to begin anything. */
const LEAST = 10;
/** So far ahead is planned, days. */
const AHEAD = 3 * 366;

const utc = (day: string) => Date.parse(`${day}T00:00:00Z`);

/** A day so many after another. @example dayAfter('2026-02-27', 2) // '2026-03-01' */
export function dayAfter(day: string, by: number): string {
  return new Date(utc(day) + by * DAY * 60_000).toISOString().slice(0, 10);
}

/** How many days a day is after another. @example daysBetween('2026-02-27', '2026-03-01') // 2 */
export function daysBetween(from: string, to: string): number {
  return Math.round((utc(to) - utc(from)) / (DAY * 60_000));
}

/** Hours from a day on: what lies before it is over. @example hoursFrom(HOURS, '2026-11-28').from // '2026-11-28' */
export function hoursFrom(hours: Hours, day: string): Hours {
  return hours.from >= day ? hours : { ...hours, from: day };
}

/** The day of the week, Monday 0. @example weekdayOf('2026-11-28') // 5 */
export const weekdayOf = (day: string): number => (new Date(utc(day)).getUTCDay() + 6) % 7;

/** When one works, from the first day of the plan on, one stretch after the other. */
function* stretches({ from, week, off }: Hours): Generator<{ from: number; to: number }> {
  const free = new Set(off);
  for (let d = 0; d < AHEAD; d += 1) {
    const day = dayAfter(from, d);
    if (free.has(day)) continue;
    const times = [...(week[weekdayOf(day)] ?? [])].filter((t) => t.to > t.from).sort((a, b) => a.from - b.from);
    let last = 0;
    for (const t of times) {
      const begins = Math.max(t.from, last);
      if (t.to > begins) yield { from: d * DAY + begins, to: d * DAY + t.to };
      last = Math.max(last, t.to);
    }
  }
}

/** Work that is glued or coated is not left half done. */
const AT_ONCE: ReadonlySet<Step['phase']> = new Set(['together', 'frames', 'close', 'moving', 'coats', 'fronts']);

interface Doing {
  readonly step: Step;
  left: number;
  begun: boolean;
}

/**
 * Puts the steps that are left into the hours one has: never outside them, never before a wait is over. While glue or
 * paint dries, what does not wait for it goes on. What is glued up is begun only where it can be finished in one go,
 * unless no stretch is ever long enough.
 * @param after the minute before which nothing can be done, such as now
 * @param ready when steps that are done already let others begin, minutes; done long ago where it is left out
 * @throws NoHours where the week has none
 * @example planOf([], HOURS).ends.size // 0
 */
export function planOf(steps: readonly Step[], hours: Hours, after = 0, ready: ReadonlyMap<string, number> = new Map()): Plan {
  const longest = Math.max(0, ...hours.week.flat().map((t) => t.to - t.from));
  if (longest < LEAST) throw new NoHours('there are no hours to work in: give at least ten minutes on one day of the week');
  const isLeft = new Set(steps.map((s) => s.id));
  const ends = new Map<string, { work: number; ready: number }>();
  const left: Doing[] = steps.map((step) => ({ step, left: Math.max(1, step.minutes), begun: false }));
  const readyAt = (step: Step) => {
    const needs = step.needs.map((id) => (isLeft.has(id) ? (ends.get(id)?.ready ?? Infinity) : (ready.get(id) ?? 0)));
    return Math.max(after, ...needs);
  };
  const sessions: Session[] = [];
  for (const stretch of stretches(hours)) {
    if (left.length === 0) break;
    let now = Math.max(stretch.from, after);
    while (stretch.to - now >= 1 && left.length > 0) {
      const room = stretch.to - now;
      const fits = (d: Doing) => !AT_ONCE.has(d.step.phase) || d.begun || d.left <= room || d.left > longest;
      const next = left.find((d) => readyAt(d.step) <= now && fits(d) && (room >= LEAST || d.left <= room));
      if (!next) {
        const soonest = Math.min(...left.map((d) => readyAt(d.step)).filter((t) => t > now));
        if (!(soonest < stretch.to)) break;
        now = soonest;
        continue;
      }
      const takes = Math.min(next.left, room);
      sessions.push({ step: next.step.id, from: now, to: now + takes });
      now += takes;
      next.left -= takes;
      next.begun = true;
      if (next.left > 1e-6) continue;
      ends.set(next.step.id, { work: now, ready: now + (next.step.wait?.minutes ?? 0) });
      left.splice(left.indexOf(next), 1);
    }
  }
  const done = left.length > 0 ? null : Math.max(after, ...[...ends.values()].map((e) => e.ready));
  return { sessions, ends, done, chain: chainOf(steps) };
}

/** The longest chain of steps that need each other, by their work and their waits. */
function chainOf(steps: readonly Step[]): readonly string[] {
  const longest = new Map<string, { minutes: number; before: string | null }>();
  for (const s of steps) {
    const before = s.needs.reduce<string | null>((best, id) => {
      const known = longest.get(id);
      return known && known.minutes > (best === null ? -1 : (longest.get(best)?.minutes ?? -1)) ? id : best;
    }, null);
    const so = before === null ? 0 : (longest.get(before)?.minutes ?? 0);
    longest.set(s.id, { minutes: so + s.minutes + (s.wait?.minutes ?? 0), before });
  }
  let at: string | null = [...longest].reduce<string | null>(
    (best, [id, { minutes }]) => (best === null || minutes > (longest.get(best)?.minutes ?? 0) ? id : best),
    null,
  );
  const chain: string[] = [];
  while (at !== null) {
    chain.unshift(at);
    at = longest.get(at)?.before ?? null;
  }
  return chain;
}

/** The day that each step is done on, by a plan whose first day is given. @example daysOf({ ends: [] }, '2026-11-28') // [] */
export function daysOf({ ends }: Pick<Plan, 'ends'>, from: string): readonly { readonly step: string; readonly day: string }[] {
  return [...ends].map(([step, { work }]) => ({ step, day: dayAfter(from, Math.floor((work - 1) / DAY)) }));
}

/** A step that is done on another day than was kept. */
export interface MovedStep {
  readonly step: string;
  readonly was: string;
  readonly day: string;
}

/** Steps that are done on other days than were kept, in the order of the plan. @example movedSteps([], { ends: [] }, '2026-11-28') // [] */
export function movedSteps(
  kept: readonly { readonly step: string; readonly day: string }[],
  plan: Pick<Plan, 'ends'>,
  from: string,
): readonly MovedStep[] {
  const was = new Map(kept.map((k) => [k.step, k.day]));
  return daysOf(plan, from).flatMap(({ step, day }): MovedStep[] => {
    const before = was.get(step);
    return before === undefined || before === day ? [] : [{ step, was: before, day }];
  });
}

/** What is done in the next stretch of work: its day, and the sessions in it. @example nextDayOf(planOf(STEPS, HOURS)).length // 1 */
export function nextDayOf({ sessions }: Plan): readonly Session[] {
  const first = sessions[0];
  if (!first) return [];
  const day = Math.floor(first.from / DAY);
  return sessions.filter((s) => Math.floor(s.from / DAY) === day);
}
