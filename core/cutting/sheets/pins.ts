import type { Length } from '../../length/index.js';
import type { Way } from '../laid.js';
import { Bin } from './bin.js';
import type { Ground, Item, Pin, SheetProblem } from './problem.js';
import type { Task } from './search.js';

/** A pin as the search sees it. */
interface Held {
  readonly pin: Pin;
  readonly index: number;
  readonly x: number;
  readonly y: number;
  readonly l: number;
  readonly w: number;
}

/** Why something does not stay where it was put. */
export interface Unpinned {
  readonly part: string;
  readonly why: 'gone' | 'no such sheet' | 'off the sheet' | 'overlaps' | 'not edge to edge' | 'thin' | 'against the grain';
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly l: number;
  readonly w: number;
}

const overlap = (a: Box, b: Box) => a.x < b.x + b.l && b.x < a.x + a.l && a.y < b.y + b.w && b.y < a.y + a.w;

/** A cut that goes through a region from edge to edge and meets nothing that is held; the one that the sheet is cut by first, where it can be. */
function clearCut(box: Box, held: readonly Held[], first: Way | null): { way: Way; at: number } | null {
  const ways: readonly Way[] = first === 'crosscut' ? ['crosscut', 'rip'] : ['rip', 'crosscut'];
  for (const way of ways) {
    const [from, size] = way === 'rip' ? (['y', 'w'] as const) : (['x', 'l'] as const);
    const edges = held.flatMap((h) => [h[from], h[from] + h[size]]).sort((a, b) => a - b);
    const at = edges.find(
      (e) =>
        held.every((h) => h[from] >= e || h[from] + h[size] <= e) &&
        held.some((h) => h[from] >= e) &&
        held.some((h) => h[from] + h[size] <= e),
    );
    if (at !== undefined) return { way, at: at - box[from] };
  }
  return null;
}

/** What a sheet with something held on it is cut with. */
interface Cutter {
  readonly items: readonly Item[];
  readonly first: Way | null;
  readonly kerf: Length;
}

/** Something that cannot be cut free where it is held. */
interface Stuck {
  readonly held: Held;
  readonly why: 'not edge to edge' | 'thin';
}

/** Cuts a region so that all that is held in it lies free. @returns what cannot be cut free */
function cutFree(bin: Bin, region: number, box: Box, held: readonly Held[], cutter: Cutter): Stuck[] {
  const [one] = held;
  if (!one) return [];
  if (held.length > 1) {
    const cut = clearCut(box, held, cutter.first);
    if (!cut) return [{ held: one, why: 'not edge to edge' }, ...cutFree(bin, region, box, held.slice(1), cutter)];
    const [near, far] = bin.cut(region, cut.way, cut.at);
    const [nearBox, farBox] = parted(box, cut.way, cut.at);
    const isNear = (h: Held) => (cut.way === 'rip' ? h.y < box.y + cut.at : h.x < box.x + cut.at);
    return [
      ...cutFree(bin, near, nearBox, held.filter(isNear), cutter),
      ...cutFree(
        bin,
        far,
        farBox,
        held.filter((h) => !isNear(h)),
        cutter,
      ),
    ];
  }
  let [at, room] = [region, box];
  const off = { rip: one.y - box.y, crosscut: one.x - box.x };
  // A strip that is thinner than the blade cannot be sawn off.
  if ([off.rip, off.crosscut].some((o) => o > 0 && o <= cutter.kerf)) return [{ held: one, why: 'thin' }];
  // The larger rest is cut off first, so that it stays whole.
  const order: readonly Way[] = off.rip * box.l > off.crosscut * box.w ? ['rip', 'crosscut'] : ['crosscut', 'rip'];
  for (const way of cutter.first ? [cutter.first, ...order.filter((w) => w !== cutter.first)] : order) {
    if (off[way] <= 0) continue;
    at = bin.cut(at, way, off[way])[1];
    room = parted(room, way, off[way])[1];
  }
  bin.put(one.index, cutter.items[one.index] as Item, at, one.pin.turned);
  return [];
}

function parted(box: Box, way: Way, at: number): readonly [Box, Box] {
  return way === 'rip'
    ? [
        { ...box, w: at },
        { ...box, y: box.y + at, w: box.w - at },
      ]
    : [
        { ...box, l: at },
        { ...box, x: box.x + at, l: box.l - at },
      ];
}

/** A copy that is in use already, or that there is none of. */
function isTaken({ sheet: { count, taken = [] } }: Ground, copy: number): boolean {
  return taken.includes(copy) || copy >= count + taken.length;
}

/**
 * The sheets that something is held on, each a new one with what is held cut free.
 * @returns with what cannot stay where it was put, and why
 */
export function pinnedOf(
  problem: SheetProblem,
  items: readonly Item[],
  grounds: readonly Ground[],
  first: Way | null,
): { readonly pinned: Task['pinned']; readonly unpinned: readonly Unpinned[] } {
  const unpinned: Unpinned[] = [];
  const sheets = new Map<string, { ground: number; copy: number; held: Held[] }>();
  for (const pin of problem.pins) {
    const refuse = (why: Unpinned['why']) => unpinned.push({ part: pin.part, why });
    const index = items.findIndex((i) => i.wanted.id === pin.part);
    const item = items[index];
    const ground = grounds.findIndex((g) => g.sheet.id === pin.sheet);
    const size = grounds[ground];
    if (!item) refuse('gone');
    else if (!size || isTaken(size, pin.copy)) refuse('no such sheet');
    else if (pin.turned && !item.wanted.turns) refuse('against the grain');
    else {
      const { trim } = size.sheet;
      const [l, w] = pin.turned ? [item.width, item.length] : [item.length, item.width];
      const held: Held = { pin, index, x: pin.x - trim.ends, y: pin.y - trim.edges, l, w };
      const key = `${pin.sheet} ${pin.copy}`;
      const sheet = sheets.get(key) ?? { ground, copy: pin.copy, held: [] };
      if (held.x < 0 || held.y < 0 || held.x + l > size.length || held.y + w > size.width) refuse('off the sheet');
      else if (sheet.held.some((h) => overlap(h, held))) refuse('overlaps');
      else sheets.set(key, { ...sheet, held: [...sheet.held, held] });
    }
  }
  const cutter: Cutter = { items, first, kerf: problem.kerf };
  const pinned = [...sheets.values()]
    .sort((a, b) => a.ground - b.ground || a.copy - b.copy)
    .map(({ ground, copy, held }, nth) => {
      const size = grounds[ground] as Ground;
      const box = { x: 0, y: 0, l: size.length, w: size.width };
      const failing = cutFree(new Bin(ground, size, first), 0, box, held, cutter);
      failing.forEach(({ held: { pin }, why }) => unpinned.push({ part: pin.part, why }));
      const stays = held.filter((h) => !failing.some((f) => f.held === h));
      const make = () => {
        const bin = new Bin(ground, size, first, nth);
        cutFree(bin, 0, box, stays, cutter);
        return bin;
      };
      return { ground, copy, make };
    });
  return { pinned, unpinned };
}
