import { factor, solveBanded } from '../banded.js';
import { hermiteAt, integrate, productsOf, type Products } from './hermite.js';

/** Bending stiffnesses of an orthotropic thin plate, N mm: along x, along y, coupling, and twist. */
export interface Rigidity {
  readonly x: number;
  readonly y: number;
  readonly coupling: number;
  readonly twist: number;
}

/** How an edge of a plate is held. */
export type EdgeHold = 'free' | 'simple' | 'clamped';

/** A beam along an edge that bends and twists with the plate. */
export interface EdgeBeam {
  readonly edge: 'x0' | 'x1' | 'y0' | 'y1';
  /** Bending stiffness that it adds, N mm², and twisting stiffness G J, N mm². */
  readonly EI: number;
  readonly GJ: number;
}

/** An even load on a rectangle, N/mm², downwards positive. */
export interface Patch {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly perMm2: number;
}

/** A rectangular plate of `a` along x by `b` along y, mm. */
export interface PlateSpec {
  readonly a: number;
  readonly b: number;
  readonly rigidity: Rigidity;
  readonly edges: Readonly<Record<EdgeBeam['edge'], EdgeHold>>;
  readonly beams: readonly EdgeBeam[];
  /** Supports at points; a one-way one pushes and never pulls. */
  readonly props: readonly { readonly x: number; readonly y: number; readonly oneWay?: boolean }[];
  readonly patches: readonly Patch[];
  readonly points: readonly { readonly x: number; readonly y: number; readonly newtons: number }[];
  /** About how many elements along each side; 12 when left out. */
  readonly mesh?: number;
}

export interface PlateResult {
  /** The greatest deflection downwards, mm, and where. */
  readonly greatest: { readonly x: number; readonly y: number; readonly mm: number };
  /** The greatest bending moment per width along x and y, in size, N. */
  readonly moment: { readonly x: number; readonly y: number };
  /** By how much the greatest deflection differs from that of half the mesh, as a part of it. */
  readonly meshError: number;
  /** Reactions at the props, N, upwards positive. */
  readonly props: readonly number[];
  /** Deflection downwards at a place, mm. */
  readonly at: (x: number, y: number) => number;
}

/** Why a plate could not be solved. */
export class PlateError extends Error {}

const USUAL_MESH = 12;

/**
 * The rigidity of a board of thickness t, mm, from its moduli along and across, MPa.
 * @param poisson of the lesser direction's strain, 0.3 for isotropic sheets; `G` in its plane, E / 2(1 + ν) where left out
 */
export function rigidityOf(t: number, along: number, across: number, poisson = 0.3, G?: number): Rigidity {
  // The major Poisson ratio belongs to the stiffer direction; the two go with the moduli, νxy / Ex = νyx / Ey.
  const [nuXY, nuYX] = along >= across ? [poisson, (poisson * across) / along] : [(poisson * along) / across, poisson];
  const k = t ** 3 / 12;
  const share = 1 - nuXY * nuYX;
  const shear = G ?? Math.sqrt(along * across) / (2 * (1 + Math.sqrt(nuXY * nuYX)));
  return { x: (along * k) / share, y: (across * k) / share, coupling: (nuXY * across * k) / share, twist: shear * k };
}

/** Grid lines through every place that matters, with no stretch longer than an even mesh would have. */
function linesOf(length: number, places: readonly number[], mesh: number): number[] {
  const kept = [0, length, ...places].filter((p) => p >= 0 && p <= length).sort((p, q) => p - q);
  const apart = kept.filter((p, i) => i === 0 || p - (kept[i - 1] as number) > length * 1e-6);
  return apart.flatMap((p, i) => {
    const next = apart[i + 1];
    if (next === undefined) return [p];
    const count = Math.max(1, Math.ceil(((next - p) / length) * mesh - 1e-9));
    return Array.from({ length: count }, (_, k) => p + ((next - p) * k) / count);
  });
}

interface Mesh {
  readonly xs: readonly number[];
  readonly ys: readonly number[];
}

/** The number of a freedom: w, w,x, w,y and w,xy at each node; nodes are numbered along y first. */
function freedom(mesh: Mesh, i: number, j: number, p: number, q: number): number {
  return (i * mesh.ys.length + j) * 4 + p + 2 * q;
}

