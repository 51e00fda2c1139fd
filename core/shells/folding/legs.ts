import { radians, type Degrees } from '../../measures/index.js';
import { size, type Figure } from '../../figure/index.js';
import { ZERO, add, mm, scale, sub, toMm, type Length } from '../../length/index.js';
import {
  SQUARE_EDGES,
  type Direction,
  type Feature,
  type Member,
  type Outline,
  type OutlineSide,
  type Place,
  type Point,
} from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import { FOLDING, FOLDING_NODE } from './ids.js';
import type { Folding } from './spec.js';
import type { Stance } from './stance.js';

/** Over so much of its length a leg that is wider than its rounded ends is drawn in to them, mm. */
export const DRAWN_IN = 60;

/** Where the holes of a table are, seen from the side: out from the rear and up. */
export interface Holes {
  readonly pivot: Place;
  readonly seat: Place;
  readonly crossing: Place;
  readonly rearFoot: Place;
  readonly frontFoot: Place;
}

/** Where the holes are: both pairs of feet as far from the middle of the top. */
export function holesOf(piece: Folding, { vertical, apart }: Stance, depth: Figure): Holes {
  const half = scale(apart.value, 0.5);
  const middle = scale(depth.value, 0.5);
  const foot = piece.legs.round;
  const at = (z: Length, y: Length): Place => ({ x: ZERO, y, z });
  const [rear, front] = [sub(middle, half), add(middle, half)];
  return {
    pivot: at(rear, add(foot, vertical.value)),
    seat: at(front, add(foot, vertical.value)),
    crossing: at(middle, add(foot, scale(vertical.value, 0.5))),
    rearFoot: at(rear, foot),
    frontFoot: at(front, foot),
  };
}

/** A leg seen flat: rounded about the holes at its ends, and drawn in to them where it is wider than that. */
export function legOutline(length: Length, wide: Length, round: Length): Outline {
  const [L, w, r] = [length, wide, round].map(toMm) as [number, number, number];
  const taper = 2 * r < w - 1e-6 ? Math.min(DRAWN_IN, L / 2 - r) : 0;
  const angle = Math.atan2(-w / 2, taper) - Math.acos(Math.min(1, r / Math.hypot(taper, w / 2)));
  const [du, dv] = [r * Math.cos(angle), r * Math.sin(angle)];
  // From the lower tangent round the far end to the upper one.
  const bulge = Math.tan((Math.PI + 2 * (angle + Math.PI / 2)) / 4);
  const at = (u: number, v: number): Point => ({ u: mm(u), v: mm(v) });
  const line = (to: Point): OutlineSide => ({ kind: 'line', to });
  const start = at(r + du, w / 2 + dv);
  const shoulder = taper > 0;
  return {
    start,
    sides: [
      ...(shoulder ? [line(at(r + taper, 0)), line(at(L - r - taper, 0))] : []),
      line(at(L - r - du, w / 2 + dv)),
      { kind: 'arc', to: at(L - r - du, w / 2 - dv), bulge },
      ...(shoulder ? [line(at(L - r - taper, w)), line(at(r + taper, w))] : []),
      line(at(r + du, w / 2 - dv)),
      { kind: 'arc', to: start, bulge },
    ],
  };
}

/** Up along the legs of a pair from their feet, and square to that: the inner ones rise to the rear, the outer to the front. */
export function waysOf(pair: 'inner' | 'outer', degrees: Degrees): { readonly u: Direction; readonly v: Direction; readonly n: Direction } {
  const [cos, sin] = [Math.cos(radians(degrees)), Math.sin(radians(degrees))];
  return pair === 'inner' ? { u: [0, sin, -cos], v: [0, cos, sin], n: [1, 0, 0] } : { u: [0, sin, cos], v: [0, -cos, sin], n: [1, 0, 0] };
}

/** Where the left faces of the legs are, from the outside left. */
export function legPlaces(piece: Folding, width: Figure, thick: Length): Readonly<Record<'inner' | 'outer', readonly [Length, Length]>> {
  const { over, spacer } = piece.legs;
  const first = scale(sub(width.value, over), 0.5);
  const inner = add(first, thick, spacer);
  const mirrored = (x: Length) => sub(sub(width.value, x), thick);
  return { outer: [first, mirrored(first)], inner: [inner, mirrored(inner)] };
}

/** The holes of a leg: at its foot none, at its head where it turns, and where it crosses. */
function drilled(
  piece: Folding,
  { crossing, leg }: Stance,
  thick: Length,
  pair: 'inner' | 'outer',
  end: 'left' | 'right',
): readonly Feature[] {
  const { legs, pivot } = piece;
  const v = scale(legs.wide, 0.5);
  const through = (u: Length, mate: string): Feature => ({
    kind: 'hole',
    face: 'up',
    at: { u, v },
    diameter: pivot.pin,
    depth: thick,
    mate,
  });
  const other = FOLDING.leg(pair === 'inner' ? 'outer' : 'inner', end);
  return [through(crossing.value, other), ...(pair === 'inner' ? [through(sub(leg.value, legs.round), FOLDING.pivotBar)] : [])];
}

/** The four legs. */
export function legsOf(piece: Folding, stance: Stance, holes: Holes, width: Figure, wood: Wood): readonly Member[] {
  const { legs } = piece;
  const edge = piece.edges.front === 'banded' ? 'eased' : piece.edges.front;
  const outline = legOutline(stance.leg.value, legs.wide, legs.round);
  const places = legPlaces(piece, width, wood.thickness.value);
  return (['inner', 'outer'] as const).flatMap((pair) => {
    const ways = waysOf(pair, stance.degrees);
    const foot = pair === 'inner' ? holes.frontFoot : holes.rearFoot;
    const back = (k: 1 | 2) => toMm(legs.round) * ways.u[k] + (toMm(legs.wide) / 2) * ways.v[k];
    return (['left', 'right'] as const).map((end, i): Member => ({
      id: FOLDING.leg(pair, end),
      node: FOLDING_NODE,
      role: 'leg',
      label: `${pair} leg, ${end}`,
      stockId: wood.id,
      stock: wood.stock,
      outline,
      frame: { origin: { x: places[pair][i] as Length, y: sub(foot.y, mm(back(1))), z: sub(foot.z, mm(back(2))) }, ...ways },
      length: stance.leg,
      width: size('legs, wide', legs.wide, { in: 'piece', field: 'legs.wide' }),
      thickness: wood.thickness,
      purpose: { length: 'between', width: 'between' },
      features: drilled(piece, stance, wood.thickness.value, pair, end),
      edges: { ...SQUARE_EDGES, v0: edge, v1: edge },
    }));
  });
}
