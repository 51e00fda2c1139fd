import { Figure, asBefore, size } from '../figure/index.js';
import { ZERO, add, greatest, sub, type Length } from '../length/index.js';
import type { Axis, Insets, Space, Split } from '../piece/index.js';
import { solveRun, wantedTotal, type GapRule, type Rounding, type RunLine } from '../run/index.js';
import { blockIn, rowsIn, type Block, type Clear, type Placement } from '../things/index.js';
import type { NeedContext } from './kind.js';
import { fillingKind, kindOf } from './kinds.js';

const BOUNDLESS = Number.MAX_SAFE_INTEGER as Length;

/** The block that a placement makes with the room known so far; stacked only as high as the count asks in the room there is. */
function blockOf(placement: Placement, context: NeedContext): Block | null {
  const thing = context.workshop.things.get(placement.thing);
  if (!thing) return null;
  const one = blockIn(placement.thing, thing, 1, roomFor(context, BOUNDLESS));
  const rows = context.depth === undefined ? 1 : Math.max(1, rowsIn(thing, one.stance, context.depth));
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
  const source = { in: 'thing', id: block.thingId, field: 'shape' } as const;
  const one = size(`${block.thing.name}, tall`, block.stance.height, source);
  const tall = block.layers > 1 ? one.times(block.layers) : one;
  return block.thing.clearance === ZERO ? tall : tall.plus(size('free above it', block.thing.clearance, source));
}

function openNeed(space: Space, axis: Axis, context: NeedContext): Figure | null {
  const blocks = space.things.flatMap((p) => blockOf(p, context) ?? []);
  if (blocks.length === 0) return null;
  const source = (b: Block) => ({ in: 'thing', id: b.thingId, field: 'shape' }) as const;
  if (axis === 'up') return Figure.greatest(blocks.map((b) => heightNeed(b).named(b.thing.name)));
  if (axis === 'deep') {
    return Figure.greatest(blocks.map((b) => size(`${b.thing.name}, deep`, b.stance.depth, source(b))));
  }
  return Figure.sum(blocks.map((b) => size(b.thing.name, b.stance.width, source(b)).times(b.columns).named(b.thing.name)));
}

function insetsAlong(insets: Insets | null, axis: Axis): readonly Figure[] {
  return insets ? [...insets[axis].before, ...insets[axis].after].map((i) => i.size.named(i.label)) : [];
}

/** The context of what stands inside the parts of a divided space, so much smaller than the parts themselves. */
function insideParts(context: NeedContext, insets: Insets | null): NeedContext {
  if (!insets) return context;
  const less = (known: Length | undefined, axis: Axis) => {
    if (known === undefined) return undefined;
    const taken = insetsAlong(insets, axis).map((i) => i.value);
    return greatest([1 as Length, sub(known, add(ZERO, ...taken))]);
  };
  const [depth, width] = [less(context.depth, 'deep'), less(context.width, 'across')];
  return { ...context, ...(depth === undefined ? {} : { depth }), ...(width === undefined ? {} : { width }) };
}

/** What a part of a divided space needs along an axis, with what lies round its inside. */
function partNeed(part: Space, split: Split, axis: Axis, context: NeedContext): Figure | null {
  const insets = kindOf(split).insets(part.id, context, {});
  const inside = spaceNeed(part, axis, insideParts(context, insets));
  return inside && insetsAlong(insets, axis).reduce((sum, inset) => sum.plus(inset), inside);
}

/** The rule of a part, a share made smaller where it ends the run and the kind has it so. */
function ruleOf({ rule }: Space, atEnd: boolean, endShare: number): GapRule {
  return atEnd && rule.kind === 'share' ? { ...rule, weight: rule.weight * endShare } : rule;
}

