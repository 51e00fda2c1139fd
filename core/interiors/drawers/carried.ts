import { add, sub, type Length } from '../../length/index.js';
import { atX, atZ, type EdgeTreatment, type Joint, type Member, type PlacedSpace } from '../../piece/index.js';
import type { BoxJoin } from './spec.js';
import type { Drawers } from './spec.js';
import type { PlacedLine } from '../../run/index.js';
import type { BoxPlace } from './box.js';
import { drawerIds } from './ids.js';
import { sideClearance, type DrawerStock } from './sizes.js';

/** One drawer to be made. */
export interface Drawer {
  readonly making: Drawers;
  readonly bank: PlacedSpace;
  readonly part: PlacedSpace;
  readonly line: PlacedLine;
  /** The lower edge of its line, from the floor. */
  readonly y: Length;
  readonly stock: DrawerStock;
  /** What becomes of the edges of its front. */
  readonly edge: EdgeTreatment;
}

/** What holds something at a side of a bank: all that is there, or where posts stand in place of it the rear and the front one. */
function heldBeside({ posts, neighbours }: PlacedSpace, hand: 'left' | 'right', joint: Omit<Joint, 'carrier' | 'on'>): Joint[] {
  const pair = hand === 'left' ? posts?.pairs[0] : posts?.pairs.at(-1);
  if (!pair) return [{ ...joint, carrier: neighbours[hand] }];
  return [pair.rear, pair.front].map((p) => ({ ...joint, carrier: p.id, on: atZ(Math.round((p.z0 + p.z1) / 2) as Length) }));
}

/** How the corners of a box carry. */
const JOINED: Readonly<Record<BoxJoin, Joint['how']>> = { pocket: 'pocket screws', nailed: 'nails', screwed: 'screws' };

/** What carries what of a drawer: its bottom in its walls, those in each other, and the box on its runners. */
export function jointsOf(drawer: Drawer, members: readonly Member[], place: BoxPlace): Joint[] {
  const { making, bank, part } = drawer;
  const ids = drawerIds(part.id);
  const { bottom } = making.box;
  const held = bottom.kind === 'groove' ? 'housed' : 'screws';
  const slidIn = bottom.kind === 'groove' && bottom.slidIn === true;
  const t = drawer.stock.box.thickness.value;
  // Spans go from wall to wall, as they are clear.
  const [x0, x1] = [add(place.x, t), sub(add(place.x, place.width.value), t)];
  const has = (id: string) => members.some((m) => m.id === id);
  // With a muntin under its middle it spans from side to side over that.
  const onMuntin: Joint[] = [
    { carried: ids.bottom, carrier: ids.muntin, how: 'bearing', on: atX(Math.round((x0 + x1) / 2) as Length) },
    { carried: ids.muntin, carrier: ids.back, how: 'screws', on: atZ(making.face === 'front' ? add(place.z0, t) : sub(place.z1, t)) },
    { carried: ids.muntin, carrier: ids.inner, how: 'screws', on: atZ(making.face === 'front' ? sub(place.z1, t) : add(place.z0, t)) },
  ];
  // The bottom is held on all four walls. It spans the shorter way, to the ends of a box that is wider than deep.
  const bottomJoints = (how: Joint['how']): Joint[] => {
    const front = making.face === 'front';
    const ends = [
      { carried: ids.bottom, carrier: front ? ids.back : ids.inner, how, on: atZ(add(place.z0, t)) },
      { carried: ids.bottom, carrier: front ? ids.inner : ids.back, how, on: atZ(sub(place.z1, t)) },
    ];
    const along = ({ carried, carrier }: Joint): Joint => ({ carried, carrier, how: 'held along' });
    const sides = onSides(ids.bottom, how);
    if (has(ids.muntin)) return [...sides, ...ends.map(along), ...onMuntin];
    // One that is slid in from behind is held from below at the back alone, and lies in the grooves of the sides.
    if (slidIn) return [...sides, ...ends.map(along)];
    return place.depth.value >= place.width.value ? [...sides, ...ends.map(along)] : [...ends, ...sides.map(along)];
  };
  const onSides = (carried: string, how: Joint['how']): Joint[] => [
    { carried, carrier: ids.left, how, on: atX(x0) },
    { carried, carrier: ids.right, how, on: atX(x1) },
  ];
  const free = sideClearance(making, drawer.stock).value;
  const half = (inner: Length, way: 1 | -1) => Math.round(inner + (way * t) / 2) as Length;
  const sides: Joint[] = (
    [
      [ids.left, 'left', ids.runners[0], half(x0, -1)],
      [ids.right, 'right', ids.runners[1], half(x1, 1)],
    ] as const
  ).flatMap(([side, hand, runner, x]): Joint[] => {
    if (making.runner.kind === 'slide') return heldBeside(bank, hand, { carried: side, how: 'slide', apart: free });
    if (making.runner.kind === 'wooden')
      return [{ carried: side, carrier: runner, how: 'bearing' }, ...heldBeside(bank, hand, { carried: runner, how: 'screws' })];
    return [{ carried: side, carrier: bank.neighbours.below, how: 'bearing', on: atX(x) }];
  });
  const under = bottom.kind === 'applied' || bottom.kind === 'tray';
  if (under && making.runner.kind !== 'slide') return onItsBottom(drawer, members, [half(x0, -1), half(x1, 1)]);
  return [
    ...bottomJoints(held),
    ...onSides(ids.inner, JOINED[making.box.join]),
    ...onSides(ids.back, JOINED[making.box.join]),
    ...(has(ids.front) ? [{ carried: ids.front, carrier: ids.inner, how: 'screws' } as const] : []),
    ...sides,
  ];
}

/** A box that stands on its bottom: the walls on the bottom, and the bottom on the runners, or on what is below it. */
function onItsBottom({ making, bank, part }: Drawer, members: readonly Member[], [left, right]: readonly [Length, Length]): Joint[] {
  const ids = drawerIds(part.id);
  const walls = members.filter((m) => m.role === 'drawer side' || m.role === 'drawer end');
  const stands = walls.map((w): Joint => ({ carried: w.id, carrier: ids.bottom, how: 'bearing' }));
  const front = members.filter((m) => m.role === 'drawer front').map((m): Joint => ({ carried: m.id, carrier: ids.inner, how: 'screws' }));
  if (making.runner.kind === 'plain') return [...stands, ...front, { carried: ids.bottom, carrier: bank.neighbours.below, how: 'bearing' }];
  const [onLeft, onRight] = ids.runners;
  return [
    ...stands,
    ...front,
    { carried: ids.bottom, carrier: onLeft, how: 'bearing', on: atX(left) },
    { carried: ids.bottom, carrier: onRight, how: 'bearing', on: atX(right) },
    ...heldBeside(bank, 'left', { carried: onLeft, how: 'screws' }),
    ...heldBeside(bank, 'right', { carried: onRight, how: 'screws' }),
  ];
}
