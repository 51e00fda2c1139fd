import type { Way } from '../laid.js';
import type { Ground, Item } from './problem.js';

/** What a region of a sheet has become. */
const [FREE, PLACED, CUT] = [0, 1, 2] as const;

/** Where an item goes, and how good that is; the lower the better. */
export interface Offer {
  readonly region: number;
  /** Beside or beyond the item of a region that is not parted yet; else into it. */
  readonly side: 'in' | 'beside' | 'beyond';
  readonly turned: boolean;
  readonly score: number;
}

/** How offers are judged, and how a region is parted where both ways would do. */
export interface Taste {
  readonly score: 'area' | 'short' | 'long';
  readonly split: 'shorter' | 'longer' | 'large' | 'even';
}

/**
 * One sheet in the making. A region is a rectangle that nothing but edge-to-edge cuts part: an item lies in its corner, and what
 * is beside and beyond it are regions again. Which of the two is the longer one is left open until the next item needs to know.
 */
export class Bin {
  private readonly x: number[] = [];
  private readonly y: number[] = [];
  private readonly l: number[] = [];
  private readonly w: number[] = [];
  private readonly state: number[] = [];
  /** Part of the sheet that is only cut through the first way. */
  private readonly whole: boolean[] = [];
  private readonly item: number[] = [];
  private readonly turned: boolean[] = [];
  private readonly way: (Way | null)[] = [];
  private readonly at: number[] = [];
  private readonly near: number[] = [];
  private readonly far: number[] = [];
  /** Regions that may yet take something. */
  private open: number[] = [];
  /** The settings that its cuts needed when so many items lay on it. */
  private lastSettings: { readonly for: number; readonly needed: ReadonlySet<number> } | null = null;
  load = 0;
  readonly items: number[] = [];

  constructor(
    readonly ground: number,
    private readonly size: Ground,
    private readonly first: Way | null,
    /** Which of the sheets that something is pinned to; -1 for any other. */
    readonly pinned = -1,
  ) {
    this.region(0, 0, size.length, size.width, first !== null);
  }

  get area(): number {
    return this.size.length * this.size.width;
  }

  private region(x: number, y: number, l: number, w: number, whole: boolean): number {
    const id = this.x.length;
    this.x.push(x);
    this.y.push(y);
    this.l.push(l);
    this.w.push(w);
    this.state.push(FREE);
    this.whole.push(whole);
    this.item.push(-1);
    this.turned.push(false);
    this.way.push(null);
    this.at.push(0);
    this.near.push(-1);
    this.far.push(-1);
    if (l > 0 && w > 0) this.open.push(id);
    return id;
  }

  /** The best place for an item, or null where there is none. */
  offer(item: Item, taste: Taste, below = Infinity): Offer | null {
    let best: Offer | null = null;
    let least = below;
    const judge = (region: number, side: Offer['side'], room: number, across: number) => {
      for (let turn = 0; turn < (item.turns ? 2 : 1); turn += 1) {
        const [length, width] = turn === 0 ? [item.length, item.width] : [item.width, item.length];
        if (length > room || width > across) continue;
        const [a, b] = [room - length, across - width];
        const score =
          a === 0 || b === 0
            ? Math.max(a, b) / 1e12
            : taste.score === 'area'
              ? room * across - item.area
              : taste.score === 'short'
                ? Math.min(a, b)
                : Math.max(a, b);
        if (score < least) [best, least] = [{ region, side, turned: turn === 1, score }, score];
      }
    };
    for (const region of this.open) {
      const [l, w] = [this.l[region] as number, this.w[region] as number];
      if (this.state[region] === FREE) {
        judge(region, 'in', l, w);
        continue;
      }
      const [il, iw] = [this.near[region] as number, this.far[region] as number];
      judge(region, 'beside', l - il, w);
      judge(region, 'beyond', l, w - iw);
    }
    return best;
  }

  /** Puts an item where it was offered a place. */
  place(index: number, item: Item, { region, side, turned }: Offer, taste: Taste): void {
    const [length, width] = turned ? [item.width, item.length] : [item.length, item.width];
    let into = region;
    if (side !== 'in') into = this.parted(region, side, length, width, taste);
    this.put(index, item, into, turned);
  }

  /** Puts an item into the near corner of a free region. */
  put(index: number, item: Item, into: number, turned: boolean): void {
    const [length, width] = turned ? [item.width, item.length] : [item.length, item.width];
    this.state[into] = PLACED;
    this.item[into] = index;
    this.turned[into] = turned;
    this.items.push(index);
    this.load += item.area;
    // Until it is parted, near and far hold how long and how wide the item is.
    this.near[into] = length;
    this.far[into] = width;
    if (this.whole[into]) this.part(into, this.first as Way);
    else if ((this.l[into] as number) === length || (this.w[into] as number) === width)
      this.part(into, (this.l[into] as number) === length ? 'rip' : 'crosscut');
  }

  /** Parts a region with an item in it as the next item needs it. @returns the region that this goes into */
  private parted(region: number, side: 'beside' | 'beyond', length: number, width: number, { split }: Taste): number {
    const [il, iw] = [this.near[region] as number, this.far[region] as number];
    const [a, b] = [(this.l[region] as number) - il, (this.w[region] as number) - iw];
    let way: Way;
    if (side === 'beside' && width > iw) way = 'crosscut';
    else if (side === 'beyond' && length > il) way = 'rip';
    else if (split === 'shorter') way = a < b ? 'rip' : 'crosscut';
    else if (split === 'longer') way = a < b ? 'crosscut' : 'rip';
    else {
      const [ripLarge, crossLarge] = [(this.l[region] as number) * b, a * (this.w[region] as number)];
      way = (split === 'large') === ripLarge > crossLarge ? 'rip' : 'crosscut';
    }
    this.part(region, way);
    return side === 'beside' ? (this.near[region] as number) : (this.far[region] as number);
  }

