import { uncheckedJoints, type Check } from '../../checks/index.js';
import type { Solution } from '../solve.js';

/** Members that fail, and joints and all else that stops the build, by their ids. @example failing(SOLVED).size // 0 */
export function failing({ carried, checks }: Solution): ReadonlySet<string> {
  const members = [...carried.members.values()].filter((c) => c.state === 'fails').map((c) => c.member.id);
  const stops = checks.filter((c) => c.state === 'fails' && (c.severity === 'stop' || c.joint !== undefined)).map((c) => c.id);
  return new Set([...members, ...stops]);
}

/** What stops the build after a change that did not before it. @example newStops(SOLVED, SOLVED) // [] */
export function newStops(before: Solution, after: Solution): readonly Check[] {
  const known = new Set(before.checks.flatMap((c) => (c.severity === 'stop' ? [c.id] : [])));
  return after.checks.filter((c) => c.severity === 'stop' && !known.has(c.id));
}

/** Whether a change leaves a joint unchecked that was not: that is no way to mend it. @example leavesUnchecked(SOLVED, SOLVED) // false */
export const leavesUnchecked = (before: Solution, after: Solution): boolean =>
  uncheckedJoints(after.carried, after.workshop).length > uncheckedJoints(before.carried, before.workshop).length;
