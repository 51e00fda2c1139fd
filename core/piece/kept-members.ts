import type { Member } from './member.js';
import { isBlock } from './solid.js';

/** So many members are remembered by their ids, and of each so many ways it was. */
const [MOST, WAYS] = [2000, 3];

const known = new Map<string, readonly Member[]>();

/** Whether two plain values are alike in all that is in them. */
function areAlike(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a)) {
    if (!Array.isArray(b) || a.length !== b.length) return false;
    for (let i = 0; i < a.length; i += 1) if (!areAlike(a[i], b[i])) return false;
    return true;
  }
  const [ones, others] = [a as Record<string, unknown>, b as Record<string, unknown>];
  let count = 0;
  for (const key in ones) {
    if (!areAlike(ones[key], others[key])) return false;
    count += 1;
  }
  for (const key in others) if (key in ones) count -= 1;
  return count === 0 && !Array.isArray(b);
}

function asBefore(member: Member): Member {
  const ways = known.get(member.id) ?? [];
  for (const way of ways) if (areAlike(way, member)) return way;
  if (known.size >= MOST && ways.length === 0) known.delete(known.keys().next().value as string);
  known.set(member.id, [member, ...ways.slice(0, WAYS - 1)]);
  return member;
}

/**
 * The same members, each the very one that it was before where nothing of it has changed, so that what was found out about it is
 * still known: its solid, its box, where it meets others and is screwed to them. Most keys leave most members as they were. Where
 * all fill their boxes there is nothing to find out that takes longer than looking.
 */
export function keptMembers(members: readonly Member[]): readonly Member[] {
  return members.every(isBlock) ? members : members.map(asBefore);
}
