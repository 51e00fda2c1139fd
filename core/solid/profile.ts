import earcut from 'earcut';

/** A point of a profile, mm along u and v. */
export type Point = readonly [u: number, v: number];

/**
 * One side of a loop, to a point: straight, or an arc that bulges by the tangent of a quarter of its angle, positive
 * where the loop turns left along it.
 */
export interface Side {
  readonly to: Point;
  readonly bulge?: number;
}

/** A closed line of straight sides and arcs. */
export interface Loop {
  readonly start: Point;
  readonly sides: readonly Side[];
}

/** An outline, left of its way round, with the holes in it. */
export interface Profile {
  readonly outline: Loop;
  readonly holes: readonly Loop[];
}

/** How far a chord may lie from its arc, mm. */
const SAGITTA = 0.1;

/** The corners of a loop, its arcs as chords that lie at most `sagitta` from them, mm. @example cornersOf(rectangleOf(600, 300)).length // 4 */
export function cornersOf({ start, sides }: Loop, sagitta = SAGITTA): Point[] {
  const points: Point[] = [start];
  let from = start;
  for (const { to, bulge } of sides) {
    if (bulge) points.push(...arcPoints(from, to, bulge, sagitta));
    points.push(to);
    from = to;
  }
  // A corner that is where the one before it is adds nothing, and the loop closes by itself.
  const near = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]) < 1e-9;
  return points.filter((p, i) => !near(p, points[(i + 1) % points.length] as Point) || points.length === 1);
}

/** The middle, the radius and the angle of the arc between two points. */
function arcOf(from: Point, to: Point, bulge: number) {
  const angle = 4 * Math.atan(bulge);
  const chord = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const radius = chord / (2 * Math.sin(Math.abs(angle) / 2));
  const off = (1 - bulge * bulge) / (4 * bulge);
  const middle: Point = [(from[0] + to[0]) / 2 - (to[1] - from[1]) * off, (from[1] + to[1]) / 2 + (to[0] - from[0]) * off];
  return { angle, radius, middle };
}

function arcPoints(from: Point, to: Point, bulge: number, sagitta: number): Point[] {
  const { angle, radius, middle } = arcOf(from, to, bulge);
  const step = 2 * Math.acos(Math.max(0, 1 - sagitta / radius));
  const count = Math.max(2, Math.ceil(Math.abs(angle) / step));
  const start = Math.atan2(from[1] - middle[1], from[0] - middle[0]);
  return Array.from({ length: count - 1 }, (_, i): Point => {
    const at = start + (angle * (i + 1)) / count;
    return [middle[0] + radius * Math.cos(at), middle[1] + radius * Math.sin(at)];
  });
}

/** Twice the area within straight lines through some points, positive where they go round to the left. */
function twiceWithin(points: readonly Point[]): number {
  return points.reduce((sum, [u, v], i) => {
    const [u1, v1] = points[(i + 1) % points.length] as Point;
    return sum + u * v1 - u1 * v;
  }, 0);
}

/** The area in a loop, mm², its arcs exact: r²/2 (θ − sin θ) beside each chord. */
function loopArea({ start, sides }: Loop): number {
  const straight = twiceWithin([start, ...sides.map((s) => s.to)]) / 2;
  const from = (i: number) => (i === 0 ? start : (sides[i - 1] as Side).to);
  const arcs = sides.reduce((sum, { to, bulge }, i) => {
    if (!bulge) return sum;
    const { angle, radius } = arcOf(from(i), to, bulge);
    return sum + (radius * radius * (angle - Math.sin(angle))) / 2;
  }, 0);
  return straight + arcs;
}

/**
 * The area of a profile, mm², exact for lines and arcs.
 * @example areaOf({ outline: rectangleOf(100, 50), holes: [] }) // 5000
 */
export function areaOf({ outline, holes }: Profile): number {
  return Math.abs(loopArea(outline)) - holes.reduce((sum, hole) => sum + Math.abs(loopArea(hole)), 0);
}

/** How long a loop is, mm: what of edging it takes. @example lengthOf(rectangleOf(300, 200)) // 1000 */
export function lengthOf({ start, sides }: Loop): number {
  let from = start;
  return sides.reduce((sum, { to, bulge }) => {
    const chord = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const along = bulge ? arcOf(from, to, bulge).radius * Math.abs(arcOf(from, to, bulge).angle) : chord;
    from = to;
    return sum + along;
  }, 0);
}

