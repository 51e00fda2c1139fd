import type { BeamSpec } from './beam.js';
import type { BuiltUp } from './built-up.js';
import {
  rigidityOf,
  solveAllRound,
  solvePlate,
  solveStrips,
  type EdgeBeam,
  type LineSupport,
  type Patch,
  type PlateResult,
  type PlateSpec,
  type StripsSpec,
} from './plate/index.js';
import type { Bending } from './verdict.js';

/** What is held of a panel beside the ends of its span: neither edge, the back, or both, so that it is held all round. */
export type Beside = 'none' | 'back' | 'both';

/** How the edges of a panel beside its span are held. @example edgesBeside(CARRIED.bending.beside) // { back: 'free', front: 'free' } */
export function edgesBeside(beside: Beside): PanelSpec['edges'] {
  return { front: beside === 'both' ? 'simple' : 'free', back: beside === 'none' ? 'free' : 'simple' };
}

/** What a panel is solved with as a plate: the beam it is taken for, its section, and how its long edges are held. */
export interface PanelSpec {
  readonly beam: Omit<BeamSpec, 'stretches'>;
  readonly section: Bending;
  readonly edges: { readonly front: 'free' | 'simple'; readonly back: 'free' | 'simple' };
  readonly beams: readonly EdgeBeam[];
  /** What it lies on along its span, from its front edge: a toe board, the rails of a plinth. */
  readonly lines: readonly LineSupport[];
  /** How many times softer it is in the long term. */
  readonly soften?: number;
  readonly mesh?: number;
}

/** How far a panel sags, and where along its edges, mm. */
export interface PanelSag {
  readonly mm: number;
  readonly front: number;
  readonly back: number;
  /** The sag along the edge that sags most, or along the middle where all edges are held, at a place from the start of the beam, mm. */
  readonly along: (x: number) => number;
  readonly result: Pick<PlateResult, 'moment' | 'edges'>;
  /** What each of the lines that it lies on carries, N, and each support between its ends. */
  readonly onLines: readonly number[];
  readonly onProps: readonly number[];
}

/** A panel solved by elements, with what those can be asked. */
export interface MeshedSag extends PanelSag {
  readonly result: PlateResult;
}

/** The rigidity of a panel along and square to its span, so many times softer. */
function rigidityFor({ thickness, properties }: Bending, soften: number) {
  const mpa = (gpa: number) => (gpa * 1000) / soften;
  return rigidityOf(thickness, mpa(properties.elastic), mpa(properties.elasticAcross), mpa(properties.shear));
}

/**
 * The plate that a panel is, between its two outermost supports: x along the span, y from its front to its back.
 * Loads along the beam are spread over its whole breadth.
 */
export function plateOf({ beam, section, edges, beams, lines, soften = 1, mesh }: PanelSpec): PlateSpec {
  const places = beam.supports.map((s) => s.x);
  const [from, to] = [Math.min(...places), Math.max(...places)];
  const a = to - from;
  const b = section.width;
  const clip = (x: number) => Math.min(Math.max(x - from, 0), a);
  const patches = beam.lines.flatMap((l) => {
    const [x0, x1] = [clip(l.from), clip(l.to)];
    const wide = Math.min(l.wide ?? b, b);
    return x1 > x0 ? [{ x0, x1, y0: (b - wide) / 2, y1: (b + wide) / 2, perMm2: l.perMm / wide }] : [];
  });
  // What stands on it at one place reaches over its whole breadth, on a strip as wide as it is thick.
  const half = Math.min(section.thickness / 2, a / 4);
  const stood = beam.points.map((p) => {
    const x = Math.min(Math.max(p.x - from, half), a - half);
    return { x0: x - half, x1: x + half, y0: 0, y1: b, perMm2: p.newtons / (2 * half * b) };
  });
  const inner = places.filter((x) => x > from + 1 && x < to - 1);
  return {
    a,
    b,
    rigidity: rigidityFor(section, soften),
    edges: { x0: 'simple', x1: 'simple', y0: edges.front, y1: edges.back },
    beams,
    // A support between the ends is taken as props at the front, the middle and the back.
    props: [
      ...inner.flatMap((x) => [0, b / 2, b].map((y) => ({ x: x - from, y, oneWay: true }))),
      ...lines.flatMap(({ y, oneWay }) => alongLine(a, b).map((x) => ({ x, y, oneWay }))),
    ],
    patches: [...patches, ...stood],
    points: [],
    ...(mesh === undefined ? {} : { mesh }),
  };
}

