import { Figure, size } from '../../figure/index.js';
import { LONGEST, ZERO, add, greatest, scale, sub, type Length } from '../../length/index.js';
import { FLOOR, OPEN, type Member, type PlacedSpace, type Posts, type Stand } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { blockIn, type Block, type Placement } from '../../things/index.js';
import { standsOn } from '../../interiors/levels/index.js';
import { PULL_OUT } from './ids.js';
import type { Frame } from './spec.js';
import { asKg } from '../../measures/index.js';

/** What someone who lies or sits weighs, kg, typical for furniture. */
const PERSON_KG = 100;

/** The room over the highest level, as a space that things stand in. */
const ON_TOP = 'on-top';

function blocksOn({ top: { things = [] } }: Frame, workshop: Workshop, room: { readonly width: Length; readonly depth: Length }): Block[] {
  return things.flatMap(({ thing: id, count, at }) => {
    const thing = workshop.things.get(id);
    return thing ? [{ ...blockIn(id, thing, count, { ...room, height: LONGEST }), ...(at === undefined ? {} : { at }) }] : [];
  });
}

/** What things on top ask for along an axis, with so much more in all; null where nothing stands there. */
export function needOnTop(piece: Frame, reach: 'width' | 'depth', workshop: Workshop): Figure | null {
  const blocks = blocksOn(piece, workshop, { width: LONGEST, depth: LONGEST });
  const [first, ...rest] = blocks.map(({ thing, thingId, stance, columns }) => {
    const one = size(`${thing.name}, ${reach === 'width' ? 'wide' : 'deep'}`, stance[reach], { in: 'thing', id: thingId, field: 'shape' });
    return (reach === 'width' && columns > 1 ? one.times(columns) : one).named(thing.name);
  });
  if (!first) return null;
  const all = reach === 'width' ? Figure.sum([first, ...rest]) : Figure.greatest([first, ...rest]);
  const { margin = ZERO } = piece.top;
  return margin === ZERO ? all : all.plus(size('more in all', margin, { in: 'piece', field: 'top.margin' }));
}

/** The frame with other things on top; null for any other space. */
export function withThingsOnTop(piece: Frame, space: string, placed: readonly Placement[]): Frame | null {
  if (space !== ON_TOP) return null;
  const top: Frame['top'] = { ...piece.top, things: [...placed] };
  if (placed.length === 0) delete top.things;
  return { ...piece, top };
}

/** Where things on top stand, and what carries them: the deck, or all rails of the ring alike. */
export function onTop(
  piece: Frame,
  workshop: Workshop,
  { width, height, depth, posts }: Readonly<Record<'width' | 'height' | 'depth', Figure>> & { readonly posts: Posts },
  members: readonly Member[],
): { readonly space: PlacedSpace; readonly stand: Stand } | null {
  // On a deck that goes over all of it there is room out to its edges; on rails, out to the ring of them.
  const over = piece.top.level.deck?.goes === 'over';
  const { ring } = posts;
  const [wide, deep] = over ? [width, depth] : [ring.width, ring.depth];
  const [x0, z0] = over ? [ZERO, ZERO] : [ring.x, ring.z];
  const blocks = blocksOn(piece, workshop, { width: wide.value, depth: deep.value });
  const { people = 0 } = piece.top;
  if (blocks.length === 0 && people === 0) return null;
  const tall = Math.max(0, ...blocks.map((b) => b.height)) as Length;
  const [decked] = standsOn(ON_TOP, members);
  const deck = members.find((m) => m.role === 'deck');
  const on: Stand = decked ?? {
    space: ON_TOP,
    carriers: (deck ? [deck] : members.filter((m) => m.role === 'rail')).map((m) => m.id),
  };
  const stand: Stand = people > 0 ? { ...on, people: asKg(people * PERSON_KG) } : on;
  const space: PlacedSpace = {
    id: ON_TOP,
    space: { id: ON_TOP, name: 'top', rule: { kind: 'share', weight: 1 }, things: [...(piece.top.things ?? [])] },
    label: 'on top',
    box: { x0, x1: add(x0, wide.value), y0: height.value, y1: add(height.value, tall), z0, z1: add(z0, deep.value) },
    clear: { width: wide, height: size('tallest on it', tall), depth: deep },
    neighbours: { left: OPEN, right: OPEN, below: stand.carriers[0] ?? FLOOR, above: OPEN },
    // In the middle of it, as far as it is deeper than what stands there.
    setback: scale(greatest([ZERO, sub(deep.value, greatest([ZERO, ...blocks.map((b) => b.depth)]))]), 0.5),
    off: ZERO,
    standing: height.value,
    within: null,
    depth: 0,
    blocks,
    insets: null,
    ...(piece.pullOut ? { growsWith: PULL_OUT } : {}),
  };
  return { space, stand };
}
