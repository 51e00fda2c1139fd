import { longestSlide } from '../../core/interiors/drawers/index.js';
import { ZERO, inch, mm, sub, type Length, type LengthUnit } from '../../core/length/index.js';
import type { Boards, Cells, Drawers, Slats } from '../../core/piece/index.js';
import type { Slide, Stock } from '../../core/stock/index.js';

/** What a filling is begun with: the units, what is on hand, and the room there is. */
export interface Means {
  readonly unit: LengthUnit;
  readonly stock: readonly { readonly id: string; readonly data: Stock }[];
  readonly slides: readonly { readonly id: string; readonly data: Slide }[];
  readonly things: readonly { readonly id: string }[];
  readonly clear: { readonly width: Length; readonly height: Length; readonly depth: Length };
}

function sizes(unit: LengthUnit) {
  return (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
}

/** The stock on hand whose thickness is nearest to a wanted one. */
function nearest({ stock }: Means, wanted: Length): string {
  const [best] = [...stock].sort((a, b) => Math.abs(a.data.thickness - wanted) - Math.abs(b.data.thickness - wanted));
  if (!best) throw new Error('there is no stock to make it of; put some into the stockroom first');
  return best.id;
}

/** Inset drawers on the slides on hand, or on wooden runners where there are none. */
export function usualDrawers(means: Means): Drawers {
  const s = sizes(means.unit);
  const front = nearest(means, s(18, 3 / 4));
  const thick = means.stock.find((r) => r.id === front)?.data.thickness ?? s(18, 3 / 4);
  const behind = s(10, 3 / 8);
  const free = sub(sub(means.clear.depth, thick), behind);
  const [slide] = means.slides.flatMap((r) => {
    const length = longestSlide(r.data, free);
    return length === null ? [] : [{ kind: 'slide' as const, slide: r.id, length }];
  });
  const gap = s(3, 1 / 8);
  // Wooden runners lie under the boxes, which stand on them.
  const runners = nearest(means, s(15, 5 / 8));
  const high = means.stock.find((r) => r.id === runners)?.data.thickness ?? s(15, 5 / 8);
  const wooden = { kind: 'wooden', side: s(2, 1 / 16), stock: runners, wide: s(30, 1.25) } as const;
  const rise = slide ? s(12, 1 / 2) : (Math.max(s(12, 1 / 2), high) as Length);
  return {
    kind: 'drawers',
    face: 'front',
    front: { kind: 'inset', between: gap, below: gap, above: gap, sides: s(2, 1 / 16), setback: ZERO },
    oversize: ZERO,
    runner: slide ?? wooden,
    less: Math.max(s(24, 1), rise) as Length,
    rise,
    behind,
    box: { order: 'ends-between', join: 'pocket', bottom: { kind: 'groove', depth: s(6, 1 / 4), up: s(10, 3 / 8), slack: s(1, 1 / 32) } },
    stock: { box: nearest(means, s(15, 5 / 8)), bottom: nearest(means, s(6, 1 / 4)), front },
    linesFrom: 'bottom',
  };
}

/** Boards for a drawer or a tray, as high as goes under its upper edge. */
export function usualBoards(means: Means): Boards {
  const s = sizes(means.unit);
  const most = sub(means.clear.height, s(10, 3 / 8));
  return {
    kind: 'boards',
    stock: nearest(means, s(12, 1 / 2)),
    high: Math.max(s(20, 3 / 4), Math.min(s(80, 3), most)) as Length,
    ends: true,
    fit: s(0.5, 1 / 64),
    channel: ZERO,
    glued: false,
  };
}

/** Slats with supports under them. */
export function usualSlats(means: Means): Slats {
  const s = sizes(means.unit);
  const stock = nearest(means, s(18, 3 / 4));
  return {
    kind: 'slats',
    stock,
    wide: s(45, 1.75),
    ends: 'flush',
    supports: { stock, count: 2, wide: s(40, 1.5), inset: s(60, 2.5), trim: s(20, 3 / 4) },
  };
}

/** Half-lapped pigeon-holes, or a rack of ladders, for the first of the things. */
export function usualCells(means: Means, make: 'half-lapped' | 'ladders'): Cells {
  const s = sizes(means.unit);
  const [thing] = means.things;
  if (!thing) throw new Error('there are no things yet; say what the cells are to hold first');
  const uprights = nearest(means, s(20, 3 / 4));
  const board = means.stock.find((r) => r.id === uprights)?.data.width ?? means.clear.depth;
  const deep = Math.min(means.clear.depth, board) as Length;
  return {
    kind: 'cells',
    thing: thing.id,
    free: s(8, 5 / 16),
    make:
      make === 'half-lapped'
        ? { kind: 'half-lapped', stock: nearest(means, s(9, 3 / 8)) }
        : {
            kind: 'ladders',
            upright: { stock: uprights, deep },
            support: { stock: nearest(means, s(17, 3 / 4)), long: deep, wide: s(20, 3 / 4), spares: 6 },
          },
    blocked: [],
    features: [],
  };
}
