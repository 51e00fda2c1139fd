import { factor, heldBack, hold, solveBanded } from '../banded.js';
import { hermiteAt, integrate, productsOf, type Products } from './hermite.js';
import { PlateError, linesOf, type EdgeBeam, type Patch, type Rigidity } from './system.js';

/** A line of support along x: what a panel lies on from one end of its span to the other. */
export interface LineSupport {
  readonly y: number;
  /** True where it pushes and never pulls; it is let go where all of it together would pull. */
  readonly oneWay: boolean;
}

/** A rectangular plate of `a` along x by `b` along y, mm, simply held at both ends of x, with lines of support along it. */
export interface StripsSpec {
  readonly a: number;
  readonly b: number;
  readonly rigidity: Rigidity;
  readonly edges: { readonly y0: 'free' | 'simple'; readonly y1: 'free' | 'simple' };
  /** Beams along the edges y0 and y1. */
  readonly beams: readonly EdgeBeam[];
  readonly lines: readonly LineSupport[];
  readonly patches: readonly Patch[];
}

export interface StripsResult {
  /** The greatest deflection, mm, and where. */
  readonly greatest: { readonly x: number; readonly y: number; readonly mm: number };
  /** The greatest deflection along the edges y0 and y1, mm. */
  readonly along: { readonly y0: number; readonly y1: number };
  /** The greatest bending moment per width along x and y, N. */
  readonly moment: { readonly x: number; readonly y: number };
  /** What each edge carries, N; a free one nothing. */
  readonly edges: { readonly x0: number; readonly x1: number; readonly y0: number; readonly y1: number };
  /** What each line carries, N, in the order they are given. */
  readonly lines: readonly number[];
  /** Deflection at a place, mm. */
  readonly at: (x: number, y: number) => number;
}

/** Half waves along the span: even loads are then within a millionth, moments under a narrow load within a hundredth. */
const WAVES = 24;
/** Strips across the panel. */
const STRIPS = 6;
/** Places along the span at which the greatest is looked for. */
const PLACES = 24;
const HALF_BAND = 3;

const SINES: readonly Float64Array[] = Array.from({ length: WAVES }, (_, m) =>
  Float64Array.from({ length: PLACES + 1 }, (__, i) => Math.sin(((m + 1) * Math.PI * i) / PLACES)),
);

/** One half wave: its number, its k = mπ/a, and the deflections and slopes of the nodes across. */
interface Wave {
  /** Its number less one. */
  readonly m: number;
  readonly k: number;
  readonly w: readonly number[];
  /** The force that holds each held node, as a generalized force of this wave. */
  readonly held: ReadonlyMap<number, number>;
}

/** The strips of a plate, with what does not change from wave to wave. */
interface Strips {
  readonly ys: readonly number[];
  readonly products: readonly Products[];
  /** For each patch the parts of its load that go to each freedom across. */
  readonly loads: readonly (readonly { readonly dof: number; readonly part: number }[])[];
}

function stripsOf({ b, lines, patches }: StripsSpec): Strips {
  const ys = linesOf(
    b,
    lines.map((l) => l.y),
    STRIPS,
  );
  const spans = ys.slice(1).map((end, j) => end - (ys[j] as number));
  const loads = patches.map((p) =>
    spans.flatMap((h, j) => {
      const start = ys[j] as number;
      const [low, high] = [Math.max(start, p.y0), Math.min(start + h, p.y1)];
      if (high <= low) return [];
      // All over a strip: half of it at each side, and the moments of that.
      const whole = low === start && high === start + h;
      const sums = whole ? [h / 2, (h * h) / 12, h / 2, (-h * h) / 12] : integrate(low - start, high - start, (s) => hermiteAt(h, s));
      return sums.map((sum, i) => ({ dof: 2 * j + i, part: sum * p.perMm2 }));
    }),
  );
  const known = new Map<number, Products>();
  const products = spans.map((h) => {
    const made = known.get(h) ?? productsOf(h);
    known.set(h, made);
    return made;
  });
  return { ys, products, loads };
}

/** What goes with k⁴, with k² and with neither in the stiffness of the strips, as bands. */
interface Bands {
  readonly fourth: Float64Array;
  readonly second: Float64Array;
  readonly plain: Float64Array;
}

