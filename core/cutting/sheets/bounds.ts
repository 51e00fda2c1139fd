import type { Ground, Item } from './problem.js';

/** What part of a side counts, by a function that no sum of sides that fit makes larger than the whole (dual feasible). */
type Weigh = (part: number) => number;

const TINY = 1e-9;

/** Sides over 1 − e count whole, those under e not at all. */
const large =
  (e: number): Weigh =>
  (x) =>
    x > 1 - e + TINY ? 1 : x < e - TINY ? 0 : x;

/** Rounded down to parts of k + 1, but where it is a whole number of those (Fekete and Schepers 2001). */
const stepped =
  (k: number): Weigh =>
  (x) => {
    const parts = x * (k + 1);
    return Math.abs(parts - Math.round(parts)) < TINY ? x : Math.floor(parts) / k;
  };

/** Counts how many pieces of e a side leaves no room for (Fekete and Schepers 2001). */
const pieces =
  (e: number): Weigh =>
  (x) => {
    const whole = Math.floor(1 / e + TINY);
    if (x > 0.5 + TINY) return 1 - Math.floor((1 - x) / e + TINY) / whole;
    return x >= e - TINY && x <= 0.5 + TINY && Math.abs(x - 0.5) > TINY ? 1 / whole : Math.abs(x - 0.5) <= TINY ? 0.5 : 0;
  };

const itself: Weigh = (x) => x;

/** Of more sides than this fewer are weighed, so that there is an answer soon. */
const VERY_MANY = 2000;

function weighings(sides: readonly number[]): Weigh[] {
  const limits = [...new Set(sides.map((s) => (s <= 0.5 ? s : 1 - s)).filter((s) => s > TINY && s <= 0.5))].sort((a, b) => a - b);
  // Of many sides some are enough: each weighing is a bound by itself. Of very many, fewer.
  const most = sides.length > VERY_MANY ? 10 : 40;
  const every = Math.max(1, Math.ceil(limits.length / most));
  const some = limits.filter((_, i) => i % every === 0);
  return [itself, ...[1, 2, 3, 4, 5].map(stepped), ...some.map(large), large(0.5), ...some.map(pieces)];
}

/** The largest sides that any sheet has: a bound for those is one for all. */
function largestGround(grounds: readonly Ground[]): { length: number; width: number } {
  const there = grounds.filter((g) => g.sheet.count > 0);
  return { length: Math.max(0, ...there.map((g) => g.length)), width: Math.max(0, ...there.map((g) => g.width)) };
}

/**
 * The fewest sheets that any layout opens: areas, with sides weighed in all pairs of ways, each of which is a bound. An item that
 * may turn counts in the way that counts less.
 */
export function fewestSheets(items: readonly Item[], grounds: readonly Ground[]): number {
  const { length, width } = largestGround(grounds);
  const there = items.filter((i) => (i.length <= length && i.width <= width) || (i.turns && i.width <= length && i.length <= width));
  if (there.length === 0 || length <= 0 || width <= 0) return 0;
  const parts = there.map((i) => ({
    l: i.length / length,
    w: i.width / width,
    turned: i.turns ? { l: i.width / length, w: i.length / width } : null,
  }));
  const along = weighings(parts.flatMap((p) => (p.turned ? [p.l, p.turned.l] : [p.l])));
  const across = weighings(parts.flatMap((p) => (p.turned ? [p.w, p.turned.w] : [p.w])));
  const counted = (weigh: readonly Weigh[], of: (p: (typeof parts)[number]) => number) => weigh.map((f) => parts.map((p) => f(of(p))));
  const [al, aw] = [counted(along, (p) => p.l), counted(across, (p) => p.w)];
  const [tl, tw] = [counted(along, (p) => (p.turned ?? p).l), counted(across, (p) => (p.turned ?? p).w)];
  let most = 0;
  al.forEach((ls, f) => {
    aw.forEach((ws, g) => {
      let sum = 0;
      parts.forEach((p, i) => {
        const [l, w] = [ls[i] as number, ws[i] as number];
        const turned = (tl[f]?.[i] ?? 0) * (tw[g]?.[i] ?? 0);
        const [lies, turns] = [p.l <= 1 + TINY && p.w <= 1 + TINY, p.turned && p.turned.l <= 1 + TINY && p.turned.w <= 1 + TINY];
        sum += lies && turns ? Math.min(l * w, turned) : lies ? l * w : turned;
      });
      most = Math.max(most, sum);
    });
  });
  return Math.ceil(most - 1e-6);
}

/** No layout costs less than its area does on the cheapest sheets, of each no more than there are. */
export function leastCost(items: readonly Item[], grounds: readonly Ground[]): number {
  let left = items.reduce((sum, i) => sum + i.area, 0);
  let cost = 0;
  const each = grounds.map((g) => ({ area: g.length * g.width, cost: g.sheet.cost, count: g.sheet.count })).filter((g) => g.area > 0);
  for (const { area, cost: one, count } of each.sort((a, b) => a.cost / a.area - b.cost / b.area)) {
    if (left <= 0) break;
    const used = Math.min(count, left / area);
    cost += used * one;
    left -= used * area;
  }
  return cost;
}
