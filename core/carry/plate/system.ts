import { factor, heldBack, hold, solveBanded } from '../banded.js';
import { hermiteAt, integrate, productsOf, type Products } from './hermite.js';

/** Bending stiffnesses of an orthotropic thin plate, N mm: along x, along y, coupling, and twist. */
export interface Rigidity {
  readonly x: number;
  readonly y: number;
  readonly coupling: number;
  readonly twist: number;
}

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

/** Why a plate could not be solved. */
export class PlateError extends Error {}

/** Grid lines through every place that matters, with no stretch longer than an even mesh would have. */
export function linesOf(length: number, places: readonly number[], mesh: number): number[] {
  const kept = [0, length, ...places].filter((p) => p >= 0 && p <= length).sort((p, q) => p - q);
  const apart = kept.filter((p, i) => i === 0 || p - (kept[i - 1] as number) > length * 1e-6);
  return apart.flatMap((p, i) => {
    const next = apart[i + 1];
    if (next === undefined) return [p];
    const count = Math.max(1, Math.ceil(((next - p) / length) * mesh - 1e-9));
    return Array.from({ length: count }, (_, k) => p + ((next - p) * k) / count);
  });
}

/** The lines of a mesh along both sides, mm. */
export interface Mesh {
  readonly xs: readonly number[];
  readonly ys: readonly number[];
}

/** The number of a freedom: w, w,x, w,y and w,xy at each node; nodes are numbered along y first. */
export function freedom(mesh: Mesh, i: number, j: number, p: number, q: number): number {
  return (i * mesh.ys.length + j) * 4 + p + 2 * q;
}

/** The sixteen freedoms of an element with the Hermite functions along x and y that go with each. */
function freedomsOf(mesh: Mesh, i: number, j: number): { readonly dof: number; readonly fx: number; readonly fy: number }[] {
  return [0, 1, 2, 3].flatMap((fx) =>
    [0, 1, 2, 3].map((fy) => ({ dof: freedom(mesh, i + (fx >> 1), j + (fy >> 1), fx & 1, fy & 1), fx, fy })),
  );
}

/** The stiffness of all freedoms as a band, and the forces on them. */
export interface System {
  readonly band: number[];
  readonly size: number;
  readonly half: number;
  readonly force: number[];
}

export function emptySystem(mesh: Mesh): System {
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
export function addElement(system: System, mesh: Mesh, i: number, j: number, D: Rigidity, X: Products, Y: Products): void {
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
export function addBeam(system: System, mesh: Mesh, beam: EdgeBeam): void {
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

export function addPatch({ force }: System, mesh: Mesh, patch: Patch): void {
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
export function weightsAt(mesh: Mesh, x: number, y: number, px: 0 | 1 | 2 = 0, py: 0 | 1 | 2 = 0): { dof: number; weight: number }[] {
  const [i, j] = [stretchAt(mesh.xs, x), stretchAt(mesh.ys, y)];
  const of = (lines: readonly number[], k: number, at: number, d: 0 | 1 | 2) =>
    hermiteAt((lines[k + 1] as number) - (lines[k] as number), at - (lines[k] as number), d);
  const [fxs, fys] = [of(mesh.xs, i, x, px), of(mesh.ys, j, y, py)];
  return freedomsOf(mesh, i, j).map(({ dof, fx, fy }) => ({ dof, weight: (fxs[fx] as number) * (fys[fy] as number) }));
}

/** The displacements with some freedoms held. @throws PlateError where those do not hold it */
export function solveHeld({ band, size, half, force }: System, held: ReadonlySet<number>): number[] {
  const own = band.slice();
  const right = force.slice();
  hold(own, right, size, half, held);
  if (!factor(own, size, half)) throw new PlateError('the panel can fall: what holds it does not hold it everywhere');
  return solveBanded(own, right, size, half);
}

/** The force that holds a freedom, N, upwards positive. */
export function reactionAt({ band, half, force }: System, w: readonly number[], row: number): number {
  return heldBack(band, force, w, half, row);
}