/** The stiffness of all strips for any half wave of a k (finite strip method; Cheung, Finite Strip Method in Structural Analysis, ch. 2). */
function bandsOf({ a, rigidity: D, beams }: StripsSpec, { ys, products }: Strips): Bands {
  const empty = () => new Float64Array(2 * ys.length * (HALF_BAND + 1));
  const bands: Bands = { fourth: empty(), second: empty(), plain: empty() };
  const put = (band: Float64Array, row: number, column: number, value: number) => {
    const place = row * (HALF_BAND + 1) + row - column;
    band[place] = (band[place] as number) + (value * a) / 2;
  };
  products.forEach(({ plain, slopes, bends, mixed }, j) => {
    for (let r = 0; r < 4; r += 1) {
      for (let c = 0; c <= r; c += 1) {
        const [n, t] = [4 * r + c, 4 * c + r];
        put(bands.fourth, 2 * j + r, 2 * j + c, D.x * (plain[n] as number));
        put(bands.plain, 2 * j + r, 2 * j + c, D.y * (bends[n] as number));
        put(
          bands.second,
          2 * j + r,
          2 * j + c,
          4 * D.twist * (slopes[n] as number) - D.coupling * ((mixed[n] as number) + (mixed[t] as number)),
        );
      }
    }
  });
  for (const { edge, EI, GJ } of beams) {
    const dof = edge === 'y0' ? 0 : 2 * (ys.length - 1);
    put(bands.fourth, dof, dof, EI);
    put(bands.second, dof + 1, dof + 1, GJ);
  }
  return bands;
}

function solveWave(spec: StripsSpec, strips: Strips, { fourth, second, plain }: Bands, m: number, held: readonly number[]): Wave {
  const k = ((m + 1) * Math.PI) / spec.a;
  const size = 2 * strips.ys.length;
  const k2 = k * k;
  const band = new Array<number>(fourth.length);
  for (let i = 0; i < band.length; i += 1) band[i] = (fourth[i] as number) * k2 * k2 + (second[i] as number) * k2 + (plain[i] as number);
  const force = new Array<number>(size).fill(0);
  spec.patches.forEach((p, i) => {
    const along = (Math.cos(k * p.x0) - Math.cos(k * p.x1)) / k;
    for (const { dof, part } of strips.loads[i] ?? []) force[dof] = (force[dof] as number) + part * along;
  });
  const full = band.slice();
  const right = force.slice();
  hold(band, right, size, HALF_BAND, held);
  if (!factor(band, size, HALF_BAND)) throw new PlateError('a panel needs a stiffness above 0 both ways');
  const w = solveBanded(band, right, size, HALF_BAND);
  return { m, k, w, held: new Map(held.map((dof) => [dof, heldBack(full, force, w, HALF_BAND, dof)])) };
}

/** What a held node carries along the whole span, N, and its moment about the end x0, N mm. */
function carriedBy(waves: readonly Wave[], dof: number, a: number): { newtons: number; moment: number } {
  let [newtons, moment] = [0, 0];
  waves.forEach(({ m, k, held }) => {
    const r = (2 * (held.get(dof) ?? 0)) / a;
    const even = (m + 1) % 2 === 0;
    newtons += even ? 0 : (2 * r) / k;
    // ∫ x sin kx from 0 to a = −a cos(ka) / k
    moment += (r * a * (even ? -1 : 1)) / k;
  });
  return { newtons, moment };
}

function greatestOf({ ys }: Strips, waves: readonly Wave[], { a, rigidity: D }: StripsSpec) {
  let greatest = { x: 0, y: 0, mm: -Infinity };
  const along = { y0: 0, y1: 0 };
  const moment = { x: 0, y: 0 };
  const last = ys.length - 1;
  ys.forEach((y, j) => {
    // The curvature across at a node, by the strip that begins there, or the last one at its end.
    const e = Math.min(j, last - 1);
    const h = (ys[e + 1] as number) - (ys[e] as number);
    const bends = hermiteAt(h, j === last ? h : 0, 2);
    const across = waves.map(({ w }) => bends.reduce((sum, f, i) => sum + f * (w[2 * e + i] as number), 0));
    for (let i = 1; i < PLACES; i += 1) {
      let [w, xx, yy] = [0, 0, 0];
      for (let m = 0; m < waves.length; m += 1) {
        const wave = waves[m] as Wave;
        const s = (SINES[wave.m] as Float64Array)[i] as number;
        const here = (wave.w[2 * j] as number) * s;
        w += here;
        xx += here * wave.k * wave.k;
        yy += (across[m] as number) * s;
      }
      if (w > greatest.mm) greatest = { x: (a * i) / PLACES, y, mm: w };
      if (j === 0) along.y0 = Math.max(along.y0, w);
      if (j === last) along.y1 = Math.max(along.y1, w);
      moment.x = Math.max(moment.x, Math.abs(D.x * xx - D.coupling * yy));
      moment.y = Math.max(moment.y, Math.abs(D.coupling * xx - D.y * yy));
    }
  });
  return { greatest, along, moment };
}

