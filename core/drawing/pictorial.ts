import { toMm, type Length } from '../length/index.js';
import { boxOf, solidOfMember, type Box, type Member } from '../piece/index.js';
import { cross, dot, type Vector } from '../solid/index.js';

/** How a piece stands before the one who builds it. */
export type Stands = 'upright' | 'upside down' | 'on its back';

/** One face of a member as it is seen from before, above and the left; mm, x to the right and y down. */
export interface SeenFace {
  readonly member: string;
  readonly points: readonly (readonly [x: number, y: number])[];
  /** How much light it has, from 0 to 1. */
  readonly light: number;
}

/** A piece as it is seen at an angle, faces in the order they are painted. */
export interface Pictorial {
  readonly faces: readonly SeenFace[];
  /** The middle of what is seen of each member. */
  readonly marks: ReadonlyMap<string, readonly [x: number, y: number]>;
  readonly width: number;
  readonly height: number;
}

/** Where each of the axes goes as it is turned; a turn, never a reflection, so that left and right stay true. */
const TURNS: Readonly<Record<Stands, (p: Vector) => Vector>> = {
  upright: (p) => p,
  // Turned over sideways: left comes to the right, the foot comes up, the front stays before.
  'upside down': ([x, y, z]) => [-x, -y, z],
  // Tipped back: the front looks up, the top lies away from the one who builds.
  'on its back': ([x, y, z]) => [x, z, -y],
};

const unit = ([x, y, z]: Vector): Vector => {
  const l = Math.hypot(x, y, z);
  return [x / l, y / l, z / l];
};

/** Towards the eye: from the left, well before it, and above. */
const EYE = unit([-0.5, 0.55, 1]);
const RIGHT = unit(cross([0, 1, 0], EYE));
const UP = cross(EYE, RIGHT);
/** From where light comes. */
const LIGHT = unit([-0.35, 0.9, 0.5]);

interface Turned {
  readonly member: Member;
  readonly low: Vector;
  readonly high: Vector;
}

function turnedBox({ x0, x1, y0, y1, z0, z1 }: Box, turn: (p: Vector) => Vector): { low: Vector; high: Vector } {
  const at = (x: Length, y: Length, z: Length) => turn([toMm(x), toMm(y), toMm(z)]);
  const [a, b] = [at(x0, y0, z0), at(x1, y1, z1)];
  const pick = (of: (p: number, q: number) => number): Vector => [of(a[0], b[0]), of(a[1], b[1]), of(a[2], b[2])];
  return { low: pick(Math.min), high: pick(Math.max) };
}

/** What is let into another reaches into it by no more than this, mm: it still lies beside it. */
const LET_IN = 14;

/** Whether one lies behind another: parted by a plane that the eye is on the far side of. */
function isBehind(a: Turned, b: Turned): boolean | null {
  let [behind, deepest] = [null as boolean | null, -LET_IN];
  for (const k of [0, 1, 2] as const) {
    const [aBefore, bBefore] = [b.low[k] - a.high[k], a.low[k] - b.high[k]];
    const gap = Math.max(aBefore, bBefore);
    if (gap < deepest) continue;
    deepest = gap;
    // The one further along the axis is nearer where the eye is on that side.
    behind = EYE[k] > 0 === aBefore > bBefore;
  }
  return behind;
}

/** Members in the order they are painted: what lies behind comes first. */
function painted(all: readonly Turned[]): readonly Turned[] {
  const before = all.map(() => [] as number[]);
  const waits = all.map(() => 0);
  const flat = all.map(({ low, high }) => {
    const corners = [low[0], high[0]].flatMap((x) => [low[1], high[1]].flatMap((y) => [low[2], high[2]].map((z): Vector => [x, y, z])));
    const [xs, ys] = [corners.map((c) => dot(c, RIGHT)), corners.map((c) => dot(c, UP))];
    return [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)] as const;
  });
  all.forEach((a, i) => {
    for (let j = i + 1; j < all.length; j += 1) {
      const [f, g] = [flat[i], flat[j]] as [(typeof flat)[number], (typeof flat)[number]];
      if (f[0] >= g[1] || g[0] >= f[1] || f[2] >= g[3] || g[2] >= f[3]) continue;
      const behind = isBehind(a, all[j] as Turned);
      if (behind === null) continue;
      const [first, then] = behind ? [i, j] : [j, i];
      (before[first] as number[]).push(then);
      waits[then] = (waits[then] as number) + 1;
    }
  });
  const depth = (t: Turned) => dot(t.low, EYE) + dot(t.high, EYE);
  const left = new Set(all.keys());
  const order: Turned[] = [];
  while (left.size > 0) {
    const free = [...left].filter((i) => waits[i] === 0);
    // What is woven has no order; the furthest goes first.
    const next = free.length > 0 ? free : [[...left].reduce((a, b) => (depth(all[a] as Turned) <= depth(all[b] as Turned) ? a : b))];
    for (const i of next) {
      left.delete(i);
      order.push(all[i] as Turned);
      for (const j of before[i] as number[]) waits[j] = (waits[j] as number) - 1;
    }
  }
  return order;
}

/** Members as they are seen from before, above and the left, so that one knows which way a piece stands. @example pictorialOf([SHELF]).faces.length // 3 */
export function pictorialOf(members: readonly Member[], stands: Stands = 'upright'): Pictorial {
  const turn = TURNS[stands];
  const order = painted(members.map((member) => ({ member, ...turnedBox(boxOf(member), turn) })));
  const marks = new Map<string, readonly [number, number]>();
  const faces = order.flatMap(({ member, low, high }): SeenFace[] => {
    const middle: Vector = [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2];
    marks.set(member.id, [dot(middle, RIGHT), -dot(middle, UP)]);
    return solidOfMember(member).bodies.flatMap((body) =>
      body.faces.flatMap(({ corners, normal: out }): SeenFace[] => {
        const normal = turn(out);
        if (dot(normal, EYE) <= 1e-9) return [];
        const points = corners.map((c): readonly [number, number] => {
          const p = turn(c);
          return [dot(p, RIGHT), -dot(p, UP)];
        });
        return [{ member: member.id, points, light: Math.max(0, dot(normal, LIGHT)) }];
      }),
    );
  });
  const [xs, ys] = [faces.flatMap((f) => f.points.map((p) => p[0])), faces.flatMap((f) => f.points.map((p) => p[1]))];
  const [left, top] = [xs.reduce((a, b) => Math.min(a, b), Infinity), ys.reduce((a, b) => Math.min(a, b), Infinity)];
  const [right, foot] = [xs.reduce((a, b) => Math.max(a, b), -Infinity), ys.reduce((a, b) => Math.max(a, b), -Infinity)];
  if (faces.length === 0) return { faces, marks: new Map(), width: 0, height: 0 };
  return {
    faces: faces.map((f) => ({ ...f, points: f.points.map(([x, y]) => [x - left, y - top] as const) })),
    marks: new Map([...marks].map(([id, [x, y]]) => [id, [x - left, y - top] as const])),
    width: right - left,
    height: foot - top,
  };
}
