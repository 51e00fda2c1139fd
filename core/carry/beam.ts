import { asNewtons, type Newtons } from '../measures/index.js';
import { factor, heldBack, hold, solveBanded } from './banded.js';
import { momentPeaks, shapeOf, stiffness, turningPoints, type Element } from './element.js';
import { settledOn } from './touching.js';

/** A support under a beam. A one-way support pushes and never pulls. */
export interface BeamSupport {
  /** From the start of the beam, mm. */
  readonly x: number;
  readonly fixed?: boolean;
  readonly oneWay?: boolean;
}

/** A load spread over a stretch of a beam; N/mm, downwards positive. */
export interface LineLoad {
  readonly from: number;
  readonly to: number;
  readonly perMm: number;
  /** How much of the breadth of a panel it takes up, in its middle, mm; all of it where it is left out. A beam does not ask. */
  readonly wide?: number;
}

/** A load at one place; N, downwards positive. */
export interface PointLoad {
  readonly x: number;
  readonly newtons: Newtons;
}

/** A stretch of a beam of one stiffness, from where the last one ends (or the start) to `to`. */
export interface BeamStretch {
  readonly to: number;
  /** Bending stiffness, N mm². */
  readonly EI: number;
  /** Shear stiffness κ G A, N; no shear deflection when left out. */
  readonly shear?: number;
}

/** A straight beam of length in mm. */
export interface BeamSpec {
  readonly length: number;
  readonly stretches: readonly BeamStretch[];
  readonly supports: readonly BeamSupport[];
  readonly lines: readonly LineLoad[];
  readonly points: readonly PointLoad[];
}

/** The reaction of a support, N, upwards positive. */
export interface Reaction {
  readonly x: number;
  readonly newtons: Newtons;
  /** True where a one-way support is not touched. */
  readonly lifted: boolean;
}

export interface BeamResult {
  /** The greatest deflection downwards, mm, and where. */
  readonly greatest: { readonly x: number; readonly mm: number };
  /** The greatest rise, mm (zero or more), and where. */
  readonly rise: { readonly x: number; readonly mm: number };
  readonly reactions: readonly Reaction[];
  /** The greatest bending moment in size, N mm, and the greatest shear force, N. */
  readonly moment: number;
  readonly shearForce: number;
  /** Deflection downwards at a place, mm. */
  readonly at: (x: number) => number;
}

/** Why a beam could not be solved. */
export class BeamError extends Error {}

/** A beam that its supports do not hold. */
export class Falls extends BeamError {}

const SAME = 1e-9;

function nodesOf(spec: BeamSpec): number[] {
  const { length } = spec;
  const places = [0, length];
  const put = (x: number) => places.push(Math.min(Math.max(x, 0), length));
  for (const s of spec.supports) put(s.x);
  for (const p of spec.points) put(p.x);
  for (const l of spec.lines) {
    put(l.from);
    put(l.to);
  }
  for (const s of spec.stretches) put(s.to);
  places.sort((a, b) => a - b);
  const apart = SAME * Math.max(1, length);
  return places.filter((x, i) => i === 0 || x - (places[i - 1] as number) > apart);
}

/**
 * Places nearer to each other than this part of the length become one: an element of a
 * thousandth has a thousand million times the stiffness of the rest, and a shorter one would cost all digits.
 */
const SLIVER = 5e-4;

/** A beam whose loads and steps are moved onto supports, ends and each other where they are nearer than a sliver; neither load nor moment is lost. */
function withoutSlivers(spec: BeamSpec): BeamSpec {
  // Most beams are loaded from end to end.
  const whole = spec.points.length === 0 && spec.stretches.length === 1 && spec.lines.every((l) => l.from === 0 && l.to === spec.length);
  if (whole) return spec;
  const kept = [0, spec.length, ...spec.supports.map((s) => s.x)];
  const onto = (x: number) => {
    const near = kept.find((k) => Math.abs(k - x) < SLIVER * spec.length);
    if (near === undefined) kept.push(x);
    return near ?? x;
  };
  // What loads lose of their moment by being moved, N mm.
  let lost = 0;
  const points: PointLoad[] = spec.points.map((p) => {
    const x = onto(p.x);
    lost += p.newtons * (p.x - x);
    return { x, newtons: p.newtons };
  });
  const lines = spec.lines.flatMap((l): LineLoad[] => {
    const all = l.perMm * (l.to - l.from);
    const [from, to] = [onto(l.from), onto(l.to)];
    lost += all * ((l.from + l.to) / 2 - (to > from ? (from + to) / 2 : from));
    if (to > from) return [{ ...l, from, to, perMm: all / (to - from) }];
    if (all !== 0) points.push({ x: from, newtons: asNewtons(all) });
    return [];
  });
  // A pair of forces at both ends gives it back.
  if (lost !== 0)
    points.push({ x: spec.length, newtons: asNewtons(lost / spec.length) }, { x: 0, newtons: asNewtons(-lost / spec.length) });
  return { ...spec, lines, points, stretches: spec.stretches.map((s) => ({ ...s, to: onto(s.to) })) };
}

