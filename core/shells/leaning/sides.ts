import { Figure, size } from '../../figure/index.js';
import { ZERO, add, mm, sub, toMm, type Length } from '../../length/index.js';
import {
  SQUARE_EDGES,
  boxOf,
  slopeOf,
  uprightPart,
  type Face,
  type Feature,
  type Frame,
  type Lean,
  type Member,
  type Outline,
  type Point,
} from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import { LEANING, LEANING_NODE } from './ids.js';
import type { Leaning } from './spec.js';
import type { Stance } from './stance.js';

/** Up along sides that lean back, and out square to that. @example waysOf({ degrees: asDegrees(0) }).u[1] // 1 */
export function waysOf(lean: Pick<Lean, 'degrees'>): Pick<Frame, 'u' | 'v' | 'n'> {
  const cos = uprightPart(lean);
  const sin = cos * slopeOf(lean);
  return { u: [0, cos, -sin], v: [0, sin, cos], n: [1, 0, 0] };
}

/** How far a side reaches along the floor. @example levelWidth(mm(120), { degrees: asDegrees(60) }).value // mm(240) */
export function levelWidth(wide: Length, lean: Pick<Lean, 'degrees'>): Figure {
  const field = { in: 'piece', field: 'sides.wide' } as const;
  return Figure.formula('length', 'sides, wide / cos of the lean', [size('sides, wide', wide, field)], mm(toMm(wide) / uprightPart(lean)));
}

/**
 * A side as it is sawn: level at foot and head, so that both ends are aslant by as much as it leans and parallel; the corner
 * at the wall cut off plumb where it is to lie on that. In u from the long point of its foot, v from its rear edge.
 */
function outlineOf({ sides: { wide, flat } }: Leaning, { along, degrees }: Stance): Outline {
  const slant = mm(toMm(wide) * slopeOf({ degrees }));
  const at = (u: Length, v: Length): Point => ({ u, v });
  const head = add(slant, along.value);
  const cos = uprightPart({ degrees });
  const high = toMm(flat ?? ZERO);
  // From where the rear edge meets the wall, plumb up to the head.
  const corner = flat
    ? [at(sub(head, mm(high / cos)), ZERO), at(mm(toMm(head) - high / cos + high * cos), mm(high * cos * slopeOf({ degrees })))]
    : [at(head, ZERO)];
  const start = at(slant, ZERO);
  const rest = [...corner, at(along.value, wide), at(ZERO, wide)];
  return { start, sides: [...rest, start].map((to) => ({ kind: 'line', to })) };
}

/** How far the rear of the foot is from the wall where they touch that: by their rear corner, or by what is cut off it. */
export function footWhereTheyTouch({ sides: { flat } }: Leaning, { out, degrees }: Stance): Figure {
  if (!flat) return out;
  const cut = Figure.formula(
    'length',
    'cut off plumb × tan of the lean',
    [size('cut off plumb', flat)],
    mm(toMm(flat) * slopeOf({ degrees })),
  );
  return out.minus(cut.named('cut off at the wall'));
}

/** How far the front edges of the sides are out on the floor, so that they touch the wall. */
export const frontWhereTheyTouch = (piece: Leaning, stance: Stance): Figure =>
  footWhereTheyTouch(piece, stance).plus(levelWidth(piece.sides.wide, stance).named('sides on the floor'));

/**
 * The two sides, mirror images of each other once their housings are in them.
 * @param outside what stands beside each of them, on its outside
 */
export function sidesOf(piece: Leaning, stance: Stance, lean: Lean, width: Figure, wood: Wood, outside: Length): readonly Member[] {
  const { wide } = piece.sides;
  const ways = waysOf(lean);
  const slant = Figure.formula('length', 'sides, wide × tan of the lean', [size('sides, wide', wide)], mm(toMm(wide) * slopeOf(lean)));
  const rear = sub(lean.front.value, levelWidth(wide, lean).value);
  const back = toMm(slant.value);
  // Its rear edge meets the floor so far along it.
  const y = mm(-back * ways.u[1]);
  const z = mm(toMm(rear) - back * ways.u[2]);
  const outline = outlineOf(piece, stance);
  const side = (id: string, label: string, x: Length, inner: Face): Member => ({
    id,
    node: LEANING_NODE,
    role: 'side',
    label,
    stockId: wood.id,
    stock: wood.stock,
    outline,
    frame: { origin: { x, y, z }, ...ways },
    length: stance.along.plus(slant.named('aslant')).named('long point to long point'),
    width: size('sides, wide', wide, { in: 'piece', field: 'sides.wide' }),
    thickness: wood.thickness,
    purpose: { length: 'covers', width: 'between' },
    features: [],
    edges: { ...SQUARE_EDGES, v1: piece.edges.front },
    inner,
  });
  const right = sub(sub(width.value, outside), wood.thickness.value);
  return [side(LEANING.left, 'left side', outside, 'up'), side(LEANING.right, 'right side', right, 'down')];
}

/** How far from the edges of a side the screws into a shelf are, mm, typical. */
const FROM_EDGE = 25;
/** The hole that a screw goes through freely, mm. */
export const CLEARANCE = mm(4.5);

/** The holes through a side for the two screws into the end of a shelf: right through, and broader from outside for a plug. */
export function plugHoles({ plugs }: Leaning, shelf: Member): (side: Member) => readonly Feature[] {
  return (side) => {
    if (!plugs) return [];
    const box = boxOf(shelf);
    const { origin, u, v } = side.frame;
    const middle = add(box.y0, mm(toMm(shelf.thickness.value) / 2));
    // Where the shelf's rear and front lie on the side, at the middle of its thickness.
    const out = (z: Length) => toMm(Math.round(v[1] * (middle - origin.y) + v[2] * (z - origin.z)) as Length);
    const bevel = (toMm(shelf.thickness.value) * v[1]) / v[2] / 2;
    const [rear, front] = [Math.max(0, out(box.z0)), Math.min(toMm(side.width.value), out(sub(box.z1, mm(bevel))))];
    const from = Math.min(FROM_EDGE, (front - rear) / 4);
    return [rear + from, front - from].flatMap((across): Feature[] => {
      const at: Point = { u: Math.round((middle - origin.y - v[1] * mm(across)) / u[1]) as Length, v: mm(across) };
      const face = side.inner === 'up' ? 'down' : 'up';
      const hole = { kind: 'hole', face, at, mate: shelf.id } as const;
      return [
        { ...hole, diameter: plugs.across, depth: plugs.deep, plugged: true },
        { ...hole, diameter: CLEARANCE, depth: side.thickness.value },
      ];
    });
  };
}