/** Places that stand for a line that a panel lies on: near enough to each other for its breadth. */
function alongLine(a: number, b: number): readonly number[] {
  const count = Math.min(25, Math.max(9, Math.ceil((2 * a) / b)));
  return Array.from({ length: count }, (_, i) => (a * (i + 1)) / (count + 1));
}

/** Supports that a panel has between the ends of its span, apart from the lines it lies on. */
function innerProps({ beam }: Pick<PanelSpec, 'beam'>): number {
  const places = beam.supports.map((s) => s.x);
  const [from, to] = [Math.min(...places), Math.max(...places)];
  return places.filter((x) => x > from + 1 && x < to - 1).length;
}

/** Places along an edge that its greatest sag is looked for at. */
const PLACES = 41;

/** Where along its span the edge, or the place between them, that sags most is looked at. */
function alongOf(panel: Pick<PanelSpec, 'beam'>, a: number, y: number, at: (x: number, y: number) => number): (x: number) => number {
  const start = Math.min(...panel.beam.supports.map((s) => s.x));
  return (x) => at(Math.min(Math.max(x - start, 0), a), y);
}

/** An edge is looked along unless it sags this much less than the panel does between them. */
const EDGE_SHOWS = 1.02;

const lowest = (front: number, back: number, b: number, greatest: { readonly y: number; readonly mm: number }) =>
  greatest.mm > EDGE_SHOWS * Math.max(front, back) ? greatest.y : front >= back ? 0 : b;

const sum = (list: readonly number[]) => list.reduce((all, n) => all + n, 0);

/** The sag of a panel as a plate, by elements. @throws PlateError for one that can fall */
export function sagOfPanel(panel: PanelSpec): MeshedSag {
  const spec = plateOf(panel);
  const result = solvePlate(spec);
  const inner = innerProps(panel);
  const onProps = Array.from({ length: inner }, (_, i) => sum(result.props.slice(3 * i, 3 * i + 3)));
  const each = alongLine(spec.a, spec.b).length;
  const onLines = panel.lines.map((_, i) => sum(result.props.slice(3 * inner + each * i, 3 * inner + each * (i + 1))));
  const most = (y: number) => Math.max(...Array.from({ length: PLACES }, (_, i) => result.at((spec.a * i) / (PLACES - 1), y)));
  const [front, back] = [most(0), most(spec.b)];
  const along = alongOf(panel, spec.a, lowest(front, back, spec.b, result.greatest), result.at);
  return { mm: result.greatest.mm, front, back, along, result, onLines, onProps };
}

/** The sag of a panel held on all four edges, such as a drawer bottom in its grooves. */
export function sagAllRound(panel: Omit<PanelSpec, 'edges' | 'beams' | 'mesh' | 'lines'>): PanelSag {
  const spec = plateOf({ ...panel, edges: edgesBeside('both'), beams: [], lines: [] });
  const result = solveAllRound(spec);
  const start = Math.min(...panel.beam.supports.map((s) => s.x));
  return { mm: result.mm, front: 0, back: 0, along: (x) => result.at(x - start, spec.b / 2), result, onLines: [], onProps: [] };
}

/** A support between the ends of a span presses along the breadth of a panel in so many places. */
const PRESSES = 5;

interface Press {
  /** Which of the supports between the ends it is part of. */
  readonly of: number;
  readonly patch: Patch;
  readonly x: number;
  readonly y: number;
}

/** Where the supports between the ends of its span press on a panel. */
function pressesOf({ beam, section }: PanelSpec, a: number): readonly Press[] {
  const places = beam.supports.map((s) => s.x);
  const from = Math.min(...places);
  const inner = places.map((x) => x - from).filter((x) => x > 1 && x < a - 1);
  const half = Math.min(section.thickness / 2, a / 8);
  const wide = section.width / PRESSES;
  return inner.flatMap((x, of) =>
    Array.from({ length: PRESSES }, (_, i): Press => {
      const patch = { x0: x - half, x1: x + half, y0: wide * i, y1: wide * (i + 1), perMm2: 1 / (2 * half * wide) };
      return { of, patch, x, y: wide * (i + 0.5) };
    }),
  );
}

