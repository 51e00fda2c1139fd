import { size, type Figure } from '../../figure/index.js';
import { ZERO, add, mm, scale, sub, toMm, type Length } from '../../length/index.js';
import {
  SQUARE_EDGES,
  atX,
  atZ,
  circle,
  facingFrame,
  flatFrame,
  rectangular,
  type Feature,
  type Joint,
  type Member,
  type Outline,
  type Point,
} from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import { FOLDING, FOLDING_NODE } from './ids.js';
import { legPlaces, waysOf, type Holes } from './legs.js';
import type { Folding } from './spec.js';
import type { Stance } from './stance.js';

/** What a folding table is made of. */
export interface Woods {
  readonly top: Wood;
  readonly legs: Wood;
  readonly bars: Wood;
  readonly stretchers: Wood;
}

/** The top, all its edges as its front. */
export function topOf(piece: Folding, width: Figure, depth: Figure, under: Length, wood: Wood): Member {
  const edge = piece.edges.front;
  return rectangular({
    id: FOLDING.top,
    node: FOLDING_NODE,
    role: 'top',
    label: 'top',
    wood,
    length: width,
    width: depth,
    frame: flatFrame({ x: ZERO, y: under, z: depth.value }),
    purpose: { length: 'covers', width: 'covers' },
    edges: { u0: edge, u1: edge, v0: edge, v1: edge },
  });
}

/** What of the bar is left beyond its rebate, for the legs to push against: as broad as the bar is thick. */
export const wallOf = (bars: Wood): Length => bars.thickness.value;

/** The bar that the inner legs turn on, on edge between them, and the one that the outer legs stand in, flat under the top. */
export function barsOf(piece: Folding, holes: Holes, width: Figure, under: Length, woods: Woods): readonly Member[] {
  const { bars, legs, pivot } = piece;
  const { inner } = legPlaces(piece, width, woods.legs.thickness.value);
  const t = woods.bars.thickness;
  const spacer = size('spacer', legs.spacer, { in: 'piece', field: 'legs.spacer' });
  const thick = woods.legs.thickness.times(2);
  const over = size('over both outer legs', legs.over, { in: 'piece', field: 'legs.over' });
  const between = over
    .minus(thick.named('two outer legs'))
    .minus(spacer.times(2).named('two spacers'))
    .minus(thick.named('two inner legs'));
  const wide = size('bars, wide', bars.wide, { in: 'piece', field: 'bars.wide' });
  const turns = rectangular({
    id: FOLDING.pivotBar,
    node: FOLDING_NODE,
    role: 'pivot bar',
    label: 'pivot bar',
    wood: woods.bars,
    length: between,
    width: wide,
    frame: facingFrame({
      x: add(inner[0], woods.legs.thickness.value),
      y: sub(under, bars.wide),
      z: sub(holes.pivot.z, scale(t.value, 0.5)),
    }),
  });
  const rebate = sub(bars.wide, wallOf(woods.bars));
  // Its wall stands where the rounded ends of the outer legs reach to the front.
  const front = add(sub(add(holes.seat.z, legs.round), rebate), bars.wide);
  const plain = rectangular({
    id: FOLDING.seatBar,
    node: FOLDING_NODE,
    role: 'seat bar',
    label: 'seat bar',
    wood: woods.bars,
    length: over,
    width: wide,
    frame: flatFrame({ x: scale(sub(width.value, legs.over), 0.5), y: sub(under, t.value), z: front }),
  });
  const deep = sub(t.value, sub(pivot.below, legs.round));
  const cut = (mate: string): Feature => ({
    kind: 'rebate',
    face: 'down',
    region: { u0: ZERO, u1: legs.over, v0: sub(bars.wide, rebate), v1: bars.wide },
    depth: deep,
    mate,
  });
  const features = deep > ZERO && rebate > ZERO ? (['left', 'right'] as const).map((end) => cut(FOLDING.leg('outer', end))) : [];
  return [turns, features.length > 0 ? { ...plain, features, section: rebated(bars.wide, t.value, rebate, deep) } : plain];
}

/** A bar that is cut away under its rear edge: so wide, thick, and so far in and up. */
function rebated(wide: Length, thick: Length, rebate: Length, deep: Length): Outline {
  const wall = sub(wide, rebate);
  const at = (u: Length, v: Length): Point => ({ u, v });
  const start = at(ZERO, ZERO);
  const corners = [at(wall, ZERO), at(wall, deep), at(wide, deep), at(wide, thick), at(ZERO, thick), start];
  return { start, sides: corners.map((to) => ({ kind: 'line', to })) };
}

