import { isId } from '../../core/ids/index.js';
import { DEFAULT_STEP, ZERO, inch, mm, type Length, type LengthUnit } from '../../core/length/index.js';
import type { Panels } from '../../core/interiors/index.js';
import type { Space } from '../../core/piece/index.js';
import type { Folding, Frame, InPlace, Leaning, PanelCase, WallBoard } from '../../core/shells/index.js';
import type { Settings } from '../../core/project/index.js';
import type { Stock } from '../../core/stock/index.js';
import type { Opening } from '../../core/survey/index.js';
import type { Thing } from '../../core/things/index.js';
import { asKg, asDegrees } from '../../core/measures/index.js';

/** A new id from a word, unlike those there are: `opening`, `opening-2` and on. */
export function newId(word: string, taken: readonly string[]): string {
  const base =
    word
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40) || 'new';
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken.includes(id) && isId(id)) return id;
  }
}

function pick(unit: LengthUnit) {
  return (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
}

export function newSettings(unit: LengthUnit): Settings {
  return {
    unit,
    step: DEFAULT_STEP[unit],
    rounding: { grid: DEFAULT_STEP[unit], set: 'gaps', leftover: 'last' },
    serviceClass: 1,
    creepSchool: 'kdef',
    limit: { kind: 'span', over: 384 },
  };
}

/** An opening to be measured: its readings are blank, and round sizes stand in until a tape was held there. */
export function newOpening(unit: LengthUnit): Opening {
  const s = pick(unit);
  const blank = (value: ReturnType<typeof mm>) => (place: string) => ({ place, value, assumed: true as const });
  return {
    name: 'New opening',
    widths: ['top', 'middle', 'bottom'].map(blank(s(1200, 48))),
    heights: ['left', 'right'].map(blank(s(2100, 84))),
    depths: ['middle'].map(blank(s(330, 13))),
    obstacles: [],
    slack: { side: s(3, 1 / 8), above: s(10, 3 / 8), behind: ZERO },
  };
}

/** A sheet to begin with, where the stockroom is empty. */
export function newStock(unit: LengthUnit): Stock {
  const s = pick(unit);
  return {
    name: unit === 'mm' ? 'Birch ply 18' : 'Birch ply 3/4',
    form: 'sheet',
    material: 'birch-plywood',
    nominal: s(18, 0.75),
    thickness: s(18, 0.75),
    length: s(2440, 96),
    width: s(1220, 48),
  };
}

export function newThing(unit: LengthUnit): Thing {
  const s = pick(unit);
  return {
    name: 'New thing',
    shape: { kind: 'box', width: s(200, 8), height: s(250, 10), depth: s(200, 8) },
    mass: asKg(2),
    count: 1,
    clearance: s(20, 0.75),
    wayUp: 'upright',
    stack: 1,
  };
}

/** Loose shelves and butted dividers, all of one stock. */
function usualPanels(unit: LengthUnit, stock: string, setback: Length): Panels {
  const s = pick(unit);
  return {
    stock: { shelves: stock, dividers: stock },
    shelves: { fix: 'loose', housing: s(6, 1 / 4), looseEnd: s(1, 1 / 32), setback },
    dividers: { fix: 'butted', housing: s(6, 1 / 4) },
  };
}

/** A case to begin with: from an opening, from what it holds, or from sizes. */
export function newCase(
  unit: LengthUnit,
  stock: string,
  from: { readonly kind: 'opening'; readonly id: string } | { readonly kind: 'contents' } | { readonly kind: 'sizes' },
): PanelCase {
  const s = pick(unit);
  const given = (size: ReturnType<typeof mm>) => ({ from: 'given' as const, size, of: 'overall' as const });
  const overall =
    from.kind === 'opening'
      ? { opening: from.id, width: { from: 'opening' as const }, height: { from: 'opening' as const }, depth: { from: 'opening' as const } }
      : from.kind === 'contents'
        ? { width: { from: 'contents' as const }, height: { from: 'contents' as const }, depth: { from: 'contents' as const } }
        : { width: given(s(900, 36)), height: given(s(1800, 72)), depth: given(s(300, 12)) };
  return {
    name: 'New case',
    shell: 'panel-case',
    ...overall,
    base: { kind: 'toe', height: s(80, 3), setback: s(50, 2), bearers: true },
    top: 'between',
    bottom: 'between',
    back: { kind: 'none' },
    stock: { sides: stock, back: stock, base: stock },
    panels: usualPanels(unit, stock, s(10, 3 / 8)),
    edges: { front: 'eased', banding: ZERO },
    // Tall storage is fixed to the wall regardless; what is made round things may be a low table, and is told where it is tall.
    fixedToWall: from.kind !== 'contents',
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}

/** A chest is lower and deeper than a case of shelves. */
export function chestSizes(unit: LengthUnit): Pick<PanelCase, 'width' | 'height' | 'depth'> {
  const s = pick(unit);
  const given = (size: ReturnType<typeof mm>) => ({ from: 'given' as const, size, of: 'overall' as const });
  return { width: given(s(800, 32)), height: given(s(900, 36)), depth: given(s(500, 20)) };
}

/** A frame of posts with a top over them, and one space under it. */
export function newFrame(unit: LengthUnit, stock: string): Frame {
  const s = pick(unit);
  const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
  const rails = { stock, wide: s(70, 2.75), front: true, rear: true, left: true, right: true };
  const over = s(15, 1 / 2);
  return {
    name: 'New frame',
    shell: 'frame',
    width: given(s(900, 36)),
    height: given(s(750, 30)),
    depth: given(s(450, 18)),
    posts: { stock, wide: s(45, 1.75), turned: 'across' },
    joined: 'between',
    through: 'across',
    top: { level: { rails, deck: { stock, goes: 'over', gap: ZERO } }, over: { front: over, rear: over, left: over, right: over } },
    panels: usualPanels(unit, stock, ZERO),
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: false,
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}

/** A small table on legs that cross, with a top of a size that is given. */
export function newFolding(unit: LengthUnit, stock: string): Folding {
  const s = pick(unit);
  const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
  return {
    name: 'New folding table',
    shell: 'folding',
    width: given(s(550, 22)),
    height: given(s(640, 25)),
    depth: given(s(450, 18)),
    top: { stock, between: s(15, 5 / 8), margin: s(20, 3 / 4) },
    legs: { stock, wide: s(40, 1.5), round: s(20, 3 / 4), over: s(530, 21), spacer: s(2, 1 / 16), apart: s(430, 17) },
    pivot: { below: s(23, 7 / 8), pin: s(8, 5 / 16) },
    bars: { stock, wide: s(45, 1.75) },
    stretchers: { stock, wide: s(60, 2.5), up: s(110, 4.5) },
    panels: usualPanels(unit, stock, ZERO),
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: false,
    noOneOn: true,
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}

/** Four shelves, each less deep than the one below, between two boards that lean on a wall. */
export function newLeaning(unit: LengthUnit, stock: string): Leaning {
  const s = pick(unit);
  const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
  const space = (id: string, weight = 1): Space => ({ id, rule: { kind: 'share', weight }, things: [] });
  const usual = usualPanels(unit, stock, ZERO);
  const deeps = [s(260, 10.5), s(220, 9), s(180, 7.5)];
  return {
    name: 'New leaning rack',
    shell: 'leaning',
    width: given(s(700, 28)),
    height: given(s(1760, 70)),
    depth: given(s(300, 12)),
    sides: { stock, wide: s(120, 4.75), lean: { by: 'angle', degrees: asDegrees(12), along: s(1800, 72) } },
    panels: { ...usual, shelves: { ...usual.shelves, fix: 'housed' } },
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: true,
    noOneOn: true,
    interior: {
      id: 'inside',
      rule: { kind: 'share', weight: 1 },
      things: [],
      split: {
        axis: 'up',
        members: [{ id: 'shelf-1' }, ...deeps.map((deep, i) => ({ id: `shelf-${i + 2}`, deep }))],
        spaces: [space('under'), space('space-1'), space('space-2'), space('space-3'), space('over', 0.5)],
      },
    },
  };
}

/** What is built into a place that is there already, with usual sizes in mm and in inches. */
export function newInPlace(
  unit: LengthUnit,
  stock: string,
  usual: { readonly place: string } & Readonly<Record<'width' | 'height' | 'depth', readonly [metric: number, imperial: number]>>,
): InPlace {
  const s = pick(unit);
  const given = ([metric, imperial]: readonly [number, number]) => ({
    from: 'given' as const,
    size: s(metric, imperial),
    of: 'overall' as const,
  });
  return {
    name: 'New piece',
    shell: 'in-place',
    place: usual.place,
    width: given(usual.width),
    height: given(usual.height),
    depth: given(usual.depth),
    panels: usualPanels(unit, stock, ZERO),
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: true,
    interior: { id: 'inside', rule: { kind: 'share', weight: 1 }, things: [] },
  };
}

/** Three bays of shelves between fins that stand out from a board on the wall. */
export function newWallBoard(unit: LengthUnit, stock: string): WallBoard {
  const s = pick(unit);
  const given = (size: Length) => ({ from: 'given', size, of: 'overall' }) as const;
  const space = (id: string): Space => ({ id, rule: { kind: 'share', weight: 1 }, things: [] });
  const usual = usualPanels(unit, stock, ZERO);
  const bay = (n: number): Space => ({
    ...space(`bay-${n}`),
    split: {
      axis: 'up',
      members: [{ id: `shelf-${n}-1` }, { id: `shelf-${n}-2`, deep: s(130, 5) }],
      spaces: [space(`under-${n}`), space(`space-${n}`), space(`over-${n}`)],
    },
  });
  return {
    name: 'New wall board',
    shell: 'wall-board',
    width: given(s(1200, 48)),
    height: given(s(600, 24)),
    depth: given(s(200, 8)),
    board: { stock, bare: { ends: s(60, 2.5), above: s(60, 2.5), below: s(60, 2.5) } },
    fins: { stock, front: 'sloped' },
    panels: { ...usual, shelves: { ...usual.shelves, fix: 'housed', housing: s(4, 3 / 16) } },
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: true,
    noOneOn: true,
    interior: {
      id: 'inside',
      rule: { kind: 'share', weight: 1 },
      things: [],
      split: {
        axis: 'across',
        members: [{ id: 'fin-1' }, { id: 'fin-2' }],
        spaces: [1, 2, 3].map(bay),
      },
    },
  };
}
