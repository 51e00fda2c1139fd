import { size, type Figure } from '../../figure/index.js';
import { ZERO, add, mm, sub, type Length } from '../../length/index.js';
import { POCKET_HOLE, recess } from '../../joints/index.js';
import {
  boxOf,
  facingFrame,
  flatFrame,
  onEdgeFrame,
  rectangular,
  type Box,
  type Face,
  type Feature,
  type Member,
} from '../../piece/index.js';
import { type BoxJoin } from './spec.js';
import { type Drawers } from './spec.js';
import { drawerIds } from './ids.js';
import { bottomSize, slidDepth, type DrawerStock } from './sizes.js';

/** The outside of a drawer box and where it is. */
export interface BoxPlace {
  readonly width: Figure;
  readonly height: Figure;
  readonly depth: Figure;
  /** Its outside left, its lower edge, and its rear and front. */
  readonly x: Length;
  readonly y: Length;
  readonly z0: Length;
  readonly z1: Length;
  readonly face: Drawers['face'];
}

/** Screws and pocket holes of box corners: diameter, how far from the end, and how they keep from the edges. Usual sizes for 12 to 19 mm wood. */
const HOLES = {
  pocket: { diameter: POCKET_HOLE, depth: mm(11), fromEnd: mm(25) },
  screw: { diameter: mm(4.5) },
  fromEdge: mm(15),
} as const;

/** Where the holes of one corner lie up the wall: two, or three on walls over 150, all clear of the bottom. */
function heights(high: Length, clearOf: Length): readonly Length[] {
  const from = add(clearOf, HOLES.fromEdge);
  const to = sub(high, HOLES.fromEdge);
  if (to <= from) return [((clearOf + high) / 2) as Length];
  const count = high > mm(150) ? 3 : 2;
  return Array.from({ length: count }, (_, i) => Math.round(from + ((to - from) * i) / (count - 1)) as Length);
}

/**
 * The holes of both ends of a wall: pocket holes on the outer face of a wall that goes
 * between, screw holes through a wall that covers, at half the thickness of what it meets.
 */
function cornerHoles(
  join: BoxJoin,
  goesBetween: boolean,
  outer: Face,
  wall: Member,
  mates: readonly [string, string],
  clearOf: Length,
  meets: Length,
): Feature[] {
  const wanted = join === 'pocket' ? goesBetween : join === 'screwed' && !goesBetween;
  if (!wanted) return [];
  const fromEnd = join === 'pocket' ? HOLES.pocket.fromEnd : ((meets / 2) as Length);
  const [diameter, depth] = join === 'pocket' ? [HOLES.pocket.diameter, HOLES.pocket.depth] : [HOLES.screw.diameter, wall.thickness.value];
  const places: readonly [Length, string][] = [
    [fromEnd, mates[0]],
    [sub(wall.length.value, fromEnd), mates[1]],
  ];
  return places.flatMap(([u, mate]) =>
    heights(wall.width.value, clearOf).map((v): Feature => ({ kind: 'hole', face: outer, at: { u, v }, diameter, depth, mate })),
  );
}

