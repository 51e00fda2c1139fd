import { fromUnits, type Length } from '../../length/index.js';
import type { LaidSheet, Sawn, Way } from '../laid.js';
import type { Bound } from '../wanted.js';
import type { Region } from './bin.js';
import { fewestSheets, leastCost } from './bounds.js';
import { pinnedOf, type Unpinned } from './pins.js';
import { groundsOf, itemsOf, type FirstCuts, type Sheet, type SheetProblem } from './problem.js';
import { Search, firstState, type State, type Task } from './search.js';

export type { FirstCuts, Pin, RectWanted, Sheet, SheetProblem } from './problem.js';
export type { Unpinned } from './pins.js';

/** A layout on sheets, with what no layout could go below. */
export interface SheetAnswer {
  readonly laid: readonly LaidSheet[];
  /** What no sheet is left for, or that goes on none. */
  readonly missing: readonly string[];
  /** What could not stay where it was put. */
  readonly unpinned: readonly Unpinned[];
  readonly cost: number;
  readonly bound: Bound;
  /** No layout costs less. */
  readonly proven: boolean;
}

const WAYS: Readonly<Record<FirstCuts, Way | null>> = { rips: 'rip', crosscuts: 'crosscut', either: null };

/** A region as it is sawn: a kerf smaller, and from the corner of the sheet. */
function sawnOf(region: Region, task: Task, kerf: Length, trim: Sheet['trim']): Sawn {
  const box = {
    x: fromUnits(region.x + trim.ends),
    y: fromUnits(region.y + trim.edges),
    length: fromUnits(region.l - kerf),
    width: fromUnits(region.w - kerf),
  };
  if (region.kind === 'free') return { kind: 'left', ...box };
  if (region.kind === 'item') {
    return { kind: 'part', ...box, id: task.items[region.item]?.wanted.id ?? '', turned: region.turned };
  }
  const near = sawnOf(region.first, task, kerf, trim);
  const second = region.second;
  const far = second.l > kerf && second.w > kerf ? sawnOf(second, task, kerf, trim) : null;
  const at = fromUnits(region.at - kerf);
  // Where the nearer side is as large as the whole there is nothing to saw.
  if (at >= (region.way === 'rip' ? box.width : box.length)) return near;
  if (at <= 0) return far ?? { kind: 'left', ...box };
  return { kind: 'cut', ...box, way: region.way, at, near, far };
}

/** Sheets in the order of their kinds, those with pins by the copy they were pinned on, the others on what copies are left. */
function laidOf(state: State, task: Task, { kerf }: SheetProblem): LaidSheet[] {
  const copies = new Map<Sheet, Set<number>>();
  const taken = (sheet: Sheet) => copies.get(sheet) ?? copies.set(sheet, new Set(sheet.taken)).get(sheet) ?? new Set();
  task.pinned.forEach((p) => {
    const ground = task.grounds[p.ground];
    if (ground) taken(ground.sheet).add(p.copy);
  });
  return [...state.bins]
    .sort((a, b) => a.ground - b.ground || b.load - a.load)
    .flatMap((bin): LaidSheet[] => {
      const sheet = task.grounds[bin.ground]?.sheet;
      if (!sheet) return [];
      const used = taken(sheet);
      const pin = task.pinned[bin.pinned];
      let copy = pin?.copy ?? 0;
      while (!pin && used.has(copy)) copy += 1;
      used.add(copy);
      return [
        {
          sheet: sheet.id,
          copy,
          length: sheet.length,
          width: sheet.width,
          trim: sheet.trim,
          sawn: sawnOf(bin.tree(), task, kerf, sheet.trim),
        },
      ];
    })
    .sort((a, b) => problemOrder(task, a) - problemOrder(task, b) || a.copy - b.copy);
}

function problemOrder(task: Task, laid: LaidSheet): number {
  return task.grounds.findIndex((g) => g.sheet.id === laid.sheet);
}

/** A search over one problem: an answer at once, and better ones for as long as one asks. */
export class SheetSearch {
  private readonly task: Task;
  private readonly search: Search;
  private readonly bound: Bound;
  private readonly unpinned: readonly Unpinned[];

  constructor(private readonly problem: SheetProblem) {
    const [items, grounds, first] = [itemsOf(problem), groundsOf(problem), WAYS[problem.first]];
    const { pinned, unpinned } = pinnedOf(problem, items, grounds, first);
    this.task = { items, grounds, first, pinned };
    this.unpinned = unpinned;
    this.search = new Search(this.task, firstState(this.task));
    const count = fewestSheets(items, grounds);
    const cheapest = Math.min(Infinity, ...grounds.filter((g) => g.sheet.count > 0).map((g) => g.sheet.cost));
    this.bound = { count, cost: Math.max(leastCost(items, grounds), Number.isFinite(cheapest) ? count * cheapest : 0) };
  }

  /** How many steps were taken. */
  get steps(): number {
    return this.search.steps;
  }

  /** Takes steps. @returns whether a better layout was found */
  go(steps: number): boolean {
    const before = this.search.best;
    for (let n = 0; n < steps; n += 1) this.search.step();
    return this.search.best !== before;
  }

  /** No layout costs less than the best so far. */
  get proven(): boolean {
    const { cost, missing } = this.search.best;
    return missing.length === 0 && cost <= this.bound.cost + 1e-6 * (1 + this.bound.cost);
  }

  /** The best so far. */
  answer(): SheetAnswer {
    const { best } = this.search;
    return {
      laid: laidOf(best, this.task, this.problem),
      missing: best.missing.map((i) => this.task.items[i]?.wanted.id ?? ''),
      unpinned: this.unpinned,
      cost: best.cost,
      bound: this.bound,
      proven: this.proven,
    };
  }
}