/** The sixteen freedoms of an element with the Hermite functions along x and y that go with each. */
function freedomsOf(mesh: Mesh, i: number, j: number): { readonly dof: number; readonly fx: number; readonly fy: number }[] {
  return [0, 1, 2, 3].flatMap((fx) =>
    [0, 1, 2, 3].map((fy) => ({ dof: freedom(mesh, i + (fx >> 1), j + (fy >> 1), fx & 1, fy & 1), fx, fy })),
  );
}

interface System {
  readonly band: number[];
  readonly size: number;
  readonly half: number;
  readonly force: number[];
}

function emptySystem(mesh: Mesh): System {
  const size = mesh.xs.length * mesh.ys.length * 4;
  const half = (mesh.ys.length + 1) * 4 + 3;
  return { band: new Array<number>(size * (half + 1)).fill(0), size, half, force: new Array<number>(size).fill(0) };
}

function put({ band, half }: System, row: number, column: number, value: number): void {
  if (row < column) return;
  const place = row * (half + 1) + row - column;
  band[place] = (band[place] as number) + value;
}

/**
 * The stiffness of a conforming bicubic element (Bogner, Fox and Schmit, Proc. Conf. Matrix
 * Methods in Structural Mechanics, Wright-Patterson 1965), from the products along its sides.
 */
function addElement(system: System, mesh: Mesh, i: number, j: number, D: Rigidity, X: Products, Y: Products): void {
  const all = freedomsOf(mesh, i, j);
  for (const r of all) {
    for (const c of all) {
      const [x, y] = [r.fx * 4 + c.fx, r.fy * 4 + c.fy];
      const [xt, yt] = [c.fx * 4 + r.fx, c.fy * 4 + r.fy];
      const at = (list: readonly number[], n: number) => list[n] as number;
      put(
        system,
        r.dof,
        c.dof,
        D.x * at(X.bends, x) * at(Y.plain, y) +
          D.y * at(X.plain, x) * at(Y.bends, y) +
          D.coupling * (at(X.mixed, x) * at(Y.mixed, yt) + at(X.mixed, xt) * at(Y.mixed, y)) +
          4 * D.twist * at(X.slopes, x) * at(Y.slopes, y),
      );
    }
  }
}

/** A beam along an edge: its bending follows w, its twist the slope square to it. */
function addBeam(system: System, mesh: Mesh, beam: EdgeBeam): void {
  const alongX = beam.edge === 'y0' || beam.edge === 'y1';
  const lines = alongX ? mesh.xs : mesh.ys;
  const last = (alongX ? mesh.ys : mesh.xs).length - 1;
  const across = beam.edge.endsWith('0') ? 0 : last;
  const dof = (node: number, own: number, square: number) =>
    alongX ? freedom(mesh, node, across, own, square) : freedom(mesh, across, node, square, own);
  lines.slice(1).forEach((end, k) => {
    const products = productsOf(end - (lines[k] as number));
    for (let r = 0; r < 4; r += 1) {
      for (let c = 0; c < 4; c += 1) {
        const of = (square: number) => [dof(k + (r >> 1), r & 1, square), dof(k + (c >> 1), c & 1, square)] as const;
        put(system, ...of(0), beam.EI * (products.bends[r * 4 + c] as number));
        put(system, ...of(1), beam.GJ * (products.slopes[r * 4 + c] as number));
      }
    }
  });
}

function stretchAt(lines: readonly number[], x: number): number {
  const found = lines.findIndex((_, i) => x <= (lines[i + 1] ?? Infinity));
  return Math.min(Math.max(found, 0), lines.length - 2);
}

function addPatch({ force }: System, mesh: Mesh, patch: Patch): void {
  const pieces = (lines: readonly number[], from: number, to: number) =>
    lines.slice(1).flatMap((end, k) => {
      const start = lines[k] as number;
      const [low, high] = [Math.max(start, from), Math.min(end, to)];
      return high > low ? [{ k, sums: integrate(low - start, high - start, (s) => hermiteAt(end - start, s)) }] : [];
    });
  const ys = pieces(mesh.ys, patch.y0, patch.y1);
  for (const x of pieces(mesh.xs, patch.x0, patch.x1)) {
    for (const y of ys) {
      for (const { dof, fx, fy } of freedomsOf(mesh, x.k, y.k)) {
        force[dof] = (force[dof] as number) + patch.perMm2 * (x.sums[fx] as number) * (y.sums[fy] as number);
      }
    }
  }
}

