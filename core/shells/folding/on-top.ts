import { Figure, len, say, size } from '../../figure/index.js';
import { ZERO, add, fromUnits, mm, toMm, type Length } from '../../length/index.js';
import { remembered } from '../../carry/remembered.js';
import { OPEN, type PlacedSpace, type ShapeProblem } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { blockIn, leastArea as layOut, type LaidOut, type Layout, type Placement, type Thing } from '../../things/index.js';
import { FOLDING, onTop } from './ids.js';
import type { Folding } from './spec.js';

/** Layouts by what lies there: pieces are solved with every key, and most keys leave the top as it is. */
const layouts = remembered<{ readonly layout: Layout | null }>(50);

const leastArea: typeof layOut = (things, spacing) =>
  layouts(JSON.stringify([things, spacing]), () => ({ layout: layOut(things, spacing) })).layout;

/** One thing that stands on the top. */
interface One {
  readonly id: string;
  readonly thingId: string;
  readonly thing: Thing;
}

/** No more things than this are laid out on one top. */
const MOST_THINGS = 40;

const countOf = ({ top: { things = [] } }: Folding): number => things.reduce((sum, { count }) => sum + count, 0);

/** What stands on the top, each by itself, as many as are laid out. */
function thingsOn({ top: { things = [] } }: Folding, workshop: Workshop): readonly One[] {
  const all: Omit<One, 'id'>[] = [];
  for (const { thing: id, count } of things) {
    const thing = workshop.things.get(id);
    for (let n = 0; thing && n < count && all.length < MOST_THINGS; n += 1) all.push({ thingId: id, thing });
  }
  return all.map((one, i) => ({ ...one, id: onTop(i + 1) }));
}

/** More things than are laid out. */
function tooMany(piece: Folding): ShapeProblem[] {
  const count = countOf(piece);
  if (count <= MOST_THINGS) return [];
  const { top } = piece;
  const one = (top.things ?? []).map((t) => ({ ...t, count: 1 }));
  return [
    {
      id: 'top-many',
      about: 'top',
      stops: true,
      sentence: say`${count} things are to stand on the top: no more than ${MOST_THINGS} are laid out beside each other.`,
      fixes: [{ label: say`One of each`, edit: { kind: 'piece', patch: { top: { ...top, things: one } } } }],
    },
  ];
}

/** The table with other things in place of one that stands on its top; null for any other space. */
export function withThingsOnTop(piece: Folding, space: string, placed: readonly Placement[]): Folding | null {
  const { things = [] } = piece.top;
  const each = things.flatMap((t) => Array.from({ length: t.count }, () => t.thing));
  const gone = each.find((_, i) => onTop(i + 1) === space);
  if (gone === undefined) return null;
  const left = things.flatMap((t) => (t.thing !== gone ? t : t.count > 1 ? { ...t, count: t.count - 1 } : []));
  return { ...piece, top: { ...piece.top, things: [...left, ...placed] } };
}

/** How much of the top one takes, the way it stands. */
function footprint({ id, thingId, thing }: One): LaidOut {
  const { stance } = blockIn(thingId, { ...thing, stack: 1 }, 1, { width: BOUNDLESS, height: BOUNDLESS, depth: BOUNDLESS });
  return { id, wide: toMm(stance.width), deep: toMm(stance.depth) };
}
const BOUNDLESS = Number.MAX_SAFE_INTEGER as Length;

const spacingOf = ({ top }: Folding) => ({ between: toMm(top.between), margin: toMm(top.margin) });

