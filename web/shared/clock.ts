import type { Hours } from '../../core/build/index.js';

/** The day that it is here, such as 2026-05-04. */
export function today(now = new Date()): string {
  const two = (n: number) => `${n}`.padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** Evenings in the week, and Saturdays: a start for whoever has a job. */
export function usualHours(from: string): Hours {
  const evening = [{ from: 19 * 60, to: 21 * 60 }];
  return { from, week: [evening, evening, evening, evening, [], [{ from: 9 * 60, to: 16 * 60 }], []], off: [] };
}

/** A time of the day as it is typed. @example clockText(570): "09:30" */
export function clockText(minutes: number): string {
  return `${`${Math.floor(minutes / 60)}`.padStart(2, '0')}:${`${Math.round(minutes) % 60}`.padStart(2, '0')}`;
}

/** The minutes of a time that was typed; null where it is none. */
export function clockOf(text: string): number | null {
  const found = /^(\d{1,2}):(\d{2})$/.exec(text.trim());
  if (!found) return null;
  const minutes = Number(found[1]) * 60 + Number(found[2]);
  return Number(found[2]) < 60 && minutes <= 24 * 60 ? minutes : null;
}

/** Minutes from the first midnight of a plan to a moment, in the time that clocks show here. */
export function minutesSince(day: string, moment: Date): number {
  const [y, m, d] = day.split('-').map(Number) as [number, number, number];
  const local = Date.UTC(moment.getFullYear(), moment.getMonth(), moment.getDate(), moment.getHours(), moment.getMinutes());
  return Math.round((local - Date.UTC(y, m - 1, d)) / 60_000);
}

const DAY_TEXT = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });

/** A day for reading. @example "Mon, 4 May" */
export const dayText = (day: string): string => DAY_TEXT.format(new Date(`${day}T00:00:00Z`));
