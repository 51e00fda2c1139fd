import { ZERO, add, fromUnits, toMm, type Length } from '../length/index.js';
import { reachOf, solidOf, volumeOf, type Loop, type Placing, type Solid, type Vector } from '../solid/index.js';
import type { Box, Face, Frame, Member, Outline, Place, Point } from './member.js';

const vector = ({ x, y, z }: Place): Vector => [toMm(x), toMm(y), toMm(z)];

/** An outline in mm. @example loopOf(SHELF.outline).sides.length // 4 */
export function loopOf({ start, sides }: Outline): Loop {
  return {
    start: [toMm(start.u), toMm(start.v)],
    sides: sides.map((s) => ({ to: [toMm(s.to.u), toMm(s.to.v)], ...(s.kind === 'arc' ? { bulge: s.bulge } : {}) })),
  };
}

/** The frame of a member in mm. @example placingOf(SHELF).origin // [20, 400, 300] */
export const placingOf = ({ frame }: Pick<Member, 'frame'>): Placing => ({ ...frame, origin: vector(frame.origin) });

/** Whether a direction lies along an axis of the piece. */
const isAlongAxis = (d: Vector) => d.some((part) => Math.abs(part) > 1 - 1e-9);

/** Whether a member lies square to the piece, so that its box is its body. @example isSquare(SHELF) // true */
export const isSquare = ({ frame }: Member): boolean => isAlongAxis(frame.u) && isAlongAxis(frame.v);

const blocks = new WeakMap<Member, boolean>();

/** Whether a member fills its box. @example isBlock(SHELF) // true */
export function isBlock(member: Member): boolean {
  let known = blocks.get(member);
  if (known === undefined) {
    known = isSquare(member) && isPlain(member);
    blocks.set(member, known);
  }
  return known;
}

/**
 * Whether a member is a plain board: a rectangle as long and as wide as it is told, with no holes and square ends.
 * @example isPlain(SHELF) // true
 */
export function isPlain({ outline, holes, ends, length, width, section }: Member): boolean {
  if (holes?.length || ends?.length || section) return false;
  const { start, sides } = outline;
  const corners = [start, ...sides.map((s) => s.to)];
  const atCorner = corners.every(({ u, v }) => (u === ZERO || u === length.value) && (v === ZERO || v === width.value));
  return atCorner && sides.length === 4 && sides.every((s) => s.kind === 'line');
}

/** Members never change, so that the solid, the mass and the box of each are worked out once. */
const solids = new WeakMap<Member, Solid>();
const masses = new WeakMap<Member, ReturnType<typeof volumeOf>>();
const boxes = new WeakMap<Member, Box>();

/**
 * A member as the solid it is: its outline and holes through its thickness, its ends cut, in its frame; mm.
 * @example solidOfMember(SHELF).bodies.length // 1
 */
export function solidOfMember(member: Member): Solid {
  let solid = solids.get(member);
  if (!solid) {
    const { outline, holes = [], ends = [], thickness } = member;
    solid = member.section
      ? sweptAlong(member, member.section)
      : solidOf({
          profile: { outline: loopOf(outline), holes: holes.map(loopOf) },
          thickness: toMm(thickness.value),
          cuts: ends.map(({ normal, at }) => ({ normal, at: toMm(at) })),
          placing: placingOf(member),
        });
    solids.set(member, solid);
  }
  return solid;
}

/** A box of the piece as a solid. @example solidOfBox(box(0, 10, 0, 20, 0, 30)).bodies.length // 1 */
export function solidOfBox({ x0, x1, y0, y1, z0, z1 }: Box): Solid {
  const [w, h] = [toMm(fromUnits(x1 - x0)), toMm(fromUnits(y1 - y0))];
  const corners = [
    [w, 0],
    [w, h],
    [0, h],
    [0, 0],
  ] as const;
  return solidOf({
    profile: { outline: { start: [0, 0], sides: corners.map((to) => ({ to })) }, holes: [] },
    thickness: toMm(fromUnits(z1 - z0)),
    cuts: [],
    placing: { origin: vector({ x: x0, y: y0, z: z0 }), u: [1, 0, 0], v: [0, 1, 0], n: [0, 0, 1] },
  });
}

/** A section across u, swept along it. */
function sweptAlong(member: Member, section: Outline): Solid {
  const { u, v, n, origin } = placingOf(member);
  return solidOf({
    profile: { outline: loopOf(section), holes: [] },
    thickness: toMm(member.length.value),
    cuts: [],
    placing: { origin, u: v, v: n, n: u },
  });
}

/** A circle as a section, so far across. @example circle(mm(10)).start // { u: mm(0), v: mm(5) } */
export function circle(across: Length): Outline {
  const half = fromUnits(across / 2);
  const at = (u: Length): Point => ({ u, v: half });
  return { start: at(ZERO), sides: [across, ZERO].map((u) => ({ kind: 'arc', to: at(u), bulge: 1 })) };
}

/**
 * The volume of a member without what is cut into its faces, mm³, and the middle of its mass in the piece, mm.
 * @example massMiddleOf(SHELF) // { volume: 3_600_000, middle: [320, 410, 150] }
 */
export function massMiddleOf(member: Member): { readonly volume: number; readonly middle: Vector } {
  let mass = masses.get(member);
  if (!mass) {
    mass = lessRecesses(member, isPlain(member) ? ofBoard(member) : volumeOf(solidOfMember(member)));
    masses.set(member, mass);
  }
  return mass;
}

