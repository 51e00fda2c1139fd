import { Figure, size, type Source } from '../../figure/index.js';
import { ZERO, fromUnits, type Length } from '../../length/index.js';
import { MOST_CELLS, type PlacedSpace } from '../../piece/index.js';
import type { Cells } from './spec.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import { stancesOf, type Stance, type Thing } from '../../things/index.js';
import { placeTilted, tiltedCells, type TiltedCells } from './tilted.js';

/** A cell of the grid: its column and row from the lower left, from 0, and whether it can be used. */
export interface Cell {
  readonly column: number;
  readonly row: number;
  readonly state: 'free' | 'blocked' | 'tilted' | 'under-tilted';
  /** What it is tilted by, where it is. */
  readonly tilted?: TiltedCells;
}

/** A grid of cells in a space: its pitches and counts with their sums, and what each cell is. */
export interface CellGrid {
  readonly thing: Thing;
  /** What a thing takes up across and up, with what stays free. */
  readonly clear: { readonly across: Figure; readonly up: Figure };
  readonly pitch: { readonly across: Figure; readonly up: Figure };
  /** How many would go in, where that is more than are worked out; there are none then. */
  readonly tooMany: number | null;
  readonly columns: number;
  readonly rows: number;
  /** Of how many sections it is built, and in which of them a column is, from 0. */
  readonly sections: number;
  readonly sectionOf: (column: number) => number;
  /** The wood between two columns. */
  readonly beside: Figure;
  /** How long a level support is; null where there are none. */
  readonly support: Figure | null;
  /** What the grid takes of the space. */
  readonly width: Figure;
  readonly height: Figure;
  readonly cells: readonly Cell[];
  /** The rows and columns that are tilted. */
  readonly tilted: readonly TiltedCells[];
  /** How many things go in. */
  readonly capacity: Figure<'count'>;
}

/**
 * The woods between cells: beside them and under them.
 * @example toMm(cellWood({ make: { kind: 'half-lapped', stock: 'ply' } }, SHOP).under.thickness.value) // 20
 */
export function cellWood(cells: Cells, workshop: Workshop): { beside: Wood; under: Wood } {
  if (cells.make.kind === 'half-lapped') {
    const wood = woodOf(workshop, cells.make.stock);
    return { beside: wood, under: wood };
  }
  return { beside: woodOf(workshop, cells.make.upright.stock), under: woodOf(workshop, cells.make.support.stock) };
}

const count = (n: number, label: string) => Figure.leaf('count', n, label);

/** Each section of a ladder rack has an upright more than it has columns; half-lapped boards stand between the sides that are there. */
function countIn(room: Length, clear: Length, wood: Length, sections: number): number {
  const free = sections > 0 ? room - sections * wood : room + wood;
  // No section has less than a column: where more are asked for than that leaves, each column stands by itself.
  const alone = Math.min(sections, Math.floor(room / (clear + 2 * wood)));
  return Math.max(alone, Math.floor(free / (clear + wood)), 0);
}

interface Counted {
  readonly pitch: { readonly across: Figure; readonly up: Figure };
  readonly ladders: boolean;
  readonly beside: Length;
  readonly under: Length;
  readonly sectionOf: (column: number) => number;
}

/** The extent of a cell, from the lower left of the space. */
function extent({ pitch, ladders, beside, under, sectionOf }: Counted, column: number, row: number) {
  const x = column * pitch.across.value + (ladders ? beside * (sectionOf(column) + 1) : ZERO);
  const y = row * pitch.up.value + (ladders ? under : ZERO);
  return { x0: x, x1: x + pitch.across.value - beside, y0: y, y1: y + pitch.up.value - under };
}

/** In which section a column is, where as many as may be are dealt to each and the first ones take what is left over. */
function dealtTo(sections: number, columns: number): (column: number) => number {
  if (sections < 2) return () => 0;
  const [each, over] = [Math.floor(columns / sections), columns % sections];
  const larger = over * (each + 1);
  return (column) => (column < larger ? Math.floor(column / (each + 1)) : over + Math.floor((column - larger) / each));
}

/** The length of a level support: as chosen, or as deep as the thing that lies on it. */
function supportLength({ make }: Cells, stance: Stance, source: Source): Figure | null {
  if (make.kind !== 'ladders') return null;
  const { support } = make;
  return support.asThing
    ? size('as deep as what lies on it', stance.depth, source)
    : size('support', support.long, { in: 'making', field: 'make.support.long' });
}