/** The freedoms of an element at a place with what each counts for there, for w or its derivatives. */
function weightsAt(mesh: Mesh, x: number, y: number, px: 0 | 1 | 2 = 0, py: 0 | 1 | 2 = 0): { dof: number; weight: number }[] {
  const [i, j] = [stretchAt(mesh.xs, x), stretchAt(mesh.ys, y)];
  const of = (lines: readonly number[], k: number, at: number, d: 0 | 1 | 2) =>
    hermiteAt((lines[k + 1] as number) - (lines[k] as number), at - (lines[k] as number), d);
  const [fxs, fys] = [of(mesh.xs, i, x, px), of(mesh.ys, j, y, py)];
  return freedomsOf(mesh, i, j).map(({ dof, fx, fy }) => ({ dof, weight: (fxs[fx] as number) * (fys[fy] as number) }));
}

/** The freedoms that held edges take away: deflection and slope along a simple edge, the slopes square to it too where it is clamped. */
function heldAtEdges(mesh: Mesh, edges: PlateSpec['edges']): Set<number> {
  const held = new Set<number>();
  const hold = (edge: EdgeBeam['edge'], node: (p: number, q: number) => number, alongX: boolean) => {
    if (edges[edge] === 'free') return;
    held.add(node(0, 0));
    held.add(alongX ? node(1, 0) : node(0, 1));
    if (edges[edge] !== 'clamped') return;
    held.add(alongX ? node(0, 1) : node(1, 0));
    held.add(node(1, 1));
  };
  const [lastX, lastY] = [mesh.xs.length - 1, mesh.ys.length - 1];
  mesh.xs.forEach((_, i) => {
    hold('y0', (p, q) => freedom(mesh, i, 0, p, q), true);
    hold('y1', (p, q) => freedom(mesh, i, lastY, p, q), true);
  });
  mesh.ys.forEach((_, j) => {
    hold('x0', (p, q) => freedom(mesh, 0, j, p, q), false);
    hold('x1', (p, q) => freedom(mesh, lastX, j, p, q), false);
  });
  return held;
}

interface Solved {
  readonly mesh: Mesh;
  readonly w: readonly number[];
  readonly props: readonly number[];
}

function solveOn(spec: PlateSpec, count: number): Solved {
  const mesh: Mesh = {
    xs: linesOf(
      spec.a,
      spec.props.map((p) => p.x),
      count,
    ),
    ys: linesOf(
      spec.b,
      spec.props.map((p) => p.y),
      count,
    ),
  };
  const system = emptySystem(mesh);
  const products = (lines: readonly number[]) => lines.slice(1).map((end, k) => productsOf(end - (lines[k] as number)));
  const [X, Y] = [products(mesh.xs), products(mesh.ys)];
  X.forEach((x, i) => Y.forEach((y, j) => addElement(system, mesh, i, j, spec.rigidity, x, y)));
  spec.beams.forEach((beam) => addBeam(system, mesh, beam));
  spec.patches.forEach((patch) => addPatch(system, mesh, patch));
  for (const p of spec.points) {
    for (const { dof, weight } of weightsAt(mesh, p.x, p.y)) system.force[dof] = (system.force[dof] as number) + weight * p.newtons;
  }
  const atEdges = heldAtEdges(mesh, spec.edges);
  const propDofs = spec.props.map((p) => {
    const near = (lines: readonly number[], at: number) =>
      lines.reduce((best, l, k) => (Math.abs(l - at) < Math.abs((lines[best] as number) - at) ? k : best), 0);
    return freedom(mesh, near(mesh.xs, p.x), near(mesh.ys, p.y), 0, 0);
  });
  const touching = spec.props.map(() => true);
  for (let round = 0; round <= 2 * spec.props.length + 2; round += 1) {
    const held = new Set([...atEdges, ...propDofs.filter((_, i) => touching[i])]);
    const w = solveHeld(system, held);
    const props = propDofs.map((dof, i) => (touching[i] ? reactionAt(system, w, dof) : 0));
    const scale = Math.max(...props.map(Math.abs), 1e-12);
    let changed = false;
    spec.props.forEach((p, i) => {
      if (!p.oneWay) return;
      const pulls = touching[i] && (props[i] as number) < -1e-9 * scale;
      const sinks = !touching[i] && (w[propDofs[i] as number] as number) > 1e-12;
      if (!pulls && !sinks) return;
      touching[i] = sinks;
      changed = true;
    });
    if (!changed) return { mesh, w, props };
  }
  throw new PlateError('the supports that lift could not be settled');
}

