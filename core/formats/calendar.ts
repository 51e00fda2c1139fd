import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { DAY, dayAfter, type Plan, type Step } from '../build/index.js';

/** A minute of a plan as a date without a time zone: clocks show it wherever one works. */
function dateOf(minute: number, first: string): DateArray {
  const whole = Math.round(minute);
  const [y, m, d] = dayAfter(first, Math.floor(whole / DAY))
    .split('-')
    .map(Number) as [number, number, number];
  return [y, m, d, Math.floor((whole % DAY) / 60), whole % 60];
}

/** What is planned: a piece of a project. */
export interface Planned {
  /** The name of the project. */
  readonly project: string;
  readonly piece: string;
  /** What the piece is called. */
  readonly name: string;
}

/**
 * A plan as iCalendar (RFC 5545): an event for each stretch of work, in local time, and one for the day it is ready. Each has the
 * same UID in every plan of that piece, so that a calendar that takes another one moves what it has.
 * @param first the day that the plan counts from
 * @throws Error where a calendar cannot be written
 */
export function calendarOf({ project, piece, name }: Planned, { sessions, done }: Plan, steps: readonly Step[], first: string): string {
  const uid = (...of: readonly (string | number)[]) => `${[project, piece, ...of].map(encodeURIComponent).join('/')}@ruvok`;
  const stretch = (i: number) => sessions.slice(0, i).filter((s) => s.step === sessions[i]?.step).length + 1;
  const known = new Map(steps.map((s) => [s.id, s]));
  const common = {
    productId: 'ruvok',
    startInputType: 'local',
    startOutputType: 'local',
    endInputType: 'local',
    endOutputType: 'local',
  } as const;
  const events = sessions.map((s, i): EventAttributes => ({
    ...common,
    uid: uid(s.step, stretch(i)),
    title: `${name}: ${known.get(s.step)?.title ?? s.step}`,
    start: dateOf(s.from, first),
    end: dateOf(Math.max(s.to, s.from + 1), first),
  }));
  const ready: EventAttributes[] =
    done === null
      ? []
      : [
          {
            ...common,
            uid: uid('ready'),
            title: `${name} is ready`,
            start: dateOf(done, first),
            duration: { minutes: 15 },
          },
        ];
  const { error, value } = createEvents([...events, ...ready]);
  if (error || !value) throw error ?? new Error('no calendar was written');
  return value;
}