/** How a thing goes into a cell: a round one end on; a box the way that takes least of the front and goes in, where one does. */
function endOn(thing: Thing, depth: Length): Stance | undefined {
  const all = stancesOf(thing);
  const ways = all.filter((s) => (thing.shape.kind === 'cylinder' ? s.width === thing.shape.diameter : s.depth <= depth));
  const front = (s: Stance) => s.width * s.height;
  return [...(ways.length > 0 ? ways : all)].sort((a, b) => front(a) - front(b))[0];
}

/**
 * How far the left of a column lies from that of the space: of the upright there, or of the cell where there is none.
 * @example toMm(leftOf({ pitch: { across: { value: mm(104) } }, sectionOf: () => 1, beside: { value: mm(20) } }, 3)) // 332
 */
export function leftOf({ pitch, sectionOf, beside }: Pick<CellGrid, 'pitch' | 'sectionOf' | 'beside'>, column: number): Length {
  return fromUnits(column * pitch.across.value + sectionOf(column) * beside.value);
}

/** Lays the grid of a space's cells out; null when its thing is not there. */
export function cellGrid(space: PlacedSpace, cells: Cells, workshop: Workshop): CellGrid | null {
  const thing = workshop.things.get(cells.thing);
  const stance = thing && endOn(thing, space.clear.depth.value);
  if (!thing || !stance) return null;
  const source = { in: 'thing', id: cells.thing, field: 'shape' } as const;
  const free = size('left free', cells.free, { in: 'making', field: 'free' });
  const { beside, under } = cellWood(cells, workshop);
  const clear = {
    across: size(`${thing.name}, wide`, stance.width, source).plus(free),
    up: size(`${thing.name}, high`, stance.height, source).plus(free),
  };
  const ladders = cells.make.kind === 'ladders';
  const room = space.clear;
  const wanted = cells.make.kind === 'ladders' ? (cells.make.sections ?? 1) : 0;
  const across = countIn(room.width.value, clear.across.value, beside.thickness.value, wanted);
  const up = ladders
    ? Math.floor(room.height.value / (clear.up.value + under.thickness.value))
    : countIn(room.height.value, clear.up.value, under.thickness.value, 0);
  const tooMany = across * up > MOST_CELLS ? across * up : null;
  const [columns, rows] = tooMany === null ? [across, up] : [0, 0];
  const pitchOf = (own: Figure, wood: Figure, total: Figure, n: number) => {
    // Between the sides of a case what is left over is shared, so that all cells are equal.
    if (ladders || n < 1) return own.plus(wood);
    return n === 1 ? total.plus(wood) : total.plus(wood).over(n, 'cells');
  };
  const pitch = {
    across: pitchOf(clear.across, beside.thickness, room.width, columns).named('pitch across'),
    up: pitchOf(clear.up, under.thickness, room.height, rows).named('pitch up'),
  };
  const sections = Math.min(wanted, columns);
  const sectionOf = dealtTo(sections, columns);
  const counted: Counted = { pitch, ladders, beside: beside.thickness.value, under: under.thickness.value, sectionOf };
  const isBlocked = (column: number, row: number) => {
    const e = extent(counted, column, row);
    return cells.blocked.some((b) => e.x0 < b.x + b.width && b.x < e.x1 && e.y0 < b.y + b.height && b.y < e.y1);
  };
  // Only supports can slope; boards that slot into each other stay level.
  const tilted = ladders ? tiltedCells(cells.features, clear.up, pitch.up, under.thickness.value) : [];
  const placed = placeTilted(tilted, { columns, rows, isBlocked });
  const all = Array.from({ length: columns * rows }, (_, i): Cell => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    return { column, row, ...(placed.get(i) ?? { state: isBlocked(column, row) ? 'blocked' : 'free' }) };
  });
  const lost = (state: Cell['state']) => all.filter((c) => c.state === state).length;
  let capacity = count(columns, 'columns').times(rows).named('columns by rows');
  if (lost('under-tilted') > 0) capacity = capacity.minus(count(lost('under-tilted'), 'taken by tilted ones'));
  if (lost('blocked') > 0) capacity = capacity.minus(count(lost('blocked'), 'blocked'));
  const uprights = sections > 1 ? beside.thickness.times(sections).named('an upright more for each section') : beside.thickness;
  const endWood = ladders ? uprights : beside.thickness.times(-1);
  return {
    thing,
    clear,
    pitch,
    tooMany,
    columns,
    rows,
    sections,
    sectionOf,
    beside: beside.thickness,
    support: supportLength(cells, stance, source),
    width: pitch.across.times(columns).plus(endWood).named('wide in all'),
    height: (ladders ? pitch.up.times(rows) : pitch.up.times(rows).plus(under.thickness.times(-1))).named('high in all'),
    cells: all,
    tilted,
    capacity: capacity.named(`room for ${thing.name}`),
  };
}
