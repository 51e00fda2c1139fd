import type { BeamSpec } from './beam.js';
import type { BuiltUp } from './built-up.js';
import { rigidityOf, solveAllRound, solvePlate, type EdgeBeam, type PlateResult, type PlateSpec } from './plate/index.js';
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
export function plateOf({ beam, section, edges, beams, soften = 1, mesh }: PanelSpec): PlateSpec {
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
    props: inner.flatMap((x) => [0, b / 2, b].map((y) => ({ x: x - from, y, oneWay: true }))),
    patches: [...patches, ...stood],
    points: [],
    ...(mesh === undefined ? {} : { mesh }),
  };
}

/** Places along an edge that its greatest sag is looked for at. */
const PLACES = 41;

/** The sag of a panel as a plate. @throws PlateError for one that can fall */
export function sagOfPanel(panel: PanelSpec): MeshedSag {
  const spec = plateOf(panel);
  const result = solvePlate(spec);
  const most = (y: number) => Math.max(...Array.from({ length: PLACES }, (_, i) => result.at((spec.a * i) / (PLACES - 1), y)));
  const [front, back] = [most(0), most(spec.b)];
  const edge = front >= back ? 0 : spec.b;
  const start = Math.min(...panel.beam.supports.map((s) => s.x));
  const along = (x: number) => result.at(Math.min(Math.max(x - start, 0), spec.a), edge);
  return { mm: result.greatest.mm, front, back, along, result };
}

/** The sag of a panel held on all four edges, such as a drawer bottom in its grooves. */
export function sagAllRound(panel: Omit<PanelSpec, 'edges' | 'beams' | 'mesh'>): PanelSag {
  const spec = plateOf({ ...panel, edges: edgesBeside('both'), beams: [] });
  const result = solveAllRound(spec);
  const start = Math.min(...panel.beam.supports.map((s) => s.x));
  return { mm: result.mm, front: 0, back: 0, along: (x) => result.at(x - start, spec.b / 2), result };
}

/** Elements along a side of a panel that is solved with every change. */
const QUICK_MESH = 6;

/**
 * A panel that is no beam, since a strip on one edge twists it or its back edge is held: now and
 * in the long term, on a mesh coarse enough to be solved with every change.
 * @param soften by how many times the panel itself gets softer; null where that is not judged
 */
export function sagTwoWays(
  panel: Omit<PanelSpec, 'beams'>,
  strip: BuiltUp['oneSided'],
  soften: number | null,
): { now: PanelSag; later: PanelSag | null } {
  const solve = (beams: readonly EdgeBeam[], times: number) => sagOfPanel({ mesh: QUICK_MESH, ...panel, beams, soften: times });
  const now = solve(strip ? [strip.now] : [], 1);
  if (soften === null || strip?.later === null) return { now, later: null };
  return { now, later: solve(strip ? [strip.later] : [], soften) };
}
