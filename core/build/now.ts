import type { Building, Hours } from './spec.js';
import type { Step } from './step.js';
import { hoursFrom, planOf, type Plan } from './plan.js';

/** Evenings in the week, and Saturdays: a start for whoever has a job. @example usualHours('2026-11-28').week[5].length // 1 */
export function usualHours(from: string): Hours {
  const evening = [{ from: 19 * 60, to: 21 * 60 }];
  return { from, week: [evening, evening, evening, evening, [], [{ from: 9 * 60, to: 16 * 60 }], []], off: [] };
}

/** The day that it is where the clock hangs, such as 2026-05-04. @example dayOf(new Date(2026, 4, 4, 18, 30)) // '2026-05-04' */
export function dayOf(moment: Date): string {
  const two = (n: number) => `${n}`.padStart(2, '0');
  return `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`;
}

/**
 * Minutes from the first midnight of a plan to a moment, in the time that clocks show where it is planned.
 * @example minutesSince('2026-05-04', new Date(2026, 4, 4, 18, 30)) // 1110
 */
export function minutesSince(day: string, moment: Date): number {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number];
  const local = Date.UTC(moment.getFullYear(), moment.getMonth(), moment.getDate(), moment.getHours(), moment.getMinutes());
  return Math.round((local - Date.UTC(y, m - 1, d)) / 60_000);
}

/**
 * The hours a piece is built in from today on: its builder's, or the usual ones.
 * @example hoursNow(BUILDING, new Date('2026-11-28T10:00:00')).from // '2026-11-28'
 */
export function hoursNow({ hours }: Building, now: Date): Hours {
  const today = dayOf(now);
  return hoursFrom(hours ?? usualHours(today), today);
}

/**
 * The plan of the steps that are left, from now on: the wait after a step that is done counts from when it was done.
 * @throws NoHours where the week has none
 * @example planLeft([], BUILDING, new Date('2026-11-28T10:00:00')).ends.size // 0
 */
export function planLeft(steps: readonly Step[], building: Building, now: Date): Plan {
  const hours = hoursNow(building, now);
  const done = new Map(building.done.map((d) => [d.step, d.at]));
  const ready = new Map(
    steps.flatMap((s): [string, number][] => {
      const at = done.get(s.id);
      return at ? [[s.id, minutesSince(hours.from, new Date(at)) + (s.wait?.minutes ?? 0)]] : [];
    }),
  );
  const left = steps.filter((s) => !done.has(s.id));
  return planOf(left, hours, Math.max(0, minutesSince(hours.from, now)), ready);
}