/** The six or so members of a drawer box. */
export function boxMembers(making: Drawers, space: string, label: string, stock: DrawerStock, place: BoxPlace): readonly Member[] {
  const ids = drawerIds(space);
  const { box } = making;
  const { bottom } = box;
  const t = stock.box.thickness;
  const under = bottom.kind === 'applied' || bottom.kind === 'tray';
  const lift = under ? stock.bottom.thickness.value : ZERO;
  const wallHeight =
    bottom.kind === 'tray'
      ? size('strip', bottom.strip, { in: 'making', field: 'box.bottom.strip' })
      : under
        ? place.height.minus(stock.bottom.thickness.named('bottom under it'))
        : place.height;
  const two = (what: string) => t.times(2).named(what);
  const inside = { width: place.width.minus(two('two sides')), depth: place.depth.minus(two('front and back')) };
  const endsBetween = box.order === 'ends-between';
  const y = add(place.y, lift);
  const common = { node: space, wood: stock.box } as const;
  const side = (id: string, x: Length) =>
    rectangular({
      ...common,
      id,
      role: 'drawer side',
      label: `side of ${label}`,
      length: endsBetween ? place.depth : inside.depth,
      width: wallHeight,
      frame: onEdgeFrame({ x: add(x, t.value), y, z: endsBetween ? place.z0 : add(place.z0, t.value) }),
      edges: { v1: 'eased' },
    });
  const slid = slidDepth(making, stock, inside.depth);
  const lower =
    slid && bottom.kind === 'groove'
      ? size('under the bottom', bottom.up, { in: 'making', field: 'box.bottom.up' })
          .plus(stock.bottom.thickness.named('bottom'))
          .named('the bottom, and what is under it')
      : null;
  const end = (id: string, name: string, z: Length) => {
    // A back stands on the bottom that is slid in under it.
    const over = id === ids.back ? lower : null;
    return rectangular({
      ...common,
      id,
      role: 'drawer end',
      label: `${name} of ${label}`,
      length: endsBetween ? inside.width : place.width,
      width: over ? wallHeight.minus(over) : wallHeight,
      frame: facingFrame({ x: endsBetween ? add(place.x, t.value) : place.x, y: over ? add(y, over.value) : y, z }),
      edges: { v1: 'eased' },
    });
  };
  const left = side(ids.left, place.x);
  const right = side(ids.right, sub(add(place.x, place.width.value), t.value));
  const front = place.face === 'front';
  const nearRear = end(front ? ids.back : ids.inner, front ? 'back' : 'inner front', place.z0);
  const nearFront = end(front ? ids.inner : ids.back, front ? 'inner front' : 'back', sub(place.z1, t.value));

  const width = bottomSize(making, inside.width, place.width);
  const depth = slid ?? bottomSize(making, inside.depth, place.depth);
  const middle = (at: Length, outside: Length, own: Length) => Math.round(at + (outside - own) / 2) as Length;
  const panel = rectangular({
    node: space,
    id: ids.bottom,
    role: 'drawer bottom',
    label: `bottom of ${label}`,
    wood: stock.bottom,
    length: width,
    width: depth,
    frame: flatFrame({
      x: middle(place.x, place.width.value, width.value),
      y: bottom.kind === 'groove' ? add(place.y, bottom.up) : place.y,
      z: slid ? (front ? add(place.z0, depth.value) : place.z1) : sub(place.z1, middle(ZERO, place.depth.value, depth.value)),
    }),
    purpose: under ? { length: 'covers', width: 'covers' } : { length: 'between', width: 'between' },
  });

  // Under the middle of the bottom, between the front and the back.
  const muntin = (on: Box, length: Figure, wide: Length) =>
    rectangular({
      node: space,
      id: ids.muntin,
      role: 'muntin',
      label: `muntin of ${label}`,
      wood: stock.muntin ?? stock.box,
      length,
      width: size('muntin', wide, { in: 'making', field: 'box.muntin.wide' }),
      frame: {
        origin: {
          x: Math.round((on.x0 + on.x1 + wide) / 2) as Length,
          y: sub(on.y0, stock.muntin?.thickness.value ?? ZERO),
          z: add(place.z0, t.value),
        },
        u: [0, 0, 1],
        v: [-1, 0, 0],
        n: [0, 1, 0],
      },
    });

  const grooved = (wall: Member, inner: Face): Feature[] =>
    (bottom.kind === 'groove' && !(lower && wall.id === ids.back)) || bottom.kind === 'rebate'
      ? [recess(bottom.kind, wall, inner, panel.id, slot(boxOf(panel), boxOf(wall)), bottom.depth)]
      : [];
  const clearOf =
    bottom.kind === 'groove'
      ? add(bottom.up, stock.bottom.thickness.value)
      : bottom.kind === 'rebate'
        ? stock.bottom.thickness.value
        : ZERO;
  const cut = (wall: Member, inner: Face, between: boolean, mates: readonly [string, string]): Member => ({
    ...wall,
    inner,
    features: [
      ...grooved(wall, inner),
      ...cornerHoles(
        box.join,
        between,
        inner === 'up' ? 'down' : 'up',
        wall,
        mates,
        lower && wall.id === ids.back ? ZERO : clearOf,
        t.value,
      ),
    ],
  });
  return [
    cut(left, 'down', !endsBetween, [nearRear.id, nearFront.id]),
    cut(right, 'up', !endsBetween, [nearRear.id, nearFront.id]),
    cut(nearFront, 'down', endsBetween, [left.id, right.id]),
    cut(nearRear, 'up', endsBetween, [left.id, right.id]),
    panel,
    ...(stock.muntin && box.muntin && !under ? [muntin(boxOf(panel), inside.depth, box.muntin.wide)] : []),
  ];
}

/** What is cut for a bottom in a wall: as high as the bottom is thick, and right along the wall, as a saw cuts it. */
function slot({ y0, y1 }: Box, wall: Box): Box {
  return { ...wall, y0, y1 };
}
