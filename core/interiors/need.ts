import { Figure, size } from '../figure/index.js';
import { ZERO, type Length } from '../length/index.js';
import type { Space } from '../piece/index.js';
import { thicknessOf, type Workshop } from '../project/index.js';
import { wantedTotal, type Rounding, type RunLine } from '../run/index.js';
import { blockIn, type Block, type Clear, type Placement } from '../things/index.js';

/** The axis along which a need is asked. */
export type NeedAxis = 'across' | 'up' | 'deep';

/** What a need is worked out with: the workshop, the stock of shelves and dividers, and the clear room known so far. */
export interface NeedContext {
  readonly workshop: Workshop;
  readonly stock: { readonly shelves: string; readonly dividers: string };
  readonly rounding: Rounding;
  /** Clear depth for things to stand behind each other, where it is known. */
  readonly depth?: Length;
  /** Clear width for things to stand beside each other, where it is known. */
  readonly width?: Length;
}

const BOUNDLESS = Number.MAX_SAFE_INTEGER as Length;

/** The block that a placement makes with the room known so far; stacked only as high as the count asks in the room there is. */
function blockOf(placement: Placement, context: NeedContext): Block | null {
  const thing = context.workshop.things.get(placement.thing);
  if (!thing) return null;
  const one = blockIn(placement.thing, thing, 1, roomFor(context, BOUNDLESS));
  const rows = context.depth === undefined ? 1 : Math.max(1, Math.floor(context.depth / one.stance.depth));
  // While the width is not known yet, things stand as high as they may, so that it comes out least.
  const columns =
    context.width === undefined
      ? Math.ceil(placement.count / (rows * thing.stack))
      : Math.max(1, Math.floor(context.width / one.stance.width));
  const layers = Math.min(thing.stack, Math.ceil(placement.count / (columns * rows)));
  const height = (one.stance.height * layers + thing.clearance) as Length;
  return blockIn(placement.thing, thing, placement.count, roomFor(context, height));
}

function roomFor(context: NeedContext, height: Length): Clear {
  return { width: context.width ?? BOUNDLESS, height, depth: context.depth ?? BOUNDLESS };
}

function heightNeed(block: Block): Figure {
  const source = { kind: 'thing', ref: `thing:${block.thingId}` } as const;
  const one = size(`${block.thing.name}, tall`, block.stance.height, source);
  const tall = block.layers > 1 ? one.times(block.layers) : one;
  return block.thing.clearance === ZERO ? tall : tall.plus(size('free above it', block.thing.clearance, source));
}

function openNeed(space: Space, axis: NeedAxis, context: NeedContext): Figure | null {
  const blocks = space.things.flatMap((p) => blockOf(p, context) ?? []);
  if (blocks.length === 0) return null;
  const source = (b: Block) => ({ kind: 'thing', ref: `thing:${b.thingId}` }) as const;
  if (axis === 'up') return Figure.greatest(blocks.map((b) => heightNeed(b).named(b.thing.name)));
  if (axis === 'deep') {
    return Figure.greatest(blocks.map((b) => size(`${b.thing.name}, deep`, b.stance.depth, source(b))));
  }
  return Figure.sum(blocks.map((b) => size(b.thing.name, b.stance.width, source(b)).times(b.columns).named(b.thing.name)));
}

/** The lines of the run that divides a space, each gap with what its contents need. */
export function runLines(space: Space, context: NeedContext, label: (index: number) => string): RunLine[] {
  const split = space.split;
  if (!split) return [];
  const up = split.axis === 'up';
  const stockFor = (own: string | undefined) => own ?? (up ? context.stock.shelves : context.stock.dividers);
  return split.spaces.flatMap((part, i): RunLine[] => {
    const need = spaceNeed(part, split.axis, context);
    const gap: RunLine = {
      kind: 'gap',
      id: part.id,
      label: part.name ?? label(i),
      rule: part.rule,
      ...(part.least === undefined ? {} : { least: part.least }),
      ...(part.greatest === undefined ? {} : { greatest: part.greatest }),
      ...(need ? { need } : {}),
    };
    const member = split.members[i];
    if (!member) return [gap];
    const stockId = stockFor(member.stock);
    const stock = context.workshop.stock.get(stockId);
    const extent = stock ? thicknessOf(stockId, stock) : size('unknown stock', ZERO);
    const name = up ? 'shelf' : 'divider';
    return [gap, { kind: 'member', id: member.id, label: `${name} ${i + 1}`, plural: up ? 'shelves' : 'dividers', extent }];
  });
}

/**
 * What a space needs clear along an axis, for what stands in it and in what it is divided
 * into; null where nothing with a size does.
 */
export function spaceNeed(space: Space, axis: NeedAxis, context: NeedContext): Figure | null {
  const split = space.split;
  if (!split) return openNeed(space, axis, context);
  const needs = split.spaces.flatMap((part) => spaceNeed(part, axis, context) ?? []);
  if (split.axis !== axis) return needs.length > 0 ? Figure.greatest(needs) : null;
  const lines = runLines(space, context, (i) => `space ${i + 1}`);
  const known = needs.length > 0 || split.spaces.some((s) => s.rule.kind === 'fixed' || s.least !== undefined);
  return known ? wantedTotal({ lines, total: { kind: 'follows' }, rounding: context.rounding }) : null;
}