/** The least top for what stands on it; null where nothing does. */
export function leastTop(piece: Folding, workshop: Workshop): { readonly width: Figure; readonly depth: Figure } | null {
  const things = thingsOn(piece, workshop);
  const layout = leastArea(things.map(footprint), spacingOf(piece));
  if (!layout) return null;
  const field = (name: string) => ({ in: 'piece', field: `top.${name}` }) as const;
  const from = [
    ...things.map(({ thingId, thing }) => size(thing.name, mm(footprintOf(thingId, thing)), { in: 'thing', id: thingId, field: 'shape' })),
    size('between them', piece.top.between, field('between')),
    size('round them', piece.top.margin, field('margin')),
  ];
  const how = layout.proven ? 'the least area that they lie on beside each other' : 'the least area found that they lie on';
  const figure = (long: number) => Figure.formula('length', how, from, mm(long));
  return { width: figure(layout.wide).named('overall width'), depth: figure(layout.deep).named('overall depth') };
}

const footprintOf = (thingId: string, thing: Thing) => footprint({ id: thingId, thingId, thing }).wide;

/** Where things stand on the top, each in a place of its own, in the middle of it; and whether they have room there. */
export function placedOnTop(
  piece: Folding,
  workshop: Workshop,
  { width, height, depth }: Readonly<Record<'width' | 'height' | 'depth', Figure>>,
): { readonly spaces: readonly PlacedSpace[]; readonly problems: readonly ShapeProblem[] } {
  const things = thingsOn(piece, workshop);
  if (things.length === 0) return { spaces: [], problems: [] };
  const [wide, deep] = [toMm(width.value), toMm(depth.value)];
  const layout = leastArea(things.map(footprint), { ...spacingOf(piece), most: { wide, deep } });
  const many = tooMany(piece);
  if (!layout) return { spaces: [], problems: [...many, noRoom(piece, workshop, width, depth)] };
  const [dx, dz] = [(wide - layout.wide) / 2, (deep - layout.deep) / 2];
  return { spaces: things.flatMap((one) => spaceOf(one, layout, dx, dz, height.value)), problems: many };
}

function spaceOf({ id, thingId, thing }: One, layout: Layout, dx: number, dz: number, standing: Length): PlacedSpace[] {
  const place = layout.places.find((p) => p.id === id);
  if (!place) return [];
  const [x0, z0] = [mm(place.x + dx), mm(place.z + dz)];
  const room = { width: mm(place.wide + 0.01), height: BOUNDLESS, depth: mm(place.deep + 0.01) };
  const block = blockIn(thingId, thing, 1, room);
  const box = {
    x0,
    x1: add(x0, mm(place.wide)),
    y0: standing,
    y1: add(standing, block.height, thing.clearance),
    z0,
    z1: add(z0, mm(place.deep)),
  };
  const sizeOf = (label: string, length: number) => size(label, fromUnits(length));
  return [
    {
      id,
      space: { id, name: thing.name, rule: { kind: 'share', weight: 1 }, things: [{ thing: thingId, count: 1 }] },
      label: 'the top',
      box,
      clear: {
        width: sizeOf('wide', box.x1 - box.x0),
        height: sizeOf('high', box.y1 - box.y0),
        depth: sizeOf('deep', box.z1 - box.z0),
      },
      neighbours: { left: OPEN, right: OPEN, below: FOLDING.top, above: OPEN },
      setback: ZERO,
      off: ZERO,
      standing,
      within: null,
      depth: 0,
      blocks: [{ ...block, at: ZERO }],
      insets: null,
    },
  ];
}

function noRoom(piece: Folding, workshop: Workshop, width: Figure, depth: Figure): ShapeProblem {
  const least = leastTop(piece, workshop);
  const fixes = least
    ? [
        {
          label: say`As large as they need`,
          edit: { kind: 'piece', patch: { width: { from: 'contents' }, depth: { from: 'contents' } } } as const,
        },
      ]
    : [];
  const needs = least ? say` They need ${len(least.width.value)} x ${len(least.depth.value)} at least.` : say``;
  return {
    id: 'top-room',
    about: 'top',
    stops: true,
    sentence: say`What is to stand on the top has no room beside each other on ${len(width.value)} x ${len(depth.value)}.${needs}`,
    fixes,
  };
}
