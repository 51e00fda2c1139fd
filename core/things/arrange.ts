import { ZERO, add, greatest, type Length } from '../length/index.js';
import { stancesOf, type Stance, type Thing, type Placement } from './thing.js';

/** A clear space: width across, height up, depth from front to back. */
export interface Clear {
  readonly width: Length;
  readonly height: Length;
  readonly depth: Length;
}

/** So many of one thing, all put down the same way in columns, rows from front to back, and layers. */
export interface Block {
  readonly thing: Thing;
  readonly thingId: string;
  readonly count: number;
  readonly stance: Stance;
  readonly columns: number;
  readonly rows: number;
  readonly layers: number;
  /** The outside of the block; its height is without the clearance. */
  readonly width: Length;
  readonly height: Length;
  readonly depth: Length;
  /** Where it stands along its space, as its placement says. */
  readonly at?: Placement['at'];
}

/** The depth that a thing may take up: what is clear, and what it may stand out over that. */
function depthFor(thing: Thing, clear: Clear): number {
  return clear.depth + (thing.mayStandOut ?? ZERO);
}

/**
 * How many of a thing stand behind each other in so much depth: one where none may.
 * @example rowsIn(TIN, { width: mm(100), height: mm(100), depth: mm(100) }, mm(300)) // 3
 */
export function rowsIn(thing: Thing, stance: Stance, depth: number): number {
  const rows = Math.floor(depth / stance.depth);
  return thing.oneRow ? Math.min(1, rows) : rows;
}

/** How many of a thing go into a clear space in one way of putting it down: its clearance is kept above the top layer. */
function capacity(thing: Thing, stance: Stance, clear: Clear): number {
  const columns = Math.floor(clear.width / stance.width);
  const rows = rowsIn(thing, stance, depthFor(thing, clear));
  const layers = Math.min(thing.stack, Math.floor((clear.height - thing.clearance) / stance.height));
  return Math.max(0, columns) * Math.max(0, rows) * Math.max(0, layers);
}

/**
 * How many of a thing fit in an empty clear space, and which way to put them down.
 * @returns the greatest count over the ways it may stand; zero when not one fits
 * @example howMany(TIN, { width: mm(960), height: mm(960), depth: mm(300) }).count // 27
 */
export function howMany(thing: Thing, clear: Clear): { count: number; stance: Stance | null } {
  let best: { count: number; stance: Stance | null } = { count: 0, stance: null };
  for (const stance of stancesOf(thing)) {
    const count = capacity(thing, stance, clear);
    if (count > best.count) best = { count, stance };
  }
  return best;
}

function block(thingId: string, thing: Thing, count: number, stance: Stance, rows: number, layers: number): Block {
  const used = Math.min(layers, count);
  const rowsUsed = Math.min(rows, Math.ceil(count / used));
  const columns = Math.ceil(count / (used * rowsUsed));
  return {
    thing,
    thingId,
    count,
    stance,
    columns,
    rows: rowsUsed,
    layers: used,
    width: (columns * stance.width) as Length,
    height: (used * stance.height) as Length,
    depth: (rowsUsed * stance.depth) as Length,
  };
}

/**
 * The block that so many of a thing make in a clear space: as they were entered where all of them go in so, else the stance that
 * takes the least width, then the least height. Where nothing fits, the first stance in one row and one layer, so that the view can show
 * what stands out.
 * @example blockIn('tin', TIN, 2, { width: mm(960), height: mm(960), depth: mm(300) }).rows // 2
 */
export function blockIn(thingId: string, thing: Thing, count: number, clear: Clear, turn = false): Block {
  let best: Block | null = null;
  for (const [i, stance] of stancesOf(thing).entries()) {
    const rows = rowsIn(thing, stance, depthFor(thing, clear));
    const layers = Math.min(thing.stack, Math.floor((clear.height - thing.clearance) / stance.height));
    if (rows < 1 || layers < 1) continue;
    const next = block(thingId, thing, count, stance, rows, layers);
    if (i === 0 && !turn && next.width <= clear.width) return next;
    if (!best || next.width < best.width || (next.width === best.width && next.height < best.height)) best = next;
  }
  if (best) return best;
  const first = stancesOf(thing)[0] as Stance;
  return block(thingId, thing, count, first, Math.max(1, rowsIn(thing, first, clear.depth)), 1);
}

/**
 * The blocks of several things side by side in a clear space: as they were entered, or turned where only so all of them go in.
 * @example blocksIn([{ id: 'tin', thing: TIN, count: 2 }], { width: mm(960), height: mm(960), depth: mm(300) }).length // 1
 */
export function blocksIn(
  set: readonly (Pick<Block, 'thing' | 'count' | 'at'> & { readonly id: string })[],
  clear: Clear,
): readonly Block[] {
  const all = (turn: boolean) =>
    set.map(({ id, thing, count, at }): Block => ({ ...blockIn(id, thing, count, clear, turn), ...(at === undefined ? {} : { at }) }));
  const wide = (blocks: readonly Block[]) => blocks.reduce((sum, b) => sum + b.width, 0);
  const entered = all(false);
  if (set.length < 2 || wide(entered) <= clear.width) return entered;
  const turned = all(true);
  return wide(turned) <= clear.width ? turned : entered;
}

/** Whether things stand otherwise than they were entered, since only so they go in. @example isTurned(blockIn('tin', TIN, 2, { width: mm(960), height: mm(960), depth: mm(300) })) // false */
export const isTurned = ({ thing, stance }: Block): boolean => {
  const [first] = stancesOf(thing);
  return first !== undefined && (stance.width !== first.width || stance.height !== first.height);
};

/** What a set of blocks, standing side by side, needs clear. */
export interface Need extends Clear {
  /** The thing whose height and clearance decide the height. */
  readonly tallest: Block | null;
}

/**
 * The clear width, height and depth that blocks side by side need.
 * @example needOf([blockIn('tin', TIN, 2, { width: mm(960), height: mm(960), depth: mm(100) })]).width // mm(200)
 */
export function needOf(blocks: readonly Block[]): Need {
  const heights = blocks.map((b) => add(b.height, b.thing.clearance));
  const height = greatest(heights);
  return {
    width: add(ZERO, ...blocks.map((b) => b.width)),
    height,
    depth: greatest(blocks.map((b) => b.depth)),
    tallest: blocks[heights.indexOf(height)] ?? null,
  };
}

/**
 * What a set of things needs in clear width, height and depth when it stands in so much
 * depth and may be stacked as far as each allows.
 * @param depth how much depth there is; things go behind each other as far as it reaches
 * @param height how much height there is for stacking; one layer when left out
 * @example needOfThings([{ id: 'tin', thing: TIN, count: 2 }], mm(300)).width // mm(100)
 */
export function needOfThings(
  set: readonly { readonly id: string; readonly thing: Thing; readonly count: number }[],
  depth: Length,
  height?: Length,
): Need {
  return needOf(
    set.map(({ id, thing, count }) => {
      const tall = height ?? add(stancesOf(thing)[0]?.height ?? ZERO, thing.clearance);
      return blockIn(id, thing, count, { width: Number.MAX_SAFE_INTEGER as Length, height: tall, depth });
    }),
  );
}