/** What joins the legs of a pair: a board over their lower edges, or a rod between the inner ones. */
export function stretchersOf(piece: Folding, stance: Stance, holes: Holes, width: Figure, woods: Woods): readonly Member[] {
  const { stretchers, legs } = piece;
  const thick = woods.legs.thickness.value;
  const places = legPlaces(piece, width, thick);
  return (['inner', 'outer'] as const).map((pair): Member => {
    const [left, right] = places[pair];
    const foot = pair === 'inner' ? holes.frontFoot : holes.rearFoot;
    const { u, v } = waysOf(pair, stance.degrees);
    const spot = (along: number, across: number) => ({
      y: mm(toMm(foot.y) + along * u[1] + across * v[1]),
      z: mm(toMm(foot.z) + along * u[2] + across * v[2]),
    });
    const common = {
      id: FOLDING.stretcher(pair),
      node: FOLDING_NODE,
      role: 'stretcher' as const,
      label: `${pair} stretcher`,
      wood: woods.stretchers,
    };
    const up = toMm(stretchers.up);
    if (stretchers.rod !== undefined && pair === 'inner') {
      // Let into the legs by half of their thickness.
      const into = scale(thick, 0.5);
      const rod = size('rod', stretchers.rod, { in: 'piece', field: 'stretchers.rod' });
      const half = toMm(stretchers.rod) / 2;
      const long = size('between the inner legs', sub(sub(right, left), thick)).plus(size('into both legs', into).times(2));
      const at = spot(up - half, -half);
      const plain = rectangular({
        ...common,
        length: long,
        width: rod,
        frame: { origin: { x: sub(add(left, thick), into), ...at }, u: [1, 0, 0], v: u, n: v },
      });
      return { ...plain, thickness: rod, section: circle(stretchers.rod), edges: SQUARE_EDGES };
    }
    // The lower edge of the inner legs is the rear one, that of the outer legs the front one.
    const below = pair === 'inner' ? -1 : 1;
    const edge = (below * toMm(legs.wide)) / 2;
    const t = toMm(woods.stretchers.thickness.value);
    const long = size('over both legs of the pair', sub(add(right, thick), left));
    const wide = size('stretchers, wide', stretchers.wide, { in: 'piece', field: 'stretchers.wide' });
    const start = up - toMm(stretchers.wide) / 2;
    // u to the right, v along the leg, n from the leg's rear edge to its front edge or, for the outer pair, the same way.
    return rectangular({
      ...common,
      length: long,
      width: wide,
      frame: { origin: { x: left, ...spot(start, below < 0 ? edge - t : edge) }, u: [1, 0, 0], v: u, n: v },
    });
  });
}

/** What carries what while it stands. */
export function jointsOf(members: readonly Member[], holes: Holes, piece: Folding, width: Figure, thick: Length): readonly Joint[] {
  const { inner, outer } = legPlaces(piece, width, thick);
  const middle = (x: Length) => atX(add(x, scale(thick, 0.5)));
  const ends = ['left', 'right'] as const;
  return [
    { carried: FOLDING.top, carrier: FOLDING.pivotBar, how: 'bearing', on: atZ(holes.pivot.z) },
    { carried: FOLDING.top, carrier: FOLDING.seatBar, how: 'bearing', on: atZ(holes.seat.z) },
    ...ends.flatMap((end, i): Joint[] => [
      { carried: FOLDING.pivotBar, carrier: FOLDING.leg('inner', end), how: 'pivot', on: middle(inner[i] as Length) },
      { carried: FOLDING.seatBar, carrier: FOLDING.leg('outer', end), how: 'bearing', on: middle(outer[i] as Length) },
      { carried: FOLDING.leg('inner', end), carrier: 'floor', how: 'bearing' },
      { carried: FOLDING.leg('outer', end), carrier: 'floor', how: 'bearing' },
    ]),
    ...members
      .filter((m) => m.role === 'stretcher')
      .flatMap((m) => {
        const pair = m.id === FOLDING.stretcher('inner') ? 'inner' : 'outer';
        const places = pair === 'inner' ? inner : outer;
        return ends.map((end, i): Joint => ({
          carried: m.id,
          carrier: FOLDING.leg(pair, end),
          how: m.section ? 'housed' : 'screws',
          on: middle(places[i] as Length),
        }));
      }),
  ];
}