function resultOf(spec: StripsSpec, strips: Strips, waves: readonly Wave[], lineDofs: readonly (number | null)[]): StripsResult {
  const { a, edges, patches } = spec;
  const last = 2 * (strips.ys.length - 1);
  const nothing = { newtons: 0, moment: 0 };
  const on = (dof: number | null) => (dof === null ? nothing : carriedBy(waves, dof, a));
  const lines = lineDofs.map(on);
  const y0 = edges.y0 === 'simple' ? on(0) : nothing;
  const y1 = edges.y1 === 'simple' ? on(last) : nothing;
  const loads = patches.map((p) => ({ newtons: p.perMm2 * (p.x1 - p.x0) * (p.y1 - p.y0), x: (p.x0 + p.x1) / 2 }));
  const total = loads.reduce((sum, l) => sum + l.newtons, 0);
  const taken = [...lines, y0, y1];
  const rest = total - taken.reduce((sum, t) => sum + t.newtons, 0);
  const x1 = (loads.reduce((sum, l) => sum + l.newtons * l.x, 0) - taken.reduce((sum, t) => sum + t.moment, 0)) / a;
  return {
    ...greatestOf(strips, waves, spec),
    edges: { x0: rest - x1, x1, y0: y0.newtons, y1: y1.newtons },
    lines: lines.map((l) => l.newtons),
    at: (x, y) => {
      const { ys } = strips;
      const found = ys.findIndex((_, i) => y <= (ys[i + 1] ?? Infinity));
      const j = Math.min(Math.max(found, 0), ys.length - 2);
      const f = hermiteAt((ys[j + 1] as number) - (ys[j] as number), y - (ys[j] as number));
      return waves.reduce((sum, { k, w }) => sum + Math.sin(k * x) * f.reduce((part, v, i) => part + v * (w[2 * j + i] as number), 0), 0);
    },
  };
}

/**
 * Solves a thin orthotropic plate that is simply held at both ends of its span, its other edges free or held,
 * with edge beams and lines of support along the span, by finite strips: a sine series along the span
 * and cubic strips across it, so fast that it is asked with every change.
 * @throws PlateError for one without stiffness or with a load that is no number
 * @example 900 x 300 x 18, ends and rear held, E 9500 and 7000, G 620, 0.5 N/mm: 2.668 at the middle of the front
 */
export function solveStrips(spec: StripsSpec): StripsResult {
  const { rigidity: D } = spec;
  if (!(spec.a > 0 && spec.b > 0)) throw new PlateError('a panel must be longer and wider than 0');
  if (!(D.x > 0 && D.y > 0 && D.twist > 0) || D.x * D.y <= D.coupling ** 2)
    throw new PlateError('a panel needs a stiffness above 0 both ways');
  if (spec.patches.some((p) => !Number.isFinite(p.perMm2))) throw new PlateError('a load is not a number');
  const strips = stripsOf(spec);
  const last = 2 * (strips.ys.length - 1);
  const edges = [...(spec.edges.y0 === 'simple' ? [0] : []), ...(spec.edges.y1 === 'simple' ? [last] : [])];
  const near = (y: number) =>
    2 * strips.ys.reduce((best, l, i) => (Math.abs(l - y) < Math.abs((strips.ys[best] as number) - y) ? i : best), 0);
  const bands = bandsOf(spec, strips);
  // Loads alike on both sides of the middle bend it in odd waves alone.
  const even = spec.patches.every((p) => Math.abs(p.x0 + p.x1 - spec.a) < 1e-6 * spec.a);
  const numbers = Array.from({ length: WAVES }, (_, m) => m).filter((m) => !even || m % 2 === 0);
  let lines: readonly (number | null)[] = spec.lines.map((l) => near(l.y));
  for (;;) {
    const held = [...new Set([...edges, ...lines.flatMap((d) => d ?? [])])];
    const waves = numbers.map((m) => solveWave(spec, strips, bands, m, held));
    const result = resultOf(spec, strips, waves, lines);
    const pulls = lines.findIndex((dof, i) => dof !== null && spec.lines[i]?.oneWay && (result.lines[i] as number) < 0);
    if (pulls < 0) return result;
    lines = lines.map((dof, i) => (i === pulls ? null : dof));
  }
}