/**
 * A rectangle with a corner at the origin, its corners rounded by a radius where one is given, mm.
 * @example rectangleOf(600, 300).start // [0, 0]
 */
export function rectangleOf(length: number, width: number, radius = 0): Loop {
  if (radius === 0) return { start: [0, 0], sides: [{ to: [length, 0] }, { to: [length, width] }, { to: [0, width] }, { to: [0, 0] }] };
  const bulge = Math.tan(Math.PI / 8);
  const [u, v, r] = [length, width, radius];
  const corner = (to: Point): Side => ({ to, bulge });
  return {
    start: [r, 0],
    sides: [
      { to: [u - r, 0] },
      corner([u, r]),
      { to: [u, v - r] },
      corner([u - r, v]),
      { to: [r, v] },
      corner([0, v - r]),
      { to: [0, r] },
      corner([r, 0]),
    ],
  };
}

/** A circle, mm. @example lengthOf(circleOf([0, 0], 10)) // 62.832 */
export function circleOf([u, v]: Point, radius: number): Loop {
  const [left, right]: [Point, Point] = [
    [u - radius, v],
    [u + radius, v],
  ];
  return {
    start: right,
    sides: [
      { to: left, bulge: 1 },
      { to: right, bulge: 1 },
    ],
  };
}

const leftTurn = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);

function isConvex(points: readonly Point[]): boolean {
  return points.every((p, i) => leftTurn(p, points[(i + 1) % points.length] as Point, points[(i + 2) % points.length] as Point) > -1e-6);
}

/** Two polygons that share a side made one, where that stays convex; null where it does not. */
function joined(a: readonly Point[], b: readonly Point[]): Point[] | null {
  const same = (p: Point, q: Point) => p[0] === q[0] && p[1] === q[1];
  for (let i = 0; i < a.length; i += 1) {
    const [from, to] = [a[i] as Point, a[(i + 1) % a.length] as Point];
    const k = b.findIndex((p, j) => same(p, to) && same(b[(j + 1) % b.length] as Point, from));
    if (k < 0) continue;
    const rest = Array.from({ length: b.length - 2 }, (_, j) => b[(k + 2 + j) % b.length] as Point);
    const one = [...a.slice(0, i + 1), ...rest, ...a.slice(i + 1)];
    return isConvex(one) ? one : null;
  }
  return null;
}

/** Less than this is a sliver with nothing in it, mm². */
const SLIVER = 1e-6;

/**
 * A profile as convex polygons that lie beside each other and each turn left: cut into triangles,
 * which are joined again as far as they stay convex (Hertel and Mehlhorn).
 * @example convexPieces({ outline: rectangleOf(600, 300), holes: [] }).length // 1
 */
export function convexPieces({ outline, holes }: Profile): readonly (readonly Point[])[] {
  const turn = (points: Point[], left: boolean) => (twiceWithin(points) > 0 === left ? points : [...points].reverse());
  const outer = turn(cornersOf(outline), true);
  if (holes.length === 0 && isConvex(outer)) return [outer];
  const inner = holes.map((hole) => turn(cornersOf(hole), false));
  const points = [outer, ...inner].flat();
  const starts = inner.map((_, i) => outer.length + inner.slice(0, i).reduce((sum, h) => sum + h.length, 0));
  const corners = earcut(
    points.flatMap(([u, v]) => [u, v]),
    starts,
  );
  let pieces = Array.from({ length: corners.length / 3 }, (_, i) =>
    turn(
      [0, 1, 2].map((k) => points[corners[3 * i + k] as number] as Point),
      true,
    ),
  ).filter((piece) => twiceWithin(piece) > SLIVER);
  for (let i = 0; i < pieces.length; i += 1) {
    for (let k = i + 1; k < pieces.length; k += 1) {
      const one = joined(pieces[i] as Point[], pieces[k] as Point[]);
      if (!one) continue;
      pieces = pieces.map((p, n) => (n === i ? one : p)).filter((_, n) => n !== k);
      k = i;
    }
  }
  return pieces;
}