/** The lines of the run that divides a space, each gap with what its contents need. */
export function runLines(space: Space, context: NeedContext): RunLine[] {
  const { split } = space;
  if (!split) return [];
  const kind = kindOf(split);
  const ends = kind.ends(context);
  const end = (id: string, figure: Figure | null): RunLine[] =>
    figure ? [{ kind: 'member', id: `${space.id}-${id}`, label: figure.label ?? id, plural: kind.names.many, extent: figure }] : [];
  const lines = split.spaces.flatMap((part, i): RunLine[] => {
    const need = partNeed(part, split, split.axis, context);
    const gap: RunLine = {
      kind: 'gap',
      id: part.id,
      label: part.name ?? `${kind.names.part} ${i + 1}`,
      rule: ruleOf(part, i === 0 || i === split.spaces.length - 1, kind.endShare),
      ...(part.least === undefined ? {} : { least: part.least }),
      ...(part.greatest === undefined ? {} : { greatest: part.greatest }),
      ...(need ? { need } : {}),
    };
    const member = split.members[i];
    if (!member) return [gap];
    const extent = kind.extent(member, context);
    const room = kind.roleOf(member) === 'room';
    const label = room ? (extent.label ?? 'left free') : `${kind.names.one} ${i + 1}`;
    return [gap, { kind: 'member', id: member.id, label, plural: room ? label : kind.names.many, extent }];
  });
  return [...end('start', ends.before), ...lines, ...end('end', ends.after)];
}

/** What is clear along an axis as far as it is known. */
const KNOWN = { across: 'width', deep: 'depth', up: null } as const;

/**
 * The context of each part of a divided space: what stands in a bay has the width of that bay, and not of all of them.
 * As it was where the space is divided the other way, or is not known yet.
 */
function contextsOf(space: Space, split: Split, context: NeedContext): (part: Space) => NeedContext {
  const reach = KNOWN[split.axis];
  const clear = reach ? context[reach] : undefined;
  if (!reach || clear === undefined) return () => context;
  const kind = kindOf(split);
  const rounding: Rounding = { ...context.rounding, leftover: 'last', set: kind.set ? context.rounding.set : 'exact' };
  const run = solveRun({ lines: runLines(space, context), total: { kind: 'given', figure: size('clear', clear) }, rounding });
  const sizes = new Map(run.lines.map((l) => [l.line.id, l.size.value]));
  return (part) => ({ ...context, [reach]: greatest([1 as Length, sizes.get(part.id) ?? clear]) });
}

/** Each axis, with the clear room known and not. */
const needAsBefore = asBefore<Space, Figure | null>(6);

/**
 * What a space needs clear along an axis, for what stands in it and in what it is divided
 * into; null where nothing with a size does.
 */
export function spaceNeed(space: Space, axis: Axis, context: NeedContext): Figure | null {
  const { workshop, panels, rounding, depth, width } = context;
  const from = { same: [axis, workshop, depth, width], alike: [panels, rounding] };
  return needAsBefore(space, from, () => needAnew(space, axis, context));
}

function needAnew(space: Space, axis: Axis, context: NeedContext): Figure | null {
  const { split, filling } = space;
  if (filling) return fillingKind(filling).need?.(filling, axis, context) ?? openNeed(space, axis, context);
  if (!split) return openNeed(space, axis, context);
  const contextOf = split.axis === axis ? () => context : contextsOf(space, split, context);
  const needs = split.spaces.flatMap((part) => partNeed(part, split, axis, contextOf(part)) ?? []);
  if (split.axis !== axis) return needs.length > 0 ? Figure.greatest(needs) : null;
  const known = needs.length > 0 || split.spaces.some((s) => s.rule.kind === 'fixed' || s.least !== undefined);
  if (!known) return null;
  const total = wantedTotal({ lines: runLines(space, context), total: { kind: 'follows' }, rounding: context.rounding });
  const { before, after } = kindOf(split).over;
  return [before, after].reduce<Figure>((rest, over) => (over ? rest.minus(over) : rest), total);
}
