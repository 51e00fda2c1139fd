import type { Way } from '../laid.js';
import { seeded } from '../wanted.js';
import { Bin, type Offer, type Taste } from './bin.js';
import type { Ground, Item } from './problem.js';

/** What is to be laid out, and on what. */
export interface Task {
  readonly items: readonly Item[];
  readonly grounds: readonly Ground[];
  readonly first: Way | null;
  /** The sheets that a person put something on: a new one of each, and what lies on it. */
  readonly pinned: readonly { readonly ground: number; readonly copy: number; readonly make: () => Bin }[];
}

/** Sheets that are laid out, and how good that is. */
export interface State {
  readonly bins: readonly Bin[];
  readonly missing: readonly number[];
  readonly lost: number;
  readonly cost: number;
  /** How unevenly the sheets are filled: the more, the nearer one of them is to being empty. */
  readonly uneven: number;
}

const SCORES: readonly Taste['score'][] = ['area', 'short', 'long'];
const SPLITS: readonly Taste['split'][] = ['shorter', 'longer', 'large', 'even'];

/** The orders that items are laid in: by area, by the longer and the shorter side, by both together. */
const ORDERS: readonly ((item: Item) => number)[] = [
  (i) => i.area,
  (i) => i.length,
  (i) => i.width,
  (i) => Math.max(i.length, i.width) ** 2,
  (i) => (i.length + i.width) ** 2,
];

function rate(task: Task, bins: readonly Bin[], missing: readonly number[]): State {
  return {
    bins,
    missing,
    lost: missing.reduce((sum, i) => sum + (task.items[i] as Item).area, 0),
    cost: bins.reduce((sum, b) => sum + (task.grounds[b.ground] as Ground).sheet.cost, 0),
    uneven: bins.reduce((sum, b) => sum + (b.load / b.area) ** 2, 0),
  };
}

/** Under zero where `a` is the better: less left out, then cheaper, then fewer sheets. */
function compare(a: State, b: State): number {
  return a.lost - b.lost || (Math.abs(a.cost - b.cost) > 1e-9 ? a.cost - b.cost : a.bins.length - b.bins.length);
}

/** What is left whole in one place, at most. */
function largestLeft({ bins }: Pick<State, 'bins'>): number {
  return bins.reduce((most, b) => Math.max(most, b.largest()), 0);
}

/** How many different settings of fence and stop all its cuts need. */
function settingsIn({ bins }: Pick<State, 'bins'>): number {
  const all = new Set<number>();
  for (const bin of bins) for (const setting of bin.settings()) all.add(setting);
  return all.size;
}

/** How a layout is built up. */
interface Recipe {
  readonly taste: Taste;
  /** A sheet is opened by what it costs for its area, by how small it is, or by how large. */
  readonly open: 'cheap' | 'small' | 'large';
  /** On the first sheet that takes it, or on the one where it lies best. */
  readonly fit: 'first' | 'best';
}

function groundFor(task: Task, item: Item, left: readonly number[], open: Recipe['open']): number {
  let best = -1;
  let least = Infinity;
  task.grounds.forEach((ground, g) => {
    if ((left[g] as number) < 1) return;
    const lies = item.length <= ground.length && item.width <= ground.width;
    if (!lies && !(item.turns && item.width <= ground.length && item.length <= ground.width)) return;
    const area = ground.length * ground.width;
    const rank = open === 'cheap' ? ground.sheet.cost / area : open === 'small' ? area : -area;
    if (
      rank < least ||
      (rank === least && best >= 0 && area < (task.grounds[best] as Ground).length * (task.grounds[best] as Ground).width)
    ) {
      [best, least] = [g, rank];
    }
  });
  return best;
}

/**
 * Lays items one after the other, each where it lies best.
 * @param left how many sheets of each kind may be opened
 */
function build(task: Task, order: readonly number[], start: readonly Bin[], left: number[], recipe: Recipe): State {
  const bins = [...start];
  const missing: number[] = [];
  for (const index of order) {
    const item = task.items[index] as Item;
    let at: Bin | null = null;
    let best: Offer | null = null;
    for (const bin of bins) {
      if (item.area > bin.area - bin.load + 1e-3) continue;
      const offer = bin.offer(item, recipe.taste, best?.score);
      if (offer) [at, best] = [bin, offer];
      if (offer && recipe.fit === 'first') break;
    }
    if (!at || !best) {
      const ground = groundFor(task, item, left, recipe.open);
      if (ground >= 0) {
        left[ground] = (left[ground] as number) - 1;
        at = new Bin(ground, task.grounds[ground] as Ground, task.first);
        bins.push(at);
        best = at.offer(item, recipe.taste);
      }
    }
    if (at && best) at.place(index, item, best, recipe.taste);
    else missing.push(index);
  }
  return rate(
    task,
    bins.filter((b) => b.items.length > 0),
    missing,
  );
}

