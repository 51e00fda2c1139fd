import type { CarriedMember } from './carry.js';

/** Members that bend alike under alike loads, together, in the order of the first of each. */
export function alike(members: readonly CarriedMember[]): readonly (readonly CarriedMember[])[] {
  const groups = new Map<string, CarriedMember[]>();
  for (const c of members) {
    const sag = c.bending?.verdict;
    const key = `${c.member.role} ${c.member.stockId} ${c.state} ${c.missing} ${sag?.today.mm.toFixed(3)} ${c.bending?.room === null ? sag?.allowed.toFixed(3) : 'unseen'} ${c.total.toFixed(2)}`;
    const group = groups.get(key);
    if (group) group.push(c);
    else groups.set(key, [c]);
  }
  return [...groups.values()];
}
