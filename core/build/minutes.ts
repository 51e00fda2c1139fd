import type { Building } from './spec.js';
import type { Phase } from './step.js';

/**
 * How long things take, minutes at work: what a practised person working alone at home needs, as a start. Times of
 * one's own take their place as they are noted.
 */
export const TAKES = {
  takeOut: 20,
  trip: 60,
  setSaw: 4,
  cut: 1.5,
  shape: 8,
  bandPerMetre: 6,
  easePerMetre: 1.5,
  setRecess: 8,
  pass: 0.7,
  setDrill: 3,
  hole: 0.6,
  sandPerSquare: 9,
  part: 2,
  joint: 3,
  clampUp: 10,
  coatPerSquare: 6,
  brush: 10,
  stand: 30,
  check: 15,
} as const;

/** How much longer or shorter than reckoned one takes, by phase: the times that were noted over those that were reckoned. */
export type OwnPace = Readonly<Partial<Record<Phase, number>>>;

/** A pace outside of these is more likely a slip of the pen. */
const LIKELY = [0.2, 5] as const;

/** @param noted how long steps of a phase took, beside what was reckoned for them @example paceOf([]) // {} */
export function paceOf(noted: readonly { readonly phase: Phase; readonly took: number; readonly reckoned: number }[]): OwnPace {
  const sums = new Map<Phase, { took: number; reckoned: number }>();
  for (const { phase, took, reckoned } of noted) {
    const ratio = took / reckoned;
    if (!(ratio >= LIKELY[0] && ratio <= LIKELY[1])) continue;
    const sum = sums.get(phase) ?? { took: 0, reckoned: 0 };
    sums.set(phase, { took: sum.took + took, reckoned: sum.reckoned + reckoned });
  }
  return Object.fromEntries([...sums].map(([phase, { took, reckoned }]) => [phase, took / reckoned]));
}

/** What this builder's times are against what is reckoned, by all that was noted of any piece. @example paceIn([BUILDING]) // {} */
export const paceIn = (buildings: readonly Pick<Building, 'done'>[]): OwnPace =>
  paceOf(
    buildings.flatMap((b) =>
      b.done.flatMap(({ took }) => (took ? [{ phase: took.phase, took: took.minutes, reckoned: took.reckoned }] : [])),
    ),
  );

/** A time at work for reading. @example timeText(85) // '1 h 25 min' */
export function timeText(minutes: number): string {
  const whole = Math.max(1, Math.round(minutes));
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** A wait for reading: days where it is one or more. @example waitText(7200) // '5 days' */
export function waitText(minutes: number): string {
  const days = minutes / (24 * 60);
  if (days < 1) return timeText(minutes);
  const said = Number(days.toFixed(1));
  return `${said} ${said === 1 ? 'day' : 'days'}`;
}