function elementsOf(spec: BeamSpec, nodes: readonly number[]): Element[] {
  return nodes.slice(1).map((x1, i) => {
    const x0 = nodes[i] as number;
    const middle = (x0 + x1) / 2;
    // Past them all the last one goes on.
    const stretch = spec.stretches.at(spec.stretches.findIndex((s) => middle < s.to)) as BeamStretch;
    const load = spec.lines.reduce((sum, l) => (middle > l.from && middle < l.to ? sum + l.perMm : sum), 0);
    return { x0, x1, EI: stretch.EI, shear: stretch.shear ?? Infinity, load };
  });
}

function check(spec: BeamSpec): void {
  if (!(spec.length > 0)) throw new BeamError('a beam must be longer than 0');
  if (spec.stretches.length === 0 || spec.stretches.some((s) => !(s.EI > 0) || (s.shear !== undefined && !(s.shear > 0)))) {
    throw new BeamError('every stretch of a beam needs a stiffness above 0');
  }
  const loads = [...spec.lines.map((l) => l.perMm), ...spec.points.map((p) => p.newtons)];
  if (loads.some((l) => !Number.isFinite(l))) throw new BeamError('a load is not a number');
  if (spec.points.some((p) => p.x < -SAME || p.x > spec.length * (1 + SAME))) throw new BeamError('a load stands beside the beam');
}

function nodeAt(nodes: readonly number[], x: number, length: number): number {
  return nodes.findIndex((n) => Math.abs(n - x) <= SAME * Math.max(1, length) * 2);
}

interface Solved {
  readonly displacements: number[];
  readonly reactions: readonly number[];
}

const HALF_BAND = 3;

/** The stiffness of a whole beam, banded, and the forces on its nodes, before anything holds it. */
interface Assembled {
  readonly band: readonly number[];
  readonly force: readonly number[];
}

function assembled(spec: BeamSpec, nodes: readonly number[], elements: readonly Element[]): Assembled {
  const size = nodes.length * 2;
  const band = new Array<number>(size * (HALF_BAND + 1)).fill(0);
  const force = new Array<number>(size).fill(0);
  const put = (row: number, column: number, value: number) => {
    if (row >= column) band[row * (HALF_BAND + 1) + (row - column)] = (band[row * (HALF_BAND + 1) + (row - column)] as number) + value;
  };
  elements.forEach((element, e) => {
    const k = stiffness(element);
    for (let i = 0; i < 4; i += 1) for (let j = 0; j <= i; j += 1) put(2 * e + i, 2 * e + j, k[4 * i + j] as number);
    const L = element.x1 - element.x0;
    const [half, twelfth] = [(element.load * L) / 2, (element.load * L * L) / 12];
    [half, twelfth, half, -twelfth].forEach((f, i) => (force[2 * e + i] = (force[2 * e + i] as number) + f));
  });
  spec.points.forEach((p) => {
    const n = nodeAt(nodes, p.x, spec.length);
    force[2 * n] = (force[2 * n] as number) + p.newtons;
  });
  return { band, force };
}

/**
 * Solves for displacements (v downwards, θ) with some supports taken as touching. Plain arrays, since most
 * beams have two or three nodes and a typed array costs more to make than they cost to solve.
 */
function solveWith(
  spec: BeamSpec,
  nodes: readonly number[],
  elements: readonly Element[],
  { band: full, force }: Assembled,
  touching: readonly boolean[],
): Solved {
  const size = nodes.length * 2;
  const held = new Set<number>();
  spec.supports.forEach((s, i) => {
    if (!touching[i]) return;
    const n = nodeAt(nodes, s.x, spec.length);
    held.add(2 * n);
    if (s.fixed) held.add(2 * n + 1);
  });
  const band = full.slice();
  const right = force.slice();
  hold(band, right, size, HALF_BAND, held);
  if (!factor(band, size, HALF_BAND)) throw new Falls('the beam can fall: its supports do not hold it');
  const displacements = solveBanded(band, right, size, HALF_BAND);
  const balanced = onTwo(spec, elements, touching);
  const reactions = spec.supports.map((s, i) =>
    balanced
      ? (balanced[i] as number)
      : touching[i]
        ? heldBack(full, force, displacements, HALF_BAND, 2 * nodeAt(nodes, s.x, spec.length))
        : 0,
  );
  return { displacements, reactions };
}

