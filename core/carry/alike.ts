import type { CarriedMember } from './carry.js';

/** A figure to so many parts of one. */
const inSteps = (of: number, parts: number) => Math.round(of * parts);

/**
 * Members that bend alike under alike loads, together, in the order of the first of each.
 * @example alike([...SOLVED.carried.members.values()]).flat().length // 5
 */
export function alike(members: readonly CarriedMember[]): readonly (readonly CarriedMember[])[] {
  const groups = new Map<string, CarriedMember[]>();
  for (const c of members) {
    const sag = c.bending?.verdict;
    const [today, allowed] = sag ? [inSteps(sag.today.mm, 1000), c.bending?.room === null ? inSteps(sag.allowed, 1000) : 'unseen'] : [];
    const key = `${c.member.role} ${c.member.stockId} ${c.state} ${c.missing} ${today} ${allowed} ${inSteps(c.total, 100)}`;
    const group = groups.get(key);
    if (group) group.push(c);
    else groups.set(key, [c]);
  }
  return [...groups.values()];
}
