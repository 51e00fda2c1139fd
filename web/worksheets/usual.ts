import { longestSlide } from '../../core/interiors/drawers/index.js';
import { ZERO, inch, mm, sub, type Length, type LengthUnit } from '../../core/length/index.js';
import type { Boards, Cells, Drawers, Slats } from '../../core/interiors/index.js';
import type { Slide, Stock } from '../../core/stock/index.js';

export type Filling = 'drawers' | 'pigeon-holes' | 'rack' | 'lanes' | 'slats';

/** What stock is used for in a filling, with the usual thickness in mm and in inches. */
const USES = {
  box: { label: 'Boxes of', thick: [15, 5 / 8] },
  bottom: { label: 'Drawer bottoms of', thick: [6, 1 / 4] },
  front: { label: 'Fronts of', thick: [18, 3 / 4] },
  runner: { label: 'Runners of', thick: [15, 5 / 8] },
  wall: { label: 'Half-lapped boards of', thick: [9, 3 / 8] },
  upright: { label: 'Uprights of', thick: [20, 3 / 4] },
  support: { label: 'Supports of', thick: [17, 3 / 4] },
  board: { label: 'Boards of', thick: [12, 1 / 2] },
  slat: { label: 'Slats of', thick: [18, 3 / 4] },
  bearer: { label: 'Supports under them of', thick: [18, 3 / 4] },
} as const;
type Use = keyof typeof USES;

const USED: Readonly<Record<Filling, readonly Use[]>> = {
  drawers: ['box', 'bottom', 'front', 'runner'],
  'pigeon-holes': ['wall'],
  rack: ['upright', 'support'],
  lanes: ['board'],
  slats: ['slat', 'bearer'],
};

/** What a filling is begun with: the units, what is on hand, and the room there is. */
export interface Means {
  readonly unit: LengthUnit;
  readonly stock: readonly { readonly id: string; readonly data: Stock }[];
  readonly slides: readonly { readonly id: string; readonly data: Slide }[];
  readonly things: readonly { readonly id: string }[];
  /** What was chosen to make it of; for the rest, what is nearest to the usual thickness. */
  readonly chosen?: Partial<Readonly<Record<Use, string>>> | undefined;
  readonly clear: { readonly width: Length; readonly height: Length; readonly depth: Length };
}

/** Free behind a drawer, in mm and in inches. */
const BEHIND = [10, 3 / 8] as const;

function sizes(unit: LengthUnit) {
  return (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
}

/**
 * What to make something of: as chosen, or the stock on hand nearest to the usual thickness.
 * @throws Error when there is no stock
 */
function woodFor({ stock, chosen, unit }: Means, use: Use): string {
  const [metric, imperial] = USES[use].thick;
  const wanted = sizes(unit)(metric, imperial);
  const [best] = [...stock].sort((a, b) => Math.abs(a.data.thickness - wanted) - Math.abs(b.data.thickness - wanted));
  if (!best) throw new Error('there is no stock to make it of; put some into the stockroom first');
  return chosen?.[use] ?? best.id;
}

/** The first slide on hand that goes in behind a front. */
function slideFor(means: Means) {
  const s = sizes(means.unit);
  const front = means.stock.find((r) => r.id === woodFor(means, 'front'))?.data.thickness ?? s(...USES.front.thick);
  const free = sub(sub(means.clear.depth, front), s(...BEHIND));
  const [slide] = means.slides.flatMap((r) => {
    const length = longestSlide(r.data, free);
    return length === null ? [] : [{ kind: 'slide' as const, slide: r.id, length }];
  });
  return slide;
}

/** What has to be chosen before a filling is begun: each use of wood, and what it would be made of. */
export function woodsOf(filling: Filling, means: Means): readonly { use: Use; label: string; stock: string }[] {
  return USED[filling]
    .filter((use) => use !== 'runner' || !slideFor(means))
    .map((use) => ({ use, label: USES[use].label, stock: woodFor(means, use) }));
}

/** Inset drawers on the slides on hand, or on wooden runners where there are none. */
export function usualDrawers(means: Means): Drawers {
  const s = sizes(means.unit);
  const slide = slideFor(means);
  const gap = s(3, 1 / 8);
  // Wooden runners lie under the boxes, which stand on them.
  const runners = woodFor(means, 'runner');
  const high = means.stock.find((r) => r.id === runners)?.data.thickness ?? s(...USES.runner.thick);
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
    behind: s(...BEHIND),
    box: { order: 'ends-between', join: 'pocket', bottom: { kind: 'groove', depth: s(6, 1 / 4), up: s(10, 3 / 8), slack: s(1, 1 / 32) } },
    stock: { box: woodFor(means, 'box'), bottom: woodFor(means, 'bottom'), front: woodFor(means, 'front') },
    linesFrom: 'bottom',
  };
}

/** Boards for a drawer or a tray, as high as goes under its upper edge. */
export function usualBoards(means: Means): Boards {
  const s = sizes(means.unit);
  const most = sub(means.clear.height, s(10, 3 / 8));
  return {
    kind: 'boards',
    stock: woodFor(means, 'board'),
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
  return {
    kind: 'slats',
    stock: woodFor(means, 'slat'),
    wide: s(45, 1.75),
    ends: 'flush',
    supports: { stock: woodFor(means, 'bearer'), count: 2, wide: s(40, 1.5), inset: s(60, 2.5), trim: s(20, 3 / 4) },
  };
}

/** Half-lapped pigeon-holes, or a rack of ladders, for the first of the things. */
export function usualCells(means: Means, make: 'half-lapped' | 'ladders'): Cells {
  const s = sizes(means.unit);
  const [thing] = means.things;
  if (!thing) throw new Error('there are no things yet; say what the cells are to hold first');
  const uprights = woodFor(means, 'upright');
  const board = means.stock.find((r) => r.id === uprights)?.data.width ?? means.clear.depth;
  const deep = Math.min(means.clear.depth, board) as Length;
  return {
    kind: 'cells',
    thing: thing.id,
    free: s(8, 5 / 16),
    make:
      make === 'half-lapped'
        ? { kind: 'half-lapped', stock: woodFor(means, 'wall') }
        : {
            kind: 'ladders',
            upright: { stock: uprights, deep },
            support: { stock: woodFor(means, 'support'), long: deep, wide: s(20, 3 / 4), spares: 6 },
          },
    blocked: [],
    features: [],
  };
}
