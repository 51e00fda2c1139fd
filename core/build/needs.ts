import { isOutside } from './groups.js';
import type { Draft, Step } from './step.js';

/**
 * The parts that a step has in hand: its own, and those that its joints hold them to.
 * @example inHand({ parts: ['a'], works: [] }).has('a') // true
 */
export function inHand({ parts, works }: Pick<Draft, 'parts' | 'works'>): ReadonlySet<string> {
  const held = works.flatMap((w) => (w.kind !== 'join' ? [] : isOutside(w.joint) ? [w.joint.carried] : [w.joint.carried, w.joint.carrier]));
  return new Set([...parts, ...held]);
}

/** What each step needs: for every part that it has in hand, the step that had it in hand before. */
export function withNeeds(drafts: readonly Draft[]): readonly Step[] {
  const last = new Map<string, string>();
  return drafts.map((d): Step => {
    const held = [...inHand(d)];
    const needs = [...new Set(held.flatMap((p) => last.get(p) ?? []))];
    for (const p of held) last.set(p, d.id);
    return { ...d, needs };
  });
}