  /** Fixes how a region with an item in it is parted; `near` is then the region beside the item, `far` the one beyond. */
  private part(region: number, way: Way): void {
    const [l, w] = [this.l[region] as number, this.w[region] as number];
    const [x, y] = [this.x[region] as number, this.y[region] as number];
    const [il, iw] = [this.near[region] as number, this.far[region] as number];
    const whole = this.whole[region] as boolean;
    this.way[region] = way;
    this.open = this.open.filter((o) => o !== region);
    this.near[region] = this.region(x + il, y, l - il, way === 'crosscut' ? w : iw, whole && way === 'crosscut');
    this.far[region] = this.region(x, y + iw, way === 'rip' ? l : il, w - iw, whole && way === 'rip');
  }

  /** Parts a free region by a cut. @returns the regions on this and that side of it */
  cut(region: number, way: Way, at: number): readonly [number, number] {
    const [l, w] = [this.l[region] as number, this.w[region] as number];
    const [x, y] = [this.x[region] as number, this.y[region] as number];
    const whole = this.whole[region] as boolean;
    this.state[region] = CUT;
    this.way[region] = way;
    this.at[region] = at;
    this.open = this.open.filter((o) => o !== region);
    const near = way === 'rip' ? this.region(x, y, l, at, whole) : this.region(x, y, at, w, whole);
    const far = way === 'rip' ? this.region(x, y + at, l, w - at, whole) : this.region(x + at, y, l - at, w, whole);
    this.near[region] = near;
    this.far[region] = far;
    return [near, far];
  }

  /** The area of the largest free region. */
  largest(): number {
    return this.open.reduce((most, r) => {
      const [l, w] = [this.l[r] as number, this.w[r] as number];
      if (this.state[r] === FREE) return Math.max(most, l * w);
      return Math.max(most, (l - (this.near[r] as number)) * w, l * (w - (this.far[r] as number)));
    }, 0);
  }

  /** The settings of fence and stop that its cuts need: which way and how far from the nearer edge, as one number each. */
  settings(): ReadonlySet<number> {
    if (this.lastSettings?.for !== this.items.length) {
      const needed = new Set<number>();
      this.settingsIn(0, needed);
      this.lastSettings = { for: this.items.length, needed };
    }
    return this.lastSettings.needed;
  }

  private settingsIn(region: number, into: Set<number>): void {
    const add = (way: Way, at: number) => into.add(2 * at + (way === 'rip' ? 1 : 0));
    if (this.state[region] === FREE) return;
    const [near, far, way] = [this.near[region] as number, this.far[region] as number, this.way[region] ?? null];
    const [l, w] = [this.l[region] as number, this.w[region] as number];
    if (this.state[region] === CUT) add(way as Way, this.at[region] as number);
    else {
      const [il, iw] =
        way === null
          ? [near, far]
          : [(this.x[near] as number) - (this.x[region] as number), (this.y[far] as number) - (this.y[region] as number)];
      if (l > il) add('crosscut', il);
      if (w > iw) add('rip', iw);
      if (way === null) return;
    }
    this.settingsIn(near, into);
    this.settingsIn(far, into);
  }

  /** The sheet as a tree of cuts. A region whose parting was left open is parted so that the larger rest stays whole. */
  tree(): Region {
    return this.treeOf(0);
  }

  private treeOf(region: number): Region {
    const box = { x: this.x[region] as number, y: this.y[region] as number, l: this.l[region] as number, w: this.w[region] as number };
    if (this.state[region] === FREE) return { kind: 'free', ...box };
    if (this.state[region] === CUT) {
      const [first, second] = [this.treeOf(this.near[region] as number), this.treeOf(this.far[region] as number)];
      return { kind: 'cut', ...box, way: this.way[region] as Way, at: this.at[region] as number, first, second };
    }
    if (this.way[region] === null) {
      const [il, iw] = [this.near[region] as number, this.far[region] as number];
      this.part(region, box.l * (box.w - iw) > (box.l - il) * box.w ? 'rip' : 'crosscut');
    }
    const [beside, beyond] = [this.treeOf(this.near[region] as number), this.treeOf(this.far[region] as number)];
    const [il, iw] = [beside.x - box.x, beyond.y - box.y];
    const item: Region = {
      kind: 'item',
      x: box.x,
      y: box.y,
      l: il,
      w: iw,
      item: this.item[region] as number,
      turned: this.turned[region] as boolean,
    };
    if (this.way[region] === 'rip') {
      const strip = joined({ ...box, w: iw }, 'crosscut', il, item, beside);
      return joined(box, 'rip', iw, strip, beyond);
    }
    const strip = joined({ ...box, l: il }, 'rip', iw, item, beyond);
    return joined(box, 'crosscut', il, strip, beside);
  }
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly l: number;
  readonly w: number;
}

/** A rectangle of a sheet: free, an item, or cut in two. */
export type Region = Box &
  (
    | { readonly kind: 'free' }
    | { readonly kind: 'item'; readonly item: number; readonly turned: boolean }
    | { readonly kind: 'cut'; readonly way: Way; readonly at: number; readonly first: Region; readonly second: Region }
  );

/** A cut between two regions; none where there is nothing on the other side of it. */
function joined(box: Box, way: Way, at: number, first: Region, second: Region): Region {
  if (second.l <= 0 || second.w <= 0) return first;
  return { kind: 'cut', x: box.x, y: box.y, l: box.l, w: box.w, way, at, first, second };
}
