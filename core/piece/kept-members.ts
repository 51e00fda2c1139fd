import { Figure, type Unit } from '../figure/index.js';
import type { Member } from './member.js';
import { isBlock } from './solid.js';

/** So many members are remembered by their ids, and of each so many ways it was. */
const [MOST, WAYS] = [2000, 3];

const known = new Map<string, readonly Member[]>();

/** Figures that were found to be alike: many members have the same ones, and long sums behind them. */
type Seen = Map<Figure<Unit>, unknown>;

const isFigure = (a: object): a is Figure<Unit> => a instanceof Figure;

/** Whether two plain values are alike in all that is in them. */
function areAlike(a: unknown, b: unknown, seen: Seen): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a)) {
    if (!Array.isArray(b) || a.length !== b.length) return false;
    for (let i = 0; i < a.length; i += 1) if (!areAlike(a[i], b[i], seen)) return false;
    return true;
  }
  if (Array.isArray(b)) return false;
  if (!isFigure(a)) return fieldsAlike(a as Fields, b as Fields, seen);
  if (seen.get(a) === b) return true;
  if (!isFigure(b) || a.amount !== b.amount || !fieldsAlike(a as unknown as Fields, b as unknown as Fields, seen)) return false;
  seen.set(a, b);
  return true;
}

type Fields = Readonly<Record<string, unknown>>;

function fieldsAlike(ones: Fields, others: Fields, seen: Seen): boolean {
  let count = 0;
  for (const key in ones) {
    const one = ones[key];
    if (one === undefined ? !(key in others) || others[key] !== undefined : !areAlike(one, others[key], seen)) return false;
    count += 1;
  }
  return Object.keys(others).length === count;
}

function asBefore(member: Member, seen: Seen): Member {
  const ways = known.get(member.id) ?? [];
  for (const way of ways) if (areAlike(way, member, seen)) return way;
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
  if (members.every(isBlock)) return members;
  const seen: Seen = new Map();
  return members.map((m) => asBefore(m, seen));
}