/** The items that lie where they were put by a person. */
function pinnedBins(task: Task): Bin[] {
  return task.pinned.map(({ make }) => make());
}

function leftOf(task: Task, used: readonly Bin[]): number[] {
  return task.grounds.map((g, i) => g.sheet.count - used.filter((b) => b.ground === i).length);
}

/** Of more items than this fewer ways are tried at first, and of more than that one order alone, so that there is an answer soon. */
const [MANY, VERY_MANY] = [800, 2000];

/** A first answer at once: a few orders, each judged in a few ways; the best of them. */
export function firstState(task: Task): State {
  let best: State | null = null;
  const many = task.items.length > MANY;
  for (const key of task.items.length > VERY_MANY ? ORDERS.slice(-1) : ORDERS) {
    for (const score of many ? SCORES.slice(1, 2) : SCORES) {
      for (const split of many ? SPLITS.slice(0, 1) : SPLITS.filter((s) => s === 'shorter' || s === 'large')) {
        const start = pinnedBins(task);
        const lying = new Set(start.flatMap((b) => b.items));
        const order = task.items.map((_, i) => i).filter((i) => !lying.has(i));
        order.sort((a, b) => key(task.items[b] as Item) - key(task.items[a] as Item));
        const recipe: Recipe = { taste: { score, split }, open: 'cheap', fit: 'best' };
        const state = build(task, order, start, leftOf(task, start), recipe);
        if (!best || compare(state, best) < 0 || (compare(state, best) === 0 && state.uneven > best.uneven)) best = state;
      }
    }
  }
  return best as State;
}

/** A search that goes on for as long as one likes: each step takes a few sheets apart and lays them anew. */
export class Search {
  private readonly random: () => number;
  private now: State;
  best: State;
  private bestLeft: number;
  private bestSettings: number;
  steps = 0;

  constructor(
    private readonly task: Task,
    start: State,
    seed = 1,
  ) {
    this.random = seeded(seed);
    this.now = start;
    this.best = start;
    this.bestLeft = largestLeft(start);
    this.bestSettings = settingsIn(start);
  }

  private pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.random() * list.length)] as T;
  }

  /** The sheets to take apart: mostly the emptiest, and some others. */
  private chosen(): Set<Bin> {
    const sorted = [...this.now.bins].sort((a, b) => a.load / a.area - b.load / b.area);
    const taken = new Set<Bin>();
    if (this.random() < 0.8 && sorted[0]) taken.add(sorted[0]);
    const count = 1 + Math.floor(this.random() * 3);
    for (let n = 0; n < count; n += 1) {
      const at = this.random() < 0.5 ? this.random() : this.random() ** 2;
      taken.add(sorted[Math.floor(at * sorted.length)] as Bin);
    }
    return taken;
  }

  private shuffled(items: readonly number[]): number[] {
    const key = this.pick(ORDERS);
    const noise = this.random() < 0.3 ? 0.1 : 0.6;
    const keys = new Map(items.map((i) => [i, key(this.task.items[i] as Item) * (1 + noise * this.random())]));
    return [...items].sort((a, b) => (keys.get(b) as number) - (keys.get(a) as number));
  }

  /** Takes a few sheets apart, and keeps what comes of it where it is no worse. */
  step(): void {
    this.steps += 1;
    const { now, task } = this;
    if (now.bins.length === 0) return;
    const apart = this.chosen();
    const kept = now.bins.filter((b) => !apart.has(b));
    const held = new Set([...apart].map((b) => b.pinned));
    const start = task.pinned.filter((_, i) => held.has(i)).map(({ make }) => make());
    const lying = new Set(start.flatMap((b) => b.items));
    const items = [...apart].flatMap((b) => b.items).filter((i) => !lying.has(i));
    const recipe: Recipe = {
      taste: { score: this.pick(SCORES), split: this.pick(SPLITS) },
      open: this.pick(['cheap', 'cheap', 'small', 'large'] as const),
      fit: this.random() < 0.7 ? 'first' : 'best',
    };
    const built = build(task, this.shuffled([...items, ...now.missing]), start, leftOf(task, [...kept, ...start]), recipe);
    const next = rate(task, [...kept, ...built.bins], built.missing);
    const better = compare(next, now);
    if (better > 0 || (better === 0 && next.uneven < now.uneven - 1e-12)) return;
    this.now = next;
    const overall = compare(next, this.best);
    const left = overall <= 0 ? largestLeft(next) : 0;
    if (overall > 0 || (overall === 0 && left < this.bestLeft)) return;
    const settings = settingsIn(next);
    const isBetter = overall < 0 || left > this.bestLeft || settings < this.bestSettings;
    if (isBetter) [this.best, this.bestLeft, this.bestSettings] = [next, left, settings];
  }
}