/** What a housing, a groove or a rebate takes off a face, mm: `part` of the rectangle round it where it lies aslant, or minus one where two cross. */
interface Taken {
  readonly face: Face;
  readonly u: readonly [number, number];
  readonly v: readonly [number, number];
  readonly depth: number;
  readonly part: number;
}

/** What is cut into the faces of a member; notches are in its outline. */
function takenOff({ features, length, width }: Member): readonly Taken[] {
  const taken = features.flatMap((f): Taken[] => {
    if (f.kind === 'hole' || f.kind === 'notch') return [];
    const clip = (a: Length, b: Length, most: Length) => [Math.max(0, toMm(a)), Math.min(toMm(b), toMm(most))] as const;
    const [u, v] = [clip(f.region.u0, f.region.u1, length.value), clip(f.region.v0, f.region.v1, width.value)];
    const [long, wide] = [u[1] - u[0], v[1] - v[0]];
    if (long <= 0 || wide <= 0) return [];
    return [{ face: f.face, u, v, depth: toMm(f.depth), part: 1 - Math.min(1, (Math.abs(f.slant ?? 0) * wide) / long) }];
  });
  // Where two cross, what both take is gone once.
  const both = taken.flatMap((a, i) =>
    taken.slice(i + 1).flatMap((b): Taken[] => {
      const meet = (p: Taken['u'], q: Taken['u']) => [Math.max(p[0], q[0]), Math.min(p[1], q[1])] as const;
      const [u, v] = [meet(a.u, b.u), meet(a.v, b.v)];
      if (a.face !== b.face || u[1] <= u[0] || v[1] <= v[0]) return [];
      return [{ face: a.face, u, v, depth: Math.min(a.depth, b.depth), part: -Math.min(a.part, b.part) }];
    }),
  );
  return [...taken, ...both];
}

/** A member without what housings, grooves and rebates took. */
function lessRecesses(member: Member, whole: ReturnType<typeof volumeOf>): ReturnType<typeof volumeOf> {
  const taken = takenOff(member);
  if (taken.length === 0) return whole;
  const { origin, u, v, n } = placingOf(member);
  const thick = toMm(member.thickness.value);
  let volume = whole.volume;
  const moment = whole.middle.map((x) => x * whole.volume);
  for (const t of taken) {
    const gone = (t.u[1] - t.u[0]) * (t.v[1] - t.v[0]) * t.depth * t.part;
    const at = [(t.u[0] + t.u[1]) / 2, (t.v[0] + t.v[1]) / 2, t.face === 'up' ? thick - t.depth / 2 : t.depth / 2] as const;
    volume -= gone;
    for (const k of [0, 1, 2] as const) moment[k] = (moment[k] as number) - gone * (origin[k] + u[k] * at[0] + v[k] * at[1] + n[k] * at[2]);
  }
  // What is cut away altogether, as a stop tells, has no middle.
  if (volume <= 0) return whole;
  return { volume, middle: moment.map((m) => m / volume) as unknown as Vector };
}

function ofBoard(member: Member): ReturnType<typeof volumeOf> {
  const box = boxOf(member);
  const middle = (a: Length, b: Length) => toMm(fromUnits((a + b) / 2));
  return {
    volume: toMm(member.length.value) * toMm(member.width.value) * toMm(member.thickness.value),
    middle: [middle(box.x0, box.x1), middle(box.y0, box.y1), middle(box.z0, box.z1)],
  };
}

/** The least box, square to the piece, round a solid. @example boxOfSolid(CUBE) // box(0, 10, 0, 10, 0, 10) */
export function boxOfSolid(solid: Solid): Box {
  const reach = (axis: Vector) => reachOf(solid, axis).map((mm) => fromUnits(mm * 80_000)) as unknown as readonly [Length, Length];
  const [[x0, x1], [y0, y1], [z0, z1]] = [reach([1, 0, 0]), reach([0, 1, 0]), reach([0, 0, 1])];
  return { x0, x1, y0, y1, z0, z1 };
}

function along(frame: Frame, axis: 0 | 1 | 2, u: Length, v: Length, n: Length): Length {
  return Math.round(frame.u[axis] * u + frame.v[axis] * v + frame.n[axis] * n) as Length;
}

/** The least box, square to the piece, that a member lies in. @example boxOf(SHELF) // box(20, 620, 400, 420, 0, 300) */
export function boxOf(member: Member): Box {
  let box = boxes.get(member);
  if (!box) {
    box = leastBox(member);
    boxes.set(member, box);
  }
  return box;
}

/** By its three edges, exact, where it is a plain board, or where its ends leave nothing of it; by its true corners else. */
function leastBox(member: Member): Box {
  const solid = isPlain(member) ? null : solidOfMember(member);
  if (solid && Number.isFinite(reachOf(solid, [1, 0, 0])[0])) return boxOfSolid(solid);
  const { frame } = member;
  const ends = ([axis, start]: readonly [0 | 1 | 2, Length]) => {
    const spans = [
      along(frame, axis, member.length.value, ZERO, ZERO),
      along(frame, axis, ZERO, member.width.value, ZERO),
      along(frame, axis, ZERO, ZERO, member.thickness.value),
    ];
    const low = spans.reduce((sum, s) => sum + Math.min(0, s), 0) as Length;
    const high = spans.reduce((sum, s) => sum + Math.max(0, s), 0) as Length;
    return [add(start, low), add(start, high)] as const;
  };
  const [x0, x1] = ends([0, frame.origin.x]);
  const [y0, y1] = ends([1, frame.origin.y]);
  const [z0, z1] = ends([2, frame.origin.z]);
  return { x0, x1, y0, y1, z0, z1 };
}
