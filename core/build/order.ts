import type { Building } from './spec.js';
import type { Step } from './step.js';

/** A step that a person put before one that it needs. */
export interface OutOfOrder {
  readonly step: Step;
  readonly before: readonly Step[];
}

/**
 * Steps in the order that a person wants: those that are named change places among themselves, the others stay.
 * Names of steps that are no longer there count for nothing.
 * @example inOrder(STEPS, { moved: ['drill', 'saw'] })[1].id // 'drill'
 */
export function inOrder(steps: readonly Step[], { moved }: Pick<Building, 'moved'>): readonly Step[] {
  const byId = new Map(steps.map((s) => [s.id, s]));
  const wanted = [...new Set(moved)].flatMap((id) => byId.get(id) ?? []);
  const named = new Set(wanted);
  let next = 0;
  return steps.map((s) => (named.has(s) ? (wanted[next++] as Step) : s));
}

/** What an order breaks: each step that stands before one that it needs. @example outOfOrder(STEPS) // [] */
export function outOfOrder(steps: readonly Step[]): readonly OutOfOrder[] {
  const at = new Map(steps.map((s, i) => [s.id, i]));
  return steps.flatMap((step, i) => {
    const before = step.needs.flatMap((id) => ((at.get(id) ?? -1) > i ? steps[at.get(id) as number] : undefined) ?? []);
    return before.length > 0 ? [{ step, before }] : [];
  });
}

/**
 * The order after a step has changed places with its neighbour. @param by -1 for earlier, 1 for later
 * @example movedBy(STEPS, 'saw', 1).slice(0, 3) // ['buy', 'drill', 'saw']
 */
export function movedBy(steps: readonly Step[], id: string, by: -1 | 1): readonly string[] {
  const ids = steps.map((s) => s.id);
  const from = ids.indexOf(id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= ids.length) return ids;
  [ids[from], ids[to]] = [ids[to] as string, ids[from] as string];
  return ids;
}
