import type { Newtons } from '../../measures/index.js';
import { productsOf } from './hermite.js';
import {
  PlateError,
  addBeam,
  addElement,
  addPatch,
  emptySystem,
  freedom,
  linesOf,
  reactionAt,
  solveHeld,
  weightsAt,
  type EdgeBeam,
  type Mesh,
  type Patch,
  type Rigidity,
  type System,
} from './system.js';

export { PlateError, type EdgeBeam, type Patch, type Rigidity } from './system.js';

/** How an edge of a plate is held. */
export type EdgeHold = 'free' | 'simple' | 'clamped';

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
  readonly points: readonly { readonly x: number; readonly y: number; readonly newtons: Newtons }[];
  /** About how many elements along each side; 12 when left out. */
  readonly mesh?: number;
}

export interface PlateResult {
  /** The greatest deflection downwards, mm, and where. */
  readonly greatest: { readonly x: number; readonly y: number; readonly mm: number };
  /** The greatest bending moment per width along x and y, in size, N. */
  readonly moment: { readonly x: number; readonly y: number };
  /** By how much the greatest deflection differs from that of half the mesh, as a part of it; solved when asked for. */
  readonly meshError: () => number;
  /** Reactions at the props, N, upwards positive. */
  readonly props: readonly number[];
  /** What each held edge carries, N, corners with the edges along y. */
  readonly edges: Readonly<Record<EdgeBeam['edge'], number>>;
  /** Deflection downwards at a place, mm. */
  readonly at: (x: number, y: number) => number;
}

const USUAL_MESH = 12;

/**
 * The rigidity of a board of thickness t, mm, from its moduli along and across, MPa.
 * @param G the panel's own shear modulus in its plane, MPa, by which it twists; never to be told from the two E
 * @param poisson of the lesser direction's strain, 0.3 for isotropic sheets
 * @example rigidityOf(12, 1000, 1000, 400, 0).x // 144_000
 */
export function rigidityOf(t: number, along: number, across: number, G: number, poisson = 0.3): Rigidity {
  // The major Poisson ratio belongs to the stiffer direction; the two go with the moduli, νxy / Ex = νyx / Ey.
  const [nuXY, nuYX] = along >= across ? [poisson, (poisson * across) / along] : [(poisson * along) / across, poisson];
  const k = t ** 3 / 12;
  const share = 1 - nuXY * nuYX;
  return { x: (along * k) / share, y: (across * k) / share, coupling: (nuXY * across * k) / share, twist: G * k };
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
  readonly edges: PlateResult['edges'];
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
    if (!changed) return { mesh, w, props, edges: edgeReactions(system, mesh, w, spec.edges) };
  }
  throw new PlateError('the supports that lift could not be settled');
}

/** The sum of what holds each edge: the functions of the deflections at its nodes add up to one along it. */
function edgeReactions(system: System, mesh: Mesh, w: readonly number[], edges: PlateSpec['edges']): PlateResult['edges'] {
  const [lastX, lastY] = [mesh.xs.length - 1, mesh.ys.length - 1];
  const sum = (hold: EdgeHold, dofs: readonly number[]) =>
    hold === 'free' ? 0 : dofs.reduce((all, dof) => all + reactionAt(system, w, dof), 0);
  const alongY = (i: number) => mesh.ys.map((_, j) => freedom(mesh, i, j, 0, 0));
  // Corners belong to an edge along y where that is held.
  const alongX = (j: number) =>
    mesh.xs.flatMap((_, i) =>
      (i === 0 && edges.x0 !== 'free') || (i === lastX && edges.x1 !== 'free') ? [] : [freedom(mesh, i, j, 0, 0)],
    );
  return {
    x0: sum(edges.x0, alongY(0)),
    x1: sum(edges.x1, alongY(lastX)),
    y0: sum(edges.y0, alongX(0)),
    y1: sum(edges.y1, alongX(lastY)),
  };
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
    meshError: () => {
      const coarse = greatestOf(solveOn(spec, Math.max(2, Math.round(mesh / 2))));
      return greatest.mm > 0 ? Math.abs(greatest.mm - coarse.mm) / greatest.mm : 0;
    },
    props: fine.props,
    edges: fine.edges,
    at: (x, y) => sum(x, y, 0, 0),
  };
}