/**
 * What two supports that let a beam turn carry, by balance alone; null for other beams. Loads that end a hair from each
 * other make short elements, whose stiffness is too great beside that of the rest for their sums to balance as well.
 */
function onTwo({ supports, points }: BeamSpec, elements: readonly Element[], touching: readonly boolean[]): readonly number[] | null {
  const [a, b, ...more] = supports.filter((_, i) => touching[i]);
  if (!a || !b || more.length > 0 || a.fixed || b.fixed) return null;
  const even = elements.map(({ x0, x1, load }) => ({ x: (x0 + x1) / 2, newtons: load * (x1 - x0) }));
  const all = [...even, ...points];
  const total = all.reduce((sum, p) => sum + p.newtons, 0);
  const onB = all.reduce((sum, p) => sum + p.newtons * (p.x - a.x), 0) / (b.x - a.x);
  return supports.map((s) => (s === a ? total - onB : s === b ? onB : 0));
}

/** Whether what touches a beam lets it turn: one place alone, where it is not fixed there. Told here, since the sums of a beam with slivers may hide it. */
function turnsOver({ supports, length }: BeamSpec, touching: readonly boolean[]): boolean {
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < supports.length; i += 1) {
    const support = supports[i] as BeamSupport;
    if (!touching[i]) continue;
    if (support.fixed) return false;
    least = Math.min(least, support.x);
    most = Math.max(most, support.x);
  }
  return !(most - least > SLIVER * length);
}

function resultOf(spec: BeamSpec, elements: readonly Element[], solved: Solved, touching: readonly boolean[]): BeamResult {
  const shapes = elements.map((e, i) => shapeOf(e, solved.displacements, i));
  let greatest = { x: 0, mm: -Infinity };
  let lowest = { x: 0, mm: Infinity };
  let moment = 0;
  let shearForce = 0;
  for (const shape of shapes) {
    for (const s of turningPoints(shape)) {
      const w = shape.w(s);
      if (w > greatest.mm) greatest = { x: shape.element.x0 + s, mm: w };
      if (w < lowest.mm) lowest = { x: shape.element.x0 + s, mm: w };
    }
    for (const s of momentPeaks(shape)) moment = Math.max(moment, Math.abs(shape.moment(s)));
    for (const s of [0, shape.element.x1 - shape.element.x0]) shearForce = Math.max(shearForce, Math.abs(shape.force(s)));
  }
  return {
    greatest,
    rise: { x: lowest.x, mm: Math.max(0, -lowest.mm) },
    reactions: spec.supports.map((s, i) => ({ x: s.x, newtons: asNewtons(solved.reactions[i] as number), lifted: !touching[i] })),
    moment,
    shearForce,
    at: (x) => {
      const shape = shapes.find((s) => x <= s.element.x1) ?? shapes.at(-1);
      return shape ? shape.w(x - shape.element.x0) : 0;
    },
  };
}

/**
 * Solves a straight beam by the stiffness method with exact elements: any number of
 * supports, overhangs, partial and point loads, stepped stiffness, shear deflection where
 * a shear stiffness is given. One-way supports that would pull are let go, and touched
 * again where the beam would sink through them.
 * @throws BeamError for a beam that can fall, has no stiffness, or has a load beside it
 * @example simple span 900, EI 1.3122e9, 0.5 N/mm: greatest.mm = 3.25520833 at 450
 */
export function solveBeam(given: BeamSpec): BeamResult {
  check(given);
  const spec = withoutSlivers(given);
  const nodes = nodesOf(spec);
  const elements = elementsOf(spec, nodes);
  const whole = assembled(spec, nodes, elements);
  const settled = settledOn(
    spec.supports.map((s) => s.oneWay === true),
    (touching) => {
      if (turnsOver(spec, touching)) throw new Falls('the beam can fall: its supports do not hold it');
      const solved = solveWith(spec, nodes, elements, whole, touching);
      const sunk = spec.supports.map((s, i) => (touching[i] ? 0 : (solved.displacements[2 * nodeAt(nodes, s.x, spec.length)] as number)));
      return { ...solved, sunk, pushes: solved.reactions };
    },
  );
  if (settled) return resultOf(spec, elements, settled.held, settled.touching);
  throw new BeamError('the supports that lift could not be settled');
}
