import { Figure, size } from '../../figure/index.js';
import { ZERO, type Length } from '../../length/index.js';
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
  /** What the grid takes of the space. */
  readonly width: Figure;
  readonly height: Figure;
  readonly cells: readonly Cell[];
  /** The rows and columns that are tilted. */
  readonly tilted: readonly TiltedCells[];
  /** How many things go in. */
  readonly capacity: Figure<'count'>;
}

/** The woods between cells: beside them and under them. */
export function cellWood(cells: Cells, workshop: Workshop): { beside: Wood; under: Wood } {
  if (cells.make.kind === 'half-lapped') {
    const wood = woodOf(workshop, cells.make.stock);
    return { beside: wood, under: wood };
  }
  return { beside: woodOf(workshop, cells.make.upright.stock), under: woodOf(workshop, cells.make.support.stock) };
}

const count = (n: number, label: string) => Figure.leaf('count', n, label);

/** The columns of a ladder rack have an upright at both ends; half-lapped boards stand between the sides that are there. */
function countIn(room: Length, clear: Length, wood: Length, woodAtBothEnds: boolean): number {
  const free = woodAtBothEnds ? room - wood : room + wood;
  return Math.max(0, Math.floor(free / (clear + wood)));
}

interface Counted {
  readonly pitch: { readonly across: Figure; readonly up: Figure };
  readonly ladders: boolean;
  readonly beside: Length;
  readonly under: Length;
}

/** The extent of a cell, from the lower left of the space. */
function extent({ pitch, ladders, beside, under }: Counted, column: number, row: number) {
  const x = column * pitch.across.value + (ladders ? beside : ZERO);
  const y = row * pitch.up.value + (ladders ? under : ZERO);
  return { x0: x, x1: x + pitch.across.value - beside, y0: y, y1: y + pitch.up.value - under };
}

/** How a thing goes into a cell: a round one end on; a box the way that takes least of the front and goes in, where one does. */
function endOn(thing: Thing, depth: Length): Stance | undefined {
  const all = stancesOf(thing);
  const ways = all.filter((s) => (thing.shape.kind === 'cylinder' ? s.width === thing.shape.diameter : s.depth <= depth));
  const front = (s: Stance) => s.width * s.height;
  return [...(ways.length > 0 ? ways : all)].sort((a, b) => front(a) - front(b))[0];
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
  const across = countIn(room.width.value, clear.across.value, beside.thickness.value, ladders);
  const up = ladders
    ? Math.floor(room.height.value / (clear.up.value + under.thickness.value))
    : countIn(room.height.value, clear.up.value, under.thickness.value, false);
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
  const counted: Counted = { pitch, ladders, beside: beside.thickness.value, under: under.thickness.value };
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
  const edge = (wood: Figure) => (ladders ? wood : wood.times(-1));
  return {
    thing,
    clear,
    pitch,
    tooMany,
    columns,
    rows,
    width: pitch.across.times(columns).plus(edge(beside.thickness)).named('wide in all'),
    height: (ladders ? pitch.up.times(rows) : pitch.up.times(rows).plus(edge(under.thickness))).named('high in all'),
    cells: all,
    tilted,
    capacity: capacity.named(`room for ${thing.name}`),
  };
}
