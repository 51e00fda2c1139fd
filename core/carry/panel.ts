import type { BeamSpec } from './beam.js';
import type { BuiltUp } from './built-up.js';
import {
  rigidityOf,
  solveAllRound,
  solvePlate,
  solveStrips,
  type EdgeBeam,
  type LineSupport,
  type PlateResult,
  type PlateSpec,
} from './plate/index.js';
import type { Bending } from './verdict.js';

/** What is held of a panel beside the ends of its span: neither edge, the back, or both, so that it is held all round. */
export type Beside = 'none' | 'back' | 'both';

/** How the edges of a panel beside its span are held. */
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
    return x1 > x0 ? [{ x0, x1, y0: 0, y1: b, perMm2: l.perMm / b }] : [];
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
      ...lines.flatMap(({ y, oneWay }) => alongLine(a).map((x) => ({ x, y, oneWay }))),
    ],
    patches: [...patches, ...stood],
    points: [],
    ...(mesh === undefined ? {} : { mesh }),
  };
}

/** Places along a line that a panel lies on which stand for all of it, and what one of them stands for. */
const ALONG_LINE = 9;
const alongLine = (a: number) => Array.from({ length: ALONG_LINE }, (_, i) => (a * (i + 1)) / (ALONG_LINE + 1));

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
  const onLines = panel.lines.map((_, i) => sum(result.props.slice(3 * inner + ALONG_LINE * i, 3 * inner + ALONG_LINE * (i + 1))));
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

/** The beam of a panel between two places, with what lies on it there; loads on supports go straight into them. */
function bayOf(beam: PanelSpec['beam'], from: number, to: number): PanelSpec['beam'] {
  const lines = beam.lines.flatMap((l) => {
    const [low, high] = [Math.max(l.from, from), Math.min(l.to, to)];
    return high > low ? [{ ...l, from: low, to: high }] : [];
  });
  return {
    length: beam.length,
    supports: [{ x: from }, { x: to }],
    lines,
    points: beam.points.filter((p) => p.x > from + 1 && p.x < to - 1),
  };
}

/** A panel between the ends of its span alone, by strips. */
function oneBay(panel: PanelSpec): PanelSag {
  const spec = plateOf({ ...panel, lines: [] });
  const { y0, y1 } = spec.edges;
  const result = solveStrips({
    ...spec,
    edges: { y0: y0 === 'simple' ? y0 : 'free', y1: y1 === 'simple' ? y1 : 'free' },
    lines: panel.lines,
  });
  const { y0: front, y1: back } = result.along;
  const along = alongOf(panel, spec.a, lowest(front, back, spec.b, result.greatest), result.at);
  return { mm: result.greatest.mm, front, back, along, result, onLines: result.lines, onProps: [] };
}

/**
 * The sag of a panel, solved with every change. Over supports between the ends of its span it is taken as cut
 * there, each bay by itself: on the safe side, since what goes on over a support is stiffer.
 */
export function quickSag(panel: PanelSpec): PanelSag {
  if (innerProps(panel) === 0) return oneBay(panel);
  const places = [...new Set(panel.beam.supports.map((s) => s.x))].sort((a, b) => a - b);
  const bays = places.slice(1).map((to, i) => ({ from: places[i] as number, to }));
  const solved = bays.map(({ from, to }) => oneBay({ ...panel, beam: bayOf(panel.beam, from, to) }));
  const worst = solved.reduce((a, b) => (b.mm > a.mm ? b : a));
  const straight = (x: number) => sum(panel.beam.points.filter((p) => Math.abs(p.x - x) <= 1).map((p) => p.newtons));
  const edges = solved.map((s) => s.result.edges);
  const onProps = places
    .slice(1, -1)
    .map((x, i) => (edges[i] as PlateResult['edges']).x1 + (edges[i + 1] as PlateResult['edges']).x0 + straight(x));
  const all = (pick: (e: PlateResult['edges']) => number) => sum(edges.map(pick));
  const [first, last] = [edges[0], edges.at(-1)] as [PlateResult['edges'], PlateResult['edges']];
  const result = {
    moment: { x: Math.max(...solved.map((s) => s.result.moment.x)), y: Math.max(...solved.map((s) => s.result.moment.y)) },
    edges: { x0: first.x0, x1: last.x1, y0: all((e) => e.y0), y1: all((e) => e.y1) },
  };
  const bayAt = (x: number) => solved[bays.findIndex((bay) => x <= bay.to)] ?? (solved.at(-1) as PanelSag);
  return {
    mm: worst.mm,
    front: Math.max(...solved.map((s) => s.front)),
    back: Math.max(...solved.map((s) => s.back)),
    along: (x) => bayAt(x).along(x),
    result,
    onLines: panel.lines.map((_, i) => sum(solved.map((s) => s.onLines[i] as number))),
    onProps,
  };
}

/**
 * A panel that is no beam, since a strip on one edge twists it, or more than the ends of its span is held: now and
 * in the long term. @param soften by how many times the panel itself gets softer; null where that is not judged
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
