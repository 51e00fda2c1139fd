import { dayOf } from '../../core/build/index.js';

/** The day that it is here, such as 2026-05-04. */
export const today = (now = new Date()): string => dayOf(now);

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

const MOMENT_TEXT = new Intl.DateTimeFormat(undefined, {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});

/** A moment for reading, by the clock and the customs here. */
export const momentText = (at: string): string => MOMENT_TEXT.format(new Date(at));

const DAY_TEXT = new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });

/** A day for reading, by the customs here. */
export const dayText = (day: string): string => DAY_TEXT.format(new Date(`${day}T00:00:00Z`));
