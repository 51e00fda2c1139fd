import { sameData } from './same.js';

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields => value !== null && typeof value === 'object' && !Array.isArray(value);

/**
 * An edit brought onto what a record has become since the edit's form was drawn: what the edit changed is
 * taken from it, all else stays as it is now. Lists are gone through place by place while nothing was added
 * to or taken from them; else the edit's own list counts.
 * @param seen the record as the form had it
 * @param next the same, edited
 * @param now the record as it is
 */
export function rebase<T>(seen: T, next: T, now: T): T {
  if (seen === now || sameData(next, now)) return next;
  if (sameData(seen, next)) return now;
  if (Array.isArray(seen) && Array.isArray(next) && Array.isArray(now)) {
    if (seen.length !== next.length || seen.length !== now.length) return next;
    return next.map((value, i) => rebase<unknown>(seen[i], value, now[i])) as T;
  }
  // What both put in where there was nothing is put together, where it is the same sort of thing.
  const before = seen === undefined && isFields(next) && isFields(now) && next['kind'] === now['kind'] ? {} : seen;
  if (!isFields(before) || !isFields(next) || !isFields(now)) return next;
  const keys = new Set([...Object.keys(next), ...Object.keys(now)]);
  const merged = [...keys].map((key) => [key, rebase(before[key], next[key], now[key])] as const);
  return Object.fromEntries(merged.filter(([, value]) => value !== undefined)) as T;
}
