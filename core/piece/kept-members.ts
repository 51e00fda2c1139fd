import { areAlike, type Seen } from '../figure/index.js';
import type { Member } from './member.js';

/** So many members are remembered by their ids, and of each so many ways it was. */
const [MOST, WAYS] = [2000, 3];

const known = new Map<string, readonly Member[]>();

function asBefore(member: Member, seen: Seen): Member {
  const ways = known.get(member.id) ?? [];
  for (const way of ways) if (areAlike(way, member, seen)) return way;
  if (known.size >= MOST && ways.length === 0) known.delete(known.keys().next().value as string);
  known.set(member.id, [member, ...ways.slice(0, WAYS - 1)]);
  return member;
}

/**
 * The same members, each the very one that it was before where nothing of it has changed, so that what was found out about it is
 * still known: its solid, its box, what it carries, where it meets others and is screwed to them. Most keys leave most members as
 * they were.
 * @example keptMembers([{ ...SHELF }])[0] === keptMembers([{ ...SHELF }])[0] // true
 */
export function keptMembers(members: readonly Member[]): readonly Member[] {
  const seen: Seen = new Map();
  return members.map((m) => asBefore(m, seen));
}
