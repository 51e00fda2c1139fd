import { asNewtons, type Degrees, type Newtons } from '../../measures/index.js';
import { GRAVITY, massFromWall, type Carried } from '../../carry/index.js';
import { toMm } from '../../length/index.js';
import { boxOf, massMiddleOf, type Member, type Shape, slopeOf } from '../../piece/index.js';
import { LEANING } from './ids.js';
import { heldAt } from './legs.js';
import { levelWidth } from './sides.js';
import type { Leaning } from './spec.js';

/** What one shelf puts on both sides together, N, how high, and how far from the wall the middle of it is, mm. */
export interface Laid {
  readonly shelf: Member;
  readonly newtons: Newtons;
  readonly y: number;
  readonly z: number;
}

/** How a leaning piece stands on the floor and at the wall, mm and N. */
export interface Standing {
  readonly weight: Newtons;
  /** How far from the wall the middle of all it weighs is. */
  readonly out: number;
  /** The front and the rear of the foot, from the wall. */
  readonly foot: readonly [rear: number, front: number];
  /** How high it touches the wall, or its rear legs hold it. */
  readonly high: number;
  /** What it presses on the wall with: W a / h about the front of its foot, nothing where it stands on that alone or on legs. */
  readonly wall: Newtons;
  readonly laid: readonly Laid[];
}

/** The middle of what lies on a shelf, and of the shelf itself, from the wall, mm: things stand at its front. */
function middleOut(shelf: Member, shape: Shape, carried: Carried): number {
  const own = carried.members.get(shelf.id);
  const self = { kg: own?.selfKg ?? 0, z: massMiddleOf(shelf).middle[2] };
  const things = (own?.standing ?? []).map(({ space: id, kg }) => {
    const space = shape.spaces.get(id);
    if (!space) return { kg, z: self.z };
    // Of what is assumed to stand there nobody said that it is at the front.
    if (space.blocks.length === 0) return { kg, z: (toMm(space.box.z0) + toMm(space.box.z1)) / 2 };
    const deepest = space.blocks.reduce((most, b) => Math.max(most, toMm(b.depth)), 0);
    return { kg, z: toMm(space.box.z1) - toMm(space.setback) - Math.min(deepest, toMm(space.clear.depth.value)) / 2 };
  });
  const all = [self, ...things];
  const kg = all.reduce((sum, a) => sum + a.kg, 0);
  return kg > 0 ? all.reduce((sum, a) => sum + a.kg * a.z, 0) / kg : self.z;
}

/** How a leaning piece stands, with all that is on it. */
export function standingOf(piece: Leaning, shape: Shape, carried: Carried, lean: { readonly degrees: Degrees }): Standing {
  const { kg, out } = massFromWall(shape, carried);
  const weight = asNewtons(kg * GRAVITY);
  const front = toMm(shape.outside.foot ?? shape.overall.depth.value);
  const rear = front - toMm(levelWidth(piece.sides.wide, lean).value);
  // Legs that can't be made so are not there.
  const legs = shape.members.some((m) => m.role === 'leg') ? piece.legs : undefined;
  const high = legs ? heldAt(shape.overall.height.value, legs.wide, lean) : touchesAt(shape);
  const wall = asNewtons(legs ? 0 : (weight * Math.max(0, front - out)) / high);
  return { weight, out, foot: [rear, front], high, wall, laid: laidOn(shape, carried) };
}

/** How high it touches the wall: what reaches furthest to the rear does, a side by its head, a shelf by its foot. */
function touchesAt({ members }: Shape): number {
  const touching = members.filter((m) => m.role === 'side' || m.role === 'shelf').map((m) => ({ m, box: boxOf(m) }));
  const rearmost = touching.reduce<(typeof touching)[number] | null>((a, b) => (a && a.box.z0 <= b.box.z0 ? a : b), null);
  return rearmost ? toMm(rearmost.m.role === 'side' ? rearmost.box.y1 : rearmost.box.y0) : 1;
}

/** What each shelf puts on the sides. */
function laidOn(shape: Shape, carried: Carried): readonly Laid[] {
  return shape.members.flatMap((shelf): Laid[] => {
    const own = shelf.role === 'shelf' ? carried.members.get(shelf.id) : undefined;
    const onSides = own?.supports.filter((s) => s.carrier === LEANING.left || s.carrier === LEANING.right) ?? [];
    const newtons = onSides.reduce((sum, s) => sum + s.newtons, 0);
    if (newtons === 0) return [];
    const { y0, y1 } = boxOf(shelf);
    return [{ shelf, newtons: asNewtons(newtons), y: (toMm(y0) + toMm(y1)) / 2, z: middleOut(shelf, shape, carried) }];
  });
}

/**
 * The most that one of two sides is bent, N mm, and how high: about the middle of its foot, held level at the wall, with half of
 * what each shelf puts on both, at the middle of that; of both sides of a shelf's joint the greater.
 */
export function bentMost(
  { foot, high, laid }: Standing,
  degrees: Degrees,
): { readonly moment: number; readonly at: number; readonly shelf: Member | null } {
  const slope = slopeOf({ degrees });
  const middle = (foot[0] + foot[1]) / 2;
  // About the foot: what the wall gives, held to what shelves put behind it; what leans forward is held by its fixing.
  const wall = laid.reduce((sum, l) => sum + (l.newtons / 2) * (middle - l.z), 0) / high;
  const momentOver = (y: number, counted: readonly Laid[]) =>
    wall * (high - y) - counted.reduce((sum, l) => sum + (l.newtons / 2) * (middle - y * slope - l.z), 0);
  let worst: { moment: number; at: number; shelf: Member | null } = { moment: 0, at: 0, shelf: null };
  for (const { y, shelf } of laid) {
    const above = laid.filter((l) => l.y > y);
    for (const counted of [above, laid.filter((l) => l.y >= y)]) {
      const moment = Math.abs(momentOver(y, counted));
      if (moment > worst.moment) worst = { moment, at: y, shelf };
    }
  }
  return worst;
}