/** The solution of a few linear equations (Gauss with the greatest pivot). */
function solveLinear(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const rows = matrix.map((row, i) => [...row, right[i] as number]);
  const n = rows.length;
  for (let c = 0; c < n; c += 1) {
    const pivot = rows
      .slice(c)
      .reduce((best, row, i) => (Math.abs(row[c] as number) > Math.abs((rows[best] as number[])[c] as number) ? c + i : best), c);
    [rows[c], rows[pivot]] = [rows[pivot] as number[], rows[c] as number[]];
    const top = rows[c] as number[];
    for (let r = 0; r < n; r += 1) {
      if (r === c) continue;
      const row = rows[r] as number[];
      const times = (row[c] as number) / (top[c] as number);
      for (let k = c; k <= n; k += 1) row[k] = (row[k] as number) - times * (top[k] as number);
    }
  }
  return rows.map((row, i) => (row[n] as number) / (row[i] as number));
}

/** What each place presses back with, N, so that the panel does not go down there; a place that would pull is let go. */
function pressedBack(presses: readonly Press[], spec: StripsSpec): readonly number[] {
  const bare = solveStrips(spec);
  const down = presses.map(({ x, y }) => bare.at(x, y));
  const each = presses.map(({ patch }) => solveStrips({ ...spec, patches: [patch] }));
  const gives = presses.map(({ x, y }) => each.map((solved) => solved.at(x, y)));
  let touching = presses.map((_, i) => i);
  for (;;) {
    const forces = solveLinear(
      touching.map((j) => touching.map((i) => gives[j]?.[i] as number)),
      touching.map((j) => down[j] as number),
    );
    const pulls = forces.map((f, i) => (f < 0 ? (touching[i] as number) : -1)).filter((i) => i >= 0);
    if (pulls.length === 0) return presses.map((_, i) => (touching.includes(i) ? (forces[touching.indexOf(i)] as number) : 0));
    touching = touching.filter((i) => !pulls.includes(i));
  }
}

/**
 * The sag of a panel, solved with every change, by strips. Supports between the ends of its span press back
 * in places along its breadth, found by what each of them lifts (force method).
 */
export function quickSag(panel: PanelSpec): PanelSag {
  const plate = plateOf({ ...panel, lines: [] });
  const { y0, y1 } = plate.edges;
  const spec: StripsSpec = {
    ...plate,
    edges: { y0: y0 === 'simple' ? y0 : 'free', y1: y1 === 'simple' ? y1 : 'free' },
    lines: panel.lines,
  };
  const presses = pressesOf(panel, spec.a);
  const back = presses.length > 0 ? pressedBack(presses, spec) : [];
  const lifted = presses.map(({ patch }, i) => ({ ...patch, perMm2: -patch.perMm2 * (back[i] as number) }));
  const result = solveStrips({ ...spec, patches: [...spec.patches, ...lifted] });
  const { y0: front, y1: rear } = result.along;
  const along = alongOf(panel, spec.a, lowest(front, rear, spec.b, result.greatest), result.at);
  const onProps = Array.from({ length: innerProps(panel) }, (_, n) => sum(back.filter((__, i) => presses[i]?.of === n)));
  return { mm: result.greatest.mm, front, back: rear, along, result, onLines: result.lines, onProps };
}

/**
 * A panel that is no beam, since a strip on one edge twists it, or more than the ends of its span is held: now and
 * in the long term. @param soften by how many times the panel itself gets softer; null where that is not checked
 */
export function sagTwoWays(
  panel: Omit<PanelSpec, 'beams'>,
  strips: BuiltUp['panel'] | null,
  soften: number | null,
): { now: PanelSag; later: PanelSag | null } {
  const solve = (beams: readonly EdgeBeam[], times: number) => quickSag({ ...panel, beams, soften: times });
  const now = solve(strips?.now ?? [], 1);
  if (soften === null || strips?.later === null) return { now, later: null };
  return { now, later: strips ? solve(strips.later, soften) : { ...now, mm: now.mm * soften } };
}