function solveHeld({ band, size, half, force }: System, held: ReadonlySet<number>): number[] {
  const own = band.slice();
  const right = force.slice();
  for (const dof of held) {
    right[dof] = 0;
    for (let d = 0; d <= half; d += 1) {
      own[dof * (half + 1) + d] = d === 0 ? 1 : 0;
      if (d > 0 && dof + d < size) own[(dof + d) * (half + 1) + d] = 0;
    }
  }
  if (!factor(own, size, half)) throw new PlateError('the panel can fall: what holds it does not hold it everywhere');
  return solveBanded(own, right, size, half);
}

function reactionAt({ band, size, half, force }: System, w: readonly number[], row: number): number {
  let sum = -(force[row] as number);
  for (let column = Math.max(0, row - half); column <= Math.min(size - 1, row + half); column += 1) {
    const [hi, lo] = row >= column ? [row, column] : [column, row];
    sum += (band[hi * (half + 1) + hi - lo] as number) * (w[column] as number);
  }
  return -sum;
}

/** Samples of each element, at its corners and between. */
const SAMPLES = 4;

function samplesOf(lines: readonly number[]): number[] {
  return lines.flatMap((from, k) => {
    const to = lines[k + 1];
    return to === undefined ? [from] : Array.from({ length: SAMPLES }, (_, n) => from + ((to - from) * n) / SAMPLES);
  });
}

function check(spec: PlateSpec): void {
  if (!(spec.a > 0 && spec.b > 0)) throw new PlateError('a panel must be longer and wider than 0');
  const D = spec.rigidity;
  if (!(D.x > 0 && D.y > 0 && D.twist > 0) || D.x * D.y <= D.coupling ** 2)
    throw new PlateError('a panel needs a stiffness above 0 both ways');
  const loads = [...spec.patches.map((p) => p.perMm2), ...spec.points.map((p) => p.newtons)];
  if (loads.some((l) => !Number.isFinite(l))) throw new PlateError('a load is not a number');
  const inside = (x: number, y: number) => x >= 0 && x <= spec.a && y >= 0 && y <= spec.b;
  if (spec.points.some((p) => !inside(p.x, p.y))) throw new PlateError('a load stands beside the panel');
  if (spec.props.some((p) => !inside(p.x, p.y))) throw new PlateError('a support stands beside the panel');
}

function greatestOf({ mesh, w }: Solved): PlateResult['greatest'] {
  let greatest = { x: 0, y: 0, mm: -Infinity };
  const at = (x: number, y: number) => weightsAt(mesh, x, y).reduce((sum, { dof, weight }) => sum + weight * (w[dof] as number), 0);
  const [xs, ys] = [samplesOf(mesh.xs), samplesOf(mesh.ys)];
  for (const x of xs) {
    for (const y of ys) {
      const value = at(x, y);
      if (value > greatest.mm) greatest = { x, y, mm: value };
    }
  }
  return greatest;
}

/**
 * Solves a thin orthotropic plate (Kirchhoff) with edge beams by conforming bicubic
 * elements: edges free, simple or clamped, point supports that may lift, even loads on
 * rectangles and loads at points. Shear is left out, as is usual for thin plates.
 * @throws PlateError for a plate that can fall, has no stiffness, or has a load beside it
 * @example a square, simple all round, ν 0.3, even load q: greatest 0.00406235 q a⁴ / D
 */
export function solvePlate(spec: PlateSpec): PlateResult {
  check(spec);
  const mesh = spec.mesh ?? USUAL_MESH;
  const coarse = greatestOf(solveOn(spec, Math.max(2, Math.round(mesh / 2))));
  const fine = solveOn(spec, mesh);
  const greatest = greatestOf(fine);
  const sum = (x: number, y: number, px: 0 | 1 | 2, py: 0 | 1 | 2) =>
    weightsAt(fine.mesh, x, y, px, py).reduce((total, { dof, weight }) => total + weight * (fine.w[dof] as number), 0);
  const moment = { x: 0, y: 0 };
  for (const x of fine.mesh.xs) {
    for (const y of fine.mesh.ys) {
      const [xx, yy] = [sum(x, y, 2, 0), sum(x, y, 0, 2)];
      moment.x = Math.max(moment.x, Math.abs(spec.rigidity.x * xx + spec.rigidity.coupling * yy));
      moment.y = Math.max(moment.y, Math.abs(spec.rigidity.y * yy + spec.rigidity.coupling * xx));
    }
  }
  return {
    greatest,
    moment,
    meshError: greatest.mm > 0 ? Math.abs(greatest.mm - coarse.mm) / greatest.mm : 0,
    props: fine.props,
    at: (x, y) => sum(x, y, 0, 0),
  };
}
